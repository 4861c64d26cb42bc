import fc from 'fast-check'
import { shapes } from '@harina/facts'
import { bestLayout } from '../geometry/index.ts'
import { CARD_MM, checkedBy, NOMINAL_PX_PER_MM, pxPerMmOfCard } from './calibrate.ts'
import { gaugePage, layoutPage, PAPERS, type GaugeMark, type GaugePage } from './gaugePage.ts'
import { gaugeSvg } from './gaugeSvg.ts'

const words = { title: 'A shape', lead: 'Print at full size.', check: '100 mm', labels: ['one', 'two', 'piece'] }

/** Corners of everything a mark covers; text by where it starts. */
function corners(mark: GaugeMark): readonly (readonly [number, number])[] {
  switch (mark.kind) {
    case 'line':
      return [mark.from, mark.to]
    case 'path':
      return mark.points
    case 'circle':
      return [
        [mark.center[0] - mark.radiusMm, mark.center[1] - mark.radiusMm],
        [mark.center[0] + mark.radiusMm, mark.center[1] + mark.radiusMm],
      ]
    case 'rect':
      return [mark.at, [mark.at[0] + mark.widthMm, mark.at[1] + mark.heightMm]]
    case 'text':
      return [mark.at]
  }
}
const onPaper = ({ widthMm, heightMm, marks }: GaugePage) =>
  marks.every((mark) =>
    corners(mark).every(([x, y]) => x >= -1e-6 && y >= -1e-6 && x <= widthMm + 1e-6 && y <= heightMm + 1e-6),
  )

it.each(shapes.map((shape) => [shape.id, shape] as const))(
  '%s: the page holds its check line and stays on paper',
  (_, shape) => {
    for (const paper of ['a4', 'letter'] as const) {
      const page = gaugePage({ blank: shape.blank, wallMm: shape.wallMm, paper, words })
      const { checkMm, ...size } = PAPERS[paper]
      expect(page).toMatchObject(size)
      expect(onPaper(page)).toBe(true)
      const longest = page.marks.flatMap((mark) =>
        mark.kind === 'line' && mark.bold ? [mark.to[0] - mark.from[0]] : [],
      )
      expect(longest[0]).toBeCloseTo(checkMm, 9)
    }
  },
)

it('a rope is as thick and cut as long as it should be', () => {
  const page = gaugePage({ blank: { type: 'rope', diameterMm: 9, cutMm: 13 }, wallMm: 2, paper: 'a4', words })
  expect(page.marks.find((mark) => mark.kind === 'rect')).toMatchObject({ widthMm: 104, heightMm: 9 })
  const cuts = page.marks.flatMap((mark) =>
    mark.kind === 'line' && mark.from[0] === mark.to[0] && !mark.bold ? [mark.from[0]] : [],
  )
  expect(cuts.slice(1).map((x, index) => x - cuts[index]!)).toEqual([13, 13, 13, 13, 13, 13])
})

it('the piece is left out where it would not fit at life size', () => {
  const piece = (widthMm: number) => ({
    widthMm,
    heightMm: 20,
    outline: [
      [
        [0, 0],
        [widthMm, 20],
      ] as const,
    ],
    lines: [],
  })
  const blank = { type: 'rope', diameterMm: 9, cutMm: 13 } as const
  const paths = (widthMm: number) =>
    gaugePage({ blank, wallMm: 2, paper: 'a4', words, piece: piece(widthMm) }).marks.filter(
      (mark) => mark.kind === 'path',
    )
  expect(paths(60)).toHaveLength(1)
  expect(paths(400)).toEqual([])
})

it('a layout has the stamps of the best layout, all on the sheet and none over another', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 60, max: 300, noNaN: true }),
      fc.double({ min: 60, max: 900, noNaN: true }),
      fc.double({ min: 20, max: 120, noNaN: true }),
      (widthMm, lengthMm, sizeMm) => {
        const stamp = { shape: 'circle', sizeMm, gapMm: 2 } as const
        const { layout, count } = bestLayout({ widthMm, lengthMm }, stamp)
        const page = layoutPage({ widthMm, lengthMm }, stamp, layout)
        const circles = page.marks.flatMap((mark) => (mark.kind === 'circle' ? [mark.center] : []))
        expect(circles).toHaveLength(count)
        expect(onPaper(page)).toBe(true)
        const apart = circles.every(([x, y], index) =>
          circles.slice(index + 1).every(([otherX, otherY]) => Math.hypot(x - otherX, y - otherY) > sizeMm + 2 - 1e-6),
        )
        expect(apart).toBe(true)
      },
    ),
    { numRuns: 60 },
  )
})

it('an SVG file says its size in millimetres and lets no markup through', () => {
  const page = gaugePage({
    blank: { type: 'disc', diameterMm: 70, thicknessMm: 1.1 },
    wallMm: 1.1,
    paper: 'letter',
    words: { ...words, title: 'A <b>"bold"</b> & shape' },
  })
  const svg = gaugeSvg(page)
  expect(svg).toMatch(/^<svg [^>]*width="215.9mm" height="279.4mm" viewBox="0 0 215.9 279.4">/)
  expect(svg).not.toContain('<b>')
  expect(svg).toContain('r="35"')
})

describe('the screen as a ruler', () => {
  it('a card of 342.4 px: 4 px a millimetre; beyond what screens are it stops', () => {
    expect(pxPerMmOfCard(342.4)).toBeCloseTo(4, 9)
    expect(pxPerMmOfCard(1)).toBe(1)
    expect(pxPerMmOfCard(1e9)).toBe(30)
    expect(CARD_MM.width * NOMINAL_PX_PER_MM).toBeCloseTo(323.5, 1)
  })

  it('a second length that reads short puts the first right; one that is close leaves it', () => {
    expect(checkedBy(4, 100, 98)).toMatchObject({ close: false, offPercent: expect.closeTo(-2, 9) })
    expect(checkedBy(4, 100, 98).pxPerMm).toBeCloseTo(4.0816, 4)
    expect(checkedBy(4, 100, 100.5)).toMatchObject({ close: true, pxPerMm: 4 })
  })
})
