import { readFileSync } from 'node:fs'
import { changes } from './changes.ts'

it('every change stands once where it is said to stand, and changes something', () => {
  const amiss = changes.filter(
    ({ file, from, to }) => from === to || readFileSync(file, 'utf8').split(from).length !== 2,
  )
  expect(amiss).toEqual([])
})
