/** What is recorded at the bench. A batch is its plan and these, in order. */
import { z } from '../zod.ts'
import { potSchema, rollerSchema } from './gearParts/index.ts'
import { between, massG, minutes as anyMinutes, pieces, someG, someMinutes as minutes, whole } from './ranges.ts'
import { AFTER_POT, FINISHES } from './steps.ts'
import { trayLayoutSchema, spotSchema } from './tray.ts'
import { idSchema, LONGEST_MS, nameSchema, noteSchema, timeSchema } from './text.ts'
import { WORKERS } from './workers.ts'

export const FEELS = ['crumbling', 'dry', 'right', 'tacky', 'sticky'] as const
export const VERDICTS = ['poor', 'fair', 'good', 'very-good'] as const
const MOST_SHIFT_MIN = LONGEST_MS / 60_000

const base = { id: idSchema, at: timeSchema }
/** A step's own, `drink` for a covered dough, or one the maker named. */
const timerId = idSchema

export const benchEventSchema = z.lazy(() =>
  z.discriminatedUnion('type', [
    z.strictObject({ ...base, type: z.literal('weighed'), row: idSchema, grams: massG }),
    z.strictObject({ ...base, type: z.literal('poured'), grams: massG }),
    z.strictObject({ ...base, type: z.literal('felt'), feel: z.enum(FEELS) }),
    z.strictObject({ ...base, type: z.literal('added-flour'), grams: massG, saltG: massG }),
    z.strictObject({
      ...base,
      type: z.literal('timer-started'),
      timer: timerId,
      minutes,
      /** Of a timer of the maker's own. */
      name: z.optional(nameSchema),
    }),
    z.strictObject({
      ...base,
      type: z.literal('timer-moved'),
      timer: timerId,
      minutes: between(-MOST_SHIFT_MIN, MOST_SHIFT_MIN),
    }),
    z.strictObject({ ...base, type: z.literal('timer-answered'), timer: timerId }),
    z.strictObject({ ...base, type: z.literal('timer-stopped'), timer: timerId }),
    z.strictObject({ ...base, type: z.literal('step-done'), step: idSchema }),
    /** A thing that is at hand, or one of several goes that is done. */
    z.strictObject({ ...base, type: z.literal('ticked'), item: idSchema, on: z.boolean() }),
    z.strictObject({ ...base, type: z.literal('worked-by'), by: z.enum(WORKERS) }),
    /** Thinned with another roller than was planned, or by pin. */
    z.strictObject({ ...base, type: z.literal('rolled-by'), roller: z.nullable(rollerSchema) }),
    /** Into so many pieces, to be rolled out. */
    z.strictObject({ ...base, type: z.literal('divided'), pieces: whole(1, 1000) }),
    /** The sheet is so thick now, mm: one setting further, by stops, by the light through it, or as the gauge reads. */
    z.strictObject({ ...base, type: z.literal('thinned'), mm: between(0.05, 50) }),
    /** One lump on the scale while dividing. */
    z.strictObject({ ...base, type: z.literal('lumped'), grams: massG }),
    /** The jar of flour for the board: what it has lost since it was last weighed is in the dough. */
    z.strictObject({ ...base, type: z.literal('jar-weighed'), grams: massG }),
    z.strictObject({ ...base, type: z.literal('finish-chosen'), finish: z.enum(FINISHES) }),
    /** Put away empty, to be filled another day. */
    z.strictObject({ ...base, type: z.literal('skins-kept'), finish: z.enum(['hold', 'freeze']) }),
    /** Into the fridge before the step at hand; so many minutes to come back from it. */
    /** `thawH`: into the freezer instead, and so many hours in the fridge to thaw. */
    z.strictObject({ ...base, type: z.literal('chilled'), minutes, thawH: z.optional(between(0.5, 100)) }),
    z.strictObject({ ...base, type: z.literal('paused'), why: noteSchema }),
    z.strictObject({ ...base, type: z.literal('resumed') }),
    z.strictObject({ ...base, type: z.literal('handed-over'), to: nameSchema, word: noteSchema }),
    z.strictObject({ ...base, type: z.literal('taken-on') }),
    /** Of all there was, this share stays; the rest is the batch named. */
    z.strictObject({
      ...base,
      type: z.literal('split'),
      keeps: between(0.000_001, 0.999_999),
      other: idSchema,
      /** `taken`: this is the part that was carved off. */
      part: z.enum(['kept', 'taken']),
      /** What is taken goes on as this of the plan's other shapes. */
      shape: z.optional(idSchema),
      /** What it is for: a friend, tomorrow, the freezer. */
      for: z.optional(nameSchema),
    }),
    /** An entry was mistaken: its figure is this. */
    z.strictObject({ ...base, type: z.literal('amended'), of: idSchema, figure: massG }),
    /** The device's clock was put back or forward by so much while timers ran. */
    z.strictObject({ ...base, type: z.literal('clock-set'), shiftMs: between(-LONGEST_MS, LONGEST_MS) }),
    z.strictObject({ ...base, type: z.literal('shaped'), pieces }),
    /** One piece on the scale while shaping. */
    z.strictObject({ ...base, type: z.literal('sampled'), grams: between(0.001, 10_000) }),
    /** Cooked in this pot; in the largest of Gear where nothing is said. */
    z.strictObject({ ...base, type: z.literal('pot-chosen'), pot: potSchema }),
    /** Up together with others at this hour; null is by itself again. */
    z.strictObject({ ...base, type: z.literal('up-at'), upAt: z.nullable(timeSchema) }),
    z.strictObject({ ...base, type: z.literal('cooked'), minutes: anyMinutes }),
    /** So much salt in the water today, g a litre, whatever was planned. */
    z.strictObject({ ...base, type: z.literal('pot-salted'), gPerL: between(0, 100) }),
    /** What is done with it after the pot, whatever was planned. */
    z.strictObject({ ...base, type: z.literal('after-pot'), how: z.enum(AFTER_POT) }),
    /** The middle of one, by thermometer. */
    z.strictObject({ ...base, type: z.literal('core-measured'), celsius: between(-30, 120) }),
    /** What a batch says of its flour, unlike all others of it: it was so, or something was wrong with it. */
    z.strictObject({ ...base, type: z.literal('flour-counted'), counts: z.boolean() }),
    /** What a tray weighed once it was dry; also long after the batch was closed. */
    z.strictObject({ ...base, type: z.literal('dried'), grams: massG }),
    /** Onto a tray of the rack: so much, without the tray. `pace`: hours of the tray in one of the clock, to practise with. */
    z.strictObject({
      ...base,
      type: z.literal('tray-laid'),
      tray: idSchema,
      name: nameSchema,
      grams: someG,
      trayG: massG,
      layout: trayLayoutSchema,
      pace: z.optional(whole(1, 3600)),
    }),
    z.strictObject({ ...base, type: z.literal('tray-moved'), tray: idSchema, spot: spotSchema }),
    z.strictObject({ ...base, type: z.literal('tray-turned'), tray: idSchema }),
    /** Tray and all. */
    z.strictObject({ ...base, type: z.literal('tray-weighed'), tray: idSchema, grams: someG }),
    z.strictObject({ ...base, type: z.literal('tray-packed'), tray: idSchema }),
    z.strictObject({ ...base, type: z.literal('tray-thrown'), tray: idSchema, why: noteSchema }),
    z.strictObject({ ...base, type: z.literal('judged'), verdict: z.enum(VERDICTS) }),
    z.strictObject({ ...base, type: z.literal('noted'), text: noteSchema }),
    /** Takes back what one tap recorded. */
    z.strictObject({
      ...base,
      type: z.literal('undone'),
      events: z.array(idSchema).check(z.minLength(1), z.maxLength(100)),
    }),
    z.strictObject({ ...base, type: z.literal('abandoned'), reason: noteSchema }),
    z.strictObject({ ...base, type: z.literal('closed') }),
  ]),
)

export type Feel = (typeof FEELS)[number]
export type Verdict = (typeof VERDICTS)[number]
export type BenchEvent = z.infer<typeof benchEventSchema>
export type TimerId = z.infer<typeof timerId>

/** An event before it is stamped with its identifier and time. */
export type BenchAction = BenchEvent extends infer E ? (E extends BenchEvent ? Omit<E, 'id' | 'at'> : never) : never
