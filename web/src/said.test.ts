/**
 * @jest-environment node
 */
import list from '../../docs/words.json'
import type * as Words from './testing/said.tsx'
import type { Said } from './testing/said.tsx'

// A server draws without the checks of development, in a fifth of the time.
declare const process: { readonly env: Record<string, string | undefined> }
const { env } = process
const before = env['NODE_ENV']
env['NODE_ENV'] = 'production'
afterAll(() => {
  env['NODE_ENV'] = before
})

let said: readonly Said[]
let words: typeof Words
beforeAll(async () => {
  words = await import('./testing/said.tsx')
  said = [...words.everythingSaid(env['HEAVY'] === '1')]
}, 240_000)

/** Where it was said, to find it by. */
const faults = (wrong: (each: Said) => boolean): readonly string[] =>
  said
    .filter(wrong)
    .map(({ where, dough, shape, school, text }) => `${where}, ${dough.id} as ${shape.id} ${school}: ${text}`)
    .slice(0, 12)

it('everything said is in the list that a reviewer reads, and nothing else is (npm run words writes it)', () => {
  expect(words.sentences(said)).toEqual(list)
})

it('no figure of one is followed by a plural, nothing is told of nothing, and no sum shows through', () => {
  // What ends in s and is one: a dish, a loss, a glass, less.
  const one = /(?<![\d.,½]|to )\b1 (?!less|loss|mass|glass|press|across|crossways)[a-z]+(?<!s)s\b/
  expect(faults(({ text }) => one.test(text))).toEqual([])
  expect(
    faults(({ text }) => /(?<![\d.,])0 (g|mm|min|L|oz|litres|portions|pieces) (of|first|to)\b/.test(text)),
  ).toEqual([])
  expect(faults(({ text }) => /NaN|Infinity|undefined|null|\[object/.test(text))).toEqual([])
  expect(faults(({ text }) => /\b(It|They) the\b|\.\.|,,| ,|: \.|\(\)/.test(text.replace('…', '')))).toEqual([])
})

it('no sentence of another family: what springs, what is lifted, what is pressed', () => {
  const bodies = { batter: 'batter', gnocchi: 'base' } as const
  const springs = /springs? back|stretch/
  expect(
    faults(({ where, dough, text }) => where.startsWith('bench') && dough.control.by === 'base' && springs.test(text)),
  ).toEqual([])
  expect(
    faults(({ where, dough, text }) => where.startsWith('bench') && dough.family === 'batter' && springs.test(text)),
  ).toEqual([])
  const hands = /wrapped|heel of the hand|fistful|knead/i
  expect(
    faults(
      ({ where, dough, text }) => /feel|rest|knead|drop/.test(where) && dough.family === 'batter' && hands.test(text),
    ),
  ).toEqual([])
  expect(
    faults(({ where, dough, text }) => where === 'bench, feel' && dough.control.by === 'base' && /fistful/.test(text)),
  ).toEqual([])
  expect(faults(({ dough, text }) => !(dough.family in bodies) && /Lift the spoon|floured finger/.test(text))).toEqual(
    [],
  )
})

it('nothing is dissolved in the water that goes into the flour, and nothing is poured that is not there', () => {
  const inFlour = (how: readonly string[]) => how.some((line) => /salt (in|,).* flour|salted flour/i.test(line))
  expect(faults(({ dough, text }) => inFlour(dough.mixing) && /salt.*dissolved in it/i.test(text))).toEqual([])
  expect(faults(({ text }) => /(pour|hold|keep) 0 g/i.test(text))).toEqual([])
})

it('a default draws no caution of its own, but for what is handled with care or cannot be weighed', () => {
  const careful = /^Caution: (Alkali burns|Not for the drying rack|[\d.]+ g (on a|is too little))/
  expect(
    faults(
      ({ where, school, text }) =>
        where === 'formula' && school === '' && /^(Caution|Danger): /.test(text) && !careful.test(text),
    ),
  ).toEqual([])
})
