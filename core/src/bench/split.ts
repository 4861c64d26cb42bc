/** A dough in two: the part carved off is a batch of its own, with all that happened before. */
import type { Batch, BenchEvent } from '../model/index.ts'
import { activeEvents } from './history.ts'

const NAME_MAX = 120
const SECOND = ', second part'

/**
 * The other batch that a `split` event of this one makes: the same from the same event, so that redo finds it again. Null
 * where the event is not one of the batch's.
 */
export function carvedOff(batch: Batch, splitId: string): Batch | null {
  const at = batch.events.findIndex((event) => event.id === splitId)
  const split = batch.events[at]
  if (split?.type !== 'split') return null
  const { sheet } = batch.plan
  const before = activeEvents(batch.events.slice(0, at)).filter(({ type }) => type !== 'amended')
  const events = [...before, { ...split, keeps: 1 - split.keeps, other: batch.id, part: 'taken' } as const].map(
    (event, index): BenchEvent => ({ ...event, id: `${split.other.slice(0, 40)}-${index + 1}` }),
  )
  const name = `${sheet.name.slice(0, NAME_MAX - SECOND.length)}${SECOND}`
  return { id: split.other, plan: { ...batch.plan, sheet: { ...sheet, name } }, events }
}
