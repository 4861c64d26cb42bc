import { readWorkspaceFile, summarise } from '@harina/core'
import sample from '@harina/core/fixtures/workspace-1.harina.json'
import { findBatches } from './findBatches.ts'

const read = readWorkspaceFile(JSON.stringify(sample))
if (!read.ok) throw new Error(read.problem.code)
const batches = read.value.batches.map(summarise)
const names = (query: string) => findBatches(batches, query).map(({ name }) => name)

it('an empty search finds all of them', () => expect(names('  ')).toHaveLength(2))

it.each([
  ['gale', ['Lamp-room semolina']],
  ['R-31', ['Stiff semolina']],
  ['malloreddus', ['Stiff semolina']],
  ['lamp POOR', ['Lamp-room semolina']],
  ['lamp excellent', []],
  ['october', ['Lamp-room semolina']],
])('“%s” looks in dough, flour, shape, words, verdict and date', (query, expected) => {
  expect(names(query)).toEqual(expected)
})
