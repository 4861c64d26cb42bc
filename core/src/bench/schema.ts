/** The shape of a batch at the bench: a plan that never changes once it has begun, and a list of events. */
import { z } from '../zod.ts'
import { sheetSchema } from '../records/sheet.ts'
import { blankSchema } from '../shape/blank.ts'
import { idSchema, nameSchema, noteSchema, timeSchema } from '../records/text.ts'
import { FINISHES, plannedStepSchema } from './steps.ts'

export const FEELS = ['crumbling', 'dry', 'right', 'tacky', 'sticky'] as const
/** By hand or by machine. */
export const WORKERS = ['hand', 'mixer'] as const
export const VERDICTS = ['poor', 'fair', 'good', 'very-good'] as const

const mass = z.number().min(0).max(1_000_000)
const minutes = z.number().positive().max(100_000)
const span = z.tuple([z.number().min(0), z.number().min(0)])

const plannedRowSchema = z.strictObject({
  key: idSchema,
  ingredient: idSchema,
  name: nameSchema,
  lot: idSchema.optional(),
  part: z.enum(['flour', 'base', 'water', 'salt', 'alkali', 'other']),
  /** Fraction of mass; for a flour, as it stood in store that day. */
  water: z.number().min(0).max(1),
  percent: z.number().min(0).max(1000),
  weighedG: mass,
})

export const planSchema = z.strictObject({
  at: timeSchema,
  formula: idSchema.nullable(),
  sheet: sheetSchema,
  rows: z.array(plannedRowSchema).min(2).max(60),
  scaleStepG: z.number().positive(),
  boardMm: z.number().positive(),
  /** Where the flour stood, in words for the log. */
  store: z.strictObject({ name: nameSchema, temperatureC: z.number(), rhPercent: z.number() }).nullable(),
  /** What the dough is steered by; on a base, its name for the rule. */
  control: z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('hydration') }),
    z.strictObject({ by: z.literal('base'), base: nameSchema }),
  ]),
  hydration: z.strictObject({
    /** What the formula asks for, on the 14 % basis, before the lot's own thirst. */
    paper14: z.number(),
    expected14: z.number(),
    effective: z.number(),
  }),
  water: z.strictObject({
    startG: mass,
    holdBackG: mass,
    ceilingG: mass,
    predictiveSd: z.number(),
    batches: z.number().int(),
  }),
  /** Heat of the water; null where none is poured. */
  waterC: z.number().min(-5).max(100).nullable(),
  doughG: mass,
  densityGPerCm3: z.number().positive(),
  shape: z.strictObject({
    id: idSchema,
    name: nameSchema,
    blank: blankSchema,
    pieceG: mass,
    pieces: z.number().int().min(0),
    /** Of the usable dough; the rest is cut into other shapes. */
    share: z.number().min(0).max(1),
    /** In the dough's control variable: the 14 % basis, or flour on the base. */
    window: z.strictObject({ low: z.number(), best: z.number(), high: z.number() }),
  }),
  /** What else the dough is cut into, with its share of it. */
  also: z.array(z.strictObject({ id: idSchema, name: nameSchema, share: z.number().min(0).max(1) })).max(8),
  minutes: z.strictObject({ cook: span, drink: z.number() }),
  steps: z.array(plannedStepSchema).min(1).max(80),
  /** Who kneads, unless the batch says otherwise. */
  kneads: z.enum(WORKERS),
  /** Heat of the air at the bench, °C. */
  roomC: z.number(),
  pot: z.strictObject({ litres: z.number().positive(), saltGPerL: z.number().min(0) }),
})

const base = { id: idSchema, at: timeSchema }
/** A step's own, `drink` for a covered dough, or one the maker named. */
const timerId = idSchema

export const benchEventSchema = z.discriminatedUnion('type', [
  z.strictObject({ ...base, type: z.literal('weighed'), row: idSchema, grams: mass }),
  z.strictObject({ ...base, type: z.literal('poured'), grams: mass }),
  z.strictObject({ ...base, type: z.literal('felt'), feel: z.enum(FEELS) }),
  z.strictObject({ ...base, type: z.literal('added-flour'), grams: mass, saltG: mass }),
  z.strictObject({
    ...base,
    type: z.literal('timer-started'),
    timer: timerId,
    minutes,
    /** Of a timer of the maker's own. */
    name: nameSchema.optional(),
  }),
  z.strictObject({
    ...base,
    type: z.literal('timer-moved'),
    timer: timerId,
    minutes: z.number().min(-10_000).max(10_000),
  }),
  z.strictObject({ ...base, type: z.literal('timer-answered'), timer: timerId }),
  z.strictObject({ ...base, type: z.literal('timer-stopped'), timer: timerId }),
  z.strictObject({ ...base, type: z.literal('step-done'), step: idSchema }),
  /** A thing that is at hand, or one of several goes that is done. */
  z.strictObject({ ...base, type: z.literal('ticked'), item: idSchema, on: z.boolean() }),
  z.strictObject({ ...base, type: z.literal('worked-by'), by: z.enum(WORKERS) }),
  /** One lump on the scale while dividing. */
  z.strictObject({ ...base, type: z.literal('lumped'), grams: mass }),
  /** The jar of flour for the board: what it has lost since it was last weighed is in the dough. */
  z.strictObject({ ...base, type: z.literal('jar-weighed'), grams: mass }),
  z.strictObject({ ...base, type: z.literal('finish-chosen'), finish: z.enum(FINISHES) }),
  /** Into the fridge before the step at hand; so many minutes to come back from it. */
  z.strictObject({ ...base, type: z.literal('chilled'), minutes }),
  z.strictObject({ ...base, type: z.literal('paused'), why: noteSchema }),
  z.strictObject({ ...base, type: z.literal('resumed') }),
  z.strictObject({ ...base, type: z.literal('handed-over'), to: nameSchema, word: noteSchema }),
  z.strictObject({ ...base, type: z.literal('taken-on') }),
  /** Of all there was, this share stays; the rest is the batch named. */
  z.strictObject({
    ...base,
    type: z.literal('split'),
    keeps: z.number().gt(0).lt(1),
    other: idSchema,
    /** `taken`: this is the part that was carved off. */
    part: z.enum(['kept', 'taken']),
  }),
  /** An entry was mistaken: its figure is this. */
  z.strictObject({ ...base, type: z.literal('amended'), of: idSchema, figure: mass }),
  /** The device's clock was put back or forward by so much while timers ran. */
  z.strictObject({ ...base, type: z.literal('clock-set'), shiftMs: z.number().min(-1e11).max(1e11) }),
  z.strictObject({ ...base, type: z.literal('shaped'), pieces: z.number().int().min(0).max(1_000_000) }),
  /** One piece on the scale while shaping. */
  z.strictObject({ ...base, type: z.literal('sampled'), grams: z.number().positive().max(10_000) }),
  z.strictObject({ ...base, type: z.literal('cooked'), minutes: z.number().min(0).max(600) }),
  z.strictObject({ ...base, type: z.literal('judged'), verdict: z.enum(VERDICTS) }),
  z.strictObject({ ...base, type: z.literal('noted'), text: noteSchema }),
  /** Takes back what one tap recorded. */
  z.strictObject({ ...base, type: z.literal('undone'), events: z.array(idSchema).min(1).max(100) }),
  z.strictObject({ ...base, type: z.literal('abandoned'), reason: noteSchema }),
  z.strictObject({ ...base, type: z.literal('closed') }),
])

export type Feel = (typeof FEELS)[number]
export type Worker = (typeof WORKERS)[number]
export type Verdict = (typeof VERDICTS)[number]
export type Plan = z.infer<typeof planSchema>
export type PlannedRow = z.infer<typeof plannedRowSchema>
export type BenchEvent = z.infer<typeof benchEventSchema>
export type TimerId = z.infer<typeof timerId>

/** An event before it is stamped with its identifier and time. */
export type BenchAction = BenchEvent extends infer E ? (E extends BenchEvent ? Omit<E, 'id' | 'at'> : never) : never
