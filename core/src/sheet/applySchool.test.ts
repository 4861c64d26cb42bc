import { setsFor, type School } from './school.ts'
import { doughTable } from '../model/index.ts'
import { potatoSheet, testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import type { Kitchen } from './kitchen.ts'
import { applySchool } from './applySchool.ts'

const schools: readonly School[] = [
  {
    id: 'salt',
    topic: 'Salt',
    question: 'Where?',
    families: ['semolina', 'gnocchi'],
    positions: [
      { id: 'none', name: 'none', stance: 'pot only', why: ['a'], sets: { saltPercent: { low: 0, best: 0, high: 0 } } },
      { id: 'much', name: 'much', stance: 'a lot', why: ['b'], sets: { saltPercent: { low: 2, best: 4, high: 6 } } },
    ],
  },
  {
    id: 'rest',
    topic: 'Rest',
    question: 'How long?',
    families: ['semolina'],
    positions: [
      { id: 'short', name: 'short', stance: 'soon', why: ['a'], sets: { rest: 'low' } },
      { id: 'long', name: 'long', stance: 'late', why: ['b'], sets: { rest: 'long' } },
      { id: 'cold', name: 'cold', stance: 'tomorrow', why: ['c'], sets: { rest: 'cold' } },
    ],
  },
  {
    id: 'heat',
    topic: 'Heat',
    question: 'How hot?',
    families: ['semolina'],
    positions: [
      {
        id: 'boiling',
        name: 'boiling',
        stance: 'at once',
        why: ['a'],
        sets: { waterC: { fromC: 90, toC: 100 }, holdBack: false },
      },
      {
        id: 'cool',
        name: 'cool',
        stance: 'slowly',
        why: ['b'],
        sets: { waterC: { fromC: 5, toC: 18 }, potSaltGPerL: 7 },
      },
    ],
  },
]
const hand = testKitchen.doughs.get('hand-dough')!
const kitchen: Kitchen = {
  ...testKitchen,
  schools,
  doughs: doughTable([
    testKitchen.doughs.get('potato-dough')!,
    {
      ...hand,
      waterC: [
        ...hand.waterC,
        { choice: 'cold', fromC: 8, toC: 14, why: 'slow' },
        { choice: 'boiling', fromC: 92, toC: 100, why: 'soft' },
      ],
    },
  ]),
}
const positions = Object.fromEntries(schools.flatMap(({ positions: each }) => each.map((one) => [one.id, one])))
const follow = (topic: string, position: string, sheet = testSheet) =>
  applySchool(workSheet(sheet, kitchen), topic, positions[position]!, kitchen)
const salts = (sheet: typeof testSheet) => sheet.rows.filter((row) => row.ingredient === 'salt')

it('a formula’s own choice comes before the maker’s; another family’s schools are nothing to it', () => {
  const maker = { salt: 'none', rest: 'long' }
  const { dough, shape } = workSheet(testSheet, kitchen)
  const sets = (made: Parameters<typeof setsFor>[1], ours: Record<string, string>, own = {}) =>
    setsFor(schools, made, ours, own)
  const none = { low: 0, best: 0, high: 0 }
  expect(sets({ dough, shape }, maker)).toEqual({ saltPercent: none, rest: 'long' })
  expect(sets({ dough, shape }, maker, { rest: 'cold' })).toEqual({ saltPercent: none, rest: 'cold' })
  expect(sets({ dough: { ...dough, family: 'alkaline' }, shape }, maker)).toEqual({})
  expect(sets({ dough, shape }, { salt: 'a school that is gone' })).toEqual({})
  // More salt than this dough takes is not for it, and sets nothing.
  expect(sets({ dough: { ...dough, saltPercent: { low: 0, best: 0.5, high: 1 } }, shape }, { salt: 'much' })).toEqual(
    {},
  )
})

it('salt in the pot alone takes the row out; a school that wants more than the dough takes is not for this dough', () => {
  expect(salts(follow('salt', 'none'))).toEqual([])
  expect(salts(follow('salt', 'much'))).toEqual(salts(testSheet))
  expect(salts(follow('salt', 'much', potatoSheet))).toEqual(salts(potatoSheet))
})

it('the choice is written down, so that the next reader knows why', () => {
  expect(follow('rest', 'cold').schools).toEqual({ rest: 'cold' })
})

it.each([
  ['short', 20, false],
  ['long', 120, false],
  ['cold', 12 * 60, true],
] as const)('%s rest', (position, least, cold) => {
  const { practice } = workSheet(follow('rest', position), kitchen)
  expect(practice.restCold).toBe(cold)
  expect(practice.restMin).toBeGreaterThanOrEqual(least)
})

it('hot water all at once holds nothing back; a heat of the formula’s own gives way to the school', () => {
  const warm = { ...testSheet, waterC: 44 }
  const hot = workSheet(follow('heat', 'boiling', warm), kitchen)
  expect(hot.practice.waterC).toBe(96)
  expect(hot.water).toMatchObject({ holdBackG: 0 })
  expect(hot.water.startG).toBe(hot.water.totalG)
  const cool = workSheet(follow('heat', 'cool', warm), kitchen)
  expect([cool.practice.waterC, cool.practice.potSaltGPerL]).toEqual([11, 7])
  expect(cool.water.holdBackG).toBeGreaterThan(0)
})

it('a heat the dough is not made with is not for it: its own is kept, and never one that the school does not mean', () => {
  const plain = { ...testKitchen, schools }
  const sheet = applySchool(workSheet(testSheet, plain), 'heat', positions['boiling']!, plain)
  expect(workSheet(sheet, plain).practice.waterC).toBe(21)
})

it('without a school the dough’s own table is followed', () => {
  const { practice } = workSheet(testSheet, kitchen)
  expect(practice).toMatchObject({ waterC: 21, restMin: 45, restCold: false, potSaltGPerL: 10 })
})
