/** The steps of a batch: planned from dough, method, school and machines, and changed by what happens at the bench. */
import { z } from '../zod.ts'
import { pressSchema, rollerSchema } from '../records/machines.ts'
import { idSchema, lineSchema, nameSchema } from '../records/text.ts'
import { KNEADS, POURS, PREPARES } from '../shape/dough.ts'
import { spanSchema } from '../shape/window.ts'

const id = idSchema
const minutes = spanSchema

export const plannedStepSchema = z.discriminatedUnion('kind', [
  /** Everything at hand. An item without a name is one of the product's own words. */
  z.strictObject({
    id,
    kind: z.literal('ready'),
    items: z.array(z.strictObject({ id, name: nameSchema.optional(), instead: lineSchema.optional() })).max(40),
  }),
  z.strictObject({
    id,
    kind: z.literal('prepare'),
    what: z.enum(PREPARES),
    minutes,
    belowC: z.number().nullable(),
  }),
  z.strictObject({ id, kind: z.literal('flour') }),
  z.strictObject({ id, kind: z.literal('water') }),
  /** `goes`: shares of the first stop, together 1. */
  z.strictObject({
    id,
    kind: z.literal('pour'),
    how: z.enum(POURS),
    goes: z.array(z.number().positive().max(1)).min(1).max(5),
  }),
  /** A scalded dough until hands can bear it: where the scald lands, and how long it takes from there. */
  z.strictObject({ id, kind: z.literal('cool'), fromC: z.number(), belowC: z.number(), minutes: z.number().min(1) }),
  z.strictObject({ id, kind: z.literal('feel') }),
  z.strictObject({ id, kind: z.literal('crumb'), minutes }),
  /** `mixer`: null where no machine should do it. */
  z.strictObject({ id, kind: z.literal('knead'), how: z.enum(KNEADS), hand: minutes, mixer: minutes.nullable() }),
  z.strictObject({
    id,
    kind: z.literal('rest'),
    of: z.enum(['dough', 'sheet', 'crumb']),
    cold: z.boolean(),
    low: z.number().min(0),
    best: z.number().min(1),
    high: z.number().min(0),
  }),
  /** Back from the fridge. `minutes`: until the core is within a few degrees of the room. */
  z.strictObject({ id, kind: z.literal('temper'), minutes: z.number().min(1) }),
  z.strictObject({ id, kind: z.literal('fold'), times: z.number().int().min(1).max(20) }),
  z.strictObject({ id, kind: z.literal('divide') }),
  /** By pin where there is no roller. */
  z.strictObject({ id, kind: z.literal('thin'), roller: rollerSchema.nullable() }),
  z.strictObject({ id, kind: z.literal('cut') }),
  /** `perMin`: pieces by practised hands. */
  z.strictObject({ id, kind: z.literal('stamp'), perMin: z.number().positive() }),
  z.strictObject({ id, kind: z.literal('feed'), press: pressSchema.nullable() }),
  z.strictObject({ id, kind: z.literal('roll') }),
  z.strictObject({ id, kind: z.literal('shape'), perMin: z.number().positive() }),
  z.strictObject({ id, kind: z.literal('pull') }),
  z.strictObject({
    id,
    kind: z.literal('fill'),
    name: nameSchema,
    gramsEach: z.number().positive(),
    /** Of the filling, percent of its mass. */
    moisturePercent: z.number().min(0).max(100),
  }),
  /** Made, and in no hurry: pot, fridge or rack. `minutes`: how long it may lie open before the pot. */
  z.strictObject({
    id,
    kind: z.literal('then'),
    minutes,
    fridgeDays: z.number().min(0),
    dries: z.boolean(),
  }),
  z.strictObject({ id, kind: z.literal('drop') }),
  z.strictObject({ id, kind: z.literal('hold') }),
  z.strictObject({ id, kind: z.literal('dry') }),
  z.strictObject({ id, kind: z.literal('cook'), how: z.enum(['boil', 'bake', 'pan', 'steam']) }),
  z.strictObject({ id, kind: z.literal('verdict') }),
])

export type PlannedStep = z.infer<typeof plannedStepSchema>
export type StepKind = PlannedStep['kind']
export type StepOf<K extends StepKind> = Extract<PlannedStep, { kind: K }>

/** What becomes of shaped pieces. */
export const FINISHES = ['cook', 'hold', 'dry'] as const
export type Finish = (typeof FINISHES)[number]

/** What happened that changes the steps still to come. */
export interface StepChanges {
  readonly finish: Finish | null
  /** Put away cold before this step was done; it comes back through a step of its own. */
  readonly chilled: readonly { readonly before: string; readonly minutes: number }[]
}

const temperId = (index: number) => `back-${index + 1}`

/** The steps as they now stand, in order. */
export function stepsNow(planned: readonly PlannedStep[], { finish, chilled }: StepChanges): readonly PlannedStep[] {
  const finished = planned.flatMap((step): readonly PlannedStep[] => {
    if (step.kind !== 'cook' || finish === null || finish === 'cook') return [step]
    return finish === 'hold' ? [{ id: 'hold', kind: 'hold' }, step] : [{ id: 'dry', kind: 'dry' }]
  })
  return chilled.reduce<readonly PlannedStep[]>((steps, { before, minutes: wanted }, index) => {
    const at = steps.findIndex((step) => step.id === before)
    const back: PlannedStep = { id: temperId(index), kind: 'temper', minutes: wanted }
    return at < 0 ? steps : [...steps.slice(0, at), back, ...steps.slice(at)]
  }, finished)
}

/** The rest that counts: the longest. Null for a dough that has none. */
export function mainRest({ steps }: { readonly steps: readonly PlannedStep[] }): StepOf<'rest'> | null {
  const rests = steps.filter((step): step is StepOf<'rest'> => step.kind === 'rest')
  return rests.reduce<StepOf<'rest'> | null>(
    (longest, each) => (longest && longest.best >= each.best ? longest : each),
    null,
  )
}
