import { z } from '../zod.ts'
import { between, positive, whole } from './ranges.ts'
import { someText } from './text.ts'
import { METHODS, type ShapeDough } from './shape.ts'
import { spanSchema, windowSchema } from './window.ts'

export const FAMILIES = ['semolina', 'salted', 'alkaline', 'batter', 'gnocchi'] as const
export type Family = (typeof FAMILIES)[number]

/** What a dough is steered by: water on flour, or flour on a moist cooked base. */
const controlSchema = z.lazy(() =>
  z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('hydration') }),
    z.strictObject({
      by: z.literal('base'),
      /** In words, as it stands on the rule: *cooked potato*. */
      base: someText,
      /** Ingredients that can be this base, the usual one first. */
      bases: z.array(someText).check(z.minLength(1)),
    }),
  ]),
)

/** How the water goes in. `soak`: onto the semolina alone; `rub`: as crumbs under the fingers; `scald`: hot, stirred with a stick; `beat`: to a batter. */
export const POURS = ['rake', 'fork', 'soak', 'rub', 'thread', 'sprinkle', 'scald', 'beat'] as const
/** How a dough is worked. `paddle`: only to crumbs; `fold`: pressed and folded, never kneaded; `draw`: its rope thinned. */
export const KNEADS = ['push', 'press', 'tread', 'twist', 'fold', 'beat', 'paddle', 'stir', 'draw'] as const
/** What is done to a base before it is weighed: once it is cooked, squeezed or drained, and before that. */
const COURSE_PREPARES = ['steam', 'dry', 'drain', 'grate', 'simmer'] as const
/** How a raw base is cooked or strained. */
export const BASE_FROM = [
  'boil',
  'boil-peeled',
  'steamer',
  'bake',
  'roast',
  'microwave',
  'drain',
  'grate',
  'bought',
] as const
export const PREPARES = [
  ...COURSE_PREPARES,
  'boil',
  'boil-peeled',
  'steamer',
  'bake',
  'roast',
  'microwave',
  'rice',
] as const

/** How a dough is made, in order, up to where it is shaped: what the bench makes its steps from. Times in min. */
const courseSchema = z.lazy(() =>
  z
    .array(
      z.discriminatedUnion('do', [
        z.strictObject({
          do: z.literal('prepare'),
          what: z.enum(COURSE_PREPARES),
          minutes: spanSchema,
          /** The flour waits until it is this cool, °C. */
          belowC: z.optional(z.number()),
        }),
        /** `goes`: how the first pour is shared out, in parts. */
        z.strictObject({
          do: z.literal('pour'),
          how: z.enum(POURS),
          goes: z.array(positive).check(z.minLength(1), z.maxLength(5)),
        }),
        /** The semolina by itself, with this share of the first pour, before the other flours go in. */
        z.strictObject({ do: z.literal('soak'), share: between(0.1, 1), minutes: spanSchema }),
        z.strictObject({ do: z.literal('cool'), belowC: z.number() }),
        z.strictObject({ do: z.literal('feel') }),
        /** Crumbs or flakes left to drink under a cover. */
        z.strictObject({ do: z.literal('crumb'), minutes: spanSchema }),
        /** The dough's own minutes unless it has its own. */
        z.strictObject({ do: z.literal('knead'), how: z.enum(KNEADS), minutes: z.optional(spanSchema) }),
        z.strictObject({
          do: z.literal('rounds'),
          times: whole(1, 6),
          restMin: positive,
          kneadMin: positive,
          how: z.optional(z.enum(KNEADS)),
        }),
        /** A cooked paste, spread so thick on a wet tray, until it is cold and set. */
        z.strictObject({ do: z.literal('spread'), thicknessMm: positive, minutes: spanSchema }),
        /** Pressed, folded and rolled so many times. */
        z.strictObject({ do: z.literal('fold'), times: whole(1, 20) }),
        /** By the school, unless it has its own minutes. */
        z.strictObject({
          do: z.literal('rest'),
          of: z.enum(['dough', 'sheet', 'crumb']),
          minutes: z.optional(spanSchema),
        }),
      ]),
    )
    .check(z.minLength(2)),
)

export const BINDERS = ['eggYolk', 'wholeEgg', 'potatoStarch', 'eggReplacer'] as const

/** A dough of the field: what it takes to mix it and the windows in which each method works. */
export const doughSchema = z.lazy(() =>
  z.strictObject({
    id: someText,
    family: z.enum(FAMILIES),
    name: someText,
    control: controlSchema,
    windows: z.partialRecord(z.enum(METHODS), windowSchema),
    /** Ingredient ids; the windows are written for the first, or for the mixture. */
    flours: z.array(someText).check(z.minLength(1)),
    /** Percent of the flour; together 100. */
    mixture: z.optional(z.array(z.strictObject({ flour: someText, percent: positive }))),
    /** Percent on flour, or on the base where `saltOn` says so. */
    saltPercent: windowSchema,
    saltOn: z.enum(['flour', 'base']),
    oilPercent: windowSchema,
    /** Na₂CO₃ equivalent, percent on flour. */
    alkaliPercent: z.optional(windowSchema),
    /** Butter and cheese of cooked pastes, percent on the base. */
    fatPercent: z.optional(windowSchema),
    eggPercent: z.optional(windowSchema),
    binderPercent: z.optional(z.partialRecord(z.enum(BINDERS), windowSchema)),
    /** Percent of the whole dough. */
    doughMoisture: z.optional(windowSchema),
    /** What one eats of it, g, where that is not what is usual for its family. */
    portionG: z.optional(positive),
    waterC: z.array(
      z.strictObject({
        choice: someText,
        fromC: z.number(),
        toC: z.number(),
        why: someText,
      }),
    ),
    mixing: z.array(someText).check(z.minLength(1)),
    course: courseSchema,
    kneadMin: spanSchema,
    mixerMin: spanSchema,
    restMin: windowSchema,
    restColdH: windowSchema,
    /** How long the flour must be left to drink before a second correction, min. */
    drinkMin: positive,
    feel: z.strictObject({
      crumbling: someText,
      dry: someText,
      right: someText,
      tacky: someText,
      sticky: someText,
    }),
    /** Ids of the hazard table. */
    cautions: z.array(someText),
    note: z.optional(someText),
    pot: z.strictObject({ litresPer100G: positive, saltGPerL: z.number().check(z.minimum(0)) }),
  }),
)

export type CourseStep = z.infer<typeof courseSchema>[number]
export type Dough = z.infer<typeof doughSchema>
export type DoughTable = ReadonlyMap<string, Dough>
export const doughTable = (rows: readonly Dough[]): DoughTable => new Map(rows.map((row) => [row.id, row]))

/** The flour its windows are written for: the shape's mixture of it, the dough's own, or the first it lists alone. */
export const ownFlours = ({ mixture, flours }: Pick<Dough, 'mixture' | 'flours'>, as?: Pick<ShapeDough, 'mixture'>) =>
  as?.mixture ?? mixture ?? [{ flour: flours[0] ?? '', percent: 100 }]
