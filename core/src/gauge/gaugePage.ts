/** A page to hold dough against, in mm from its upper left corner: the same marks go to paper and to an SVG file. */
import { unreachable } from '../result.ts'
import type { Blank } from '../model/index.ts'
import { stampCentres, type FlatSheet, type Layout, type Stamp } from '../geometry/index.ts'

export type At = readonly [number, number]

export type GaugeMark =
  | { readonly kind: 'line'; readonly from: At; readonly to: At; readonly bold?: true }
  | { readonly kind: 'circle'; readonly center: At; readonly radiusMm: number }
  | { readonly kind: 'rect'; readonly at: At; readonly widthMm: number; readonly heightMm: number }
  | { readonly kind: 'path'; readonly points: readonly At[]; readonly bold?: true }
  | { readonly kind: 'text'; readonly at: At; readonly sizeMm: number; readonly text: string }

export interface GaugePage {
  readonly widthMm: number
  readonly heightMm: number
  readonly marks: readonly GaugeMark[]
}

/** `checkMm`: what the line that is measured first must read, whole on the ruler that lies beside such paper: four inches there. */
export const PAPERS = {
  a4: { widthMm: 210, heightMm: 297, checkMm: 100 },
  letter: { widthMm: 215.9, heightMm: 279.4, checkMm: 101.6 },
} as const
export type Paper = keyof typeof PAPERS

const MARGIN_MM = 18
const TEXT_MM = 4.2

/** Every word on the page; the marks know only lengths. */
export interface GaugeWords {
  readonly title: string
  readonly lead: string
  readonly check: string
  /** One for each drawing of the blank, in its order. */
  readonly labels: readonly string[]
}

export interface GaugeRequest {
  readonly blank: Blank
  readonly wallMm: number
  readonly paper: Paper
  readonly words: GaugeWords
  /** The finished piece as polylines, where it is to be shown. */
  readonly piece?: {
    readonly widthMm: number
    readonly heightMm: number
    readonly outline: readonly (readonly At[])[]
    readonly lines: readonly (readonly At[])[]
  }
}

const line = (from: At, to: At, bold?: true): GaugeMark => ({ kind: 'line', from, to, ...(bold ? { bold } : {}) })
const text = (at: At, words: string, sizeMm = TEXT_MM): GaugeMark => ({ kind: 'text', at, sizeMm, text: words })

/** A length with its ends ticked. */
const ruled = (x: number, y: number, lengthMm: number): readonly GaugeMark[] => [
  line([x, y], [x + lengthMm, y], true),
  line([x, y - 2.5], [x, y + 2.5], true),
  line([x + lengthMm, y - 2.5], [x + lengthMm, y + 2.5], true),
]

/** Two edges to lay dough between, as far apart as it should be thick or wide. */
const slot = (x: number, y: number, longMm: number, gapMm: number): readonly GaugeMark[] => [
  line([x, y], [x + longMm, y]),
  line([x, y + gapMm], [x + longMm, y + gapMm]),
  line([x, y], [x, y + gapMm]),
]

export interface GaugeDrawing {
  readonly marks: readonly GaugeMark[]
  readonly heightMm: number
}

/** One drawing under the other: what a blank is measured by. `roomMm` is the width of the page between its margins. */
export function blankDrawings(blank: Blank, wallMm: number, roomMm: number): readonly GaugeDrawing[] {
  const x = MARGIN_MM
  const wall: GaugeDrawing = { marks: slot(x, 0, Math.min(roomMm, 60), wallMm), heightMm: wallMm }
  switch (blank.type) {
    case 'rope': {
      const cuts = Math.max(1, Math.min(8, Math.floor(roomMm / blank.cutMm)))
      const long = Math.min(roomMm, cuts * blank.cutMm)
      const d = blank.diameterMm
      const rope: GaugeDrawing = {
        marks: [
          { kind: 'rect', at: [x, 0], widthMm: long, heightMm: d },
          ...Array.from({ length: cuts - 1 }, (_, k) =>
            line([x + (k + 1) * blank.cutMm, -2], [x + (k + 1) * blank.cutMm, d + 2]),
          ),
        ],
        heightMm: d,
      }
      const drawn = blank.drawn?.diameterMm
      return drawn === undefined ? [rope] : [rope, { marks: slot(x, 0, Math.min(roomMm, 80), drawn), heightMm: drawn }]
    }
    case 'sheet': {
      const wide = Math.min(roomMm, blank.widthMm)
      const long = Math.min(70, blank.lengthMm)
      const thin: GaugeDrawing = { marks: slot(x, 0, 60, blank.thicknessMm), heightMm: blank.thicknessMm }
      return [{ marks: [{ kind: 'rect', at: [x, 0], widthMm: wide, heightMm: long }], heightMm: long }, thin]
    }
    case 'disc': {
      const radius = blank.diameterMm / 2
      return [
        { marks: [{ kind: 'circle', center: [x + radius, radius], radiusMm: radius }], heightMm: blank.diameterMm },
        { marks: slot(x, 0, 60, blank.thicknessMm), heightMm: blank.thicknessMm },
      ]
    }
    case 'die':
      return [{ marks: ruled(x, 0, Math.min(roomMm, blank.cutMm)), heightMm: 0 }, wall]
    case 'drop': {
      const radius = blank.holeMm / 2
      return [
        { marks: [{ kind: 'circle', center: [x + radius, radius], radiusMm: radius }], heightMm: blank.holeMm },
        { marks: ruled(x, 0, Math.min(roomMm, blank.lengthMm)), heightMm: 0 },
      ]
    }
    default:
      return unreachable(blank)
  }
}

const lowered = (mark: GaugeMark, by: At): GaugeMark => {
  const move = ([x, y]: At): At => [x + by[0], y + by[1]]
  switch (mark.kind) {
    case 'line':
      return { ...mark, from: move(mark.from), to: move(mark.to) }
    case 'circle':
      return { ...mark, center: move(mark.center) }
    case 'path':
      return { ...mark, points: mark.points.map(move) }
    default:
      return { ...mark, at: move(mark.at) }
  }
}

/** A page at life size: the check line first, then the blank and its thickness, then the finished piece where it fits. */
export function gaugePage({ blank, wallMm, paper, words, piece }: GaugeRequest): GaugePage {
  const { widthMm, heightMm, checkMm } = PAPERS[paper]
  const room = widthMm - 2 * MARGIN_MM
  const marks: GaugeMark[] = [
    text([MARGIN_MM, 24], words.title, 8),
    text([MARGIN_MM, 31], words.lead),
    ...ruled(MARGIN_MM, 46, checkMm),
    text([MARGIN_MM + checkMm + 5, 47.4], words.check),
  ]
  let y = 66
  blankDrawings(blank, wallMm, room).forEach((drawing, index) => {
    marks.push(text([MARGIN_MM, y], words.labels[index] ?? ''))
    y += 7
    marks.push(...drawing.marks.map((mark) => lowered(mark, [0, y])))
    y += drawing.heightMm + 15
  })
  if (piece && piece.widthMm <= room && y + piece.heightMm + 8 <= heightMm - MARGIN_MM) {
    marks.push(text([MARGIN_MM, y], words.labels.at(-1) ?? ''))
    const by: At = [MARGIN_MM, y + 6]
    for (const [lines, bold] of [
      [piece.lines, undefined],
      [piece.outline, true],
    ] as const)
      for (const points of lines) marks.push(lowered({ kind: 'path', points, ...(bold ? { bold } : {}) }, by))
  }
  return { widthMm, heightMm, marks }
}

/** A sheet with its stamps, at life size; its length lies across. */
export function layoutPage(sheet: FlatSheet, stamp: Stamp, layout: Layout): GaugePage {
  const half = stamp.sizeMm / 2
  return {
    widthMm: sheet.lengthMm,
    heightMm: sheet.widthMm,
    marks: [
      { kind: 'rect', at: [0, 0], widthMm: sheet.lengthMm, heightMm: sheet.widthMm },
      ...stampCentres(sheet, stamp, layout).map(({ acrossMm, alongMm }): GaugeMark =>
        stamp.shape === 'circle'
          ? { kind: 'circle', center: [alongMm, acrossMm], radiusMm: half }
          : { kind: 'rect', at: [alongMm - half, acrossMm - half], widthMm: stamp.sizeMm, heightMm: stamp.sizeMm },
      ),
    ],
  }
}
