import type { BatchSummary } from '@harina/core'
import { format } from 'date-fns'
import { verdictWords } from '../../ui/words.ts'

/** Every word asked for must stand somewhere in what a batch was, when, or what was said of it. */
export function findBatches(batches: readonly BatchSummary[], query: string): readonly BatchSummary[] {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length === 0) return batches
  return batches.filter(({ plan, state, lastFeel }) => {
    const text = [
      plan.sheet.name,
      plan.shape.name,
      plan.store?.name ?? '',
      ...plan.rows.map((row) => row.name),
      ...state.notes.map((note) => note.text),
      state.verdict ? verdictWords[state.verdict] : '',
      state.end?.how === 'abandoned' ? `given up ${state.end.reason}` : '',
      lastFeel ?? '',
      format(plan.at, 'd MMMM yyyy EEEE'),
    ]
      .join(' ')
      .toLowerCase()
    return words.every((word) => text.includes(word))
  })
}
