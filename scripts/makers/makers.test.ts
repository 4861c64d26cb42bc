/** The trial of what is learned of a flour, small: `npm run makers` has it in full. */
import { withMachines } from '@harina/facts/testing'
import { random } from '../rooms/random.ts'
import { drawMaker, outcomeOf } from './trial.ts'

const kitchen = { ...withMachines, thirst: new Map() }

it('after six batches the seventh’s water is near what the maker would accept; one absurd recipe hardly moves it', () => {
  const all = Array.from({ length: 60 }, (_, n) =>
    outcomeOf(drawMaker(random(400 + n)), 'sw-hand', 'little-ears', kitchen, 500 + n),
  )
  const near = all.filter(({ error }) => Math.abs(error) <= 1.5)
  expect(near.length / all.length).toBeGreaterThanOrEqual(0.9)
  const moved = all.flatMap((each) => (each.moved === null ? [] : [Math.abs(each.moved)]))
  expect(moved.length).toBeGreaterThan(10)
  expect(moved.filter((points) => points >= 1).length / moved.length).toBeLessThan(0.1)
})
