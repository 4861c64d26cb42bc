/** The kitchen a maker works in: places, vessels, machines, units and habits. There is one. */
import { z } from '../../zod.ts'
import { gearParts, pressAt12, type GearPart } from '../gearParts/index.ts'
import { each, one, type Upgrades } from '../loose.ts'
import { between } from '../ranges.ts'
import { WORKERS } from '../workers.ts'
import { kindOf } from './kind.ts'
import { idSchema, nameSchema, timeSchema } from '../text.ts'
import { airAt11, usualCovers } from '../tray.ts'
import { defaultUnits, unitsSchema } from '../units.ts'

/** A known weight put on a scale, and what it showed. */
export const scaleCheckSchema = z.lazy(() =>
  z.strictObject({
    at: timeSchema,
    scale: nameSchema,
    stepG: between(0.01, 10),
    knownG: between(0.001, 100_000),
    shownG: between(0, 100_000),
  }),
)
export const MAX_SCALE_CHECKS = 200
/** Of places, vessels, pots, covers, rollers and presses each, once two kitchens have been joined; one kitchen adds up to `ROOM_FOR`. */
const MAX_PARTS = 200
const MAX_READ_AS = 1000
export const ROOM_FOR = 20

type Parts = typeof gearParts
type PartLists = { [P in GearPart as Parts[P]['list']]: z.ZodMiniArray<Parts[P]['schema']> }

/** One of such a list. */
export type PartOf<P extends GearPart> = z.infer<Parts[P]['schema']>

/** A list of each part. */
const partLists = () =>
  Object.fromEntries(
    Object.values(gearParts).map(({ list, schema, atLeast }) => [
      list,
      z.array(schema as z.ZodMiniType).check(z.minLength(atLeast), z.maxLength(MAX_PARTS)),
    ]),
  ) as PartLists

export const gearSchema = z.lazy(() =>
  z.strictObject({
    id: z.literal('gear'),
    scaleStepG: between(0.01, 10),
    /** Without a scale all is called in cups, spoons, eggs and pieces; alkali never is. */
    hasScale: z.boolean(),
    boardMm: between(100, 3000),
    ...partLists(),
    /** How far mixing and kneading by this maker's machine or hand warms the dough, degrees. */
    frictionC: between(0, 30),
    tapC: between(0, 40),
    altitudeM: between(-100, 5000),
    units: unitsSchema,
    /** Topic to position: how this maker works unless a formula says otherwise. */
    schools: z.record(idSchema, idSchema),
    /** Grams a person, where they differ from the guide: `semolina/main/fresh`. */
    portions: z.record(z.string().check(z.maxLength(60)), between(1, 2000)),
    /** When the cautions about alkali were last read and acknowledged. */
    alkaliReadAt: z.nullable(timeSchema),
    /** Who kneads, where the dough allows either. */
    kneads: z.enum(WORKERS),
    /** The place the bench stands in; null is the first. */
    benchPlace: z.nullable(idSchema),
    /** Names in recipes that were settled once: what they are, or null for nothing of the dough. */
    readAs: z.array(z.strictObject({ name: nameSchema, is: z.nullable(idSchema) })).check(z.maxLength(MAX_READ_AS)),
    /** What the maker's own minutes are remembered by, and since when: what was before is forgotten. */
    forgot: z.record(z.string().check(z.maxLength(300)), timeSchema),
    /** Oldest first. */
    scaleChecks: z.array(scaleCheckSchema).check(z.maxLength(MAX_SCALE_CHECKS)),
  }),
)

export type ScaleCheck = z.infer<typeof scaleCheckSchema>
export type Gear = z.infer<typeof gearSchema>

export const defaultGear: Gear = {
  id: 'gear',
  scaleStepG: 1,
  hasScale: true,
  boardMm: 600,
  places: [
    { id: 'kitchen', name: 'Kitchen', temperatureC: 21, rhPercent: 60, air: 'still', night: null, guessed: true },
  ],
  vessels: [],
  pots: [],
  rollers: [],
  presses: [],
  covers: [...usualCovers],
  frictionC: 2,
  tapC: 14,
  altitudeM: 0,
  units: defaultUnits,
  schools: {},
  portions: {},
  alkaliReadAt: null,
  kneads: 'hand',
  benchPlace: null,
  readAs: [],
  forgot: {},
  scaleChecks: [],
}

/** 2: most of it. 3: presses. 4: who kneads, where the bench stands, when the scale was checked. 6: pots. 7: which eggs. 8: how the air moves, and the rings. 9: nights and covers. 11: which airs were only guessed. 12: kneaded dough for a press, no scale. 14: whose minutes are forgotten. */
const upgrades: Upgrades = {
  2: (gear) => ({ ...defaultGear, ...gear }),
  3: (gear) => ({ ...gear, presses: [] }),
  4: (gear) => ({ ...gear, kneads: 'hand', benchPlace: null, scaleChecks: [] }),
  6: (gear) => ({ ...gear, pots: [] }),
  7: (gear) => ({ ...gear, units: one(gear['units'], (units) => ({ ...units, egg: defaultUnits.egg })) }),
  8: (gear) => ({
    ...gear,
    places: each(gear['places'], (place) => ({ ...place, air: 'still' })),
    pots: each(gear['pots'], (pot) => ({ ...pot, ringKW: null })),
  }),
  9: (gear) => ({
    ...gear,
    places: each(gear['places'], (place) => ({ ...place, night: null })),
    covers: [...usualCovers],
    readAs: [],
  }),
  11: (gear) => ({ ...gear, places: each(gear['places'], airAt11) }),
  12: (gear) => ({ ...gear, hasScale: true, presses: each(gear['presses'], pressAt12) }),
  14: (gear) => ({ ...gear, forgot: {} }),
}

export const gearKind = kindOf({
  home: 'gear',
  one: true,
  held: true,
  table: { name: 'gear', keys: 'id' },
  schema: gearSchema,
  references: [
    { at: 'benchPlace', to: 'place' },
    { at: 'readAs.*.is', to: 'ingredient' },
  ],
  upgrades,
  since: 1,
  nameOf: () => 'Gear',
})
