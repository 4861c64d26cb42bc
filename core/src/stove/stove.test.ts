import { planBatch, replay, initialState, weighedFirst, firstG, waterTargets } from '../bench/index.ts'
import type { BenchEvent, Pot, Shape } from '../model/index.ts'
import { testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import { learntTimes } from './learnt.ts'
import { clockFor, cookedLike, onThePlate, potsOf, upTogether, USUAL_RING_KW, waterFor } from './stove.ts'

const worked = workSheet(testSheet)
const plan = planBatch(worked, testKitchen, '2031-03-01T09:00:00Z', null)
const { shape } = worked
const made = replay(
  plan,
  [
    ...weighedFirst(plan).map((row) => ({ type: 'weighed', row: row.key, grams: firstG(row) })),
    { type: 'poured', grams: waterTargets(plan, initialState).totalG },
  ].map((action, n) => ({ ...action, id: `e${n}`, at: '2031-03-01T09:10:00Z' }) as BenchEvent),
)
const kettle: Pot = { id: 'kettle', name: 'Kettle', holdsL: 12, ringKW: 3 }
const gear = { altitudeM: 0, tapC: 12 }
const fresh = { moisture: 0.35, finish: null }

describe('how long', () => {
  it('the table’s times stand for the listed piece at the sea', () => {
    const { span, tasteAtMin } = cookedLike(plan, shape, null, 0.35, 0)
    expect(span).toEqual([plan.minutes.cook[0], plan.minutes.cook[1]])
    expect(tasteAtMin).toBe(span[0])
  })

  it('height takes longer, frozen a minute or two, and a thicker dried piece with about the square of its thickness', () => {
    const at = (finish: 'dry' | 'freeze' | null, altitudeM: number, of: Shape = shape) =>
      cookedLike(plan, of, finish, 0.35, altitudeM).span
    expect(at(null, 2000)[0]).toBeGreaterThan(at(null, 0)[0] * 1.05)
    expect(at('freeze', 0)[1]).toBe(plan.minutes.cook[1] + 2)
    // Listed for walls half as thick, the same made piece is dried twice as thick.
    const thin: Shape = { ...shape, blank: { type: 'sheet', thicknessMm: 1, widthMm: 40, lengthMm: 40 }, wallMm: 1 }
    const thick = { ...plan, shape: { ...plan.shape, blank: { ...thin.blank, thicknessMm: 2 } } } as typeof plan
    const wall = { ...thin, wallMm: 2 }
    const usual = cookedLike({ ...thick, shape: { ...thick.shape, blank: thin.blank } }, thin, 'dry', 0.35, 0).span
    const doubled = cookedLike(thick, { ...wall, blank: thin.blank }, 'dry', 0.35, 0).span
    expect(doubled[0] / usual[0]).toBeGreaterThan(3)
    expect(doubled[0] / usual[0]).toBeLessThan(4.2)
  })
})

describe('in how much water', () => {
  it('a basket of the most that is told keeps the boil: it is back in a minute', () => {
    const first = waterFor(900, plan, fresh, kettle, gear)
    const again = waterFor(first.basketG, plan, fresh, kettle, gear)
    expect(again.turns === 1 ? again.minutesToReturn : again.minutesToReturn * again.turns).toBeCloseTo(1, 1)
    expect(first.minutesToBoil).toBeGreaterThan(10)
    expect(first.litres).toBeLessThanOrEqual(9)
    // Frozen takes more heat, dried less.
    const most = (finish: 'freeze' | 'dry') => waterFor(900, plan, { moisture: 0.35, finish }, kettle, gear).basketG
    expect(most('freeze')).toBeLessThan(first.basketG)
    expect(most('dry')).toBeGreaterThan(first.basketG)
  })

  it('a weak ring boils later and takes smaller baskets; one nobody has told is a usual one', () => {
    const weak = waterFor(900, plan, fresh, { ...kettle, ringKW: 1 }, gear)
    const strong = waterFor(900, plan, fresh, kettle, gear)
    expect(weak.minutesToBoil / strong.minutesToBoil).toBeCloseTo(3, 6)
    expect(strong.basketG / weak.basketG).toBeCloseTo(3, 6)
    const unsaid = waterFor(900, plan, fresh, { ...kettle, ringKW: null }, gear)
    expect(unsaid.basketG / weak.basketG).toBeCloseTo(USUAL_RING_KW, 6)
    expect(potsOf({ pots: [] })).toHaveLength(1)
    expect(potsOf({ pots: [{ ...kettle, holdsL: 5 }, kettle] })[0]!.holdsL).toBe(12)
  })
})

it('the plate has the salt of the water taken up and the dough’s own, dried in as much less', () => {
  const cooked = cookedLike(plan, shape, null, 0.35, 0)
  const plate = onThePlate(plan, made, cooked, null)!
  expect(plate.cookedG).toBeGreaterThan(120)
  expect(plate.saltG - plate.doughSaltG).toBeCloseTo(((plate.cookedG - 100) * plan.pot.saltGPerL) / 1000, 6)
  const dried = onThePlate(plan, made, cookedLike(plan, shape, 'dry', 0.35, 0), 'dry')!
  expect(dried.cookedG).toBeGreaterThan(plate.cookedG)
})

describe('several at once', () => {
  const baskets = [
    { id: 'short', span: [1, 3] as const },
    { id: 'long', span: [6, 8] as const },
  ]
  it('the longest goes in first, each so long before as it cooks and drains', () => {
    expect(upTogether(baskets)).toEqual([
      { id: 'long', minutes: 7, beforeMin: 7.5 },
      { id: 'short', minutes: 2, beforeMin: 2.5 },
    ])
  })
  it('a little early or late their clocks still end together; far off each keeps to its span', () => {
    const up = Date.parse('2031-03-01T12:00:00Z')
    const end = (span: readonly [number, number], nowMs: number) => nowMs + clockFor(span, up, nowMs) * 60_000
    expect(end([1, 3], up - 2.2 * 60_000)).toBeCloseTo(end([6, 8], up - 7.9 * 60_000), 6)
    expect(clockFor([1, 3], up, up - 60 * 60_000)).toBe(3)
    expect(clockFor([1, 3], up, up)).toBe(1)
  })
})

describe('what was cooked and good moves the table', () => {
  const told = (minutes: number, finish: 'dry' | null = null, of = shape.id) => ({
    shape: of,
    pot: { finish, cook: plan.minutes.cook, minutes },
  })
  const middle = (plan.minutes.cook[0] + plan.minutes.cook[1]) / 2

  it('few times little, more of them more; other shapes and dried ones not at all', () => {
    const one = learntTimes([told(middle * 1.2)], shape, null)
    const three = learntTimes([told(middle * 1.2), told(middle * 1.2), told(middle * 1.2)], shape, null)
    expect(one.factor).toBeGreaterThan(1.05)
    expect(three.factor).toBeGreaterThan(one.factor)
    expect(three.factor).toBeCloseTo(1.16, 1)
    expect(learntTimes([told(99, 'dry'), told(99, null, 'another')], shape, null)).toEqual({ factor: 1, n: 0 })
  })
})
