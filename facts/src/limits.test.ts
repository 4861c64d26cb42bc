/** How long doughs may lie: the worked cases, what is in the table, and no path that adds up to more than the strictest limit. */
import {
  leftOf,
  limitsOf,
  planSteps,
  spentBy,
  shapesFor,
  spoilageOf,
  startSheet,
  warmShare,
  type Ingredient,
  type Sheet,
} from '@harina/core'
import { calc } from '@harina/core/calc'
import cases from '../../core/vectors/limits.json' with { type: 'json' }
import { calcTables } from './calcTables.ts'
import { doughs, ingredients, shapes } from './index.ts'
import { rowChanges } from './testing/rowChanges.ts'
import { benchAt, wholeKitchen, work } from './testing/wholeKitchen.ts'

interface Case {
  readonly id: string
  readonly request: unknown
  readonly expect: Readonly<Record<string, number | boolean>>
}

it.each((cases as unknown as readonly Case[]).map((each) => [each.id, each] as const))(
  '%s',
  (_, { request, expect: wanted }) => {
    const answer = calc(request, calcTables)
    if (wanted['ok'] === false) return expect(answer.ok).toBe(false)
    if (!answer.ok) throw new Error(answer.error.message)
    for (const [key, value] of Object.entries(wanted)) {
      const found = (answer.result as Record<string, unknown>)[key]
      if (typeof value === 'number') expect(found).toBeCloseTo(value, 6)
      else expect(found).toBe(value)
    }
  },
)

it('what of the table spoils, and how soon', () => {
  const of = (wanted: string) => ingredients.filter((row) => spoilageOf(row) === wanted).map(({ id }) => id)
  expect(of('perishable')).toEqual(
    expect.arrayContaining([
      'milk-whole',
      'oat-drink',
      'soy-drink',
      'almond-drink',
      'squid-ink',
      'egg-whole',
      'tofu-firm',
      'chickpea-cooked-mashed',
      'quark',
    ]),
  )
  expect(of('moist')).toEqual(
    expect.arrayContaining([
      'chickpea-cooking-water',
      'vegetable-broth',
      'carrot-juice',
      'spinach-puree',
      'herbs-chopped',
    ]),
  )
  const dry = ingredients.filter(
    ({ group, water }: Ingredient) => group === 'flour' || group === 'salt' || water < 0.13,
  )
  expect(dry.filter((row) => spoilageOf(row) !== 'plain').map(({ id }) => id)).toEqual([])
})

describe('no rests of a plan add up to more than its dough may lie', () => {
  const rooms = [20, 29, 35]
  it.each(rooms)('at a bench of %i °C', (celsius) => {
    const kitchen = benchAt(wholeKitchen, celsius)
    const amiss = doughs.flatMap((dough) =>
      shapesFor(dough, shapes).flatMap((shape) => {
        const worked = work(startSheet(dough, shape, kitchen), kitchen)
        const { warmMin, coldH } = worked.keeping.dough
        const rests = planSteps(worked, kitchen).flatMap((step) => (step.kind === 'rest' ? [step] : []))
        // Each alone, at the longest that is offered; what they come to together is told at the bench.
        const over = rests.filter(({ cold, best, high }) =>
          cold ? best > coldH * 60 + 1e-6 : high > warmMin * warmShare(celsius) + 1e-6,
        )
        return over.length > 0
          ? [`${dough.id} as ${shape.id}: ${over.map(({ best, cold }) => `${best}${cold ? ' cold' : ''}`).join()}`]
          : []
      }),
    )
    expect(amiss).toEqual([])
  })
})

it('36 h of cold rest and 48 h of fridge are no two days', () => {
  const limits = limitsOf({ rows: ['plain'], carbonatePercent: 0, filled: false, scalded: false, potatoBase: false })
  const left = leftOf(spentBy([{ minutes: 36 * 60, temperatureC: 4 }], limits), limits, 20)
  expect(left.fridgeLeftH).toBeCloseTo(12, 9)
})

it('in a hot room a rest goes into the fridge where the dough bears it, and is no longer than the room allows where not', () => {
  const at = (id: string, celsius: number) => {
    const kitchen = benchAt(wholeKitchen, celsius)
    const dough = doughs.find((each) => each.id === id)!
    return work(startSheet(dough, shapesFor(dough, shapes)[0]!, kitchen), kitchen).practice
  }
  expect(at('salted-thick', 21)).toMatchObject({ restMin: 120, restCold: false })
  expect(at('salted-thick', 35)).toMatchObject({ restMin: 120, restCold: true })
  expect(at('sw-hand', 35)).toMatchObject({ restMin: 45, restCold: false })
})

it('a rest that this dough does not bear is not given, and it says what forbids it', () => {
  const cut = (id: string, part: Partial<Sheet>, celsius = 20, change: keyof typeof rowChanges = 'as started') => {
    const kitchen = benchAt(wholeKitchen, celsius)
    const dough = doughs.find((each) => each.id === id)!
    const sheet = rowChanges[change]!(startSheet(dough, shapesFor(dough, shapes)[0]!, kitchen))
    const { practice, notes } = work({ ...sheet, ...part }, kitchen)
    const note = notes.find(({ code }) => code === 'rest-cut')
    expect(note !== undefined).toBe(practice.restAsked !== null)
    return [practice.restAsked?.forbids ?? null, practice.restMin, practice.restCold]
  }
  const night = { schools: { rest: 'overnight' } }
  expect(cut('sw-hand', night)).toEqual([null, 720, true])
  // A night is eight hours at least, and none where the dough keeps for less.
  expect(cut('sw-crumb', night)).toEqual([null, 480, true])
  expect(cut('buckwheat-blend', night)).toEqual(['dough', 10, false])
  expect(cut('gn-potato', night)).toEqual(['dough', 5, false])
  expect(cut('sw-hand', { asRead: { restMin: 72 * 60 } })).toEqual(['dough', 36 * 60, true])
  expect(cut('alk-low', { asRead: { restMin: 48 * 60 } }, 20, 'milk')).toEqual(['contents', 24 * 60, true])
  expect(cut('salted-thick', {})).toEqual([null, 120, false])
  expect(cut('salted-thick', {}, 35)).toEqual(['heat', 120, true])
  expect(cut('salted-thick', {}, 20, 'milk')).toEqual(['contents', 60, false])
})

it('water is no hotter than it boils where the maker is', () => {
  const high = { ...wholeKitchen, gear: { ...wholeKitchen.gear, altitudeM: 2500 } }
  for (const dough of doughs) {
    const sheet = { ...startSheet(dough, shapesFor(dough, shapes)[0]!, high), waterC: 100 }
    expect(work(sheet, high).practice.waterC ?? 0).toBeLessThanOrEqual(92)
    expect(work(sheet, wholeKitchen).practice.waterC).toBe(100)
  }
})

it('fat shortens what is dried: by its own, and by oil', () => {
  const dough = doughs.find(({ id }) => id === 'sw-hand')!
  const sheet = startSheet(
    dough,
    shapes.find(({ id }) => id === 'little-ears')!,
    wholeKitchen,
  )
  const oil = (percent: number) => ({
    key: 'oil',
    ingredient: 'olive-oil',
    amount: { by: 'percent' as const, percent },
  })
  const months = (percent: number) =>
    work(percent === 0 ? sheet : { ...sheet, rows: [...sheet.rows, oil(percent)] }).keeping.driedMonths!
  expect(months(0)).toBeGreaterThan(6)
  expect(months(1)).toBe(6)
  expect(months(3)).toBe(3)
  // And it is said, before anybody hangs it up.
  const said = (percent: number) => work({ ...sheet, rows: [...sheet.rows, oil(percent)] }).keeping.rancid
  expect([said(0.01), said(1)]).toEqual([undefined, true])
})

it('the label’s salt is all sodium times 2.5, that of alkali and soda with it; potassium is told', () => {
  const dough = doughs.find(({ id }) => id === 'alk-low')!
  const sheet = startSheet(dough, shapesFor(dough, shapes)[0]!, wholeKitchen)
  const swapped = (ingredient: string) =>
    work({
      ...sheet,
      rows: sheet.rows.map((row) =>
        row.key === work(sheet).rows.find(({ part }) => part === 'alkali')!.key ? { ...row, ingredient } : row,
      ),
    })
  const [sodium, potassium] = [swapped('sodium-carbonate-anhydrous'), swapped('potassium-carbonate')]
  const alkaliG = sodium.rows.find(({ part }) => part === 'alkali')!.grams
  const saltG = sodium.batch.saltPercent * sodium.batch.flourG
  expect((sodium.balance.saltGPer100G * sodium.batch.doughG - saltG) / 100).toBeCloseTo(2.5 * 0.434 * alkaliG, 6)
  expect(sodium.balance.potassiumMgPer100G).toBe(0)
  expect(potassium.balance.potassiumMgPer100G).toBeGreaterThan(100)
  expect(potassium.balance.saltGPer100G).toBeLessThan(sodium.balance.saltGPer100G)
})
