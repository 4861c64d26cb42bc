/** Dough as a solid: a section carried along a line. */
import { lid, patchOf, withEdges, type Edge } from './patch.ts'
import type { Patch } from './patch.ts'
import { add, cross, scale, subtract, TAU, unit, UP, upright, type Vec3 } from './vec.ts'

/** Along the line, 0 to 1. */
export type Line = (t: number) => Vec3
/** Across and up from the line at a place and an angle round it, mm. */
export type Section = (t: number, angle: number) => readonly [number, number]

export interface Rope {
  readonly line: Line
  readonly section: Section
  readonly rows: number
  readonly columns: number
  /** The line closes on itself. */
  readonly wraps?: boolean
  /** What is up for the section; without it the frame is carried along without twist. */
  readonly up?: (t: number) => Vec3
  /** Cut ends are flat and have an edge; otherwise the section itself must close. */
  readonly cut?: boolean
  /** Lines along the rope, and round it. */
  readonly lines: readonly [number, number]
}

export interface Frame {
  readonly at: Vec3
  readonly along: Vec3
  readonly across: Vec3
  readonly up: Vec3
}

/** The line with what is along, across and up at each of its rows. */
export function frames(line: Line, rows: number, wraps: boolean, up?: (t: number) => Vec3): readonly Frame[] {
  const made: Frame[] = []
  const d = 0.5 / rows
  for (let i = 0; i < rows; i += 1) {
    const t = i / (wraps ? rows : rows - 1)
    const [from, to] = wraps ? [t - d, t + d] : [Math.max(0, t - d), Math.min(1, t + d)]
    const along = unit(subtract(line(to), line(from)))
    const before = made.at(-1)
    const wanted = up ? up(t) : before ? before.up : Math.abs(along[2]) > 0.9 ? ([1, 0, 0] as const) : UP
    const upwards = upright(wanted, along)
    made.push({ at: line(t), along, across: cross(along, upwards), up: upwards })
  }
  return made
}

export function rope({ line, section, rows, columns, wraps = false, up, cut = false, lines }: Rope): readonly Patch[] {
  const frame = frames(line, rows, wraps, up)
  const angle = (j: number) => (j / columns) * TAU
  const body = patchOf(
    {
      rows,
      columns,
      wrapsRows: wraps,
      wrapsColumns: true,
      at(i, j) {
        const { at, across, up: upwards } = frame[i]!
        const [a, b] = section(i / (wraps ? rows : rows - 1), angle(j))
        return add(at, add(scale(across, a), scale(upwards, b)))
      },
    },
    { alongRows: lines[1], alongColumns: lines[0], facing: 1 },
  )
  if (!cut || wraps) return [body]
  const end = (i: number, outwards: 1 | -1): { face: Patch; edge: Edge } => {
    const { at, along } = frame[i]!
    const ring = body.points.slice(i * columns, (i + 1) * columns)
    const way = scale(along, outwards)
    return {
      face: lid(ring, at),
      edge: [...ring, ring[0]!].map((point, j) => ({
        at: point,
        faces: [body.normals[i * columns + (j % columns)]!, way] as const,
      })),
    }
  }
  const [first, last] = [end(0, -1), end(rows - 1, 1)]
  return [withEdges(body, [first.edge, last.edge]), first.face, last.face]
}

/** Of a round strand or rope. */
export const round =
  (radiusMm: number): Section =>
  (_, angle) => [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)]

/** A circle's coordinate pushed towards a square's. */
export const edged = (coordinate: number, sharp = 0.35): number => Math.sign(coordinate) * Math.abs(coordinate) ** sharp

/** Of a strand cut from a sheet: a rectangle, its corners hardly rounded. */
export const boxy =
  (widthMm: number, heightMm: number): Section =>
  (_, angle) => [(widthMm / 2) * edged(Math.cos(angle), 0.25), (heightMm / 2) * edged(Math.sin(angle), 0.25)]

/** 1 in the middle of a piece, falling to 0 at both ends; blunter with a higher figure. */
export const taper = (t: number, blunt: number): number => Math.max(0, 1 - Math.abs(2 * t - 1) ** blunt) ** 0.5

/** More rows near both ends, where a piece closes. */
export const eased = (t: number): number => 0.4 * t + 0.3 * (1 - Math.cos(Math.PI * t))
