import { defaultUnits, matchShape, type Problem, type Units } from '@harina/core'
import { doughs, shapes } from '@harina/facts'
import { counted, matchWords, measureWords, nameInUnits, problemWords, restSpanWords, worded } from './index.ts'

const shape = (id: string) => shapes.find((candidate) => candidate.id === id)!
const match = (id: string, hydration: number) => matchWords(matchShape(shape(id), doughs[0]!, hydration), false)

it.each([
  [{ code: 'empty' }, 'Type a number.'],
  [{ code: 'too-big', data: { limit: 20, unit: '%' } }, 'Give at most 20 %.'],
  [{ code: 'too-small', data: { limit: 0.5, unit: 'count' } }, 'Give at least 0.50.'],
  [
    { code: 'wrong-unit', data: { text: '°c', unit: 'g', reads: 'g, kg' } },
    '“°c” cannot be read here. This can: g, kg.',
  ],
  [{ code: 'flour-over-100' }, 'The flours share 100. Give 100 or less.'],
  [{ code: 'unknown-shape', data: { id: 'stars' } }, '“stars” is not in this Harina’s tables.'],
] as const)('%j in words', (wrong: Problem, words) => {
  expect(problemWords(wrong)).toContain(words)
})

it('a problem that only the port words still says what to do', () => {
  expect(problemWords({ code: 'rebase-impossible', data: { overG: 3 } })).toContain('Undo the last change')
})

it('says how a dough suits a shape, by how much and what will happen', () => {
  expect(match('one-dent-shells', 49)).toBe('Just where this shape likes it.')
  expect(match('one-dent-shells', 46.5)).toBe('Good, on the stiff side.')
  expect(match('one-dent-shells', 52)).toBe('Good, on the supple side.')
  expect(match('little-ears', 45.5)).toBe('1.5 points too stiff: it tears when it is turned over the thumb.')
  expect(match('ridged-pips', 54)).toBe('3.0 points too soft: it loses its ridges in the pot.')
  expect(match('hand-rolled-strand', 49)).toContain('Not a usual dough for it')
})

it('measures are what hands have', () => {
  expect(measureWords({ unit: 'teaspoon', count: 1 })).toBe('a level teaspoon')
  expect(measureWords({ unit: 'tablespoon', count: 3 })).toBe('3 level tablespoons')
  expect(measureWords({ unit: 'spray', count: 1 })).toBe('one spray')
  expect(measureWords({ unit: 'wet-hands', count: 1 })).toBe('wetted hands')
})

const imperial: Units = { ...defaultUnits, mass: 'oz', temperature: '°F', length: 'in' }

it.each([
  ['Dough, grams', 'g', 'Dough, ounces'],
  ['Grams of water poured', 'g', 'Ounces of water poured'],
  ['The jar weighs', 'g', 'The jar weighs, ounces'],
  ['Board length, millimetres', 'mm', 'Board length, inches'],
  ['Sea store, temperature', '°C', 'Sea store, temperature, degrees Fahrenheit'],
  ['Hydration, percent', '%', 'Hydration, percent'],
])('%s of %s is called %s by who weighs in ounces', (name, unit, told) => {
  expect(nameInUnits(name, unit, imperial)).toBe(told)
})

it('a limit is told in the unit the field is read in', () => {
  const said = (code: 'too-big' | 'too-small', data: { limit: number; unit: string }) =>
    problemWords({ code, data }, worded(imperial))
  expect(said('too-big', { limit: 283.495, unit: 'g' })).toBe('Give at most 10.00 oz.')
  expect(said('too-small', { limit: -20, unit: '°C' })).toBe('Give at least -4 °F.'.replace('-', '−'))
  expect(said('too-big', { limit: 3000, unit: 'mm' })).toBe('Give at most 118 in.')
})

it('one is not many, and a long rest is told in hours', () => {
  expect([counted(1, 'strand'), counted(2, 'strand'), counted(0, 'piece')]).toEqual([
    '1 strand',
    '2 strands',
    '0 pieces',
  ])
  expect([restSpanWords(30, 60), restSpanWords(60, 60), restSpanWords(480, 2160), restSpanWords(30, 120)]).toEqual([
    '30 to 60 minutes',
    '60 minutes',
    '8 to 36 hours',
    '30 minutes to 2 hours',
  ])
})
