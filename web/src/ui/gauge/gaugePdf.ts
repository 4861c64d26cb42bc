/** A gauge page as a PDF at life size. Fetched only when one is asked for. */
import { unreachable, type GaugeMark, type GaugePage } from '@harina/core'
import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib'

const PT_PER_MM = 72 / 25.4
const INK = rgb(0, 0, 0)

/** The standard font has no more than Latin-1; what it lacks is left out rather than refused. */
const plain = (words: string): string => words.replace(/[^\x20-\x7e\xa0-\xff]/g, '')

/** PDF counts up from the lower left corner, in points. */
function draw(page: PDFPage, font: PDFFont, heightMm: number, mark: GaugeMark): void {
  const pt = (mm: number) => mm * PT_PER_MM
  const at = ([x, y]: readonly [number, number]) => ({ x: pt(x), y: pt(heightMm - y) })
  const segment = (from: readonly [number, number], to: readonly [number, number], thickness: number) =>
    page.drawLine({ start: at(from), end: at(to), thickness, color: INK })
  switch (mark.kind) {
    case 'line':
      return segment(mark.from, mark.to, mark.bold ? 1.2 : 0.6)
    case 'path':
      return mark.points.forEach((point, index) => {
        const next = mark.points[index + 1]
        if (next) segment(point, next, mark.bold ? 0.9 : 0.35)
      })
    case 'circle':
      return page.drawCircle({ ...at(mark.center), size: pt(mark.radiusMm), borderColor: INK, borderWidth: 0.7 })
    case 'rect':
      return page.drawRectangle({
        ...at([mark.at[0], mark.at[1] + mark.heightMm]),
        width: pt(mark.widthMm),
        height: pt(mark.heightMm),
        borderColor: INK,
        borderWidth: 0.7,
      })
    case 'text':
      return page.drawText(plain(mark.text), { ...at(mark.at), size: pt(mark.sizeMm), font, color: INK })
    default:
      return unreachable(mark)
  }
}

export async function gaugePdf({ widthMm, heightMm, marks }: GaugePage, title: string): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  pdf.setTitle(plain(title))
  const font = await pdf.embedFont(StandardFonts.Helvetica)
  const page = pdf.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM])
  for (const mark of marks) draw(page, font, heightMm, mark)
  // A viewer that scales to fit would make a gauge of nothing.
  pdf.catalog.getOrCreateViewerPreferences().setPrintScaling('None' as never)
  return pdf.save()
}
