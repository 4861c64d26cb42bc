import fc from 'fast-check'
import { planBatch, replay, type RackTray } from '../bench/index.ts'
import {
  asRead,
  DRIED_TO,
  usualCovers,
  type BenchAction,
  type BenchEvent,
  type Spot,
  type TrayLayout,
} from '../model/index.ts'
import { testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import { courseIn, gramsAt, USUAL_WORLD, worldOfRate } from '../transport/index.ts'
import { airsThrough, clockHour, endsAt, isNight, isOtherAir, LONGEST_H, overOf, spotsOf, untilChange } from './air.ts'
import { CRACKS_OVER, forecastTray, legsOf, onCurve, requestOf, risksOf, trayIn } from './forecast.ts'
import { learntDrying } from './learnt.ts'
import { otherwise, waysOtherwise } from './otherwise.ts'
import { dryingBodyOf, pieceBodyOf } from './piece.ts'
import { limitsFor, programmes, USUAL_LIMITS } from './programme.ts'
import { activityAt, moistureAt } from './target.ts'

const samplePlan = planBatch(workSheet(testSheet), testKitchen, '2031-03-01T07:00:00Z', null)
const START_MS = Date.parse('2031-03-01T08:00:00Z')
const at = (hours: number) => new Date(START_MS + hours * 3_600_000).toISOString()
const lamp: Spot = { place: 'Lamp room', temperatureC: 27, rhPercent: 38, air: 'fan', night: null, cover: null }
const store: Spot = { place: 'Sea store', temperatureC: 17, rhPercent: 81, air: 'still', night: null, cover: null }
const [cloth, box] = usualCovers.map(overOf) as [NonNullable<Spot['cover']>, NonNullable<Spot['cover']>]
const layout: TrayLayout = {
  body: { geometry: 'slab', halfThicknessMm: 1 },
  moisture: 0.35,
  laid: 'spread',
  faces: 'both',
  target: 0.125,
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
const trueGrams = (rate: number, hours: number) =>
  gramsAt(courseIn(requestOf(tray()), worldOfRate(rate), hours, hours), hours, 600)
const now = (hours: number, of: RackTray) => forecastTray(of, Date.parse(at(hours)), 1)

describe('a tray as events', () => {
  it('is laid, moved, turned, weighed, packed; what was mistaken is put right or taken back', () => {
    const moved: Happens = [3, { type: 'tray-moved', tray: 't', spot: { ...lamp, cover: cloth } }]
    const all = tray(moved, [4, { type: 'tray-turned', tray: 't' }], weigh(5, 520), [
      9,
      { type: 'tray-packed', tray: 't' },
    ])
    expect(all).toMatchObject({ startG: 600, trayG: 400, turnedAt: [at(4)], end: { how: 'packed', at: at(9) } })
    expect(all.spots.map(({ spot }) => spot.cover?.name ?? null)).toEqual([null, 'a cloth'])
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

it('a nest holds its damp air, layers more so; on a closed tray a round piece shows half of itself, a slab is twice as deep', () => {
  const exposed = (more: Partial<TrayLayout>) => {
    const { exposure, halfThicknessMm } = trayIn({ ...layout, ...more }, [])
    return [exposure, halfThicknessMm]
  }
  const rope = { geometry: 'cylinder', halfThicknessMm: 1 } as const
  expect(exposed({})).toEqual([1, 1])
  expect(exposed({ laid: 'nests' })).toEqual([0.035, 1])
  expect(exposed({ laid: 'layers' })).toEqual([0.025, 1])
  expect(exposed({ faces: 'one' })).toEqual([1, 2])
  expect(exposed({ faces: 'one', body: rope })).toEqual([0.5, 1])
  expect(exposed({ faces: 'one', body: rope, laid: 'nests' })).toEqual([0.0175, 1])
})

describe('the forecast', () => {
  it('starts broad, and the scale narrows it: moisture by the grams, hours by the fit', () => {
    const before = now(2, tray())
    expect(before.weighings).toBe(0)
    expect(before.low! / before.hoursToTarget!).toBeLessThan(0.65)
    expect(before.targetG).toBeCloseTo((600 * 0.65) / 0.875, 9)
    const weighed = [2, 5, 9].map((h) => weigh(h, trueGrams(0.7, h)))
    const after = now(9, tray(...weighed))
    expect(after.high! / after.low!).toBeLessThan(before.high! / before.low! / 1.4)
    expect(after.now.moisture).toBeCloseTo(1 - 390 / trueGrams(0.7, 9), 6)
    expect(after.hoursToTarget).toBeGreaterThan(before.hoursToTarget! * 1.15)
    // The band closes on what was weighed, and opens after it.
    const nearest = after.band.reduce((a, b) => (Math.abs(b.h - 9) < Math.abs(a.h - 9) ? b : a))
    expect(nearest.high - nearest.low).toBeLessThan(6)
    expect(after.band.at(-1)!.h).toBeGreaterThan(after.hoursToTarget!)
  })

  it('asks for the next weighing soon enough to be of use, and for no more once it is dry', () => {
    const fresh = now(1, tray())
    // Between a third and a half of the way a tray tells most of its end.
    const left = fresh.hoursToTarget! - 1
    expect(fresh.weighNextH).toBeGreaterThan(1 + left / 3)
    expect(fresh.weighNextH).toBeLessThan(1 + left / 2)
    const done = now(60, tray(weigh(60, 444)))
    expect(done).toMatchObject({ isDry: true, weighNextH: null })
    // 390 g of solids: 12.5 % at 445.7 g. Two grams above it is not there.
    expect(now(60, tray(weigh(60, 445.8))).isDry).toBe(true)
    expect(now(60, tray(weigh(60, 447.7)))).toMatchObject({ isDry: false, isDue: false })
    // The hour alone dries nothing: it asks for the scale.
    expect(now(60, tray())).toMatchObject({ isDry: false, isDue: true, weighNextH: null })
    expect(now(5, tray())).toMatchObject({ isDry: false, isDue: false })
  })

  it('for an hour after a weighing it is as wet as the scale said; then the fit speaks again', () => {
    // 390 g of solids in 480 g: 18.75 %, and the two weighings before do not lie on one curve with it.
    const weighed = tray(weigh(3, 580), weigh(6, 575), weigh(9, 480))
    expect(now(9.5, weighed).now.moisture).toBeCloseTo(0.1875, 9)
    expect(now(10.5, weighed).now.moisture).not.toBeCloseTo(0.1875, 2)
  })

  it('in the damp room it says never; moved upstairs it gets there', () => {
    const below = trays(laid({ layout: { ...layout, spot: store } }))[0]!
    expect(now(1, below)).toMatchObject({ hoursToTarget: null, weighNextH: null, reaches: 'never' })
    const up = replay(
      samplePlan,
      eventsOf(laid({ layout: { ...layout, spot: store } }), [24, { type: 'tray-moved', tray: 't', spot: lamp }]),
    ).trays[0]!
    expect(now(25, up).hoursToTarget).toBeGreaterThan(24)
  })

  it('a weighing below the dry matter is a slip, and not believed', () => {
    const slip = now(5, tray(weigh(5, 200)))
    expect(slip.weighings).toBe(0)
    expect(slip.hoursToTarget).toBeCloseTo(now(5, tray()).hoursToTarget!, 6)
  })

  it('says when nests are turned and a closed tray turned over, once each', () => {
    const nests = trays(laid({ layout: { ...layout, laid: 'nests' } }))[0]!
    const gone = (of: RackTray) => {
      const { curve, turnH } = now(0, of)
      return turnH.map((h) => (layout.moisture - onCurve(curve, 'moisture', h)) / (layout.moisture - 0.125))
    }
    // Of the water that has to go: a third, then two; half for what lies on a closed tray.
    expect(gone(nests).map((share) => Number(share.toFixed(3)))).toEqual([0.333, 0.667])
    const closed = { ...layout, faces: 'one' as const }
    const [flat] = trays(laid({ layout: closed }))
    const [turnH] = now(0, flat!).turnH
    expect(gone(flat!)[0]).toBeCloseTo(0.5, 3)
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
  expect(three.factor).toBeGreaterThan(0.55)
})

describe('cracks', () => {
  const open: Spot = { ...lamp, temperatureC: 20, rhPercent: 45, air: 'still' }
  const strain = (geometry: 'slab' | 'cylinder', thickMm: number, spot: Spot) => {
    const thin = { ...layout, body: { geometry, halfThicknessMm: thickMm / 2 }, moisture: 0.32 }
    return now(0, trays(laid({ layout: { ...thin, spot } }))[0]!).strain!
  }

  it('are feared of a thick wall more than of a thread in the same air', () => {
    for (const spot of [open, lamp])
      expect(strain('slab', 4, spot)).toBeGreaterThan(1.5 * strain('cylinder', 0.7, spot))
    expect(strain('slab', 4, open)).toBeGreaterThan(CRACKS_OVER)
  })

  it('are not feared of strands up to 2 mm on the usual open rack; a cover eases any', () => {
    for (const thickMm of [0.7, 1, 1.4, 1.7, 2]) {
      expect(strain('cylinder', thickMm, open)).toBeLessThan(CRACKS_OVER)
      expect(strain('cylinder', thickMm, { ...open, cover: box })).toBeLessThan(strain('cylinder', thickMm, open))
    }
  })
})

it('strands of 1 to 2 mm are dry within a day where they lie spread in a dry room, in nests after two to six days', () => {
  for (const thickMm of [1, 1.3, 1.7, 2])
    for (const [temperatureC, rhPercent] of [
      [20, 42],
      [22, 45],
    ] as const) {
      const hours = (laying: TrayLayout['laid']) =>
        now(
          0,
          trays(
            laid({
              layout: {
                ...layout,
                body: { geometry: 'cylinder', halfThicknessMm: thickMm / 2 },
                moisture: 0.32,
                laid: laying,
                spot: { ...lamp, temperatureC, rhPercent, air: 'still' },
              },
            }),
          )[0]!,
        ).hoursToTarget!
      expect(hours('spread')).toBeLessThan(26)
      expect(hours('nests')).toBeGreaterThan(40)
      expect(hours('nests')).toBeLessThan(144)
    }
})

it('rooms say whether they dry: yes, nearly never, never', () => {
  expect(endsAt(lamp).reaches).toBe('yes')
  expect(endsAt(store).reaches).toBe('never')
  // Near is within four points of humidity, which is what a damp day adds: never is from 57.3 % at 22 °C.
  const at22 = (rhPercent: number) => endsAt({ temperatureC: 22, rhPercent, night: null }).reaches
  expect([53, 54, 57, 58].map(at22)).toEqual(['yes', 'near', 'near', 'never'])
})

it('never is said only of air that somebody has read', () => {
  expect(endsAt({ ...store, guessed: true }).reaches).toBe('unread')
  expect(endsAt({ ...lamp, guessed: true }).reaches).toBe('yes')
  const read = asRead({ ...store, guessed: true as const }, { temperatureC: 17, rhPercent: 80 })
  expect(endsAt(read).reaches).toBe('never')
  expect(isOtherAir(asRead({ ...store, guessed: true as const }, store), { ...store, guessed: true })).toBe(true)
})

it('dry is where the maker wants it: a drier target takes longer, weighs less, and is out of reach of more rooms', () => {
  const to = (target: number) => now(0, trays(laid({ layout: { ...layout, target } }))[0]!)
  const [usual, drier] = [to(0.125), to(0.11)]
  expect(drier.hoursToTarget!).toBeGreaterThan(usual.hoursToTarget! * 1.05)
  expect(drier.targetG).toBeCloseTo((600 * 0.65) / 0.89, 6)
  const room = { temperatureC: 22, rhPercent: 50, night: null }
  expect([0.125, 0.11].map((target) => endsAt(room, target).reaches)).toEqual(['yes', 'never'])
  for (const activity of [0.4, 0.5, 0.6]) expect(activityAt(moistureAt(activity))).toBeCloseTo(activity, 9)
  expect(activityAt(DRIED_TO)).toBeLessThanOrEqual(0.605)
  expect(activityAt(0.125)).toBeCloseTo(0.565, 3)
  const [way] = [programmes({ layout: { ...layout, target: 0.11 }, spots: [lamp], limits: USUAL_LIMITS })]
  const nearer = programmes({ layout, spots: [lamp], limits: USUAL_LIMITS })
  expect(way.constant!.hours).toBeGreaterThan(nearer.constant!.hours)
})

describe('by day and by night', () => {
  const cool = { temperatureC: 15, rhPercent: 72 }
  it('the air changes at eight and at eight, wherever the tray was laid', () => {
    expect(clockHour('2031-03-01T07:30:00+02:00')).toBe(7.5)
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 24, noNaN: true }),
        fc.double({ min: 0, max: 300, noNaN: true }),
        (at0, h) => {
          const next = untilChange(h, at0)
          expect(next).toBeGreaterThan(0)
          expect(next).toBeLessThanOrEqual(12 + 1e-6)
          expect(isNight(h + next, at0)).not.toBe(isNight(h + next / 2, at0))
          expect((at0 + h + next) % 12).toBeCloseTo(8, 4)
        },
      ),
    )
  })

  it('one air at every hour: in order, each the night’s at night', () => {
    const legs = [
      { fromH: 0, spot: { ...lamp, night: cool } },
      { fromH: 30, spot: store },
      { fromH: 40, spot: { ...lamp, night: cool, cover: cloth } },
    ]
    const airs = airsThrough(legs, 9)
    expect(airs.map(({ fromH }) => fromH).slice(0, 6)).toEqual([0, 11, 23, 30, 40, 47])
    expect(airs.map(({ temperatureC }) => temperatureC).slice(0, 6)).toEqual([27, 15, 27, 17, 15, 27])
    expect(airs.every(({ fromH }, n) => n === 0 || fromH > airs[n - 1]!.fromH)).toBe(true)
    expect(airs.at(-1)!.fromH).toBeGreaterThan(LONGEST_H - 13)
    // Of two moves at once the last counts.
    expect(airsThrough([legs[0]!, { fromH: 0, spot: store }], 9)).toMatchObject([{ fromH: 0, temperatureC: 17 }])
  })

  it('a night like the day changes nothing; a cool damp one takes longer, and is still no never', () => {
    const hours = (night: Spot['night'], of = lamp) =>
      now(0, trays(laid({ layout: { ...layout, spot: { ...of, night } } }))[0]!)
    const { temperatureC, rhPercent } = lamp
    const even = hours(null).hoursToTarget!
    expect(hours({ temperatureC, rhPercent }).hoursToTarget! / even).toBeCloseTo(1, 2)
    expect(hours(cool).hoursToTarget!).toBeGreaterThan(even * 1.05)
    const damp = hours({ temperatureC: 17, rhPercent: 85 }, store)
    expect(damp.reaches).toBe('never')
    expect(damp.endsAt).toBeCloseTo(endsAt({ ...store, night: { temperatureC: 17, rhPercent: 85 } }).moisture, 9)
    expect(endsAt({ ...lamp, night: { temperatureC: 17, rhPercent: 85 } }).reaches).toBe('near')
  })

  it('a kitchen has each room open and under each cover, and a fan can be off', () => {
    const room = { id: 'r', name: 'Room', temperatureC: 20, rhPercent: 50, air: 'fan', night: null } as const
    const ways = spotsOf({ places: [room, { ...room, name: 'Still', air: 'still' }], covers: [...usualCovers] })
    expect(ways.map(({ place, air, cover }) => [place, air, cover?.name ?? ''].join(' '))).toEqual([
      'Room fan ',
      'Room fan a cloth',
      'Room fan a box with its lid',
      'Room still ',
      'Still still ',
      'Still still a cloth',
      'Still still a box with its lid',
    ])
  })
})

it('a room has another air once a tray would feel it, by day or by night', () => {
  const cool = { temperatureC: 16, rhPercent: 70 }
  const spot = { temperatureC: 22, rhPercent: 50, night: cool }
  const isOther = (change: object) => isOtherAir({ ...spot, ...change }, spot)
  expect(
    [{}, { temperatureC: 22.9 }, { rhPercent: 52.9 }, { night: { ...cool, rhPercent: 72.9 } }].map(isOther),
  ).toEqual([false, false, false, false])
  expect(
    [{ temperatureC: 21 }, { rhPercent: 53 }, { night: { ...cool, temperatureC: 17 } }, { night: null }].map(isOther),
  ).toEqual([true, true, true, true])
})

describe('a piece', () => {
  const shapes = [...testKitchen.shapes.values()]

  it('is the wall, the strand or the ball that the table says it is', () => {
    for (const shape of shapes) {
      const { geometry, halfThicknessMm } = pieceBodyOf(shape)
      const isStrip = shape.blank.type === 'sheet' || shape.blank.type === 'die'
      if (shape.section === 'tube') expect(geometry).toBe('slab')
      else if (geometry !== shape.section)
        expect([geometry, shape.section, isStrip]).toEqual(['cylinder', 'slab', true])
      if (shape.blank.type === 'drop' && shape.section === 'sphere') continue
      expect(2 * halfThicknessMm).toBeLessThanOrEqual(2 * shape.wallMm)
    }
  })

  it('a narrow strip is a strand of as much section; a drop is a ball of its dough', () => {
    const square = {
      blank: { type: 'sheet', thicknessMm: 2, widthMm: 2, lengthMm: 250 },
      wallMm: 2,
      section: 'slab',
    } as const
    expect(pieceBodyOf(square).geometry).toBe('cylinder')
    expect(Math.PI * pieceBodyOf(square).halfThicknessMm ** 2).toBeCloseTo(4, 9)
    const drop = { blank: { type: 'drop', holeMm: 6, lengthMm: 10, by: 'hole' }, wallMm: 6, section: 'sphere' } as const
    expect((4 / 3) * Math.PI * pieceBodyOf(drop).halfThicknessMm ** 3).toBeCloseTo((Math.PI / 4) * 36 * 10, 6)
  })

  it('with a long bore dries from outside alone: slower than a solid strand of its wall', () => {
    const long = {
      blank: { type: 'die', section: 'tube', outerMm: 3, innerMm: 1.2, openAreaMm2: 5.94, swell: 1.06, cutMm: 260 },
      wallMm: 0.95,
      section: 'tube',
      form: { kind: 'hank', lengthMm: 260, widthMm: 3.2, strands: 9 },
    } as const
    const ring = { ...long, wallMm: 1.25, form: { kind: 'tube', lengthMm: 2.4, widthMm: 10.5 } } as const
    expect(dryingBodyOf(long)).toEqual({ geometry: 'slab', halfThicknessMm: 0.95 })
    expect(pieceBodyOf(long)).toEqual({ geometry: 'slab', halfThicknessMm: 0.475 })
    expect(dryingBodyOf(ring)).toEqual(pieceBodyOf(ring))
    const hours = (body: TrayLayout['body']) => now(0, trays(laid({ layout: { ...layout, body } }))[0]!).hoursToTarget!
    expect(hours(dryingBodyOf(long))).toBeGreaterThan(hours({ geometry: 'cylinder', halfThicknessMm: 0.475 }))
  })
})

describe('the programme', () => {
  const places = fc
    .array(
      fc.record({
        temperatureC: fc.double({ min: 14, max: 34, noNaN: true }),
        rhPercent: fc.double({ min: 30, max: 85, noNaN: true }),
        air: fc.constantFrom('still', 'fan'),
        night: fc.option(
          fc.record({
            temperatureC: fc.double({ min: 8, max: 24, noNaN: true }),
            rhPercent: fc.double({ min: 40, max: 90, noNaN: true }),
          }),
          { freq: 2 },
        ),
      }),
      { minLength: 1, maxLength: 2 },
    )
    .map((rooms): Spot[] =>
      rooms.flatMap((room, n) => [null, cloth, box].map((cover) => ({ ...room, place: `Room ${n}`, cover }))),
    )
  const bodies = fc.record({
    geometry: fc.constantFrom('slab', 'cylinder'),
    halfThicknessMm: fc.double({ min: 0.5, max: 2, noNaN: true }),
  })

  it('is never slower than the best room left as it is, and keeps its limits when it is followed', () => {
    fc.assert(
      fc.property(places, bodies, (spots, body) => {
        const { best, constant } = programmes({
          layout: { ...layout, body },
          spots,
          limits: USUAL_LIMITS,
          startsAt: clockHour(at(0)),
        })
        if (constant) expect(best!.hours).toBeLessThanOrEqual(constant.hours)
        if (!best) return
        const events = best.legs.map(({ fromH, spot }, n): Happens =>
          n === 0 ? laid({ layout: { ...layout, body, spot } }) : [fromH, { type: 'tray-moved', tray: 't', spot }],
        )
        const request = requestOf(trays(...events)[0]!)
        const followed = courseIn(request, USUAL_WORLD, 0, LONGEST_H)
        expect(Math.abs(followed.hoursToTarget! / best.hours - 1)).toBeLessThan(0.001)
        expect(risksOf(request, followed).strain ?? 0).toBeLessThanOrEqual(USUAL_LIMITS.strain + 1e-3)
        expect(followed.growthH).toBeLessThanOrEqual(USUAL_LIMITS.growthH + 0.05)
      }),
      // To look for the least that fails would take minutes.
      { numRuns: 8, endOnFailure: true },
    )
  }, 60_000)

  it('goes on from what the tray is by now: through where it stood, its hours counted from its start', () => {
    const here = tray(weigh(2, trueGrams(1, 2)))
    const { hoursToTarget, world } = now(3, here)
    const ask = (nowH: number) =>
      programmes({
        layout,
        spots: [lamp, { ...lamp, cover: cloth }, store],
        limits: { strain: 9, growthH: 1000 },
        world,
        soFar: { legs: legsOf(here), turnsH: [], nowH },
      })
    const { best, constant } = ask(3)
    expect(best!.legs[0]!.fromH).toBe(3)
    expect(best!.hours / hoursToTarget!).toBeCloseTo(1, 1)
    expect(constant!.hours).toBeCloseTo(best!.hours, 1)
    // What a tray has lost of its limits already forbids nothing of what is left.
    const late = programmes({
      layout,
      spots: [lamp],
      limits: { strain: 9, growthH: 0.5 },
      soFar: { legs: legsOf(here), turnsH: [], nowH: 20 },
    })
    expect(late.best).not.toBeNull()
  })

  it('comes to an end through any nights, in rooms that never dry it too', () => {
    const damp: Spot = { ...store, night: { temperatureC: 11.3, rhPercent: 88 } }
    const mild: Spot = { ...lamp, air: 'still', rhPercent: 52.7, night: { temperatureC: 13.1, rhPercent: 71.9 } }
    const spots = [damp, mild, { ...mild, cover: cloth }, { ...mild, cover: box }]
    const { best } = programmes({ layout, spots, limits: { strain: 9, growthH: 5000 }, startsAt: 9.3 })
    expect(best === null || best.hours <= LONGEST_H).toBe(true)
    expect(programmes({ layout, spots: [damp], limits: USUAL_LIMITS }).best).toBeNull()
  })

  it('where no room dries, there is none', () => {
    expect(programmes({ layout, spots: [store], limits: USUAL_LIMITS })).toEqual({ best: null, constant: null })
  })
})

describe('otherwise', () => {
  const kitchen = {
    places: [
      { id: 'lamp', name: 'Lamp room', temperatureC: 27, rhPercent: 38, air: 'fan', night: null },
      { id: 'sea', name: 'Sea store', temperatureC: 17, rhPercent: 81, air: 'still', night: null },
    ] as const,
    covers: usualCovers.map((cover, n) => ({ ...cover, id: `c${n}` })),
  }
  const ways = (of: TrayLayout) => waysOtherwise(of, { places: [...kitchen.places], covers: [...kitchen.covers] })
  const layouts = fc.record({
    laid: fc.constantFrom('spread' as const, 'nests' as const, 'layers' as const),
    moisture: fc.double({ min: 0.005, max: 0.5, noNaN: true }),
    spot: fc.constantFrom(lamp, store, { ...lamp, cover: cloth }, { ...store, air: 'cabinet' as const, cover: box }),
  })

  it('whatever is offered changes one thing about the tray, and is offered once', () => {
    fc.assert(
      fc.property(layouts, (part) => {
        const tray: TrayLayout = { ...layout, ...part }
        const offered = ways(tray)
        expect(new Set(offered.map(({ id }) => id)).size).toBe(offered.length)
        for (const way of offered) {
          const then = otherwise(tray, way)
          const changed = (['body', 'moisture', 'laid', 'faces', 'spot'] as const).filter(
            (key) => JSON.stringify(then[key]) !== JSON.stringify(tray[key]),
          )
          expect([way.is, changed.length]).toEqual([way.is, 1])
          expect(then.moisture).toBeGreaterThan(0)
        }
      }),
    )
  })

  it('a fan where there is none and off where there is one; a fifth thinner; two points drier; the cover comes along', () => {
    const by = (of: TrayLayout) => new Map(ways(of).map((way) => [way.id, otherwise(of, way)]))
    const open = by(layout)
    expect([...open.keys()]).toEqual(['still', 'c0', 'c1', 'sea', 'thinner', 'drier'])
    expect(open.get('still')!.spot.air).toBe('still')
    expect(open.get('thinner')!.body.halfThicknessMm).toBeCloseTo(0.8)
    expect(open.get('drier')!.moisture).toBeCloseTo(0.33)
    const covered = by({ ...layout, laid: 'nests', spot: { ...store, cover: cloth } })
    expect([...covered.keys()]).toEqual(['fan', 'open', 'c1', 'lamp', 'thinner', 'drier', 'spread'])
    expect(covered.get('lamp')!.spot).toMatchObject({ place: 'Lamp room', air: 'fan', cover: { name: 'a cloth' } })
    expect(covered.get('open')!.spot.cover).toBeNull()
  })
})

it('over two days at 20 °C warm and wet is too long, and a strain over 0.26 may crack', () => {
  expect(USUAL_LIMITS).toEqual({ growthH: 48, strain: 0.26 })
  // What is damp for longer as it is may stay so hardly longer; beyond five days no way is good.
  expect([20, 100, 300].map((growthH) => limitsFor({ growthH }).growthH)).toEqual([48, 110.00000000000001, 120])
})
