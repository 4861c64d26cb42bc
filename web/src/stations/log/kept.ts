/** Until when a batch may be kept. */
import { keptUntil, type Batch } from '@harina/core'
import { format } from 'date-fns'

export function keptUntilWords(batch: Batch): string {
  const untilMs = keptUntil(batch.plan, batch.events)
  return untilMs === null ? '' : `use until ${format(untilMs, 'd MMM')}`
}
