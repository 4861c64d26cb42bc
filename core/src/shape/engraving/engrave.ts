/** A surface as an engraving: fine lines along it, denser in shade, hidden lines removed, a heavier outline. */
import type { Shape } from '../shape.ts'
import { surfaceOf } from './forms.ts'
import { project, type Surface, type Vec3, type View } from './surface.ts'

export type Point = readonly [number, number]

export interface Engraving {
  /** The paper, mm; every point lies on it. */
  readonly widthMm: number
  readonly heightMm: number
  readonly outline: readonly (readonly Point[])[]
  readonly lines: readonly (readonly Point[])[]
}

const MARGIN_MM = 1.2
/** Depth cells per longest side of the paper. */
const CELLS = 460
/** From the upper left, towards the eye. */
const LIGHT: Vec3 = [-0.55, -0.6, 0.58]

interface Mesh {
  readonly rows: number
  readonly columns: number
  readonly points: readonly Vec3[]
  readonly normals: readonly Vec3[]
}

const subtract = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]
const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const unit = (a: Vec3): Vec3 => {
  const long = Math.hypot(...a)
  return long > 1e-12 ? [a[0] / long, a[1] / long, a[2] / long] : [0, 0, 1]
}

function pointAndNormal(surface: Surface, view: View, along: number, around: number): readonly [Vec3, Vec3] {
  const at = (a: number, b: number) => project(surface.at(Math.min(1, Math.max(0, a)), ((b % 1) + 1) % 1), view)
  const d = 1e-3
  const alongTangent = subtract(at(along + d, around), at(along - d, around))
  const aroundTangent = subtract(at(along, around + d), at(along, around - d))
  return [at(along, around), unit(cross(alongTangent, aroundTangent))]
}

function meshOf(surface: Surface, view: View): Mesh {
  const rows = surface.alongSteps + 1
  const columns = surface.aroundSteps
  const points: Vec3[] = []
  const normals: Vec3[] = []
  for (let i = 0; i < rows; i += 1)
    for (let j = 0; j < columns; j += 1) {
      const [point, normal] = pointAndNormal(surface, view, i / (rows - 1), j / columns)
      points.push(point)
      normals.push(normal)
    }
  return { rows, columns, points, normals }
}

/** Calls back with the three corners of every triangle; the last column joins the first. */
function eachTriangle({ rows, columns }: Mesh, visit: (a: number, b: number, c: number) => void): void {
  for (let i = 0; i + 1 < rows; i += 1)
    for (let j = 0; j < columns; j += 1) {
      const right = (j + 1) % columns
      const [a, b, c, d] = [i * columns + j, i * columns + right, (i + 1) * columns + j, (i + 1) * columns + right]
      visit(a, b, c)
      visit(b, d, c)
    }
}

export interface Depth {
  /** Nearest face at a place, or −∞ where the paper is bare. */
  nearest(x: number, y: number): number
  readonly cellMm: number
}

/** Depth buffer: for each cell of the paper the face nearest the eye. */
function depthOf(mesh: Mesh, minX: number, minY: number, cellMm: number, width: number, height: number): Depth {
  const cells = new Float32Array(width * height).fill(-Infinity)
  const toCell = ([x, y]: Vec3): Point => [(x - minX) / cellMm, (y - minY) / cellMm]
  eachTriangle(mesh, (ia, ib, ic) => {
    const [a, b, c] = [mesh.points[ia]!, mesh.points[ib]!, mesh.points[ic]!]
    const [[ax, ay], [bx, by], [cx, cy]] = [toCell(a), toCell(b), toCell(c)]
    const area = (bx - ax) * (cy - ay) - (cx - ax) * (by - ay)
    if (Math.abs(area) < 1e-9) return
    const [left, right] = [
      Math.max(0, Math.floor(Math.min(ax, bx, cx))),
      Math.min(width - 1, Math.ceil(Math.max(ax, bx, cx))),
    ]
    const [top, bottom] = [
      Math.max(0, Math.floor(Math.min(ay, by, cy))),
      Math.min(height - 1, Math.ceil(Math.max(ay, by, cy))),
    ]
    for (let y = top; y <= bottom; y += 1)
      for (let x = left; x <= right; x += 1) {
        const shareB = ((x - ax) * (cy - ay) - (cx - ax) * (y - ay)) / area
        const shareC = ((bx - ax) * (y - ay) - (x - ax) * (by - ay)) / area
        if (shareB < -0.02 || shareC < -0.02 || shareB + shareC > 1.02) continue
        const z = a[2] + shareB * (b[2] - a[2]) + shareC * (c[2] - a[2])
        const index = y * width + x
        if (z > cells[index]!) cells[index] = z
      }
  })
  return {
    cellMm,
    nearest(x, y) {
      const [i, j] = [Math.round((x - minX) / cellMm), Math.round((y - minY) / cellMm)]
      return i < 0 || j < 0 || i >= width || j >= height ? -Infinity : cells[j * width + i]!
    },
  }
}

/** How dark a face is, 0 to 1: turned from the light, or turning away from the eye. */
function shadeOf(normal: Vec3): number {
  const facing = normal[2] < 0 ? ([-normal[0], -normal[1], -normal[2]] as const) : normal
  const lit = Math.max(0, dot(facing, unit(LIGHT)))
  return Math.min(1, 0.85 * (1 - lit) + 0.35 * (1 - facing[2]) ** 2)
}

/** Every line shows in deep shade, every second in half shade, every fourth nearly everywhere. */
const SHADE_FOR_LINE = [0.16, 0.62, 0.4, 0.62] as const

interface Sight {
  readonly depth: Depth
  readonly biasMm: number
}

const seen = ({ depth, biasMm }: Sight, [x, y, z]: Vec3): boolean => z >= depth.nearest(x, y) - biasMm

/** Cuts a line into the runs of points that pass. */
function runs(points: readonly Vec3[], passes: (index: number) => boolean): (readonly Point[])[] {
  const made: Point[][] = []
  let run: Point[] = []
  points.forEach(([x, y], index) => {
    if (passes(index)) run.push([x, y])
    else {
      if (run.length > 1) made.push(run)
      run = []
    }
  })
  if (run.length > 1) made.push(run)
  return made
}

function engravedLines(surface: Surface, view: View, sight: Sight): (readonly Point[])[] {
  const lines: (readonly Point[])[] = []
  const draw = (index: number, steps: number, at: (step: number) => readonly [number, number]) => {
    const sampled = Array.from({ length: steps + 1 }, (_, step) => pointAndNormal(surface, view, ...at(step / steps)))
    const threshold = SHADE_FOR_LINE[index % 4]!
    lines.push(
      ...runs(
        sampled.map(([point]) => point),
        (i) => seen(sight, sampled[i]![0]) && shadeOf(sampled[i]![1]) > threshold,
      ),
    )
  }
  for (let i = 0; i < surface.linesAlong; i += 1) draw(i, surface.alongSteps * 2, (t) => [t, i / surface.linesAlong])
  for (let i = 1; i < surface.linesAround; i += 1) draw(i, surface.aroundSteps * 2, (t) => [i / surface.linesAround, t])
  return lines
}

/** Where the surface turns from the eye: the zero of the normal's z, found inside each triangle, joined end to end. */
function contourSegments(mesh: Mesh): (readonly [Vec3, Vec3])[] {
  const segments: (readonly [Vec3, Vec3])[] = []
  eachTriangle(mesh, (...corners) => {
    const crossings: Vec3[] = []
    for (let k = 0; k < 3; k += 1) {
      const [i, j] = [corners[k]!, corners[(k + 1) % 3]!]
      const [from, to] = [mesh.normals[i]![2], mesh.normals[j]![2]]
      if (from < 0 === to < 0) continue
      const share = from / (from - to)
      const [p, q] = [mesh.points[i]!, mesh.points[j]!]
      crossings.push([p[0] + share * (q[0] - p[0]), p[1] + share * (q[1] - p[1]), p[2] + share * (q[2] - p[2])])
    }
    if (crossings.length === 2) segments.push([crossings[0]!, crossings[1]!])
  })
  return segments
}

/** Joins segments that share an end into lines as long as possible. */
export function joinSegments(segments: readonly (readonly [Point, Point])[]): (readonly Point[])[] {
  const key = ([x, y]: Point) => `${Math.round(x * 500)},${Math.round(y * 500)}`
  const byEnd = new Map<string, number[]>()
  segments.forEach(([a, b], index) => {
    for (const end of [key(a), key(b)]) byEnd.set(end, [...(byEnd.get(end) ?? []), index])
  })
  const used = new Set<number>()
  const extend = (line: Point[]) => {
    for (;;) {
      const end = key(line.at(-1)!)
      const next = byEnd.get(end)?.find((index) => !used.has(index))
      if (next === undefined) return
      used.add(next)
      const [a, b] = segments[next]!
      line.push(key(a) === end ? b : a)
    }
  }
  const lines: Point[][] = []
  segments.forEach(([a, b], index) => {
    if (used.has(index)) return
    used.add(index)
    const line: Point[] = [a, b]
    extend(line)
    line.reverse()
    extend(line)
    lines.push(line)
  })
  return lines
}

const flat = ([x, y]: Vec3): Point => [x, y]

/**
 * At a contour the face falls away within a cell, so the cell itself may hold a nearer part of the same face: a contour is
 * seen if it is no farther than the farthest of the cells around it.
 */
function seenAtEdge({ depth, biasMm }: Sight, [x, y, z]: Vec3): boolean {
  const reach = 1.6 * depth.cellMm
  for (const [dx, dy] of AROUND) if (z >= depth.nearest(x + dx * reach, y + dy * reach) - biasMm) return true
  return false
}

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

function outlineOf(mesh: Mesh, sight: Sight): (readonly Point[])[] {
  const visible = contourSegments(mesh).filter(([a, b]) => seenAtEdge(sight, a) && seenAtEdge(sight, b))
  return joinSegments(visible.map(([a, b]) => [flat(a), flat(b)]))
}

/** Drops points that lie on the line between their neighbours, within a fiftieth of a millimetre. */
export function thinned(line: readonly Point[]): readonly Point[] {
  const kept: Point[] = []
  line.forEach((point, index) => {
    const [before, after] = [kept.at(-1), line[index + 1]]
    if (!before || !after) return kept.push(point)
    const [dx, dy] = [after[0] - before[0], after[1] - before[1]]
    const away = Math.abs((point[0] - before[0]) * dy - (point[1] - before[1]) * dx) / (Math.hypot(dx, dy) || 1)
    return away > 0.02 || Math.hypot(dx, dy) > 4 ? kept.push(point) : kept.length
  })
  return kept
}

export function engraveSurface(surface: Surface, view: View): Engraving {
  const mesh = meshOf(surface, view)
  const xs = mesh.points.map((point) => point[0])
  const ys = mesh.points.map((point) => point[1])
  const smallest = (values: readonly number[]) => values.reduce((a, b) => Math.min(a, b), Infinity)
  const largest = (values: readonly number[]) => values.reduce((a, b) => Math.max(a, b), -Infinity)
  const [minX, minY] = [smallest(xs) - MARGIN_MM, smallest(ys) - MARGIN_MM]
  const [widthMm, heightMm] = [largest(xs) - minX + MARGIN_MM, largest(ys) - minY + MARGIN_MM]
  const cellMm = Math.max(widthMm, heightMm) / CELLS
  const depth = depthOf(mesh, minX, minY, cellMm, Math.ceil(widthMm / cellMm) + 1, Math.ceil(heightMm / cellMm) + 1)
  const sight = { depth, biasMm: Math.max(0.12, cellMm * 2.5) }
  const onPaper = (line: readonly Point[]) =>
    thinned(line).map(([x, y]): Point => [Number((x - minX).toFixed(2)), Number((y - minY).toFixed(2))])
  return {
    widthMm,
    heightMm,
    outline: outlineOf(mesh, sight).map(onPaper).filter(longEnough),
    lines: engravedLines(surface, view, sight).map(onPaper).filter(longEnough),
  }
}

/** A speck is no line. */
const longEnough = (line: readonly Point[]): boolean => {
  const long = line.reduce((sum, [x, y], index) => {
    const before = line[index - 1]
    return before ? sum + Math.hypot(x - before[0], y - before[1]) : sum
  }, 0)
  return long > 0.5
}

/** The finished piece of a shape, drawn from its figures; about a tenth of a second, so a worker does it. */
export function engrave(shape: Pick<Shape, 'form' | 'wallMm'>): Engraving {
  const { surface, view } = surfaceOf(shape)
  return engraveSurface(surface, view)
}
