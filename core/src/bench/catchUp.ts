/** Steps done away from the screen, told of together as they were planned. */
import { calledG } from '../formula/index.ts'
import { specOf, type BenchAction, type BenchEvent, type Plan, type PlannedStep } from '../model/index.ts'
import { asWeighed } from './bowl.ts'
import { countedOf } from './counted.ts'
import { applyEvent, currentStep, standingFeel, stepsOf } from './replay.ts'
import { pouredUpToG } from './making.ts'
import { nextOther } from './split.ts'
import type { BenchState } from './state.ts'
import { weighedFirst, weighedWithWater } from './weighed.ts'

/** Only the maker knows how these went: how it feels, where it goes, how long it cooked. */
const ASKS: ReadonlySet<PlannedStep['kind']> = new Set([
  'feel',
  'air',
  'hold',
  'freeze',
  'thaw',
  'dry',
  'drop',
  'cook',
  'rinse',
  'verdict',
])
const COUNTS: ReadonlySet<PlannedStep['kind']> = new Set(['cut', 'stamp', 'press', 'pull', 'shape'])

/** What going on from this step records where everything went as planned. */
function asPlanned(plan: Plan, state: BenchState, step: PlannedStep): readonly BenchAction[] {
  const weighed = (rows: ReturnType<typeof weighedFirst<Plan['rows'][number]>>): BenchAction[] =>
    rows.map((row) => ({
      type: 'weighed',
      row: row.key,
      grams: state.weighedG[row.key] ?? calledG(asWeighed(plan, state, row), plan.scaleStepG),
    }))
  switch (step.kind) {
    case 'flour':
      return weighed(weighedFirst(plan).filter(({ key }) => step.rows?.includes(key) ?? true))
    case 'water':
      return weighed(weighedWithWater(plan))
    case 'pour': {
      const leftG = calledG(pouredUpToG(plan, state, step) - state.pouredG, plan.scaleStepG)
      return leftG > 0 ? [{ type: 'poured', grams: leftG }] : []
    }
    default: {
      const last = step.kind === 'shape' || !plan.steps.some(({ kind }) => kind === 'shape')
      return COUNTS.has(step.kind) && last ? [{ type: 'shaped', pieces: countedOf(plan, state).count }] : []
    }
  }
}

/**
 * What one press records that says all is done up to a step, as planned: what the presses in between would have. Null where there
 * is nothing to catch up with, or where one of those steps asks the maker something.
 */
export function catchUp(plan: Plan, state: BenchState, to: string, at: string): readonly BenchAction[] | null {
  const now = currentStep(plan, state)
  const steps = stepsOf(plan, state)
  const [from, until] = [steps.findIndex(({ id }) => id === now?.id), steps.findIndex(({ id }) => id === to)]
  if (from < 0 || until <= from || state.paused) return null
  const between = steps.slice(from, until)
  // Parts that are still to be weighed off are parted by the maker alone.
  const hasParts = nextOther(plan, state) !== null
  const asks = (step: PlannedStep) =>
    (ASKS.has(step.kind) && !(step.kind === 'feel' && standingFeel(state) === 'right')) ||
    (hasParts && specOf(step).shapes === true)
  if (between.some(asks)) return null
  let then = state
  return between.flatMap((step): readonly BenchAction[] => {
    const clock = then.timers[step.id]
    const actions: readonly BenchAction[] = [
      ...asPlanned(plan, then, step),
      ...(clock?.stage === 'running' ? [{ type: 'timer-stopped', timer: step.id } as const] : []),
      { type: 'step-done', step: step.id },
    ]
    then = actions.reduce((all, action) => applyEvent(plan, all, { ...action, id: step.id, at } as BenchEvent), then)
    return actions
  })
}
