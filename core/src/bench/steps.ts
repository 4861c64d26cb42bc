/** The steps of a batch as what happens at the bench has left them. */
import { specOf, type AfterPot, type Finish, type PlannedStep, type StepOf } from '../model/index.ts'

/** What happened that changes the steps still to come. */
export interface StepChanges {
  readonly finish: Finish | null
  /** Instead of the roller of the plan; by pin without one. */
  readonly rolledBy: { readonly roller: StepOf<'thin'>['roller'] } | null
  /** Chosen at the pot; null as planned. */
  readonly afterPot: AfterPot | null
  /** Where skins were put before they were filled. */
  readonly skins: 'hold' | 'freeze' | null
  /** The dough was divided into so many, where that was said. */
  readonly dividedInto: number | null
  /** As thick as the sheet is now, where that was said: by a further pass, stops, the light or the gauge, mm. */
  readonly thinnedMm: number | null
  /** Put away cold before this step was done; it comes back through a step of its own. */
  readonly chilled: readonly {
    readonly before: string
    readonly minutes: number
    /** Out of the freezer, so many hours to thaw first; null from the fridge. */
    readonly thawH: number | null
  }[]
}

const temperId = (index: number) => `back-${index + 1}`
const thawId = (index: number) => `thaw-${index + 1}`

/** A stack of skins, wrapped, in the fridge until they bend: usual practice, no measurement. H. */
const SKINS_THAW_H = 3

/** Skins put away empty come back wrapped. */
const skinsKept = (id: string, where: 'hold' | 'freeze'): readonly PlannedStep[] => [
  { id, kind: where, of: 'skins' },
  ...(where === 'freeze' ? [{ id: `${id}-thaw`, kind: 'thaw', hours: SKINS_THAW_H, of: 'skins' } as const] : []),
]

const after = (how: AfterPot): readonly PlannedStep[] =>
  how === 'plain' ? [] : [{ id: 'rinse', kind: 'rinse', ...(how === 'rinse' ? {} : { how }) }]

/** What is done after the pot, as it now stands. */
export const afterPotOf = (steps: readonly PlannedStep[]): AfterPot => {
  const step = steps.find((each): each is StepOf<'rinse'> => each.kind === 'rinse')
  return step ? (step.how ?? 'rinse') : 'plain'
}

/** Only skins are made here: they are filled and cooked another day. */
export const endsEmpty = (planned: readonly PlannedStep[]): boolean =>
  !planned.some(({ kind }) => kind === 'cook' || kind === 'drop')

/** The steps as they now stand, in order. */
export function stepsNow(
  planned: readonly PlannedStep[],
  { finish, skins, rolledBy, chilled, afterPot }: StepChanges,
): readonly PlannedStep[] {
  const finished = planned.flatMap((step): readonly PlannedStep[] => {
    if (step.kind === 'thin' && rolledBy) {
      const { roller } = rolledBy
      return [{ ...step, roller, belt: step.belt && roller !== null, folds: roller ? step.folds : 0 }]
    }
    if (step.kind === 'rinse' && afterPot) return []
    if ((step.kind === 'cook' || step.kind === 'drop') && afterPot) return [step, ...after(afterPot)]
    if (step.kind === 'fill' && skins) return [...skinsKept('skins', skins), step]
    if (step.kind !== 'air' || finish === null || finish === 'cook') return [step]
    return endsEmpty(planned) && finish !== 'dry'
      ? [step, ...skinsKept(finish, finish)]
      : [step, { id: finish, kind: finish }]
  })
  return chilled.reduce<readonly PlannedStep[]>((steps, { before, minutes: wanted, thawH }, index) => {
    const at = steps.findIndex((step) => step.id === before)
    const thaw: PlannedStep[] = thawH === null ? [] : [{ id: thawId(index), kind: 'thaw', hours: thawH }]
    const back: PlannedStep = { id: temperId(index), kind: 'temper', minutes: wanted }
    return at < 0 ? steps : [...steps.slice(0, at), ...thaw, back, ...steps.slice(at)]
  }, finished)
}

/** Away in the fridge, in the freezer or on the rack, and in nobody's way. */
export const isKept = (step: Pick<PlannedStep, 'kind'>): boolean => specOf(step).kept ?? false

/** The rest that counts: the longest. Null for a dough that has none. */
export function mainRest({ steps }: { readonly steps: readonly PlannedStep[] }): StepOf<'rest'> | null {
  const rests = steps.filter((step): step is StepOf<'rest'> => step.kind === 'rest')
  return rests.reduce<StepOf<'rest'> | null>(
    (longest, each) => (longest && longest.best >= each.best ? longest : each),
    null,
  )
}
