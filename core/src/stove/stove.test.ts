import fc from 'fast-check'
import { planBatch, replay, initialState, weighedFirst, firstG, waterTargets, type Timer } from '../bench/index.ts'
import type { BenchAction, BenchEvent, Finish, Plan, Pot, Shape } from '../model/index.ts'
import { testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import { learntTimes } from './learnt.ts'
import { cookingOf, timesOf } from './times.ts'
import {
  afterFloatOf,
  clockFor,
  dropAt,
  floated,
  inPot,
  lengthMin,
  turnOut,
  turnsOn,
  upTogether,
  type Load,
} from './together.ts'
import { onThePlate, potsOf, USUAL_RING_KW, waterFor } from './water.ts'

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

const pieceOf = (
  of: Plan,
  { blank, wallMm, section }: Shape,
  finish: Finish | null,
  moisture: number,
  altitudeM: number,
) => ({
  shape: { blank, wallMm, section },
  made: of.shape.blank,
  finish,
  moisture,
  altitudeM,
})
const times = (of: Plan, its: Shape, ...rest: [Finish | null, number, number]) =>
  timesOf(of, its, rest[0], cookingOf(pieceOf(of, its, ...rest)), { factor: 1 })

describe('how long', () => {
  it('the table’s times stand for the listed piece at the sea', () => {
    const { span, tasteAtMin } = times(plan, shape, null, 0.35, 0)
    expect(span).toEqual([plan.minutes.cook[0], plan.minutes.cook[1]])
    expect(tasteAtMin).toBe(span[0])
    // And while the piece is still being worked out.
    expect(timesOf(plan, shape, null, null, { factor: 1 }).span).toEqual(span)
    expect(timesOf(plan, shape, null, null, { factor: 1.1 }).span[0]).toBeCloseTo(1.1 * span[0], 9)
    expect(timesOf(plan, shape, null, null, { factor: 1.1 }).table).toEqual(span)
  })

  it('height takes longer, frozen a minute or two, and a thicker dried piece with about the square of its thickness', () => {
    const at = (finish: 'dry' | 'freeze' | null, altitudeM: number, of: Shape = shape) =>
      times(plan, of, finish, 0.35, altitudeM).span
    expect(at(null, 2000)[0]).toBeGreaterThan(at(null, 0)[0] * 1.05)
    expect(at('freeze', 0)[1]).toBe(plan.minutes.cook[1] + 2)
    // Listed for walls half as thick, the same made piece is dried twice as thick.
    const thin: Shape = { ...shape, blank: { type: 'sheet', thicknessMm: 1, widthMm: 40, lengthMm: 40 }, wallMm: 1 }
    const thick = { ...plan, shape: { ...plan.shape, blank: { ...thin.blank, thicknessMm: 2 } } } as typeof plan
    const wall = { ...thin, wallMm: 2 }
    const usual = times({ ...thick, shape: { ...thick.shape, blank: thin.blank } }, thin, 'dry', 0.125, 0).span
    const doubled = times(thick, { ...wall, blank: thin.blank }, 'dry', 0.125, 0).span
    expect(doubled[0] / usual[0]).toBeGreaterThan(3)
    expect(doubled[0] / usual[0]).toBeLessThan(4.2)
  })
})

describe('in how much water', () => {
  it('a basket of the most that is told keeps the boil: it is back in a minute', () => {
    const first = waterFor(900, plan.pot, fresh, kettle, gear)
    const again = waterFor(first.basketG, plan.pot, fresh, kettle, gear)
    expect(again.turns === 1 ? again.minutesToReturn : again.minutesToReturn * again.turns).toBeCloseTo(1, 1)
    expect(first.minutesToBoil).toBeGreaterThan(10)
    expect(first.litres).toBeLessThanOrEqual(9)
    // Frozen takes more heat, dried less.
    const most = (finish: 'freeze' | 'dry') =>
      waterFor(900, plan.pot, { moisture: finish === 'dry' ? 0.125 : 0.35, finish }, kettle, gear).basketG
    expect(most('freeze')).toBeLessThan(first.basketG)
    expect(most('dry')).toBeGreaterThan(first.basketG)
  })

  it('a weak ring boils later and takes smaller baskets; one nobody has told is a usual one', () => {
    const weak = waterFor(900, plan.pot, fresh, { ...kettle, ringKW: 1 }, gear)
    const strong = waterFor(900, plan.pot, fresh, kettle, gear)
    expect(weak.minutesToBoil / strong.minutesToBoil).toBeCloseTo(3, 6)
    expect(strong.basketG / weak.basketG).toBeCloseTo(3, 6)
    const unsaid = waterFor(900, plan.pot, fresh, { ...kettle, ringKW: null }, gear)
    expect(unsaid.basketG / weak.basketG).toBeCloseTo(USUAL_RING_KW, 6)
    expect(potsOf({ pots: [] })).toHaveLength(1)
    expect(potsOf({ pots: [{ ...kettle, holdsL: 5 }, kettle] })[0]!.holdsL).toBe(12)
  })
})

it('the plate has the salt of the water taken up and what stays of the dough’s own, dried in as much less', () => {
  const cooked = cookingOf(pieceOf(plan, shape, null, 0.35, 0))
  const plate = onThePlate(plan, made, cooked, null)!
  expect(plate.cookedG).toBeGreaterThan(120)
  const uptakeG = ((plate.cookedG - 100) * plan.pot.saltGPerL) / 1000
  // Of the dough's own, three to four fifths wash out.
  expect(plate.saltG[0]).toBeCloseTo(uptakeG + 0.2 * plate.doughSaltG, 6)
  expect(plate.saltG[1]).toBeCloseTo(uptakeG + 0.4 * plate.doughSaltG, 6)
  const dried = onThePlate(plan, made, cookingOf(pieceOf(plan, shape, 'dry', 0.125, 0)), 'dry')!
  expect(dried.cookedG).toBeGreaterThan(plate.cookedG)
})

describe('several at once', () => {
  const load = (span: readonly [number, number], turns = 1, returnMin = 1) => ({ span, turns, returnMin })
  const [short, long] = [load([1, 3]), load([6, 8])]
  const up = Date.parse('2031-03-01T12:00:00Z')

  it('the longest goes in first, each so long before as it cooks and drains, turn by turn', () => {
    expect(upTogether([short, long])).toEqual([
      { load: long, beforeMin: 7.5 },
      { load: short, beforeMin: 2.5 },
    ])
    const thrice = load([1, 3], 3, 1.5)
    expect(lengthMin(thrice)).toBeCloseTo(3 * 2 + 2 * 2 + 0.5, 9)
    expect(upTogether([long, thrice])[0]!.load).toBe(thrice)
  })

  it('a little early or late their clocks still end together; far off each keeps to its span', () => {
    const end = (of: Load, nowMs: number) => nowMs + clockFor(of, 1, up, nowMs) * 60_000
    expect(end(short, up - 2.2 * 60_000)).toBeCloseTo(end(long, up - 7.9 * 60_000), 6)
    expect(clockFor(short, 1, up, up - 60 * 60_000)).toBe(3)
    expect(clockFor(short, 1, up, up)).toBe(1)
  })

  it('turns that start a little off are evened out over those still to come, and the last is up in time', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: -0.3, max: 0.3, noNaN: true }),
        (turns, returnMin, offMin) => {
          const of = load([2, 4], turns, returnMin)
          let nowMs = dropAt(of, up) + offMin * 60_000
          for (let turn = 1; turn <= turns; turn += 1) {
            nowMs += clockFor(of, turn, up, nowMs) * 60_000 + 0.5 * 60_000
            if (turn < turns) nowMs += returnMin * 60_000
          }
          expect(Math.abs(nowMs - up)).toBeLessThan(1)
        },
      ),
    )
  })

  it('lie on a line one after the other, the last lifted half a minute before they are up', () => {
    const of = load([2, 4], 3, 1)
    const line = turnsOn(of, dropAt(of, up))
    expect(line.map(({ turn }) => turn)).toEqual([1, 2, 3])
    expect(line.at(-1)!.toMs).toBeCloseTo(up - 30_000, 0)
    expect((line[1]!.fromMs - line[0]!.toMs) / 60_000).toBeCloseTo(1.5, 6)
  })
})

describe('turn by turn', () => {
  const START = '2031-03-01T10:00:00+00:00'
  const timer: Timer = {
    startedAt: START,
    endsAtMs: Date.parse(START) + 180_000,
    minutes: 3,
    stage: 'running',
    name: null,
  }
  it('a turn that is out is ticked and its clock stopped; the next starts one of its own', () => {
    const events = (...actions: BenchAction[]) =>
      actions.map((action, n) => ({ ...action, id: `t${n}`, at: START }) as BenchEvent)
    const start: BenchAction = { type: 'timer-started', timer: 'cook', minutes: 3 }
    expect(inPot(replay(plan, []), 'cook')).toEqual({ turn: 1, clock: null })
    const out = replay(plan, events(start, ...turnOut('cook', 1)))
    expect(inPot(out, 'cook')).toEqual({ turn: 2, clock: null })
    const again = replay(plan, events(start, ...turnOut('cook', 1), start))
    expect(inPot(again, 'cook')).toMatchObject({ turn: 2, clock: { minutes: 3 } })
  })

  it('what floats is lifted so long after, counted from its rising; its clock still knows when it went in', () => {
    const nowMs = Date.parse(START) + 60_000
    const moved = replay(plan, [
      { id: 'a', at: START, type: 'timer-started', timer: 'cook', minutes: 3 },
      { ...floated('cook', timer, 0.5, nowMs), id: 'b', at: '2031-03-01T10:01:00+00:00' } as BenchEvent,
    ]).timers['cook']!
    expect(moved.endsAtMs).toBeCloseTo(nowMs + 30_000, 3)
    expect(moved.startedAt).toBe(START)
  })

  it('by the shape’s own while, by the school’s, at once, or not at all', () => {
    expect(afterFloatOf({}, { afterFloatMin: [0.5, 1] })).toBe(0.75)
    expect(afterFloatOf({}, {})).toBeNull()
    expect(afterFloatOf({ done: 'after' }, {})).toBeCloseTo(2 / 3, 9)
    expect(afterFloatOf({ done: 'float' }, { afterFloatMin: [0.5, 1] })).toBe(0)
    expect(afterFloatOf({ done: 'taste' }, { afterFloatMin: [0.5, 1] })).toBeNull()
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
