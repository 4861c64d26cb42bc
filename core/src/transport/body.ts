/** A piece cut into cells for one-dimensional transport, from its middle to its surface. */

import type { Geometry } from '../model/index.ts'

/** Cells of a piece: the front is steep near the surface and early, so they are thinner there. */
export const CELLS = 48
/** Each cell is so much thinner than the one within it. */
const GRADING = 0.93

/** Lengths in m; areas and volumes are per unit of what the geometry leaves out (m² of a slab, m of a cylinder, one steradian). */
export interface Body {
  readonly geometry: Geometry
  /** Half the thickness of a slab, the radius of the round ones. */
  readonly radiusM: number
  readonly centresM: Float64Array
  readonly volumes: Float64Array
  /** Area over distance of the face outside each cell; the last is 0, the surface is not one of them. */
  readonly conductances: Float64Array
  readonly area: number
  readonly volume: number
  /** From the middle of the last cell to the surface. */
  readonly skinM: number
}

const POWER: Readonly<Record<Geometry, number>> = { slab: 0, cylinder: 1, sphere: 2 }

/** Cells of a piece from its middle to its surface, finer towards it; `radiusM` of a slab is half its thickness. */
export function bodyOf(geometry: Geometry, radiusM: number, cells = CELLS): Body {
  const power = POWER[geometry]
  // The grading of a finer grid is that of the usual one, cell for cell halved, so that doubling refines and nothing else.
  const grading = GRADING ** (CELLS / cells)
  const first = (radiusM * (1 - grading)) / (1 - grading ** cells)
  const edges = Float64Array.from({ length: cells + 1 }, (_, n) => (first * (1 - grading ** n)) / (1 - grading))
  edges[cells] = radiusM
  const centresM = Float64Array.from({ length: cells }, (_, n) => (edges[n]! + edges[n + 1]!) / 2)
  const volumes = Float64Array.from(
    { length: cells },
    (_, n) => (edges[n + 1]! ** (power + 1) - edges[n]! ** (power + 1)) / (power + 1),
  )
  const conductances = Float64Array.from({ length: cells }, (_, n) =>
    n === cells - 1 ? 0 : edges[n + 1]! ** power / (centresM[n + 1]! - centresM[n]!),
  )
  return {
    geometry,
    radiusM,
    centresM,
    volumes,
    conductances,
    area: radiusM ** power,
    volume: radiusM ** (power + 1) / (power + 1),
    skinM: radiusM - centresM[cells - 1]!,
  }
}
