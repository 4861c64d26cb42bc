/** Rollers and presses as a maker has measured them. */
import { z } from '../zod.ts'
import { windowSchema } from '../shape/window.ts'
import { idSchema, nameSchema } from './text.ts'

const gapMm = z.number().min(0.05).max(50)

/** A roller by what was measured of it; see `settingsOf`. */
export const rollerSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  widthMm: z.number().min(20).max(2000),
  settings: z.number().int().min(2).max(40),
  widest: z.enum(['first', 'last']),
  measured: z.array(z.strictObject({ setting: z.number().int().min(1).max(40), gapMm })).max(40),
  springBack: z.number().min(1).max(1.5),
})

/** A press with the die it usually drives: what decides how long a run takes and when it must rest. */
export const pressSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  /** Dough an hour of steady running. */
  flowKgPerH: z.number().min(0.1).max(500),
  /** What is fed at a time. */
  lumpG: z.number().min(1).max(5000),
  /** Of all holes of a die for it. */
  openAreaMm2: z.number().min(5).max(5000),
  /** Water per 100 of flour that it takes as crumb. */
  crumb: windowSchema,
  /** Before the barrel is too warm, and how long it then rests; null for one that stays cool. */
  runMin: z.number().min(1).max(600).nullable(),
  restMin: z.number().min(0).max(240),
  /** The first of each run goes back. */
  firstDiscardG: z.number().min(0).max(5000),
})
