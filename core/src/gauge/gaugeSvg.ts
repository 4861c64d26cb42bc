import { unreachable } from '../result.ts'
import type { GaugeMark, GaugePage } from './gaugePage.ts'

const escaped = (words: string): string => words.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`)
const mm = (value: number): string => String(Number(value.toFixed(3)))

function element(mark: GaugeMark): string {
  switch (mark.kind) {
    case 'line':
      return `<path d="M${mm(mark.from[0])} ${mm(mark.from[1])}L${mm(mark.to[0])} ${mm(mark.to[1])}" stroke-width="${mark.bold ? 0.5 : 0.25}"/>`
    case 'path':
      return `<path d="M${mark.points.map(([x, y]) => `${mm(x)} ${mm(y)}`).join('L')}" stroke-width="${mark.bold ? 0.4 : 0.15}"/>`
    case 'circle':
      return `<circle cx="${mm(mark.center[0])}" cy="${mm(mark.center[1])}" r="${mm(mark.radiusMm)}" stroke-width="0.3"/>`
    case 'rect':
      return `<rect x="${mm(mark.at[0])}" y="${mm(mark.at[1])}" width="${mm(mark.widthMm)}" height="${mm(mark.heightMm)}" stroke-width="0.3"/>`
    case 'text':
      return `<text x="${mm(mark.at[0])}" y="${mm(mark.at[1])}" font-size="${mm(mark.sizeMm)}" font-family="sans-serif" fill="black" stroke="none">${escaped(mark.text)}</text>`
    default:
      return unreachable(mark)
  }
}

/** The page as an SVG file whose user units are millimetres. */
export const gaugeSvg = ({ widthMm, heightMm, marks }: GaugePage): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(widthMm)}mm" height="${mm(heightMm)}mm" viewBox="0 0 ${mm(widthMm)} ${mm(heightMm)}"><g fill="none" stroke="black">${marks.map(element).join('')}</g></svg>\n`
