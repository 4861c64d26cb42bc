import { z } from '../zod.ts'
import { someText } from './text.ts'
import { blankSchema } from './blank.ts'
import { formSchema } from './form.ts'
import { between, lengthMm, pace, whole } from './ranges.ts'
import { spanSchema, windowSchema } from './window.ts'

export const METHODS = ['hand', 'extrude', 'cut', 'drop', 'stamp', 'pull'] as const
export type Method = (typeof METHODS)[number]

/** How shapes are made, finer than by method: what stands together in the library. */
export const GROUPS = [
  'hand-rope',
  'rod-rolled',
  'hand-sheet',
  'stamp',
  'extruded',
  'cut-noodle',
  'hand-pulled',
  'wrapper',
  'dropped',
  'gnocchi',
] as const
export type Group = (typeof GROUPS)[number]

/** What boards and pieces are dusted with. */
export const DUSTS = ['semolina', 'flour', 'starch'] as const
export type Dust = (typeof DUSTS)[number]

/** What a piece does with a sauce. */
export const SAUCE_TRAITS = [
  'hollow',
  'ridged',
  'cupped',
  'flat',
  'thin',
  'thick',
  'tiny',
  'broth',
  'baked',
  'rough',
] as const
export type SauceTrait = (typeof SAUCE_TRAITS)[number]

export const SAUCES = [
  'tomato',
  'ragu-chunky',
  'cream-cheese',
  'pesto-herb',
  'oil-garlic',
  'greens-oil',
  'pulse',
  'broth',
  'butter-herb',
  'soy-sesame',
  'chili-oil',
  'dipping',
  'baked-gratin',
  'seafood',
  'mushroom',
  'roast-veg',
  'stew',
  'cold-dressing',
  'curry',
] as const
export type Sauce = (typeof SAUCES)[number]

/** A shape, with what a maker must know to make it. Lengths in mm, times in min. */
export const shapeObject = () =>
  z.strictObject({
    id: someText,
    name: someText,
    otherNames: z.array(someText),
    origin: someText,
    method: z.enum(METHODS),
    blank: blankSchema,
    group: z.enum(GROUPS),
    /** Finished piece, for the drawing. */
    form: formSchema,
    /** Cut or stamped of a sheet that a roller may thin. */
    sheeted: z.optional(z.literal(true)),
    /** Through which heat and water must go when cooking. */
    wallMm: lengthMm,
    /** What the wall is a wall of: its section for drying and cooking. */
    section: z.enum(['slab', 'cylinder', 'sphere', 'tube']),
    /** Of filled shapes: grams for one piece. */
    fillingG: z.optional(windowSchema),
    doughs: z
      .array(
        z.strictObject({
          dough: someText,
          window: windowSchema,
          /** What this shape makes of the dough where it is not the dough's usual: percent of the flour, together 100. */
          mixture: z.optional(z.array(z.strictObject({ flour: someText, percent: between(0.01, 100) }))),
          /** On what the dough counts its salt on: lower for what cooks in its soup. Percent. */
          saltPercent: z.optional(between(0, 10)),
          /** What is poured, where it is not water. */
          liquid: z.optional(someText),
          /** Heat of it, °C. */
          waterC: z.optional(between(0, 100)),
          /** What it is named for: percent of the flour. */
          along: z.optional(z.array(z.strictObject({ ingredient: someText, percent: between(0.01, 100) }))),
          potSaltGPerL: z.optional(between(0, 1000)),
        }),
      )
      .check(z.minLength(1)),
    tools: z.array(z.strictObject({ tool: someText, instead: someText })).check(z.minLength(1)),
    steps: z.array(someText).check(z.minLength(2)),
    checks: z.array(someText).check(z.minLength(1)),
    /** What happens to this shape when the dough is stiffer or softer than its window. */
    tooStiff: someText,
    tooSoft: someText,
    mistakes: z
      .array(
        z.strictObject({
          sign: someText,
          cause: someText,
          remedy: someText,
        }),
      )
      .check(z.minLength(1)),
    surfaceFlour: z.enum(['none', 'light', 'generous']),
    /** What keeps it from sticking, by its own name where it has one; `only` where it is part of the shape. Said as `{dust}`. */
    dust: z.optional(
      z.strictObject({
        with: z.enum(DUSTS),
        as: z.optional(someText),
        only: z.optional(z.literal(true)),
      }),
    ),
    /** `{bare:…}` holds only of bare wood. */
    board: someText,
    piecesPerMin: z.strictObject({
      learner: pace,
      practised: pace,
      quick: pace,
    }),
    /** What the pace counts. */
    paceOf: z.enum(['pieces', 'strands', 'portions']),
    airBeforeCookMin: spanSchema,
    /** How long the sheet lies open before it is cut, until it is leathery; not at all where nothing is said. */
    airBeforeCutMin: z.optional(spanSchema),
    /** Pieces that must set in the cold before they are cooked, hours. */
    chillH: z.optional(spanSchema),
    /** Under cold water after the pot. */
    rinse: z.optional(z.literal(true)),
    /** At a full boil at sea level, from the return of the boil. */
    cookFreshMin: spanSchema,
    cookDriedMin: z.optional(spanSchema),
    /** Of small soft pieces: how long they stay in after they rise. */
    afterFloatMin: z.optional(spanSchema),
    /** Where it is not boiled. */
    heat: z.optional(z.enum(['bake', 'pan', 'steam'])),
    doneSign: someText,
    /** Best limits; a stricter one of the dough, the filling or the house wins. Null months: do not dry. */
    keep: z.strictObject({
      roomH: between(0, 100_000),
      fridgeDays: between(0, 10_000),
      freezerMonths: between(0, 1000),
      driedMonths: z.nullable(between(0.01, 1000)),
    }),
    sauce: z.strictObject({ traits: z.array(z.enum(SAUCE_TRAITS)), families: z.array(z.enum(SAUCES)) }),
    /** 1 easy to 5 hard. */
    difficulty: whole(1, 5),
    /** Of the figures in this row. */
    confidence: z.enum(['low', 'medium', 'high']),
  })

export const shapeSchema = z.lazy(shapeObject)

export type Shape = z.infer<typeof shapeSchema>
export type ShapeDough = Shape['doughs'][number]
export type ShapeTable = ReadonlyMap<string, Shape>
export const shapeTable = (rows: readonly Shape[]): ShapeTable => new Map(rows.map((row) => [row.id, row]))
