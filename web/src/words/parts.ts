/** A dough in parts: each by the dough's name, told apart by what it is and what it is for. */
import { activeEvents, partOfBatch, type Batch } from '@harina/core'

/** What a part is most often for. */
export const PART_FOR = ['the freezer', 'tomorrow', 'a friend'] as const

/** Which part it is; empty for a whole dough. @example Capunti; for a friend; second part */
export function whichPart({ plan, events }: Batch): string {
  const entries = activeEvents(events)
  if (!entries.some(({ type }) => type === 'split')) return ''
  const part = partOfBatch(entries)
  if (part?.for) return `for ${part.for}`
  const isItsShape = plan.shape.id === plan.sheet.shape
  return part && isItsShape ? 'second part' : plan.shape.name
}

/** @example Half-and-half, for a friend */
export function batchTitle(batch: Batch): string {
  const part = whichPart(batch)
  return part ? `${batch.plan.sheet.name}, ${part}` : batch.plan.sheet.name
}
