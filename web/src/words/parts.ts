/** A dough in parts: each by the dough's name, told apart by what it is and what it is for. */
import { activeEvents, partOfBatch, type Batch } from '@harina/core'
import { capital } from './units.ts'

/** What a part is most often for. */
export const PART_FOR = ['the freezer', 'tomorrow', 'a friend'] as const

/** Which part it is; empty for a whole dough, and for what stayed of it. @example Capunti; for a friend; second part */
export function whichPart({ plan, events }: Batch): string {
  const part = partOfBatch(activeEvents(events))
  if (!part) return ''
  if (part.for) return `for ${part.for}`
  return plan.shape.id === plan.sheet.shape ? 'second part' : plan.shape.name
}

/** @example Half-and-half, for a friend */
export function batchTitle(batch: Batch): string {
  const part = whichPart(batch)
  return part ? `${batch.plan.sheet.name}, ${part}` : batch.plan.sheet.name
}

/** The same where there is little room: what tells it apart comes first. @example For a friend, Half-and-half */
export function titleInShort(batch: Batch): string {
  const part = whichPart(batch)
  return part ? `${capital(part)}, ${batch.plan.sheet.name}` : batch.plan.sheet.name
}
