import fc from 'fast-check'
import { parseQuantity, readQuantity, type Unit } from './readQuantity.ts'
import { unitTables } from './unitTables.ts'

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
  ['4.5.6', 'not-a-number'],
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

/** What makers write, and what each means: in the stored unit, or null for what is refused. */
const written: readonly (readonly [Unit, string, number | null])[] = [
  // Fractions and mixed figures
  ['g', '1/2', 0.5],
  ['g', '½ kg', 500],
  ['g', '1 1/2 kg', 1500],
  ['g', '2½ kg', 2500],
  ['g', '1⁄2 kg', 500],
  ['g', '3 / 4 kg', 750],
  ['g', '1/0', null],
  ['g', '1/2/3', null],
  ['g', '1/2½', null],
  ['g', '1 3/2', null],
  ['g', '1.5 1/2', null],
  ['g', '½½', null],
  // One sum, product or quotient
  ['g', '12*2', 24],
  ['g', '3 x 225 g', 675],
  ['g', '3x225', 675],
  ['g', '225 g × 3', 675],
  ['g', '500 + 20', 520],
  ['g', '500 g + 20', 520],
  ['g', '1 kg + 20 g', 1020],
  ['g', '1 kg + 20', null],
  ['g', '900/4', 225],
  ['g', '900 g / 4', 225],
  ['g', '2 g x 3 g', null],
  ['g', '2 + 3 + 4', null],
  // A range, not a difference
  ['min', '8 - 10 min', null],
  ['g', '500-20', null],
  // Several units
  ['g', '1 lb 4 oz', 453.59237 * 1.25],
  ['g', '1 lb 4', 453.59237 * 1.25],
  ['g', '12 ounces', 12 * 28.349523125],
  ['g', '4 oz 1 lb', null],
  ['g', '1 lb 20 oz', null],
  ['mm', '5 ft 6 in', 1676.4],
  ['mm', `5'6"`, 1676.4],
  ['mm', `6'`, 1828.8],
  ['mm', '1 1/4 inches', 31.75],
  ['mm', '1/2 in', 12.7],
  ['mm', '1/2"', 12.7],
  ['mm', '2 m 5 cm', 2050],
  ['mm', '10 g', null],
  // Times
  ['min', '50 s', 50 / 60],
  ['min', '0:50', 50 / 60],
  ['min', '1:20:00', 80],
  ['min', '1:75', null],
  ['min', '1 h 20', 80],
  ['min', '1h20', 80],
  ['min', '1 hour and 20 minutes', 80],
  ['min', '1 h 80', null],
  ['min', '1 min 30', 1.5],
  ['min', 'half an hour', 30],
  ['min', 'an hour', 60],
  ['min', 'an hour and a half', 90],
  ['min', 'one and a half hours', 90],
  ['min', '2 and a half hours', 150],
  ['min', 'quarter of an hour', 15],
  // Temperatures
  ['°C', '−5 °C', -5],
  ['°C', '68 °F', 20],
  ['°C', '68 degrees Fahrenheit', 20],
  ['°C', '20°', 20],
  ['°C', '2 x 30 °F', null],
  // Words for numbers
  ['count', 'a dozen', 12],
  ['count', 'half a dozen', 6],
  ['count', 'two dozen', 24],
  ['count', '48 pieces', 48],
  ['count', 'half', 0.5],
  ['g', 'three quarters of a kilo', 750],
  ['g', 'three hundred grams', 300],
  ['g', 'a hundred and forty g', 140],
  ['min', 'forty five minutes', 45],
  ['g', 'a hundred grams', 100],
  ['count', 'twenty', 20],
  ['g', 'hundred', null],
  ['g', 'two thirds kg', (1000 * 2) / 3],
  ['g', '00 230', null],
  ['count', 'a', null],
  ['g', 'a kilo', 1000],
  ['g', 'of', null],
  // Decimal signs and thousands
  ['g', '1,250', null],
  ['g', '1,250.5', 1250.5],
  ['g', '1.250,5', 1250.5],
  ['g', '1 250,5 g', 1250.5],
  ['g', '1\u202f250', 1250],
  ['g', '1,250,000', 1_250_000],
  ['g', '12,34.5', null],
  ['g', '1 20', null],
  ['g', '12,5', 12.5],
  // What is left over, and what is no figure
  ['g', '12 g flour', null],
  ['g', '2 cups', null],
  ['g', '2 eggs', null],
  ['g', '--3', null],
  ['g', '1e3', null],
  ['g', 'Infinity', null],
  ['g', '٣ g', null],
  ['g', '9'.repeat(400), null],
  ['%', '10 percent', 10],
  ['%', '10 %%', null],
]

it.each(written)('%s: “%s” is %d', (unit, text, expected) => {
  const read = readQuantity(text, unit)
  if (expected === null) expect(read).toMatchObject({ ok: false, problem: { data: expect.anything() as object } })
  else expect(read).toEqual({ ok: true, value: expect.closeTo(expected, 6) })
})

it.each([
  ['1/2 cup', 75],
  ['1 1/2 tsp', 4.5],
  ['a cup and a half', 225],
  ['1 cup 2 tbsp', 168],
  ['¾ cup + 2 tbsp + 1 tsp', 133.5],
  ['2 tablespoons', 18],
  ['3 lemons', null],
])('%s of a flour at 0.6 g/ml, by a cup of 250 ml, is %d g', (text, expected) => {
  const read = readQuantity(text, 'g', { filled: { gPerMl: 0.6, cupMl: 250 } })
  if (expected !== null) expect(read).toEqual({ ok: true, value: expect.closeTo(expected, 6) })
  else
    expect(read).toMatchObject({
      problem: { code: 'wrong-unit', data: { text: 'lemons', reads: expect.stringContaining('cups') as string } },
    })
})

it.each([
  ['2 eggs', 100],
  ['an egg', 50],
  ['half a dozen eggs', 300],
  ['2 large eggs', null],
  ['2 eggs + 30 g', 130],
])('%s, where one is 50 g: %d g', (text, expected) => {
  const read = readQuantity(text, 'g', { each: { egg: 50 } })
  expect(read).toEqual(expected === null ? expect.objectContaining({ ok: false }) : { ok: true, value: expected })
})

it.each([
  ['×2', 500],
  ['*1.5', 375],
  ['x ½', 125],
  ['/4', 62.5],
  ['+10 %', 275],
  ['−10%', 225],
  ['+20', 20],
  ['/0', null],
  ['×2 g', null],
])('%s where 250 g stand is %d', (text, expected) => {
  const read = readQuantity(text, 'g', { from: 250 })
  expect(read).toEqual(expected === null ? expect.objectContaining({ ok: false }) : { ok: true, value: expected })
  if (text !== '+20') expect(readQuantity(text, 'g')).toMatchObject({ ok: false })
})

it('a bare figure is in the maker’s own unit, beside another too', () => {
  expect(readQuantity('1 1/2', 'g', { bare: 'oz' })).toMatchObject({ value: expect.closeTo(42.5243, 4) as number })
  expect(readQuantity('1 oz + 1', 'g', { bare: 'oz' })).toMatchObject({ value: expect.closeTo(56.699, 3) as number })
  expect(readQuantity('1 g + 1', 'g', { bare: 'oz' })).toMatchObject({ ok: false })
  expect(readQuantity('68', '°C', { bare: '°F' })).toMatchObject({ value: 20 })
})

const UNITS = Object.keys(unitTables) as Unit[]
const piece = fc.constantFrom(
  '1',
  '250',
  '1/2',
  '½',
  '1,5',
  ' ',
  'g',
  'kg',
  'cup',
  'eggs',
  '+',
  '×',
  '/',
  '-',
  'a',
  'dozen',
  'and',
  'half',
  'h',
  ':',
  '°',
  'F',
  '%',
  "'",
  '.',
  ',',
)

it('whatever is typed: no throw, a finite figure or a refusal; what is read is read the same with spaces around', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.array(piece, { maxLength: 8 }).map((all) => all.join('')),
      ),
      fc.constantFrom(...UNITS),
      (text, unit) => {
        const reading = { filled: { gPerMl: 0.6, cupMl: 250 }, each: { egg: 50 }, from: 7 }
        const read = readQuantity(text, unit, reading)
        if (read.ok) expect(Number.isFinite(read.value)).toBe(true)
        expect(readQuantity(`  ${text} `, unit, reading)).toEqual(read)
      },
    ),
  )
})

it('nothing is read in part: with a stray word after it, no quantity is one', () => {
  fc.assert(
    fc.property(fc.constantFrom(...written.filter(([, , value]) => value !== null)), ([unit, text]) => {
      expect(readQuantity(`${text} lemons`, unit)).toMatchObject({ ok: false })
      expect(readQuantity(`${text} 7 7`, unit)).toMatchObject({ ok: false })
    }),
  )
})
