/** A batch that waits: since when, and until when it may. */
import type { BenchEvent, Finish, Keeps, Plan, Shape, StepOf } from '../model/index.ts'
import { frozenMore } from '../sheet/index.ts'
import { keepsOf, piecesLeftAt } from './account.ts'
import { activeEvents } from './history.ts'

const HOUR_MS = 3_600_000
/** Short ones, so that no limit is rounded up. */
const MONTH_MS = 30 * 24 * HOUR_MS

/** When what is kept was put away, and what the plan allows it; null where nothing was, or nothing is known. */
export function keptSince(
  plan: Plan,
  events: readonly BenchEvent[],
): { atMs: number; keeps: Keeps; finish: Finish } | null {
  const chosen = activeEvents(events)
    .filter((event) => event.type === 'finish-chosen' || event.type === 'skins-kept')
    .at(-1)
  const keeps = keepsOf(plan)
  return chosen && keeps ? { atMs: Date.parse(chosen.at), keeps, finish: chosen.finish } : null
}

/**
 * Until when it may be kept, ms since the epoch; null where nothing was put away, or nothing is known. In the fridge that is what
 * the hours from mixing on have left of its limit, and no longer than its shape keeps.
 */
export function keptUntil(plan: Plan, events: readonly BenchEvent[]): number | null {
  const since = keptSince(plan, events)
  if (!since) return null
  const { atMs, keeps, finish } = since
  switch (finish) {
    case 'hold':
      return atMs + piecesLeftAt(plan, events, atMs).fridgeLeftH * HOUR_MS
    case 'freeze':
      return atMs + keeps.freezerMonths * MONTH_MS
    case 'dry':
      return keeps.driedMonths === null ? null : atMs + keeps.driedMonths * MONTH_MS
    case 'cook':
      return null
  }
}

/**
 * In the pot, min: from frozen a minute or two more, or as long as the filling takes to thaw; dried by the table, or twice as long where
 * it has no figure.
 */
export function cookingSpan(
  { minutes: { cook }, steps }: { readonly minutes: Pick<Plan['minutes'], 'cook'>; readonly steps: Plan['steps'] },
  finish: Finish | null,
  cookDriedMin: Shape['cookDriedMin'],
): readonly [number, number] {
  const [low, high] = cook
  if (finish === 'freeze') {
    const fill = steps.find((step): step is StepOf<'fill'> => step.kind === 'fill')
    const [least, most] = frozenMore(fill ?? null)
    return [low + least, high + most]
  }
  return finish === 'dry' ? (cookDriedMin ?? [2 * low, 3 * high]) : cook
}
