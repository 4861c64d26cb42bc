/** A piece cut through its middle: the outline of the dough in that plane, from the same surfaces as the engraving. */
import type { Shape } from '../model/index.ts'
import { sceneOf } from './forms/index.ts'
import { joinSegments, thinned, type Point } from './lines.ts'
import { boxOf, eachTriangle } from './patch.ts'
import type { Vec3 } from './vec.ts'

export interface CrossSection {
  readonly widthMm: number
  readonly heightMm: number
  readonly outline: readonly (readonly Point[])[]
}

/** Where the edge from a to b crosses the plane x = at; null where it does not. */
function crossing(a: Vec3, b: Vec3, at: number): Point | null {
  if (a[0] < at === b[0] < at) return null
  const share = (at - a[0]) / (b[0] - a[0])
  return [a[1] + share * (b[1] - a[1]), -(a[2] + share * (b[2] - a[2]))]
}

const MARGIN_MM = 0.4

/** Across the length of the piece, a little off its middle so that no seam of the grid lies in the plane. */
export function crossSection({ form, wallMm }: Pick<Shape, 'form' | 'wallMm'>): CrossSection {
  const { patches } = sceneOf(form, wallMm)
  const { min, max } = boxOf(patches.flatMap((patch) => patch.points))
  const at = min[0] + 0.5037 * (max[0] - min[0])
  const segments: (readonly [Point, Point])[] = []
  for (const patch of patches)
    eachTriangle(patch, (...corners) => {
      const [a, b, c] = corners.map((index) => patch.points[index]!) as [Vec3, Vec3, Vec3]
      const [from, to] = [crossing(a, b, at), crossing(b, c, at), crossing(c, a, at)].filter((point) => point !== null)
      if (from && to) segments.push([from, to])
    })
  const outline = joinSegments(segments).map((line) => thinned(line))
  const points = outline.flat()
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  const least = (values: readonly number[]) => values.reduce((a, b) => Math.min(a, b), Infinity)
  const most = (values: readonly number[]) => values.reduce((a, b) => Math.max(a, b), -Infinity)
  const [left, top] = [least(xs) - MARGIN_MM, least(ys) - MARGIN_MM]
  return {
    widthMm: most(xs) - left + MARGIN_MM,
    heightMm: most(ys) - top + MARGIN_MM,
    outline: outline.map((line) =>
      line.map(([x, y]): Point => [Number((x - left).toFixed(2)), Number((y - top).toFixed(2))]),
    ),
  }
}
