import { lotKey } from '../sheet/kitchen.ts'
import type { Batch, BenchEvent, Feel, Plan } from '../model/index.ts'
import { bowlBasis14, bowlOnRule } from './bowl.ts'
import { corrections, replay } from './fold.ts'
import type { BenchState } from './state.ts'
import { standing } from './history.ts'

export interface BatchSummary {
  readonly id: string
  readonly plan: Plan
  readonly state: BenchState
  /** What was recorded and not taken back, in order, as it was put right. */
  readonly entries: readonly BenchEvent[]
  /** Hydration in the bowl at the end, percent on the 14 % basis. */
  readonly basis14: number
  /** Where the bowl ended on its own rule. */
  readonly onRule: number
  readonly lastFeel: Feel | null
  /** Accepted as right minus paper, points on the 14 % basis: what this batch says of its flour. */
  readonly thirst: number | null
  readonly corrections: number
}

/** The 14 % basis hydration at which the dough was last called right; null if it never was. */
function accepted14(plan: Plan, state: BenchState): number | null {
  const right = state.feels.filter((felt) => felt.feel === 'right').at(-1)
  if (!right) return null
  return bowlBasis14(plan, { ...state, pouredG: right.pouredG, addedFlourG: right.addedFlourG })
}

export function summarise({ id, plan, events }: Batch): BatchSummary {
  const state = replay(plan, events)
  const accepted = accepted14(plan, state)
  return {
    id,
    plan,
    state,
    entries: standing(events),
    basis14: bowlBasis14(plan, state),
    onRule: bowlOnRule(plan, state),
    lastFeel: state.feels.at(-1)?.feel ?? null,
    // A part carved off says nothing that the first part does not.
    thirst:
      accepted === null || plan.control.by === 'base' || state.split?.part === 'taken'
        ? null
        : accepted - plan.hydration.paper14,
    corrections: corrections(state).length,
  }
}

/** Observations of each flour's thirst, oldest first, by `lotKey`: what the next plan starts from. */
export function thirstByLot(batches: readonly BatchSummary[]): ReadonlyMap<string, readonly number[]> {
  const byLot = new Map<string, number[]>()
  const inOrder = [...batches].sort((a, b) => Date.parse(a.plan.at) - Date.parse(b.plan.at))
  for (const { plan, thirst, state } of inOrder) {
    const key = lotKey(plan.sheet.rows)
    if (key === '' || thirst === null || state.end?.how !== 'closed') continue
    byLot.set(key, [...(byLot.get(key) ?? []), thirst])
  }
  return byLot
}
