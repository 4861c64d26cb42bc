import { unreadableSummary, type BatchSummary } from '@harina/core'
import { underTheirDough } from './parts.ts'

const summary = (id: string, atMs: number, more: Partial<BatchSummary> = {}): BatchSummary => ({
  ...unreadableSummary(id, id, atMs),
  end: 'closed',
  ...more,
})
const partOf = (batch: string, what: string | null = null): Pick<BatchSummary, 'part'> => ({
  part: { batch, for: what, grams: 100, finish: null },
})

const dough = summary('dough', 3)
const gift = summary('gift', 3, partOf('dough', 'a friend'))
const late = summary('late', 3, { ...partOf('gift'), verdict: 'good' })
const other = summary('other', 2, { verdict: 'fair' })
const lines = (found: readonly BatchSummary[], all = found) =>
  underTheirDough(found, all).map(({ batch, under, verdict }) => `${under ? '  ' : ''}${batch.id} ${verdict ?? '?'}`)

it('parts stand under their dough, wherever in the list they were, and one word counts for all', () => {
  expect(lines([gift, other, dough, late])).toEqual(['other fair', 'dough good', '  gift good', '  late good'])
})

it('a word of its own stays its own; the dough’s own word comes before that of a part', () => {
  const judged = { ...dough, verdict: 'poor' as const }
  expect(lines([judged, gift, late])).toEqual(['dough poor', '  gift poor', '  late good'])
})

it('a part that was searched for stands by itself, with the word of its dough; nothing is lost or told twice', () => {
  expect(lines([gift, other], [dough, gift, late, other])).toEqual(['gift good', 'other fair'])
})

it('parts that name each other in a circle, or a dough that is not there, are listed all the same', () => {
  const [a, b] = [summary('a', 1, partOf('b')), summary('b', 1, partOf('a'))]
  const lost = summary('lost', 1, partOf('nowhere'))
  const shown = underTheirDough([a, b, lost], [a, b, lost]).map(({ batch }) => batch.id)
  expect(shown).toHaveLength(3)
  expect([...shown].sort()).toEqual(['a', 'b', 'lost'])
})
