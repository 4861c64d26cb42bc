/** A tray on the rack: what lies on it, how, and in which air. */
import { z } from '../zod.ts'
import { between, fraction } from './ranges.ts'
import { nameSchema } from './text.ts'

export const AIRS = ['still', 'fan', 'cabinet'] as const
export type Air = (typeof AIRS)[number]
/** Spread so that none touches; in nests or bundles; in layers on each other. */
export const LAYINGS = ['spread', 'nests', 'layers'] as const
export type Laying = (typeof LAYINGS)[number]
export const COVERS = ['open', 'cloth', 'box'] as const
export type Cover = (typeof COVERS)[number]

export const GEOMETRIES = ['slab', 'cylinder', 'sphere'] as const
export type Geometry = (typeof GEOMETRIES)[number]

/** A piece as it dries: half the thickness of a slab or the wall of a tube, the radius of what is round. */
export const pieceBodySchema = z.strictObject({
  geometry: z.enum(GEOMETRIES),
  halfThicknessMm: between(0.05, 100),
})
export type PieceBody = z.infer<typeof pieceBodySchema>

/** Where a tray stands, and under what. */
export const spotSchema = z.strictObject({
  place: nameSchema,
  temperatureC: between(-20, 60),
  rhPercent: between(0, 100),
  air: z.enum(AIRS),
  cover: z.enum(COVERS),
})
export type Spot = z.infer<typeof spotSchema>

/** Of the pieces on a tray when they were laid out. */
export const trayLayoutSchema = z.strictObject({
  body: pieceBodySchema,
  moisture: fraction,
  laid: z.enum(LAYINGS),
  /** A closed tray lets the air at one face; a sieve or a rack at both. */
  faces: z.enum(['both', 'one']),
  spot: spotSchema,
})
export type TrayLayout = z.infer<typeof trayLayoutSchema>
