/** What can be found and by which words: without accents, forgiving a slip of the finger, in whatever order. */
import { plainWords } from '@harina/core'
import MiniSearch from 'minisearch'

export interface Entry {
  readonly id: string
  readonly name: string
  /** Other words it is known by. */
  readonly words: string
  /** Comes before its likes: what one does most. 1 is as any. */
  readonly weight?: number
}

/** One slip in a word of four letters, two in one of eight or more; none in what is shorter. */
const slips = (term: string): number => (term.length < 4 ? 0 : term.length < 8 ? 1 : 2)

/** Answers with the entries that have every word, the likeliest first. */
export function finder<E extends Entry>(entries: readonly E[]): (query: string) => readonly E[] {
  const index = new MiniSearch<{ id: number; name: string; words: string }>({
    fields: ['name', 'words'],
    processTerm: (term) => plainWords(term).replace(/^['’]+|['’]+$/g, '') || null,
  })
  index.addAll(entries.map(({ name, words }, id) => ({ id, name, words })))
  return (query) => {
    if (!query.trim()) return entries
    const asked = (fuzzy: boolean) =>
      index.search(query, {
        combineWith: 'AND',
        prefix: true,
        fuzzy: fuzzy ? slips : false,
        boost: { name: 3 },
        boostDocument: (id) => entries[id as number]?.weight ?? 1,
      })
    // A word that is there as it is written needs no guessing.
    const exact = asked(false)
    return (exact.length > 0 ? exact : asked(true)).flatMap(({ id }) => entries[id as number] ?? [])
  }
}
