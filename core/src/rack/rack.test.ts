import fc from 'fast-check'
import { planBatch, replay, type RackTray } from '../bench/index.ts'
import type { BenchAction, BenchEvent, Spot, TrayLayout } from '../model/index.ts'
import { testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import { atMoistureG, dry, DRYING_MODEL } from '../transport/index.ts'
import { CRACKS_OVER, endsAt, forecastTray, LONGEST_H, requestOf } from './forecast.ts'
import { learntDrying } from './learnt.ts'
import { pieceBodyOf } from './piece.ts'
import { programmes, USUAL_LIMITS } from './programme.ts'

const samplePlan = planBatch(workSheet(testSheet), testKitchen, '2031-03-01T07:00:00Z', null)
const START_MS = Date.parse('2031-03-01T08:00:00Z')
const at = (hours: number) => new Date(START_MS + hours * 3_600_000).toISOString()
const lamp: Spot = { place: 'Lamp room', temperatureC: 27, rhPercent: 38, air: 'fan', cover: 'open' }
const store: Spot = { place: 'Sea store', temperatureC: 17, rhPercent: 81, air: 'still', cover: 'open' }
const layout: TrayLayout = {
  body: { geometry: 'slab', halfThicknessMm: 1 },
  moisture: 0.35,
  laid: 'spread',
  faces: 'both',
  spot: lamp,
}

type Happens = readonly [hours: number, action: BenchAction]
const laid = (more: Partial<Extract<BenchAction, { type: 'tray-laid' }>> = {}): Happens => [
  0,
  { type: 'tray-laid', tray: 't', name: 'Tray 1', grams: 600, trayG: 400, layout, ...more },
]
const eventsOf = (...happens: readonly Happens[]): BenchEvent[] =>
  happens.map(([hours, action], n) => ({ ...action, id: `e${n}`, at: at(hours) }) as BenchEvent)
const trays = (...happens: readonly Happens[]) => replay(samplePlan, eventsOf(...happens)).trays
const tray = (...happens: readonly Happens[]): RackTray => trays(laid(), ...happens)[0]!
const weigh = (hours: number, grams: number): Happens => [
  hours,
  { type: 'tray-weighed', tray: 't', grams: grams + 400 },
]
const trueGrams = (scaleD: number, hours: number) =>
  atMoistureG(
    600 * 0.65,
    dry(requestOf(tray(), { ...DRYING_MODEL, scaleD }), { sampleH: [hours], maxH: LONGEST_H }).samples[0]!.moisture,
  )
const now = (hours: number, of: RackTray) => forecastTray(of, Date.parse(at(hours)), 1)

describe('a tray as events', () => {
  it('is laid, moved, turned, weighed, packed; what was mistaken is put right or taken back', () => {
    const moved: Happens = [3, { type: 'tray-moved', tray: 't', spot: { ...lamp, cover: 'cloth' } }]
    const all = tray(moved, [4, { type: 'tray-turned', tray: 't' }], weigh(5, 520), [
      9,
      { type: 'tray-packed', tray: 't' },
    ])
    expect(all).toMatchObject({ startG: 600, trayG: 400, turnedAt: [at(4)], end: { how: 'packed', at: at(9) } })
    expect(all.spots.map(({ spot }) => spot.cover)).toEqual(['open', 'cloth'])
    expect(all.weighed).toMatchObject([{ at: at(5), grams: 520 }])
    const events = eventsOf(laid(), weigh(5, 520), weigh(6, 500))
    const put = { id: 'a', at: at(7), type: 'amended', of: 'e1', figure: 930 } as const
    const undo: BenchEvent = { id: 'u', at: at(8), type: 'undone', events: ['e2'] }
    expect(replay(samplePlan, [...events, put, undo]).trays[0]!.weighed.map(({ grams }) => grams)).toEqual([530])
  })

  it('what is packed is weighed no more, but may still be thrown away', () => {
    const packed: Happens = [9, { type: 'tray-packed', tray: 't' }]
    expect(tray(packed, weigh(10, 400)).weighed).toEqual([])
    expect(tray(packed, [20, { type: 'tray-thrown', tray: 't', why: 'Spots.' }]).end).toMatchObject({ how: 'thrown' })
  })

  it('of a tray that never was, lighter than its tray, or laid twice: nothing happens', () => {
    expect(trays([1, { type: 'tray-weighed', tray: 'other', grams: 500 }])).toEqual([])
    expect(tray([1, { type: 'tray-weighed', tray: 't', grams: 300 }]).weighed).toEqual([])
    expect(trays(laid(), laid({ grams: 50 }))).toMatchObject([{ startG: 600 }])
  })
})

describe('the forecast', () => {
  it('starts broad, and the scale narrows it: moisture by the grams, hours by the fit', () => {
    const before = now(2, tray())
    expect(before.fit).toBeNull()
    expect(before.low! / before.hoursToTarget!).toBeCloseTo(0.6, 9)
    expect(before.targetG).toBeCloseTo((600 * 0.65) / 0.875, 9)
    const weighed = [2, 5, 9].map((h) => weigh(h, trueGrams(0.7, h)))
    const after = now(9, tray(...weighed))
    expect(after.high! / after.low!).toBeLessThan(before.high! / before.low! / 1.5)
    expect(after.now.moisture).toBeCloseTo(1 - 390 / trueGrams(0.7, 9), 6)
    expect(after.hoursToTarget).toBeGreaterThan(before.hoursToTarget! * 1.2)
    // The band closes on what was weighed, and opens after it.
    const nearest = after.band.reduce((a, b) => (Math.abs(b.h - 9) < Math.abs(a.h - 9) ? b : a))
    expect(Math.abs(nearest.low - nearest.high)).toBeLessThan(2)
    expect(after.band.at(-1)!.h).toBeGreaterThan(after.hoursToTarget!)
  })

  it('asks for the next weighing soon enough to be of use, and for no more once it is dry', () => {
    const fresh = now(1, tray())
    expect(fresh.weighNextH).toBeGreaterThan(1.4)
    expect(fresh.weighNextH).toBeLessThan(fresh.hoursToTarget!)
    const done = now(60, tray(weigh(60, 444)))
    expect(done).toMatchObject({ isDry: true, weighNextH: null })
  })

  it('in the damp room it says never; moved upstairs it gets there', () => {
    const below = trays(laid({ layout: { ...layout, spot: store } }))[0]!
    expect(now(1, below)).toMatchObject({ hoursToTarget: null, weighNextH: null, drying: { never: true } })
    const up = replay(
      samplePlan,
      eventsOf(laid({ layout: { ...layout, spot: store } }), [24, { type: 'tray-moved', tray: 't', spot: lamp }]),
    ).trays[0]!
    expect(now(25, up).hoursToTarget).toBeGreaterThan(24)
  })

  it('a weighing below the dry matter is a slip, and not believed', () => {
    const slip = now(5, tray(weigh(5, 200)))
    expect(slip.fit).toBeNull()
    expect(slip.hoursToTarget).toBeCloseTo(now(5, tray()).hoursToTarget!, 6)
  })

  it('says when nests are turned and a closed tray turned over, once each', () => {
    const nests = trays(laid({ layout: { ...layout, laid: 'nests' } }))[0]!
    expect(now(0, nests).turnH).toHaveLength(2)
    const closed = { ...layout, faces: 'one' as const }
    const [flat] = trays(laid({ layout: closed }))
    const [turnH] = now(0, flat!).turnH
    const turned = trays(laid({ layout: closed }), [turnH!, { type: 'tray-turned', tray: 't' }])[0]!
    expect(now(turnH! + 1, turned).turnH).toEqual([])
    expect(now(0, turned).hoursToTarget).toBeLessThan(now(0, flat!).hoursToTarget!)
    expect(now(0, tray()).turnH).toEqual([])
  })

  it('practised at six hundred times the speed it is the same tray', () => {
    const quick = trays(laid({ pace: 600 }))[0]!
    const slow = now(10, tray())
    const fast = forecastTray(quick, START_MS + (10 * 3_600_000) / 600, 1)
    expect(fast.nowH).toBeCloseTo(10, 9)
    expect(fast.now.moisture).toBeCloseTo(slow.now.moisture, 9)
  })
})

it('earlier trays move the next, each as surely as it was weighed; none leaves the table', () => {
  const weighed = (hours: readonly number[]) => tray(...hours.map((h) => weigh(h, trueGrams(0.6, h))))
  expect(learntDrying([], 1)).toMatchObject({ factor: 1, n: 0 })
  expect(learntDrying([tray()], 1)).toMatchObject({ factor: 1, n: 0 })
  const one = learntDrying([weighed([3, 9])], 1)
  const three = learntDrying([weighed([3, 9]), weighed([4, 10]), weighed([2, 12])], 1)
  expect(one.factor).toBeLessThan(0.8)
  expect(three).toMatchObject({ n: 3 })
  expect(Math.abs(three.factor - 0.6)).toBeLessThan(Math.abs(one.factor - 0.6))
  expect(three.model.scaleD).toBe(three.factor)
})

it('thin walls lie open in a dry room and lag 17 points, too far; under a cloth 13, and seldom crack', () => {
  const lag = (cover: Spot['cover']) => {
    const thin = { ...layout, body: { geometry: 'slab', halfThicknessMm: 0.6 } as const, moisture: 0.32 }
    const [laidOut] = trays(laid({ layout: { ...thin, spot: { ...lamp, air: 'still', cover } } }))
    return now(0, laidOut!).drying.coreLagAt18!
  }
  expect(lag('open')).toBeCloseTo(0.167, 2)
  expect(lag('open')).toBeGreaterThan(CRACKS_OVER)
  expect(lag('cloth')).toBeLessThan(CRACKS_OVER)
})

it('rooms say whether they dry: yes, nearly never, never', () => {
  expect(endsAt(lamp).reaches).toBe('yes')
  expect(endsAt(store).reaches).toBe('never')
  expect(endsAt({ temperatureC: 22, rhPercent: 55 }).reaches).toBe('near')
})

it('a piece dries as a strand, a wall or a ball', () => {
  const of = (blank: Parameters<typeof pieceBodyOf>[0]['blank'], wallMm: number) => pieceBodyOf({ blank, wallMm })
  expect(of({ type: 'rope', diameterMm: 9, cutMm: 13 }, 2.6)).toEqual({ geometry: 'slab', halfThicknessMm: 1.3 })
  expect(of({ type: 'rope', diameterMm: 4, cutMm: 300 }, 4)).toEqual({ geometry: 'cylinder', halfThicknessMm: 2 })
  expect(of({ type: 'sheet', thicknessMm: 1.2, widthMm: 6, lengthMm: 250 }, 1.2).geometry).toBe('slab')
  const square = of({ type: 'sheet', thicknessMm: 2, widthMm: 2, lengthMm: 250 }, 2)
  expect(square.geometry).toBe('cylinder')
  expect(Math.PI * square.halfThicknessMm ** 2).toBeCloseTo(4, 9)
  const drop = of({ type: 'drop', holeMm: 6, lengthMm: 10, by: 'hole' }, 6)
  expect((4 / 3) * Math.PI * drop.halfThicknessMm ** 3).toBeCloseTo((Math.PI / 4) * 36 * 10, 6)
})

describe('the programme', () => {
  const places = fc
    .array(
      fc.record({
        temperatureC: fc.double({ min: 14, max: 34, noNaN: true }),
        rhPercent: fc.double({ min: 30, max: 85, noNaN: true }),
        air: fc.constantFrom('still', 'fan'),
      }),
      { minLength: 1, maxLength: 2 },
    )
    .map((rooms): Spot[] =>
      rooms.flatMap((room, n) =>
        (['open', 'cloth', 'box'] as const).map((cover) => ({ ...room, place: `Room ${n}`, cover })),
      ),
    )
  const bodies = fc.record({
    geometry: fc.constantFrom('slab', 'cylinder'),
    halfThicknessMm: fc.double({ min: 0.5, max: 2, noNaN: true }),
  })

  it('is never slower than the best room left as it is, and keeps its limits when it is followed', () => {
    fc.assert(
      fc.property(places, bodies, (spots, body) => {
        const { best, constant } = programmes({ layout: { ...layout, body }, spots, limits: USUAL_LIMITS })
        if (constant) expect(best!.hours).toBeLessThanOrEqual(constant.hours)
        if (!best) return
        const events = best.legs.map(({ fromH, spot }, n): Happens =>
          n === 0 ? laid({ layout: { ...layout, body, spot } }) : [fromH, { type: 'tray-moved', tray: 't', spot }],
        )
        const followed = now(0, trays(...events)[0]!)
        expect(followed.hoursToTarget).toBeCloseTo(best.hours, 1)
        expect(followed.drying.coreLagAt18 ?? 0).toBeLessThanOrEqual(USUAL_LIMITS.lagAt18 + 1e-3)
        expect(followed.drying.warmWetH).toBeLessThanOrEqual(USUAL_LIMITS.warmWetH + 0.05)
      }),
      { numRuns: 8 },
    )
  }, 60_000)

  it('where no room dries, there is none', () => {
    expect(programmes({ layout, spots: [store], limits: USUAL_LIMITS })).toEqual({ best: null, constant: null })
  })
})
