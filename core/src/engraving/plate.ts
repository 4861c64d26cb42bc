/** Dough with two faces a wall apart: what was rolled, dragged, pressed or folded thin. */
import { borderOf, boxOf, patchOf, strip, withEdges, type Side } from './patch.ts'
import type { Patch } from './patch.ts'
import { add, cross, scale, subtract, unit, upright, type Vec3 } from './vec.ts'

/** The middle of the wall: u runs along rows, v across, both 0 to 1. */
export type Middle = (u: number, v: number) => Vec3

export interface Plate {
  readonly middle: Middle
  readonly wallMm: number | ((u: number, v: number) => number)
  readonly rows: number
  readonly columns: number
  /** u closes on itself: a tube, or the turn round a disc. */
  readonly wraps?: boolean
  /** v = 0 is one point, the middle of a disc. */
  readonly polar?: boolean
  /** Lines along u, and along v. */
  readonly lines: readonly [number, number]
  readonly plain?: boolean
}

const D = 1e-3

/** Across the wall, at a place of the middle. */
function across(middle: Middle, u: number, v: number, wraps: boolean): Vec3 {
  const [u0, u1] = wraps ? [u - D, u + D] : [Math.max(0, u - D), Math.min(1, u + D)]
  const [v0, v1] = [Math.max(0, v - D), Math.min(1, v + D)]
  return unit(cross(subtract(middle(u1, v), middle(u0, v)), subtract(middle(u, v1), middle(u, v0))))
}

export function plate({
  middle,
  wallMm,
  rows,
  columns,
  wraps = false,
  polar = false,
  lines,
  plain = false,
}: Plate): readonly Patch[] {
  const thick = typeof wallMm === 'number' ? () => wallMm : wallMm
  const at = (i: number, j: number): readonly [number, number] => [i / (wraps ? rows : rows - 1), j / (columns - 1)]
  const grid = Array.from({ length: rows * columns }, (_, index) => {
    const [u, v] = at(Math.floor(index / columns), index % columns)
    // At the middle of a disc every turn meets in one point, a little outside of which the wall is measured.
    const way = polar && v === 0 ? across(middle, 0, 0.02, wraps) : across(middle, u, v, wraps)
    return { at: middle(u, v), half: scale(way, thick(u, v) / 2) }
  })
  const grown = (side: 1 | -1) => (i: number, j: number) => {
    const { at: point, half } = grid[i * columns + j]!
    return add(point, scale(half, side))
  }
  const face = (side: 1 | -1) =>
    patchOf(
      { rows, columns, wrapsRows: wraps, at: grown(side) },
      { alongRows: lines[1], alongColumns: lines[0], facing: side, plain },
    )
  const [front, back] = [face(1), face(-1)]
  const column = ({ points }: Patch, j: number) => Array.from({ length: rows }, (_, i) => points[i * columns + j]!)
  const row = ({ points }: Patch, i: number) => points.slice(i * columns, (i + 1) * columns)
  const borders: readonly Side[] = [
    'last-column',
    ...(polar ? [] : (['first-column'] as const)),
    ...(wraps ? [] : (['first-row', 'last-row'] as const)),
  ]
  // The wall between the faces looks out of the middle, whatever the thickness does there.
  const wallAt = (side: Side) => (index: number) => {
    const inwards = 0.06
    const [u, v] = side.endsWith('row') ? at(0, index) : at(index, 0)
    const rim: Record<Side, readonly [number, number, number, number]> = {
      'last-column': [u, 1, u, 1 - inwards],
      'first-column': [u, 0, u, inwards],
      'first-row': [0, v, inwards, v],
      'last-row': [1, v, 1 - inwards, v],
    }
    const [u0, v0, u1, v1] = rim[side]
    return upright(subtract(middle(u0, v0), middle(u1, v1)), across(middle, u0, v0, wraps))
  }
  const edged = (patch: Patch) =>
    withEdges(
      patch,
      borders.map((side) => borderOf(patch, side, wallAt(side))),
    )
  return [
    edged(front),
    edged(back),
    strip(column(front, columns - 1), column(back, columns - 1), wraps),
    ...(polar ? [] : [strip(column(front, 0), column(back, 0), wraps)]),
    ...(wraps
      ? []
      : [strip(row(front, 0), row(back, 0), false), strip(row(front, rows - 1), row(back, rows - 1), false)]),
  ]
}

export interface Fit {
  readonly x?: number
  readonly y?: number
  readonly z?: number
}

/** A middle drawn to measure: stretched along each axis that is given, and set round the origin. */
export function fitted(middle: Middle, { x, y, z }: Fit): Middle {
  const samples: Vec3[] = []
  for (let i = 0; i <= 60; i += 1) for (let j = 0; j <= 40; j += 1) samples.push(middle(i / 60, j / 40))
  const { min, max } = boxOf(samples)
  const by = [x, y, z].map((wanted, k) => {
    const now = max[k as 0]! - min[k as 0]!
    return wanted === undefined || now < 1e-9 ? 1 : wanted / now
  })
  return (u, v) => {
    const point = middle(u, v)
    return [0, 1, 2].map((k) => (point[k]! - (min[k as 0]! + max[k as 0]!) / 2) * by[k]!) as unknown as Vec3
  }
}
