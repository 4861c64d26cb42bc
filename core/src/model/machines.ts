/** Rollers and presses as a maker has measured them. */
import { z } from '../zod.ts'
import { between, whole } from './ranges.ts'
import { idSchema, nameSchema, someText } from './text.ts'
import { windowSchema } from './window.ts'

const gapMm = z.lazy(() => between(0.05, 50))

/** A roller by what was measured of it; see `settingsOf`. */
export const rollerSchema = z.lazy(() =>
  z.strictObject({
    id: idSchema,
    name: nameSchema,
    widthMm: between(20, 2000),
    settings: whole(2, 40),
    widest: z.enum(['first', 'last']),
    measured: z.array(z.strictObject({ setting: whole(1, 40), gapMm })).check(z.maxLength(40)),
    springBack: between(1, 1.5),
  }),
)

/** A press with the die it usually drives: what decides how long a run takes and when it must rest. */
const pressObject = () =>
  z.strictObject({
    id: idSchema,
    name: nameSchema,
    /** Dough an hour of steady running. */
    flowKgPerH: between(0.1, 500),
    /** What is fed at a time. */
    lumpG: between(1, 5000),
    /** Of all holes of a die for it. */
    openAreaMm2: between(5, 5000),
    /** Water per 100 of flour that it takes as crumb. */
    crumb: windowSchema,
    /** Before the barrel is too warm, and how long it then rests; null for one that stays cool. */
    runMin: z.nullable(between(1, 600)),
    restMin: between(0, 240),
    /** The first of each run goes back. */
    firstDiscardG: between(0, 5000),
  })

export const pressSchema = z.lazy(pressObject)
/** A kind of press as the table describes it: where a maker starts from. */
export const pressKindSchema = z.lazy(() => z.extend(pressObject(), { note: someText }))

export type KeptRoller = z.infer<typeof rollerSchema>
export type KeptPress = z.infer<typeof pressSchema>
export type PressKind = z.infer<typeof pressKindSchema>
