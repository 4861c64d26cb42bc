import { troubles } from '@harina/facts'
import { mainRest, replay, planBatch } from '../bench/index.ts'
import type { BenchAction, BenchEvent, Plan } from '../model/index.ts'
import { computeSheet } from '../sheet/index.ts'
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
const codes = (...args: Parameters<typeof evidenceOf>) => evidenceOf(...args).map(({ code }) => code)
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
  const strong = {
    ...plan,
    rows: [...plan.rows, { ...plan.rows[0]!, key: 'alkali', part: 'alkali' as const, percent: 2 }],
  }
  expect(codes(strong, after(), at(0))).toContain('alkali-high')
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
