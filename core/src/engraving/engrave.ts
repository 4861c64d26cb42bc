/** A piece as an engraving: fine lines along its faces, denser in shade, hidden lines removed, a heavier outline. */
import type { Shape } from '../model/index.ts'
import type { Patch } from './patch.ts'
import { depthOf, type Depth } from './depth.ts'
import { sceneOf } from './forms/index.ts'
import { joinSegments, lengthOf, thinned, type Point } from './lines.ts'
import { boxOf, eachTriangle, project, type Edge, type Scene, type View } from './patch.ts'
import { dot, unit, type Vec3 } from './vec.ts'

// Called for every point of every line: looked up once.
const { max, min, sqrt } = Math

export interface Engraving {
  /** The paper, mm; every point lies on it. */
  readonly widthMm: number
  readonly heightMm: number
  readonly outline: readonly (readonly Point[])[]
  readonly lines: readonly (readonly Point[])[]
}

const MARGIN_MM = 1.2
/** From the upper left, towards the eye. */
const LIGHT: Vec3 = unit([-0.55, -0.6, 0.58])
/** A speck is no line, as a share of the paper. */
const SPECK = 0.008

/** A patch as the eye sees it: x to the right, y down, z towards the eye. */
function seenFrom(patch: Patch, view: View): Patch {
  const way = (at: Vec3) => project(at, view)
  return {
    ...patch,
    points: patch.points.map(way),
    normals: patch.normals.map(way),
    edges: patch.edges.map((edge) =>
      edge.map(({ at, faces }) => ({ at: way(at), faces: [way(faces[0]), way(faces[1])] as const })),
    ),
  }
}

/** How dark a face is, 0 to 1: turned from the light, or turning away from the eye. */
function shadeOf(normal: Vec3): number {
  const lit = max(0, dot(normal, LIGHT))
  return min(1, 0.85 * (1 - lit) + 0.35 * (1 - normal[2]) ** 2)
}

/** Every line shows in deep shade, every second in half shade, every fourth nearly everywhere. */
const SHADE_FOR_LINE = [0.16, 0.62, 0.4, 0.62] as const
const PLAIN_SHADE = 0.5

/** A steep face changes its depth within a cell. */
const biasOf = ({ cellMm }: Depth, normal: Vec3): number => {
  const facing = max(0.15, normal[2])
  return cellMm * (1.2 + sqrt(1 - min(1, facing ** 2)) / facing)
}

const onFace = (depth: Depth, at: Vec3, normal: Vec3): boolean =>
  normal[2] > 0.02 && at[2] >= depth.nearest(at[0], at[1]) - biasOf(depth, normal)

const AROUND: readonly Point[] = [
  [0, 0],
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
  [0.7, 0.7],
  [-0.7, 0.7],
  [0.7, -0.7],
  [-0.7, -0.7],
]

/**
 * At an edge the face falls away within a cell, so the cell itself may hold a nearer part of the same face: an edge is seen
 * if it is no farther than the farthest of the cells around it.
 */
function atEdge(depth: Depth, [x, y, z]: Vec3): boolean {
  const reach = 1.5 * depth.cellMm
  const bias = 2 * depth.cellMm
  for (const [dx, dy] of AROUND) if (z >= depth.nearest(x + dx * reach, y + dy * reach) - bias) return true
  return false
}

/** Cuts a line into the runs of points that pass. */
function runs(points: readonly Vec3[], passes: (index: number) => boolean): (readonly Point[])[] {
  const made: Point[][] = []
  let run: Point[] = []
  const close = () => {
    if (run.length > 1) made.push(run)
    run = []
  }
  points.forEach(([x, y], index) => {
    if (passes(index)) run.push([x, y])
    else close()
  })
  close()
  return made
}

/** Points of an engraved line are as far apart as its grid: two more between each keep its visible end sharp. */
const BETWEEN = 2

function engravedLines(patch: Patch, depth: Depth): (readonly Point[])[] {
  const { rows, columns, points, normals, lineRows, lineColumns, wrapsRows, wrapsColumns, plain } = patch
  const line = (order: number, indices: readonly number[]) => {
    const sampled: Vec3[] = []
    const ways: Vec3[] = []
    const mixed = (a: Vec3, b: Vec3, share: number): Vec3 => [
      a[0] + share * (b[0] - a[0]),
      a[1] + share * (b[1] - a[1]),
      a[2] + share * (b[2] - a[2]),
    ]
    indices.forEach((index, place) => {
      const next = indices[place + 1]
      for (let k = 0; k <= (next === undefined ? 0 : BETWEEN); k += 1) {
        const share = k / (BETWEEN + 1)
        sampled.push(mixed(points[index]!, points[next ?? index]!, share))
        ways.push(mixed(normals[index]!, normals[next ?? index]!, share))
      }
    })
    const threshold = max(plain ? PLAIN_SHADE : 0, SHADE_FOR_LINE[order % 4]!)
    return runs(sampled, (k) => shadeOf(ways[k]!) > threshold && onFace(depth, sampled[k]!, ways[k]!))
  }
  const along = (length: number, wraps: boolean) =>
    Array.from({ length: wraps ? length + 1 : length }, (_, k) => k % length)
  return [
    ...lineRows.flatMap((i, order) =>
      line(
        order,
        along(columns, wrapsColumns).map((j) => i * columns + j),
      ),
    ),
    ...lineColumns.flatMap((j, order) =>
      line(
        order,
        along(rows, wrapsRows).map((i) => i * columns + j),
      ),
    ),
  ]
}

/** Where a face turns from the eye: the zero of its normal's z, found inside each triangle, joined end to end. */
function contour(patch: Patch, depth: Depth): (readonly Point[])[] {
  const segments: (readonly [Point, Point])[] = []
  eachTriangle(patch, (...corners) => {
    const crossings: Vec3[] = []
    for (let k = 0; k < 3; k += 1) {
      const [i, j] = [corners[k]!, corners[(k + 1) % 3]!]
      const [from, to] = [patch.normals[i]![2], patch.normals[j]![2]]
      if (from < 0 === to < 0) continue
      const share = from / (from - to)
      const [p, q] = [patch.points[i]!, patch.points[j]!]
      crossings.push([p[0] + share * (q[0] - p[0]), p[1] + share * (q[1] - p[1]), p[2] + share * (q[2] - p[2])])
    }
    const [a, b] = crossings
    if (a && b && crossings.length === 2 && atEdge(depth, a) && atEdge(depth, b))
      segments.push([
        [a[0], a[1]],
        [b[0], b[1]],
      ])
  })
  return joinSegments(segments)
}

const edgeRuns = (edge: Edge, depth: Depth): (readonly Point[])[] =>
  runs(
    edge.map(({ at }) => at),
    (k) => {
      const { at, faces } = edge[k]!
      return max(faces[0][2], faces[1][2]) > -0.02 && atEdge(depth, at)
    },
  )

export function engraveScene({ patches: placed, view }: Scene): Engraving {
  const patches = placed.map((patch) => seenFrom(patch, view))
  const { min, max } = boxOf(patches.flatMap((patch) => patch.points))
  const [minX, minY] = [min[0] - MARGIN_MM, min[1] - MARGIN_MM]
  const [widthMm, heightMm] = [max[0] - minX + MARGIN_MM, max[1] - minY + MARGIN_MM]
  const depth = depthOf(patches, { minX, minY, widthMm, heightMm })
  const speck = SPECK * Math.max(widthMm, heightMm)
  const onPaper = (lines: (readonly Point[])[]) =>
    lines
      .filter((line) => lengthOf(line) > speck)
      .map((line) =>
        thinned(line).map(([x, y]): Point => [Number((x - minX).toFixed(2)), Number((y - minY).toFixed(2))]),
      )
  return {
    widthMm,
    heightMm,
    outline: onPaper(
      patches.flatMap((patch) => [...contour(patch, depth), ...patch.edges.flatMap((edge) => edgeRuns(edge, depth))]),
    ),
    lines: onPaper(patches.flatMap((patch) => engravedLines(patch, depth))),
  }
}

/** The finished piece of a shape, drawn from its figures; about a tenth of a second, so a worker does it. */
export const engrave = ({ form, wallMm }: Pick<Shape, 'form' | 'wallMm'>): Engraving =>
  engraveScene(sceneOf(form, wallMm))
