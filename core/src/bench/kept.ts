/** A batch that waits: since when, and until when it may. */
import type { BenchEvent, Finish, Keeps, Plan, Shape, StepOf } from '../model/index.ts'
import { activeEvents } from './history.ts'

const HOUR_MS = 3_600_000
/** Short ones, so that no limit is rounded up. */
const MONTH_MS = 30 * 24 * HOUR_MS

/** What a finish allows, ms; null where it is none that is waited for. */
function allowedMs(keeps: Keeps, finish: Finish): number | null {
  switch (finish) {
    case 'hold':
      return keeps.fridgeH * HOUR_MS
    case 'freeze':
      return keeps.freezerMonths * MONTH_MS
    case 'dry':
      return keeps.driedMonths === null ? null : keeps.driedMonths * MONTH_MS
    case 'cook':
      return null
  }
}

/** When what is kept was put away, and what the plan allows it; null where nothing was, or nothing is known. */
export function keptSince(
  plan: Plan,
  events: readonly BenchEvent[],
): { atMs: number; keeps: Keeps; finish: Finish } | null {
  const chosen = activeEvents(events)
    .filter((event) => event.type === 'finish-chosen')
    .at(-1)
  const air = plan.steps.find((step): step is StepOf<'air'> => step.kind === 'air')
  return chosen && air ? { atMs: Date.parse(chosen.at), keeps: air.keeps, finish: chosen.finish } : null
}

/** Until when it may be kept, ms since the epoch; null where nothing was put away, or nothing is known. */
export function keptUntil(plan: Plan, events: readonly BenchEvent[]): number | null {
  const since = keptSince(plan, events)
  const ms = since && allowedMs(since.keeps, since.finish)
  return since && ms !== null ? since.atMs + ms : null
}

/** In the pot, min: from frozen a minute or two more; dried by the table, or twice as long where it has no figure. */
export function cookingSpan(
  { minutes: { cook } }: { readonly minutes: Pick<Plan['minutes'], 'cook'> },
  finish: Finish | null,
  cookDriedMin: Shape['cookDriedMin'],
): readonly [number, number] {
  const [low, high] = cook
  if (finish === 'freeze') return [low + 1, high + 2]
  return finish === 'dry' ? (cookDriedMin ?? [2 * low, 3 * high]) : cook
}
