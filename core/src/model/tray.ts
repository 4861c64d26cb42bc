/** A tray on the rack: what lies on it, how, and in which air. */
import { z } from '../zod.ts'
import { coverFigures } from './gearParts/cover.ts'
import { figureSchemas } from './gearParts/part.ts'
import { one, type Upgrade } from './loose.ts'
import { between, fraction } from './ranges.ts'
import { nameSchema } from './text.ts'

export const AIRS = ['still', 'fan', 'cabinet'] as const
export type Air = (typeof AIRS)[number]
/** Spread so that none touches; in nests or bundles; in layers on each other. */
export const LAYINGS = ['spread', 'nests', 'layers'] as const
export type Laying = (typeof LAYINGS)[number]

export const GEOMETRIES = ['slab', 'cylinder', 'sphere'] as const
export type Geometry = (typeof GEOMETRIES)[number]

/** A piece as it dries: half the thickness of a slab or the wall of a tube, the radius of what is round. */
export const pieceBodySchema = z.lazy(() =>
  z.strictObject({
    geometry: z.enum(GEOMETRIES),
    halfThicknessMm: between(0.05, 100),
  }),
)
export type PieceBody = z.infer<typeof pieceBodySchema>

/** The air of a room; a place's own humidity is kept within what the isotherms hold for. */
export const nightSchema = z.lazy(() => z.strictObject({ temperatureC: between(-20, 60), rhPercent: between(0, 100) }))

/** What lies over a tray: of the exchange with the room it leaves so much, and makes its own damp air beneath. */
export const overSchema = z.lazy(() => z.strictObject({ name: nameSchema, ...figureSchemas(coverFigures) }))
export type Over = z.infer<typeof overSchema>

/** Where a tray stands, and under what. */
export const spotSchema = z.lazy(() =>
  z.strictObject({
    place: nameSchema,
    temperatureC: between(-20, 60),
    rhPercent: between(0, 100),
    /** Where it is another at night; the figures above are the day's then. */
    night: z.nullable(nightSchema),
    air: z.enum(AIRS),
    /** Null is open. */
    cover: z.nullable(overSchema),
    /** These figures are as the place came: nobody has read them off anything. */
    guessed: z.optional(z.literal(true)),
  }),
)
export type Spot = z.infer<typeof spotSchema>

/** Dry enough to be kept, fraction of mass, unless the maker has said otherwise. */
export const DRIED_MOISTURE = 0.125
/** Drier is brittle; wetter than this, a water activity of 0.60 on the shelf, something may grow in a jar. */
export const DRIED_FROM = 0.08
export const DRIED_TO = 0.13

/** Of the pieces on a tray when they were laid out. */
export const trayLayoutSchema = z.lazy(() =>
  z.strictObject({
    body: pieceBodySchema,
    moisture: fraction,
    laid: z.enum(LAYINGS),
    /** A closed tray lets the air at one face; a sieve or a rack at both. */
    faces: z.enum(['both', 'one']),
    /** Where it is packed, water as a fraction of mass. */
    target: between(DRIED_FROM, DRIED_TO),
    spot: spotSchema,
  }),
)
export type TrayLayout = z.infer<typeof trayLayoutSchema>

/** What covers were before they stood in Gear. */
export const usualCovers = [
  { id: 'cloth', name: 'a cloth', open: 0.15 },
  { id: 'box', name: 'a box with its lid', open: 0.03 },
] as const

/** 9: covers by name, and nights. */
const spotAt9: Upgrade = (spot) => {
  const known = usualCovers.find(({ id }) => id === spot['cover'])
  return {
    ...spot,
    night: null,
    cover: known ? { name: known.name, open: known.open } : spot['cover'] === 'open' ? null : spot['cover'],
  }
}

/** Of the event that lays a tray, and of the one that moves it. */
export const trayEventAt9: Upgrade = (event) => {
  if (event['type'] === 'tray-moved') return { ...event, spot: one(event['spot'], spotAt9) }
  if (event['type'] !== 'tray-laid') return event
  return { ...event, layout: one(event['layout'], (layout) => ({ ...layout, spot: one(layout['spot'], spotAt9) })) }
}

/** As the first kitchen and a fresh place came. */
const GUESSES = [
  [21, 60],
  [20, 55],
] as const
/** 11: of an air it is known whether anybody has read it. */
export const airAt11: Upgrade = (air) =>
  GUESSES.some(([celsius, rh]) => air['temperatureC'] === celsius && air['rhPercent'] === rh)
    ? { ...air, guessed: true }
    : air

/** 11: a target of the maker's own. */
export const trayEventAt11: Upgrade = (event) => {
  if (event['type'] === 'tray-moved') return { ...event, spot: one(event['spot'], airAt11) }
  if (event['type'] !== 'tray-laid') return event
  return {
    ...event,
    layout: one(event['layout'], (layout) => ({
      ...layout,
      target: DRIED_MOISTURE,
      spot: one(layout['spot'], airAt11),
    })),
  }
}
