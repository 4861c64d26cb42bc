import { testSheet } from '../testing/testKitchen.ts'
import { copiedFormula, findFormulas, keptFormula, type BookQuery } from './book.ts'
import { formulaSchema, MAX_VERSIONS, type Formula } from '../model/index.ts'

const at = (day: number) => `2031-10-${String(day).padStart(2, '0')}T09:00:00+00:00`
const newId = () => 'new'
const named = (name: string, part: Partial<Formula> = {}): Formula => ({
  ...keptFormula(null, { ...testSheet, name }, at(1), newId),
  id: name,
  ...part,
})
const everything: BookQuery = { words: '', family: null, shape: null, tag: null, archived: false }
const words = { familyOf: () => 'semolina', namesOf: () => 'Durum semolina, Little ears' }
const find = (book: readonly Formula[], query: Partial<BookQuery>) =>
  findFormulas(book, { ...everything, ...query }, words).map(({ id }) => id)

it('the first keeping begins an entry; the next turns what stood there into a version', () => {
  const first = keptFormula(null, testSheet, at(1), newId)
  expect(first).toMatchObject({ id: 'new', versions: [], createdAt: at(1), updatedAt: at(1) })
  const second = keptFormula(first, { ...testSheet, note: 'drier' }, at(2), newId)
  expect(second).toMatchObject({ id: 'new', createdAt: at(1), updatedAt: at(2), sheet: { note: 'drier' } })
  expect(second.versions).toEqual([{ at: at(1), sheet: testSheet }])
  expect(formulaSchema.safeParse(second).success).toBe(true)
})

it('the oldest version makes room', () => {
  let entry = keptFormula(null, testSheet, at(1), newId)
  for (let n = 1; n <= MAX_VERSIONS + 5; n += 1)
    entry = keptFormula(entry, { ...testSheet, note: String(n) }, at(2), newId)
  expect(entry.versions).toHaveLength(MAX_VERSIONS)
  expect(entry.versions.at(-1)!.sheet.note).toBe(String(MAX_VERSIONS + 4))
})

it('keeping a formula that was put away takes it out again', () => {
  expect(keptFormula(named('Old', { archived: true }), testSheet, at(3), newId).archived).toBe(false)
})

it('a copy has a name of its own, however often, and no history', () => {
  const entry = keptFormula(named('Stiff'), testSheet, at(2), newId)
  const name = (taken: readonly string[]) => copiedFormula(entry, taken, at(4), newId).sheet.name
  expect(name([])).toBe('Test dough, copy')
  expect(name(['Test dough, copy', 'Test dough, copy 2'])).toBe('Test dough, copy 3')
  expect(copiedFormula(entry, [], at(4), newId)).toMatchObject({ versions: [], createdAt: at(4), archived: false })
  const long = copiedFormula(named('x'.repeat(120)), [], at(4), newId)
  expect(formulaSchema.safeParse(long).success).toBe(true)
})

it('looks through names, notes, tags and what is in it; every word must be there', () => {
  const book = [named('Stiff'), named('Soft', { tags: ['weekday'] }), named('Away', { archived: true })]
  expect(find(book, {})).toEqual(['Soft', 'Stiff'])
  expect(find(book, { words: 'weekday' })).toEqual(['Soft'])
  expect(find(book, { words: 'little DURUM st' })).toEqual(['Stiff'])
  expect(find(book, { words: 'durum buckwheat' })).toEqual([])
  expect(find(book, { archived: true })).toEqual(['Away'])
  expect(find(book, { tag: 'weekday' })).toEqual(['Soft'])
  expect(find(book, { family: 'batter' })).toEqual([])
  expect(find(book, { shape: 'hollows' })).toEqual(['Soft', 'Stiff'])
})
