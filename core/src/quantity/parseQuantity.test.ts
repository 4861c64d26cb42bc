import fc from 'fast-check'
import { parseQuantity } from './parseQuantity.ts'

const anyMass = { min: 0, max: 1e6 }

it.each([
  ['452', 452],
  ['452 g', 452],
  ['0.45 kg', 450],
  ['0,45kg', 450],
  ['1 250', 1250],
  ['1 lb', 453.59237],
  ['.5', 0.5],
  ['0,125', 0.125],
])('reads "%s" as %d g', (text, expected) => {
  expect(parseQuantity(text, 'g', anyMass)).toEqual({ ok: true, value: expect.closeTo(expected, 6) })
})

it.each([
  ['', 'empty'],
  ['   ', 'empty'],
  ['flour', 'not-a-number'],
  ['NaN', 'not-a-number'],
  ['1,250', 'ambiguous-comma'],
  ['12 °C', 'wrong-unit'],
  ['4.5.6', 'wrong-unit'],
  ['-3', 'too-small'],
  ['99999999', 'too-big'],
])('says what is wrong with "%s": %s', (text, code) => {
  expect(parseQuantity(text, 'g', anyMass)).toMatchObject({ ok: false, problem: { code } })
})

it.each([
  ['2 cups', 300],
  ['0.5 cup', 75],
  ['500 ml', 300],
  ['1 tbsp', 9],
  ['2 tsp', 6],
  ['1.2 l', 720],
  ['250 g', 250],
])('%s of a flour at 0.6 g/ml, by a cup of 250 ml', (text, expected) => {
  const filled = { gPerMl: 0.6, cupMl: 250 }
  expect(parseQuantity(text, 'g', anyMass, { filled })).toEqual({ ok: true, value: expect.closeTo(expected, 6) })
})

it('a volume of nobody knows what is refused, and so is one where no mass is asked', () => {
  expect(parseQuantity('2 cups', 'g', anyMass)).toMatchObject({ problem: { code: 'wrong-unit' } })
  expect(parseQuantity('2 cups', 'mm', anyMass, { filled: { gPerMl: 1, cupMl: 250 } })).toMatchObject({
    problem: { code: 'wrong-unit' },
  })
})

it('reads back any number it could have printed', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 9_999_999 }), (tenths) => {
      const text = (tenths / 10).toFixed(1)
      expect(parseQuantity(`${text} g`, 'g', anyMass)).toEqual({ ok: true, value: Number(text) })
    }),
  )
})

it('never throws and never gives a number outside the range, whatever is typed', () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      const read = parseQuantity(text, '%', { min: 0, max: 200 })
      if (read.ok) expect(read.value >= 0 && read.value <= 200).toBe(true)
    }),
  )
})
