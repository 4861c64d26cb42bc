import { z } from '../zod.ts'
import { blankSchema } from './blank.ts'
import { formSchema } from './form.ts'
import { between, lengthMm, pace } from './ranges.ts'
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
export const shapeSchema = z.strictObject({
  id: z.string().min(1),
  name: z.string().min(1),
  otherNames: z.array(z.string().min(1)),
  origin: z.string().min(1),
  method: z.enum(METHODS),
  blank: blankSchema,
  group: z.enum(GROUPS),
  /** Finished piece, for the drawing. */
  form: formSchema,
  /** Cut or stamped of a sheet that a roller may thin. */
  sheeted: z.literal(true).optional(),
  /** Through which heat and water must go when cooking. */
  wallMm: lengthMm,
  /** What the wall is a wall of: its section for drying and cooking. */
  section: z.enum(['slab', 'cylinder', 'sphere', 'tube']),
  /** Of filled shapes: grams for one piece. */
  fillingG: windowSchema.optional(),
  doughs: z.array(z.strictObject({ dough: z.string().min(1), window: windowSchema })).min(1),
  tools: z.array(z.strictObject({ tool: z.string().min(1), instead: z.string().min(1) })).min(1),
  steps: z.array(z.string().min(1)).min(2),
  checks: z.array(z.string().min(1)).min(1),
  /** What happens to this shape when the dough is stiffer or softer than its window. */
  tooStiff: z.string().min(1),
  tooSoft: z.string().min(1),
  mistakes: z
    .array(z.strictObject({ sign: z.string().min(1), cause: z.string().min(1), remedy: z.string().min(1) }))
    .min(1),
  surfaceFlour: z.enum(['none', 'light', 'generous']),
  board: z.string().min(1),
  piecesPerMin: z.strictObject({
    learner: pace,
    practised: pace,
    quick: pace,
  }),
  /** What the pace counts. */
  paceOf: z.enum(['pieces', 'strands', 'portions']),
  airBeforeCookMin: spanSchema,
  /** At a full boil at sea level, from the return of the boil. */
  cookFreshMin: spanSchema,
  cookDriedMin: spanSchema.optional(),
  /** Where it is not boiled. */
  heat: z.enum(['bake', 'pan', 'steam']).optional(),
  doneSign: z.string().min(1),
  /** Best limits; a stricter one of the dough, the filling or the house wins. Null months: do not dry. */
  keep: z.strictObject({
    roomH: between(0, 100_000),
    fridgeDays: between(0, 10_000),
    freezerMonths: between(0, 1000),
    driedMonths: between(0.01, 1000).nullable(),
  }),
  sauce: z.strictObject({ traits: z.array(z.enum(SAUCE_TRAITS)), families: z.array(z.enum(SAUCES)) }),
  /** 1 easy to 5 hard. */
  difficulty: z.number().int().min(1).max(5),
  /** Of the figures in this row. */
  confidence: z.enum(['low', 'medium', 'high']),
})

export type Shape = z.infer<typeof shapeSchema>
export type ShapeTable = ReadonlyMap<string, Shape>
export const shapeTable = (rows: readonly Shape[]): ShapeTable => new Map(rows.map((row) => [row.id, row]))
