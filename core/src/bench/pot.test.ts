import { potTurns, waterOfPot } from './pot.ts'

const tenGrams = { litresPer100G: 1, saltGPerL: 10 }

it('what fits goes in at once, in whole litres, two at least; salt by the litre', () => {
  expect(potTurns(450, tenGrams, 8)).toMatchObject({ turns: 1, litres: 5, saltG: 50 })
  expect(potTurns(90, tenGrams, 8)).toMatchObject({ turns: 1, litres: 2, saltG: 20 })
})

it('no pot is filled over three quarters: more goes in equal turns', () => {
  expect(waterOfPot(8)).toBe(6)
  const { turns, eachG, litres } = potTurns(1300, tenGrams, 8)
  expect([turns, Math.round(eachG), litres]).toEqual([3, 433, 5])
  // A small pot: its water is what it may hold, whatever the dough would like.
  expect(potTurns(1300, tenGrams, 3)).toMatchObject({ turns: 6, litres: 2.25 })
  expect(potTurns(100, tenGrams, 2)).toMatchObject({ turns: 1, litres: 1.5 })
})

it('a pot that takes all of it takes it in one turn, and nothing at all in one', () => {
  expect(potTurns(600, tenGrams, 8)).toMatchObject({ potL: 8, turns: 1, litres: 6 })
  expect(potTurns(600, tenGrams, 12)).toMatchObject({ potL: 12, turns: 1 })
  expect(potTurns(0, tenGrams, 8)).toMatchObject({ turns: 1, eachG: 0 })
})
