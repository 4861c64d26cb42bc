import { z } from '../zod.ts'

/** low = stiffest that still works, best = where to start, high = softest; in the dough's own control variable. */
export const windowSchema = z
  .strictObject({ low: z.number(), best: z.number(), high: z.number() })
  .refine((w) => w.low <= w.best && w.best <= w.high, { params: { code: 'window-out-of-order' } })

export type Window = z.infer<typeof windowSchema>

const span = z.tuple([z.number().min(0), z.number().min(0)])

/** A hand shape cut from a rope, with what a maker must know to make it. Lengths in mm, times in min. */
export const shapeSchema = z.strictObject({
  id: z.string().min(1),
  name: z.string().min(1),
  otherNames: z.array(z.string().min(1)),
  origin: z.string().min(1),
  method: z.literal('hand'),
  blank: z.strictObject({
    type: z.literal('rope'),
    diameterMm: z.number().positive(),
    cutMm: z.number().positive(),
    /** Rolled out further after the cut. */
    drawn: z.strictObject({ diameterMm: z.number().positive(), lengthMm: z.number().positive() }).optional(),
  }),
  /** Finished piece, for the drawing. */
  form: z.strictObject({
    kind: z.enum(['ear', 'hollow', 'leaf', 'ridged-pip', 'twist', 'strand']),
    lengthMm: z.number().positive(),
    widthMm: z.number().positive(),
  }),
  /** Through which heat and water must go when cooking. */
  wallMm: z.number().positive(),
  doughs: z.array(z.strictObject({ dough: z.string().min(1), window: windowSchema })).min(1),
  tools: z.array(z.string().min(1)).min(1),
  steps: z.array(z.string().min(1)).min(2),
  checks: z.array(z.string().min(1)).min(1),
  /** What happens to this shape when the dough is stiffer or softer than its window. */
  tooStiff: z.string().min(1),
  tooSoft: z.string().min(1),
  board: z.string().min(1),
  piecesPerMin: z.strictObject({ learner: z.number().positive(), practised: z.number().positive() }),
  airBeforeCookMin: span,
  cookFreshMin: span,
  doneSign: z.string().min(1),
})

export type Shape = z.infer<typeof shapeSchema>
export type ShapeTable = ReadonlyMap<string, Shape>
export const shapeTable = (rows: readonly Shape[]): ShapeTable => new Map(rows.map((row) => [row.id, row]))

export const METHODS = ['hand', 'extrude', 'cut', 'drop', 'stamp'] as const
export type Method = (typeof METHODS)[number]

/** A dough of the field: what it takes to mix it and the windows in which each method works. */
export const doughSchema = z.strictObject({
  id: z.string().min(1),
  family: z.enum(['semolina', 'salted', 'alkaline', 'batter', 'gnocchi']),
  name: z.string().min(1),
  windows: z.partialRecord(z.enum(METHODS), windowSchema),
  saltPercent: z.strictObject({ low: z.number(), high: z.number() }),
  waterC: z
    .array(z.strictObject({ choice: z.string().min(1), fromC: z.number(), toC: z.number(), why: z.string().min(1) }))
    .min(1),
  kneadMin: span,
  restMin: z.strictObject({ low: z.number(), best: z.number(), high: z.number() }),
  /** How long the flour must be left to drink before a second correction, min. */
  drinkMin: z.number().positive(),
  mixing: z.string().min(1),
  feel: z.strictObject({
    crumbling: z.string().min(1),
    dry: z.string().min(1),
    right: z.string().min(1),
    tacky: z.string().min(1),
    sticky: z.string().min(1),
  }),
  pot: z.strictObject({ litresPer100G: z.number().positive(), saltGPerL: z.number().min(0) }),
})

export type Dough = z.infer<typeof doughSchema>
export type DoughTable = ReadonlyMap<string, Dough>
export const doughTable = (rows: readonly Dough[]): DoughTable => new Map(rows.map((row) => [row.id, row]))
