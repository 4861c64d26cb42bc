import { z } from '../zod.ts'
import { blankSchema } from './blank.ts'
import { spanSchema, windowSchema } from './window.ts'

export const METHODS = ['hand', 'extrude', 'cut', 'drop', 'stamp', 'pull'] as const
export type Method = (typeof METHODS)[number]

export const FORMS = [
  'ear',
  'hollow',
  'leaf',
  'ridged-pip',
  'twist',
  'strand',
  'ribbon',
  'tube',
  'disc',
  'square',
  'drop',
  'pillow',
] as const

/** A shape, with what a maker must know to make it. Lengths in mm, times in min. */
export const shapeSchema = z.strictObject({
  id: z.string().min(1),
  name: z.string().min(1),
  otherNames: z.array(z.string().min(1)),
  origin: z.string().min(1),
  method: z.enum(METHODS),
  blank: blankSchema,
  /** Finished piece, for the drawing. */
  form: z.strictObject({
    kind: z.enum(FORMS),
    lengthMm: z.number().positive(),
    widthMm: z.number().positive(),
  }),
  /** Cut or stamped of a sheet that a roller may thin. */
  sheeted: z.literal(true).optional(),
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
  /** What the pace counts. */
  paceOf: z.enum(['pieces', 'strands', 'portions']),
  airBeforeCookMin: spanSchema,
  cookFreshMin: spanSchema,
  doneSign: z.string().min(1),
})

export type Shape = z.infer<typeof shapeSchema>
export type ShapeTable = ReadonlyMap<string, Shape>
export const shapeTable = (rows: readonly Shape[]): ShapeTable => new Map(rows.map((row) => [row.id, row]))
