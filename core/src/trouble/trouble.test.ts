import { troubles } from '@harina/facts'
import { bowlOnRule, mainRest, planWindow, replay, planBatch, type BenchState } from '../bench/index.ts'
import type { BenchAction, BenchEvent, Plan } from '../model/index.ts'
import { computeSheet, type Kitchen } from '../sheet/index.ts'
import { testKitchen, testSheet } from '../testing/testKitchen.ts'
import { evidenceOf, remedyFor, weighedCauses } from './trouble.ts'

const worked = computeSheet(testSheet, testKitchen)
if (!worked.ok) throw new Error(worked.problem.code)
const plan = planBatch(worked.value, testKitchen, '2031-03-01T09:00:00+00:00', null)
const T0 = Date.parse(plan.at)
const after = (...actions: (BenchAction & { minute?: number })[]) =>
  replay(
    plan,
    actions.map(({ minute = 0, ...action }, index) => {
      const at = new Date(T0 + minute * 60_000).toISOString()
      return { ...action, id: `e${index}`, at } as BenchEvent
    }),
  )
const codes = (of: Plan, state: BenchState, nowMs: number) =>
  evidenceOf(of, state, nowMs, testKitchen).map(({ code }) => code)
const at = (minute: number) => T0 + minute * 60_000
const trouble = (id: string) => troubles.find((each) => each.id === id)!
const { totalG } = { totalG: plan.water.startG + plan.water.holdBackG }

it('an untouched batch shows nothing of its bowl', () => {
  expect(codes(plan, after(), at(0)).filter((code) => ['dry', 'wet', 'not-drunk'].includes(code))).toEqual([])
})

it('too little water is dry, too much is wet, and each lately poured has not drunk', () => {
  expect(codes(plan, after({ type: 'poured', grams: totalG * 0.7 }), at(60))).toContain('dry')
  expect(codes(plan, after({ type: 'poured', grams: totalG * 1.4 }), at(60))).toContain('wet')
  const lately = after({ type: 'poured', grams: totalG, minute: 30 })
  expect(codes(plan, lately, at(31))).toContain('not-drunk')
  expect(codes(plan, lately, at(31 + plan.minutes.drink))).not.toContain('not-drunk')
})

it('on a base the rule counts flour, so above it is stiff', () => {
  const flour = plan.rows.find((row) => row.part === 'flour')!
  // A third of flour on the potato.
  const onBase: Plan = {
    ...plan,
    control: { by: 'base', base: 'potato' },
    rows: [flour, { ...flour, key: 'potato', part: 'base', weighedG: flour.weighedG * 3 }],
  }
  const within = (low: number, high: number) => ({
    ...onBase,
    shape: { ...onBase.shape, window: { low, best: (low + high) / 2, high } },
  })
  expect(codes(within(5, 10), after(), at(60))).toContain('dry')
  expect(codes(within(60, 80), after(), at(60))).toContain('wet')
  expect(codes(within(30, 36), after(), at(60)).filter((code) => code === 'dry' || code === 'wet')).toEqual([])
})

it('kneaded and hardly rested; a hand that strays; alkali beyond the usual', () => {
  const kneaded = after(
    { type: 'step-done', step: 'knead' },
    { type: 'timer-started', timer: 'rest', minutes: 45, minute: 10 },
  )
  expect(codes(plan, kneaded, at(12))).toContain('no-rest')
  expect(codes(plan, kneaded, at(10 + mainRest(plan)!.low))).not.toContain('no-rest')
  const straying = after(
    ...[0.7, 1.4, 0.8, 1.3].map((times) => ({ type: 'sampled' as const, grams: plan.shape.pieceG * times })),
  )
  expect(codes(plan, straying, at(60))).toContain('uneven')
})

/** The plan with so much of an alkali on its flour. */
const withAlkali = (ingredient: string, percent: number): Plan => ({
  ...plan,
  rows: [...plan.rows, { ...plan.rows[0]!, key: 'alkali', ingredient, part: 'alkali', percent }],
})
/** A kitchen in which the dough takes 0.6 to 1.6 of it. */
const alkaline: Kitchen = {
  ...testKitchen,
  doughs: new Map(
    [...testKitchen.doughs].map(([id, dough]) => [id, { ...dough, alkaliPercent: { low: 0.6, best: 1, high: 1.6 } }]),
  ),
}
const ofAlkali = (of: Plan, kitchen: Kitchen = alkaline) =>
  evidenceOf(of, after(), at(0), kitchen).flatMap(({ code }) => (code.startsWith('alkali') ? [code] : []))

it('alkali is judged as sodium carbonate, against the dough’s own window; none is wanted in a dough without', () => {
  expect([0.5, 0.7, 1.5, 1.7].map((percent) => ofAlkali(withAlkali('carbonate', percent)))).toEqual([
    ['alkali-low'],
    [],
    [],
    ['alkali-high'],
  ])
  expect(ofAlkali(withAlkali('carbonate', 0.2), testKitchen)).toEqual(['alkali-high'])
  // Ten waters of crystal: 2.8 g of it are 1 g of carbonate. The table's own factor; unbaked soda is none at all.
  const kitchenTable = new Map(testKitchen.ingredients)
  const carbonate = kitchenTable.get('carbonate')!
  kitchenTable.set('crystals', { ...carbonate, id: 'crystals', carbonate: 0.37 })
  kitchenTable.set('soda', { ...carbonate, id: 'soda', carbonate: 0 })
  const found = (id: string, percent: number) =>
    evidenceOf(withAlkali(id, percent), after(), at(0), { ...alkaline, ingredients: kitchenTable }).filter(({ code }) =>
      code.startsWith('alkali'),
    )
  expect(found('crystals', 2.8)).toEqual([])
  expect(found('crystals', 1)).toMatchObject([{ code: 'alkali-low', by: expect.closeTo(0.37, 9) }])
  // No carbonate at all is less than this dough takes.
  expect(found('soda', 1)).toMatchObject([{ code: 'alkali-low', by: 0 }])
})

it('under a third of a point outside the window is no evidence; a point thirstier than its paper is a thirsty flour', () => {
  const state = after({ type: 'poured', grams: totalG })
  const reading = bowlOnRule(plan, state)
  const dryBy = (points: number) => {
    const { window } = plan.shape
    const low = window.low + (reading + points - planWindow(plan).low)
    const shifted = { ...plan, shape: { ...plan.shape, window: { low, best: low + 1, high: low + 9 } } }
    return codes(shifted, state, at(60)).includes('dry')
  }
  expect([dryBy(0.1), dryBy(0.7)]).toEqual([false, true])
  const thirsty = (points: number) =>
    codes({ ...plan, hydration: { ...plan.hydration, expected14: plan.hydration.paper14 + points } }, after(), at(0))
  expect(thirsty(0.9)).not.toContain('thirsty-flour')
  expect(thirsty(1.2)).toContain('thirsty-flour')
})

it('what the batch itself shows outweighs how usual a cause is: a rare one that is shown comes before the usual', () => {
  const cracks = {
    ...trouble('knead-cracks'),
    causes: [
      { cause: 'usual', likelihood: 'high' as const },
      { cause: 'rare', likelihood: 'low' as const, shownBy: ['no-rest' as const] },
    ],
  }
  expect(weighedCauses(cracks, [{ code: 'no-rest', by: 20 }]).map(({ cause }) => cause)).toEqual(['rare', 'usual'])
})

it('a remedy on a base brings flour without salt, for that is counted on what stays', () => {
  const onPotato: Plan = { ...plan, control: { by: 'base', base: 'potato' } }
  const wet = trouble('mix-wet-mass')
  expect(remedyFor(wet, onPotato, after())).toMatchObject({ what: 'flour', saltG: 0 })
  const { grams, saltG } = remedyFor(wet, plan, after())!
  // As weighed: 5 g of salt on 452 of flour.
  expect(saltG / grams).toBeCloseTo(5 / 452, 6)
})

it('what the batch shows comes first, and what the bowl denies comes last', () => {
  const cracks = trouble('knead-cracks')
  const plain = weighedCauses(cracks, []).map(({ cause }) => cause)
  expect(plain).toEqual(cracks.causes.map(({ cause }) => cause))
  const rest = weighedCauses(cracks, [{ code: 'no-rest', by: 20 }])
  expect(rest[0]).toMatchObject({ cause: 'No rest yet', shownBy: [{ code: 'no-rest', by: 20 }] })
  const wet = weighedCauses(cracks, [{ code: 'wet', by: 2 }])
  expect(wet.at(-1)).toMatchObject({ cause: 'One to three points short of water', against: true })
})

it('the remedy is in this bowl’s own grams, flour with its salt', () => {
  const flour = plan.rows.filter((row) => row.part === 'flour').reduce((sum, row) => sum + row.weighedG, 0)
  const state = after({ type: 'poured', grams: totalG })
  expect(remedyFor(trouble('mix-wet-mass'), plan, state)!.grams).toBeCloseTo((10 * flour) / 500, 6)
  expect(remedyFor(trouble('mix-dry-crumbs'), plan, state)).toMatchObject({ what: 'water', saltG: 0 })
  expect(remedyFor(trouble('rest-sour'), plan, state)).toBeNull()
})

it('every sign has causes, a test, something to do now and next time; evidence asked for is evidence there is', () => {
  expect(troubles.length).toBeGreaterThan(55)
  for (const { causes, test, now, next, add } of troubles) {
    for (const words of [test, now, next]) expect(words).toMatch(/[.:?]$/)
    expect(causes.length).toBeGreaterThan(0)
    if (add) expect(add.gPer500).toBeLessThanOrEqual(25)
  }
})
