/** Drawings as they are kept: made once, on a grid of a thousandth of their longer side, each point told from the one before. */
import type { Shape } from '../model/index.ts'
import type { Engraving } from './engrave.ts'
import type { Point } from './lines.ts'

/** Steps on the longer side of the paper: finer than a screen shows. */
const STEPS = 1000

/** Width and height of the paper in mm; outline and lines as x, y, then step by step. */
export type KeptEngraving = readonly [
  widthMm: number,
  heightMm: number,
  outline: readonly (readonly number[])[],
  lines: readonly (readonly number[])[],
]

/** What a drawing hangs on: two shapes of the same form are one drawing. */
export const engravingKey = ({ form, wallMm }: Pick<Shape, 'form' | 'wallMm'>): string =>
  `${JSON.stringify(form)} ${wallMm}`

const stepMm = (widthMm: number, heightMm: number): number => Math.max(widthMm, heightMm) / STEPS

export function keptEngraving({ widthMm, heightMm, outline, lines }: Engraving): KeptEngraving {
  const step = stepMm(widthMm, heightMm)
  const kept = (line: readonly Point[]): number[] => {
    let [x, y] = [0, 0]
    return line.flatMap((point) => {
      const [across, down] = [Math.round(point[0] / step), Math.round(point[1] / step)]
      const told = [across - x, down - y]
      ;[x, y] = [across, down]
      return told
    })
  }
  return [widthMm, heightMm, outline.map(kept), lines.map(kept)]
}

/** Back to mm, in whole micrometres, so that a path stays short. */
export function engravingFrom([widthMm, heightMm, outline, lines]: KeptEngraving): Engraving {
  const step = stepMm(widthMm, heightMm)
  const line = (told: readonly number[]): Point[] => {
    const points: Point[] = []
    let [x, y] = [0, 0]
    for (let k = 0; k < told.length; k += 2) {
      x += told[k] ?? 0
      y += told[k + 1] ?? 0
      points.push([Number((x * step).toFixed(3)), Number((y * step).toFixed(3))])
    }
    return points
  }
  return { widthMm, heightMm, outline: outline.map(line), lines: lines.map(line) }
}
