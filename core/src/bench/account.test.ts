import type { BenchAction, BenchEvent, Plan, PlannedStep } from '../model/index.ts'
import { testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import { doughLimits, lainUntil, leftAt, piecesLeftAt } from './account.ts'
import { keptUntil } from './kept.ts'
import { planBatch } from './planBatch.ts'
import { currentStep, replay } from './replay.ts'

const START = Date.parse('2031-03-01T08:00:00Z')
const at = (minutes: number) => new Date(START + minutes * 60_000).toISOString()
const plan = planBatch(workSheet(testSheet), testKitchen, at(0), null)

type Happens = readonly [minutes: number, action: BenchAction]
const eventsOf = (...happens: readonly Happens[]): BenchEvent[] =>
  happens.map(([minutes, action], n) => ({ ...action, id: `e${n}`, at: at(minutes) }) as BenchEvent)
const done = (step: string): BenchAction => ({ type: 'step-done', step })
const poured: Happens = [0, { type: 'poured', grams: 200 }]
const atMs = (minutes: number) => START + minutes * 60_000
const minutesOf = (of: Plan, events: readonly BenchEvent[], until: number) =>
  lainUntil(of, events, atMs(until)).map(({ minutes, temperatureC }) => [Math.round(minutes), temperatureC])

const rest: PlannedStep = { id: 'rest', kind: 'rest', of: 'dough', cold: true, low: 60, best: 720, high: 1440 }
const air: PlannedStep = {
  id: 'air',
  kind: 'air',
  minutes: [0, 30],
  keeps: {
    dough: { warmMin: 120, coldH: 48 },
    roomMin: 120,
    fridgeH: 48,
    freezerMonths: 3,
    driedMonths: 12,
    wet: [],
  },
}
const cook: PlannedStep = { id: 'cook', kind: 'cook', how: 'boil' }
const simple: Plan = {
  ...plan,
  roomC: 21,
  steps: [{ id: 'pour', kind: 'pour', how: 'rake', goes: [1] }, rest, air, cook],
}

it('counts from the first pour, and by where it stands: the bench, the fridge, the bench again', () => {
  const events = eventsOf(
    [-30, { type: 'weighed', row: plan.rows[0]!.key, grams: 400 }],
    poured,
    [20, done('pour')],
    [25, { type: 'timer-started', timer: 'rest', minutes: 720 }],
    [745, done('rest')],
  )
  const lain = minutesOf(simple, events, 765)
  const sum = (celsius: number) => lain.filter(([, at]) => at === celsius).reduce((all, [minutes]) => all + minutes!, 0)
  expect(sum(21)).toBe(45)
  expect(sum(4)).toBe(720)
  const { roomLeftMin, fridgeLeftH } = leftAt(simple, events, atMs(765))
  expect(roomLeftMin).toBeCloseTo(75, 6)
  expect(fridgeLeftH).toBeCloseTo(36, 6)
})

it('what is kept in the fridge is to be used by what its cold rest has left', () => {
  const events = eventsOf(
    poured,
    [10, done('pour')],
    [10, { type: 'timer-started', timer: 'rest', minutes: 2160 }],
    [2170, done('rest')],
    [2180, { type: 'finish-chosen', finish: 'hold' }],
    [2180, done('air')],
  )
  expect(keptUntil(simple, events)).toBeCloseTo(atMs(2180 + 12 * 60), -1)
  const late = eventsOf(
    poured,
    [10, done('pour')],
    [10, done('rest')],
    [200, { type: 'finish-chosen', finish: 'hold' }],
  )
  // Warm for longer than two hours: nothing is left of the fridge either.
  expect(keptUntil(simple, late)).toBe(atMs(200))
})

it('a pause at the bench counts; put away before the step at hand it lies cold until it is taken out', () => {
  const paused = eventsOf(
    poured,
    [5, done('pour')],
    [5, done('rest')],
    [10, { type: 'paused', why: '' }],
    [70, { type: 'resumed' }],
  )
  expect(leftAt(simple, paused, atMs(70)).roomLeftMin).toBeCloseTo(50, 6)
  const chilled = eventsOf(poured, [5, done('pour')], [5, done('rest')], [10, { type: 'chilled', minutes: 30 }])
  const left = leftAt(simple, chilled, atMs(10 + 600))
  expect(left.roomLeftMin).toBeCloseTo(110, 6)
  expect(left.fridgeLeftH).toBeCloseTo(38, 6)
})

it('a dough in the freezer stands still for weeks; its hours go on while it thaws in the fridge', () => {
  const frozen = eventsOf(
    poured,
    [5, done('pour')],
    [5, done('rest')],
    [10, { type: 'chilled', minutes: 60, thawH: 9 }],
  )
  expect(currentStep(simple, replay(simple, frozen))).toEqual({ id: 'thaw-1', kind: 'thaw', hours: 9 })
  expect(leftAt(simple, frozen, atMs(40_000))).toEqual(leftAt(simple, frozen, atMs(10)))
  const thawing = [
    ...frozen,
    ...eventsOf([40_000, { type: 'timer-started', timer: 'thaw-1', minutes: 540 }]).map((event) => ({
      ...event,
      id: 'out',
    })),
  ]
  const left = leftAt(simple, thawing, atMs(40_000 + 540))
  expect(left.fridgeLeftH).toBeCloseTo(48 - 9, 6)
  expect(left.roomLeftMin).toBeCloseTo(110, 6)
})

it('taken back, nothing was poured; frozen, nothing runs; an older plan goes by its pieces', () => {
  const undone: BenchEvent[] = [...eventsOf(poured), { id: 'u', at: at(60), type: 'undone', events: ['e0'] }]
  expect(lainUntil(simple, undone, atMs(90))).toEqual([])
  const frozen = eventsOf(
    poured,
    [5, done('pour')],
    [5, done('rest')],
    [20, { type: 'finish-chosen', finish: 'freeze' }],
    [20, done('air')],
  )
  expect(leftAt(simple, frozen, atMs(50_000)).roomLeftMin).toBeCloseTo(100, 6)
  const { dough: _, ...keeps } = air.keeps
  expect(doughLimits({ steps: [{ ...air, keeps: { ...keeps, roomMin: 60, fridgeH: 24 } }] })).toEqual({
    warmMin: 60,
    coldH: 24,
  })
  expect(doughLimits({ steps: [cook] })).toEqual({ warmMin: 120, coldH: 48 })
})

it('filled pieces have their own limit on top of the dough’s, and a hot bench halves both', () => {
  const filled: PlannedStep = { ...air, keeps: { ...air.keeps, roomMin: 60, fridgeH: 24 } }
  const at = (roomC: number) =>
    piecesLeftAt({ ...simple, roomC, steps: [...simple.steps.slice(0, 1), filled, cook] }, eventsOf(poured), atMs(0))
  expect(at(21)).toEqual({ roomLeftMin: 60, fridgeLeftH: 24 })
  expect(at(35)).toEqual({ roomLeftMin: 30, fridgeLeftH: 24 })
})
