import type { BatchSummary } from '@harina/core'
import { dayWords, verdictWords } from '../../words/index.ts'

/** Every word asked for must stand somewhere in what a batch was, when, or what was said of it. */
export function findBatches(batches: readonly BatchSummary[], query: string): readonly BatchSummary[] {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length === 0) return batches
  return batches.filter(({ name, shape, words: said, verdict, end, lastFeel, atMs }) => {
    const text = [
      name,
      shape,
      said,
      verdict ? verdictWords[verdict] : '',
      end === 'abandoned' ? 'given up' : '',
      lastFeel ?? '',
      dayWords(atMs),
    ]
      .join(' ')
      .toLowerCase()
    return words.every((word) => text.includes(word))
  })
}
