/** Since when a batch is kept, and until when it may be. */
import { keptUntil, type Batch } from '@harina/core'
import { format } from 'date-fns'

export const keptSince = ({ plan, events }: Batch): string =>
  events.filter((event) => event.type === 'finish-chosen').at(-1)?.at ?? plan.at

export function keptUntilWords(batch: Batch): string {
  const untilMs = keptUntil(batch.plan, batch.events)
  return untilMs === null ? '' : `use until ${format(untilMs, 'd MMM')}`
}
