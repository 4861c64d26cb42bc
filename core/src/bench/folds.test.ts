/** Layers double in two and treble in three, in any order. */
import { foldsDone, foldTick } from './folds.ts'

it.each([
  [[], 0, 1],
  [[2, 2], 2, 4],
  [[3, 3, 2], 3, 18],
  [[2, 3], 2, 6],
] as const)('%j: %d folds, %d layers', (told, folds, layers) => {
  const ticked = told.map((fold, index) => foldTick('fold', index + 1, fold))
  expect(foldsDone({ ticked: [...ticked].reverse() }, 'fold')).toEqual({ folds, layers })
})

it('another step’s folds, and one left out, do not count', () => {
  expect(foldsDone({ ticked: ['fold-2-1', 'fold-1', 'fold-3'] }, 'fold')).toEqual({ folds: 1, layers: 2 })
})
