/** A batch that waits: since when, and until when it may. */
import type { BenchEvent, Finish, Plan, StepOf } from '../model/index.ts'
import { activeEvents } from './history.ts'

const HOUR_MS = 3_600_000
/** Short ones, so that no limit is rounded up. */
const MONTH_MS = 30 * 24 * HOUR_MS

/** What a finish allows, ms; null where it is none that is waited for. */
function allowedMs({ keeps }: StepOf<'then'>, finish: Finish): number | null {
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

/** Until when what was put away last may be kept, ms since the epoch; null where nothing was, or nothing is known. */
export function keptUntil(plan: Plan, events: readonly BenchEvent[]): number | null {
  const chosen = activeEvents(events)
    .filter((event) => event.type === 'finish-chosen')
    .at(-1)
  const then = plan.steps.find((step): step is StepOf<'then'> => step.kind === 'then')
  const ms = chosen && then ? allowedMs(then, chosen.finish) : null
  return chosen && ms !== null ? Date.parse(chosen.at) + ms : null
}
