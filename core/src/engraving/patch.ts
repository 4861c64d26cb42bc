/** A piece of a surface as a grid of points, with what is to be drawn on it. All lengths in mm. */
import { add, cross, dot, scale, subtract, unit, type Vec3 } from './vec.ts'

export interface Patch {
  readonly rows: number
  readonly columns: number
  /** Row by row. */
  readonly points: readonly Vec3[]
  /** Outwards, a unit each. */
  readonly normals: readonly Vec3[]
  /** The last row joins the first; likewise columns. */
  readonly wrapsRows: boolean
  readonly wrapsColumns: boolean
  /** Rows and columns that are engraved, the deeper the shade the more of them. */
  readonly lineRows: readonly number[]
  readonly lineColumns: readonly number[]
  /** Flat pieces have lines in shade alone: on a lit plane they would read as cuts. */
  readonly plain: boolean
  /** Lines that are drawn wherever they are seen: rims, cuts, prints. */
  readonly edges: readonly Edge[]
}

/** A point of an edge with both faces that meet there; it can be seen only if one of them is turned to the eye. */
export interface EdgePoint {
  readonly at: Vec3
  readonly faces: readonly [Vec3, Vec3]
}
export type Edge = readonly EdgePoint[]

export interface Grid {
  readonly rows: number
  readonly columns: number
  readonly wrapsRows?: boolean
  readonly wrapsColumns?: boolean
  readonly at: (row: number, column: number) => Vec3
}

interface Drawing {
  /** How many lines run along a row, and along a column. */
  readonly alongRows: number
  readonly alongColumns: number
  /** −1 where rows × columns point inwards. */
  readonly facing?: 1 | -1
  readonly plain?: boolean
}

/** `count` of `of` indices, spread evenly, never the borders of an open side. */
function spread(count: number, of: number, wraps: boolean): readonly number[] {
  if (wraps) return Array.from({ length: Math.min(count, of) }, (_, k) => Math.floor((k * of) / Math.min(count, of)))
  return Array.from({ length: count }, (_, k) => Math.round(((k + 1) * (of - 1)) / (count + 1))).filter(
    (index, place, all) => index > 0 && index < of - 1 && all.indexOf(index) === place,
  )
}

export function patchOf(grid: Grid, { alongRows, alongColumns, facing = 1, plain = false }: Drawing): Patch {
  const { rows, columns, wrapsRows = false, wrapsColumns = false } = grid
  const points: Vec3[] = []
  for (let i = 0; i < rows; i += 1) for (let j = 0; j < columns; j += 1) points.push(grid.at(i, j))
  const side = (index: number, step: number, length: number, wraps: boolean) =>
    wraps ? (index + step + length) % length : Math.min(length - 1, Math.max(0, index + step))
  const normalAt = (i: number, j: number): Vec3 => {
    const down = points[side(i, 1, rows, wrapsRows) * columns + j]!
    const up = points[side(i, -1, rows, wrapsRows) * columns + j]!
    const right = points[i * columns + side(j, 1, columns, wrapsColumns)]!
    const left = points[i * columns + side(j, -1, columns, wrapsColumns)]!
    const way = cross(subtract(down, up), subtract(right, left))
    // Where a whole row or column meets in one point, the face is the one beside it.
    if (dot(way, way) < 1e-18 && j + 1 < columns) return normalAt(i, j + 1)
    return scale(unit(way), facing)
  }
  const normals = points.map((_, index) => normalAt(Math.floor(index / columns), index % columns))
  return {
    rows,
    columns,
    points,
    normals,
    wrapsRows,
    wrapsColumns,
    lineRows: spread(alongRows, rows, wrapsRows),
    lineColumns: spread(alongColumns, columns, wrapsColumns),
    plain,
    edges: [],
  }
}

export type Side = 'first-row' | 'last-row' | 'first-column' | 'last-column'

/** The border of an open side as an edge: one face is the patch, the other looks away from it, `away` at a row or column. */
export function borderOf(patch: Patch, side: Side, away?: (index: number) => Vec3): Edge {
  const { rows, columns, points, normals, wrapsRows, wrapsColumns } = patch
  const alongRow = side.endsWith('row')
  const last = side.startsWith('last')
  const [long, wraps] = alongRow ? [columns, wrapsColumns] : [rows, wrapsRows]
  const fixed = last ? (alongRow ? rows : columns) - 1 : 0
  const index = (k: number, inwards: number) => {
    const across = last ? fixed - inwards : fixed + inwards
    return alongRow ? across * columns + k : k * columns + across
  }
  return Array.from({ length: wraps ? long + 1 : long }, (_, step): EdgePoint => {
    const k = step % long
    const at = points[index(k, 0)]!
    return { at, faces: [normals[index(k, 0)]!, away?.(k) ?? unit(subtract(at, points[index(k, 1)]!))] }
  })
}

export const withEdges = (patch: Patch, edges: readonly Edge[]): Patch => ({
  ...patch,
  edges: [...patch.edges, ...edges],
})

/** Two borders of equal length sewn together by flat faces: the wall as it is seen from the side. */
export const strip = (a: readonly Vec3[], b: readonly Vec3[], wraps: boolean): Patch =>
  patchOf(
    { rows: 2, columns: a.length, wrapsColumns: wraps, at: (i, j) => (i === 0 ? a : b)[j]! },
    { alongRows: 0, alongColumns: 0 },
  )

/** A flat end: it hides what lies behind, and has no turn of its own. */
export function lid(ring: readonly Vec3[], middle: Vec3): Patch {
  const points = [...ring, ...ring.map(() => middle)]
  return { ...strip(ring, ring, true), points, normals: points.map((): Vec3 => [0, 0, 0]) }
}

/** Calls back with the three corners of every triangle. */
export function eachTriangle(
  { rows, columns, wrapsRows, wrapsColumns }: Patch,
  visit: (a: number, b: number, c: number) => void,
): void {
  const [rowEnd, columnEnd] = [wrapsRows ? rows : rows - 1, wrapsColumns ? columns : columns - 1]
  for (let i = 0; i < rowEnd; i += 1)
    for (let j = 0; j < columnEnd; j += 1) {
      const [below, right] = [((i + 1) % rows) * columns, (j + 1) % columns]
      const [a, b, c, d] = [i * columns + j, i * columns + right, below + j, below + right]
      visit(a, b, c)
      visit(b, d, c)
    }
}

/** Turns and shifts a patch about the upright axis. */
export function moved(patch: Patch, turn: number, by: Vec3): Patch {
  const spin = ([x, y, z]: Vec3): Vec3 => [
    x * Math.cos(turn) - y * Math.sin(turn),
    x * Math.sin(turn) + y * Math.cos(turn),
    z,
  ]
  return {
    ...patch,
    points: patch.points.map((point) => add(spin(point), by)),
    normals: patch.normals.map(spin),
    edges: patch.edges.map((edge) =>
      edge.map(({ at, faces }) => ({ at: add(spin(at), by), faces: [spin(faces[0]), spin(faces[1])] as const })),
    ),
  }
}

export interface Box {
  readonly min: Vec3
  readonly max: Vec3
}

export function boxOf(points: Iterable<Vec3>): Box {
  const min: [number, number, number] = [Infinity, Infinity, Infinity]
  const max: [number, number, number] = [-Infinity, -Infinity, -Infinity]
  for (const point of points)
    for (const k of [0, 1, 2] as const) {
      min[k] = Math.min(min[k], point[k])
      max[k] = Math.max(max[k], point[k])
    }
  return { min, max }
}

/** Turns the piece to be looked at: first about the upright axis, then towards the eye; radians. */
export interface View {
  readonly turn: number
  readonly tilt: number
}

/** What is drawn together: the patches of one piece, or of a few laid out. */
export interface Scene {
  readonly patches: readonly Patch[]
  readonly view: View
}

/** x to the right, y down the paper, z towards the eye. */
export function project([x, y, z]: Vec3, { turn, tilt }: View): Vec3 {
  const [cosTurn, sinTurn] = [Math.cos(turn), Math.sin(turn)]
  const across = x * cosTurn - y * sinTurn
  const away = x * sinTurn + y * cosTurn
  const [cosTilt, sinTilt] = [Math.cos(tilt), Math.sin(tilt)]
  return [across, -(away * sinTilt + z * cosTilt), -away * cosTilt + z * sinTilt]
}
