/** The steps of a batch, as they are planned. What happens at the bench changes them: see `bench/steps.ts`. */
import { z } from '../zod.ts'
import { KNEADS, POURS, PREPARES } from './dough.ts'
import { pressSchema, rollerSchema } from './gearParts/index.ts'
import { between, celsius, lengthMm, pace, someG, someMinutes, whole } from './ranges.ts'
import { idSchema, lineSchema, nameSchema } from './text.ts'
import { spanSchema } from './window.ts'

const id = idSchema
const minutes = spanSchema

/** Why a dough is never dried in room air. */
const wetReasonSchema = z.lazy(() =>
  z.discriminatedUnion('code', [
    z.strictObject({ code: z.literal('row'), name: nameSchema }),
    z.strictObject({ code: z.literal('filling') }),
    z.strictObject({ code: z.literal('scalded') }),
  ]),
)
export type WetReason = z.infer<typeof wetReasonSchema>

/** How long shaped pieces of this dough keep, and where: 0 or null is not at all. */
const keepsSchema = z.lazy(() =>
  z.strictObject({
    roomMin: between(0, 100_000),
    fridgeH: between(0, 100_000),
    freezerMonths: between(0, 1000),
    driedMonths: z.nullable(between(0.01, 1000)),
    /** Empty for a dough that may be dried. */
    wet: z.array(wetReasonSchema).check(z.maxLength(62)),
  }),
)
export type Keeps = z.infer<typeof keepsSchema>

/** By which sign a maker takes small pieces out, where it is not the shape's own. */
export const DONE_BY = ['float', 'after', 'taste'] as const

export const plannedStepSchema = z.lazy(() =>
  z.discriminatedUnion('kind', [
    /** Everything at hand. An item without a name is one of the product's own words. */
    z.strictObject({
      id,
      kind: z.literal('ready'),
      items: z
        .array(z.strictObject({ id, name: z.optional(nameSchema), instead: z.optional(lineSchema) }))
        .check(z.maxLength(40)),
    }),
    z.strictObject({
      id,
      kind: z.literal('prepare'),
      what: z.enum(PREPARES),
      minutes,
      belowC: z.nullable(celsius),
    }),
    z.strictObject({ id, kind: z.literal('flour') }),
    z.strictObject({ id, kind: z.literal('water') }),
    /** `goes`: shares of the first stop, together 1. */
    z.strictObject({
      id,
      kind: z.literal('pour'),
      how: z.enum(POURS),
      goes: z.array(between(0.001, 1)).check(z.minLength(1), z.maxLength(5)),
    }),
    /** A scalded dough until hands can bear it: where the scald lands, and how long it takes from there. */
    z.strictObject({ id, kind: z.literal('cool'), fromC: celsius, belowC: celsius, minutes: someMinutes }),
    z.strictObject({ id, kind: z.literal('feel') }),
    z.strictObject({ id, kind: z.literal('crumb'), minutes }),
    /** Null where that machine should not do it. */
    z.strictObject({
      id,
      kind: z.literal('knead'),
      how: z.enum(KNEADS),
      /** A batter that is only stirred smooth. */
      combined: z.optional(z.literal(true)),
      hand: minutes,
      mixer: z.nullable(minutes),
      processor: z.nullable(minutes),
    }),
    z.strictObject({
      id,
      kind: z.literal('rest'),
      of: z.enum(['dough', 'sheet', 'crumb', 'pieces']),
      cold: z.boolean(),
      low: between(0, 100_000),
      best: between(1, 100_000),
      high: between(0, 100_000),
    }),
    /** Back from the fridge. `minutes`: until the core is within a few degrees of the room. */
    z.strictObject({ id, kind: z.literal('temper'), minutes: someMinutes }),
    z.strictObject({ id, kind: z.literal('fold'), times: whole(1, 20) }),
    /** A cooked paste, cooled flat until it can be stamped. */
    z.strictObject({ id, kind: z.literal('spread'), thicknessMm: lengthMm, minutes }),
    z.strictObject({ id, kind: z.literal('divide') }),
    /** By pin where there is no roller; folded and passed so often first; a belt runs round the roller, its ends joined. */
    z.strictObject({
      id,
      kind: z.literal('thin'),
      roller: z.nullable(rollerSchema),
      folds: whole(0, 12),
      belt: z.boolean(),
    }),
    z.strictObject({ id, kind: z.literal('cut') }),
    /** `perMin`: pieces by practised hands. */
    z.strictObject({ id, kind: z.literal('stamp'), perMin: pace }),
    z.strictObject({ id, kind: z.literal('feed'), press: z.nullable(pressSchema) }),
    z.strictObject({ id, kind: z.literal('roll') }),
    z.strictObject({ id, kind: z.literal('shape'), perMin: pace }),
    z.strictObject({ id, kind: z.literal('pull') }),
    z.strictObject({
      id,
      kind: z.literal('fill'),
      name: nameSchema,
      gramsEach: someG,
      /** Of the filling, percent of its mass. */
      moisturePercent: between(0, 100),
    }),
    /** Made, and in no hurry: pot, fridge, freezer or rack. `minutes`: how long it lies open before the pot. */
    z.strictObject({ id, kind: z.literal('then'), minutes, keeps: keepsSchema }),
    z.strictObject({ id, kind: z.literal('drop'), done: z.optional(z.enum(DONE_BY)) }),
    z.strictObject({ id, kind: z.literal('hold') }),
    z.strictObject({ id, kind: z.literal('freeze') }),
    z.strictObject({ id, kind: z.literal('dry') }),
    /** Under cold water, after the pot. */
    z.strictObject({ id, kind: z.literal('rinse') }),
    z.strictObject({
      id,
      kind: z.literal('cook'),
      how: z.enum(['boil', 'bake', 'pan', 'steam']),
      done: z.optional(z.enum(DONE_BY)),
    }),
    z.strictObject({ id, kind: z.literal('verdict') }),
  ]),
)

export type PlannedStep = z.infer<typeof plannedStepSchema>
export type StepKind = PlannedStep['kind']
export type StepOf<K extends StepKind> = Extract<PlannedStep, { kind: K }>

/** What becomes of shaped pieces. */
export const FINISHES = ['cook', 'hold', 'freeze', 'dry'] as const
export type Finish = (typeof FINISHES)[number]
