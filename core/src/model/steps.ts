/**
 * Every kind of step at the bench, each told once: what is stored of it, how long it takes and whether it takes hands, where it
 * belongs. A new one is an entry here, its words (`words/steps.ts` of the client) and, where the plain sheet is not enough, a
 * sheet of its own. What happens at the bench changes the steps of a batch: see `bench/steps.ts`.
 */
import { z } from '../zod.ts'
import { KNEADS, POURS, PREPARES } from './dough.ts'
import { pressSchema, rollerSchema } from './gearParts/index.ts'
import { between, celsius, lengthMm, pace, reckoned, someG, someMinutes, whole } from './ranges.ts'
import { idSchema, lineSchema, nameSchema } from './text.ts'
import type { Worker } from './workers.ts'
import { spanSchema } from './window.ts'

/** Where in the work something can go wrong. */
export const TROUBLE_STAGES = [
  'mix',
  'knead',
  'rest',
  'roll',
  'cut',
  'shape',
  'extrude',
  'dry',
  'store',
  'cook',
  'serve',
] as const
export type TroubleStage = (typeof TROUBLE_STAGES)[number]

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
    /** What the dough may lie from mixing on, warm and cold; of an older plan the pieces' own limits stand for it. */
    dough: z.optional(z.strictObject({ warmMin: between(0, 100_000), coldH: between(0, 100_000) })),
    freezerMonths: between(0, 1000),
    driedMonths: z.nullable(between(0.01, 1000)),
    /** It would keep longer dry, but for its fat. */
    rancid: z.optional(z.literal(true)),
    /** Empty for a dough that may be dried. */
    wet: z.array(wetReasonSchema).check(z.maxLength(62)),
  }),
)
export type Keeps = z.infer<typeof keepsSchema>

/** By which sign a maker takes small pieces out, where it is not the shape's own. */
export const DONE_BY = ['float', 'after', 'taste', 'clock'] as const
/** With it, where they stay in so long after they rise, min. */
const doneFields = () => ({ done: z.optional(z.enum(DONE_BY)), afterFloatMin: z.optional(between(0, 60)) })

/** What of a batch decides how long a step takes. */
export interface Pace {
  /** Who kneads or stirs it. */
  readonly worker: Worker
  /** Pieces it is made into. */
  readonly pieces: number
  /** How long this flour drinks under a cover, and how long the pieces cook. */
  readonly drinkMin: number
  readonly cookMin: readonly [number, number]
}

/** What is done with cooked pieces before they are served; `plain` is nothing. */
export const AFTER_POT = ['plain', 'rinse', 'ice', 'toss', 'butter', 'cream', 'brown'] as const
export type AfterPot = (typeof AFTER_POT)[number]
/** About how long, min. */
export const AFTER_POT_MIN: Readonly<Record<AfterPot, number>> = {
  plain: 0,
  rinse: 1,
  ice: 2,
  toss: 1.5,
  butter: 3,
  cream: 4,
  brown: 4,
}

type Fields = Readonly<Record<string, z.ZodMiniType>>
type Stored<F extends Fields> = z.infer<z.ZodMiniObject<F, z.core.$strict>>

interface StepSpec<F extends Fields> {
  /** What is stored of it beside its identifier and kind. */
  readonly fields: () => F
  /** About how long it takes, min: for looking ahead. */
  minutes(step: Stored<F>, pace: Pace): number
  /** It goes on by itself; meanwhile nobody is needed. */
  readonly waits?: true | ((step: Stored<F>, pace: Pace) => boolean)
  readonly stage: TroubleStage
  /** Here one dough parts into its shapes, or is one of them already. */
  readonly shapes?: true
  /** It lies away, in the fridge, in the freezer or on the rack, and in nobody's way. */
  readonly kept?: true
}
const step = <const F extends Fields>(spec: StepSpec<F>) => spec

const nothing = () => ({})
/** In two where nothing is said. */
const foldedIn = () => z.optional(z.enum(['three', 'turn']))
/** Skins that are kept empty; whole pieces, or the dough, where nothing is said. */
const ofSkins = () => z.optional(z.literal('skins'))
const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2

/** What a practised pair of hands does, by the minute. */
const ROPES_PER_MIN = 60
const FILL_PER_MIN = 6
const byPieces = (pieces: number, perMin: number): number => Math.max(2, Math.min(4000, pieces) / perMin)

/** Who works it, where that machine should: by hand otherwise. */
export const workedBy = (
  step: { readonly mixer: readonly [number, number] | null; readonly processor: readonly [number, number] | null },
  worker: Worker,
): Worker => (worker !== 'hand' && step[worker] ? worker : 'hand')

export const stepKinds = {
  /** Everything at hand. An item without a name is one of the product's own words. */
  ready: step({
    fields: () => ({
      items: z
        .array(z.strictObject({ id: idSchema, name: z.optional(nameSchema), instead: z.optional(lineSchema) }))
        .check(z.maxLength(40)),
    }),
    minutes: () => 3,
    stage: 'mix',
  }),
  /** A base or milk before there is a dough. */
  prepare: step({
    fields: () => ({
      what: z.enum(PREPARES),
      minutes: spanSchema,
      belowC: z.nullable(celsius),
      /** So much goes in raw, and so much is left of it, where that is known. */
      rawG: z.optional(someG),
      leftG: z.optional(someG),
    }),
    minutes: ({ minutes }) => middle(minutes),
    waits: true,
    stage: 'mix',
  }),
  flour: step({
    /** Of several flours these, by their keys; all where nothing is said. */
    fields: () => ({ rows: z.optional(z.array(idSchema).check(z.maxLength(60))) }),
    minutes: () => 3,
    stage: 'mix',
  }),
  water: step({
    /** What is poured, where it is not water. */
    fields: () => ({ of: z.optional(nameSchema) }),
    minutes: () => 3,
    stage: 'mix',
  }),
  pour: step({
    fields: () => ({
      how: z.enum(POURS),
      /** Shares of the first pour, together 1. */
      goes: z.array(between(0.001, 1)).check(z.minLength(1), z.maxLength(5)),
      /** A batter that is only stirred smooth. */
      combined: z.optional(z.literal(true)),
    }),
    minutes: ({ goes }) => 3 * goes.length,
    stage: 'mix',
  }),
  /** A scalded dough until hands can bear it: where the scald lands, and how long it takes from there. */
  cool: step({
    fields: () => ({ fromC: celsius, belowC: celsius, minutes: someMinutes }),
    minutes: ({ minutes }) => minutes,
    waits: true,
    stage: 'mix',
  }),
  feel: step({ fields: nothing, minutes: (_, { drinkMin }) => drinkMin, waits: true, stage: 'mix' }),
  /** Crumbs take up their water in a bag or under a cloth. */
  drink: step({
    fields: () => ({ minutes: spanSchema, of: z.optional(z.literal('semolina')) }),
    minutes: ({ minutes }) => middle(minutes),
    waits: true,
    stage: 'mix',
  }),
  knead: step({
    fields: () => ({
      how: z.enum(KNEADS),
      /** A batter that is only stirred smooth. */
      combined: z.optional(z.literal(true)),
      hand: spanSchema,
      /** Null where that machine should not do it. */
      mixer: z.nullable(spanSchema),
      processor: z.nullable(spanSchema),
    }),
    minutes: (step, { worker }) => middle(step[workedBy(step, worker)] ?? step.hand),
    waits: (step, { worker }) => workedBy(step, worker) !== 'hand',
    stage: 'knead',
  }),
  rest: step({
    fields: () => ({
      of: z.enum(['dough', 'sheet', 'crumb', 'pieces']),
      cold: z.boolean(),
      low: between(0, 100_000),
      best: between(1, 100_000),
      high: between(0, 100_000),
      /** Brushed with oil first. */
      oiled: z.optional(z.literal(true)),
    }),
    minutes: ({ best }) => best,
    waits: true,
    stage: 'rest',
  }),
  /** Back from the fridge, until the core is within a few degrees of the room. */
  temper: step({
    fields: () => ({ minutes: someMinutes }),
    minutes: ({ minutes }) => minutes,
    waits: true,
    stage: 'rest',
  }),
  /** A dough out of the freezer, in the fridge until it has thawed to its middle. */
  thaw: step({
    fields: () => ({ hours: between(0.5, 100), of: ofSkins() }),
    minutes: ({ hours }) => 60 * hours,
    waits: true,
    stage: 'store',
  }),
  fold: step({
    fields: () => ({ times: whole(1, 20), inTo: foldedIn() }),
    minutes: ({ times }) => 2 * times,
    stage: 'roll',
  }),
  /** A cooked paste, cooled flat until it can be stamped. */
  spread: step({
    fields: () => ({ thicknessMm: lengthMm, minutes: spanSchema }),
    minutes: ({ minutes }) => middle(minutes),
    waits: true,
    stage: 'rest',
  }),
  divide: step({ fields: nothing, minutes: () => 6, stage: 'shape', shapes: true }),
  thin: step({
    fields: () => ({
      /** By pin where there is none. */
      roller: z.nullable(rollerSchema),
      /** Folded and passed so often first. */
      folds: whole(0, 12),
      /** It runs round the roller, its ends joined. */
      belt: z.boolean(),
      /** One piece through every setting, then the next. */
      oneByOne: z.optional(z.literal(true)),
      inTo: foldedIn(),
    }),
    minutes: () => 15,
    stage: 'roll',
    shapes: true,
  }),
  /** The sheet lies open until it does not stick to itself. */
  airSheet: step({
    fields: () => ({ minutes: spanSchema }),
    minutes: ({ minutes }) => middle(minutes),
    waits: true,
    stage: 'roll',
    shapes: true,
  }),
  cut: step({ fields: nothing, minutes: () => 6, stage: 'cut', shapes: true }),
  stamp: step({
    /** `perMin`: pieces by practised hands. */
    fields: () => ({ perMin: pace }),
    minutes: ({ perMin }, { pieces }) => byPieces(pieces, perMin),
    stage: 'cut',
    shapes: true,
  }),
  press: step({
    /** `shift`: points of water that this flour wants more than the tables' own; what the press takes stands so much higher. */
    fields: () => ({ press: z.nullable(pressSchema), shift: z.optional(reckoned) }),
    minutes: () => 15,
    stage: 'extrude',
    shapes: true,
  }),
  roll: step({
    fields: nothing,
    minutes: (_, { pieces }) => byPieces(pieces, ROPES_PER_MIN),
    stage: 'shape',
    shapes: true,
  }),
  shape: step({
    /** `perMin`: pieces by practised hands. */
    fields: () => ({ perMin: pace }),
    minutes: ({ perMin }, { pieces }) => byPieces(pieces, perMin),
    stage: 'shape',
    shapes: true,
  }),
  pull: step({ fields: nothing, minutes: () => 15, stage: 'shape', shapes: true }),
  fill: step({
    fields: () => ({
      name: nameSchema,
      gramsEach: someG,
      /** Of the filling, percent of its mass. */
      moisturePercent: between(0, 100),
    }),
    minutes: (_, { pieces }) => byPieces(pieces, FILL_PER_MIN),
    stage: 'shape',
    shapes: true,
  }),
  /** Made, and in no hurry: pot, fridge, freezer or rack. `minutes`: how long it lies open before the pot. */
  air: step({
    fields: () => ({ minutes: spanSchema, keeps: keepsSchema }),
    minutes: ({ minutes: [low] }) => low,
    waits: true,
    stage: 'shape',
  }),
  drop: step({
    fields: doneFields,
    minutes: (_, { cookMin }) => Math.max(1, middle(cookMin)),
    stage: 'cook',
    shapes: true,
  }),
  hold: step({ fields: () => ({ of: ofSkins() }), minutes: () => 60, waits: true, stage: 'store', kept: true }),
  freeze: step({ fields: () => ({ of: ofSkins() }), minutes: () => 60, waits: true, stage: 'store', kept: true }),
  dry: step({ fields: nothing, minutes: () => 60, waits: true, stage: 'dry', kept: true }),
  /** After the pot: under cold water, where nothing else is said; in ice, or finished in a pan. */
  rinse: step({
    fields: () => ({ how: z.optional(z.enum(['ice', 'toss', 'butter', 'cream', 'brown'])) }),
    minutes: ({ how }) => AFTER_POT_MIN[how ?? 'rinse'],
    stage: 'cook',
  }),
  cook: step({
    fields: () => ({ how: z.enum(['boil', 'bake', 'pan', 'steam']), ...doneFields() }),
    minutes: (_, { cookMin }) => Math.max(1, middle(cookMin)),
    stage: 'cook',
  }),
  verdict: step({ fields: nothing, minutes: () => 3, stage: 'serve' }),
}

type StepKinds = typeof stepKinds
export type StepKind = keyof StepKinds
export const STEP_KINDS = Object.keys(stepKinds) as StepKind[]
type FieldsOf<K extends StepKind> = ReturnType<StepKinds[K]['fields']>
export type StepOf<K extends StepKind> = {
  [Each in K]: Stored<{ id: typeof idSchema; kind: z.ZodMiniLiteral<Each> } & FieldsOf<Each>>
}[K]
export type PlannedStep = StepOf<StepKind>

/** One of them, as a step of its own kind: what a table of steps is asked with. */
type AnySpec = StepSpec<Fields>
export const specOf = ({ kind }: Pick<PlannedStep, 'kind'>): AnySpec => stepKinds[kind] as unknown as AnySpec

export const plannedStepSchema = z.lazy(
  () =>
    z.discriminatedUnion(
      'kind',
      STEP_KINDS.map((kind) =>
        z.strictObject({ id: idSchema, kind: z.literal(kind), ...(stepKinds[kind].fields() as Fields) }),
      ) as unknown as [z.ZodMiniObject],
    ) as unknown as z.ZodMiniType<PlannedStep>,
)

/** What becomes of shaped pieces. */
export const FINISHES = ['cook', 'hold', 'freeze', 'dry'] as const
export type Finish = (typeof FINISHES)[number]
