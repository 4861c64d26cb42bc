/** What the bench advises, in worked examples: each figure with the reason it has. */
import { potatoSheet, testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import type { BenchAction, BenchEvent, Dough, Feel, Plan, Sheet } from '../model/index.ts'
import { heldForWater } from '../sheet/heldFlour.ts'
import type { Kitchen } from '../sheet/kitchen.ts'
import { airShiftG } from './airShift.ts'
import { benchPieces, bowlOnRule, driedG, doughG, heldBack, waterTargets, withHeldBack } from './bowl.ts'
import { replay } from './replay.ts'
import { cookingSpan, keptUntil } from './kept.ts'
import { stepMinutes, waitOf } from './lanes.ts'
import { layersOf } from './folds.ts'
import { isFirstPourIn, lumpIsEven, lumps, pourGo } from './making.ts'
import { overPour } from './overPour.ts'
import { planBatch } from './planBatch.ts'
import { backFromFridgeMin } from './planSteps.ts'
import { sampleReport } from './samples.ts'
import { initialState } from './state.ts'
import { additionOf, suggest } from './suggest.ts'
import { resolutionPercent, storeMoisture } from '../formula/index.ts'

const AT = '2031-03-01T09:00:00+00:00'
const planOf = (sheet: Sheet, kitchen: Kitchen = testKitchen): Plan =>
  planBatch(workSheet(sheet, kitchen), kitchen, AT, null)
const T0 = Date.parse(AT)
const after = (plan: Plan, ...actions: (BenchAction & { minute?: number })[]) =>
  replay(
    plan,
    actions.map(({ minute = 0, ...action }, n) => {
      return { ...action, id: `e${n}`, at: new Date(T0 + minute * 60_000).toISOString() } as BenchEvent
    }),
  )

/** 1000 g of flour, so that a point of hydration is 10 g. */
const kilo = planOf({ ...testSheet, target: { by: 'flour', grams: 1000 } })
const pot = planOf({ ...potatoSheet, target: { by: 'base', grams: 1000 } })
const poured = { type: 'poured', grams: 460 } as const
const stepFor = (plan: Plan, feel: Feel, ...actions: BenchAction[]) =>
  suggest(plan, after(plan, ...actions), feel, T0 + 3_600_000).step

it.each([
  // A point a word of feel: 10 g of water are two teaspoons.
  ['crumbling', 480, 'water', 20, 'teaspoon', 4],
  ['dry', 480, 'water', 10, 'teaspoon', 2],
  // 0.8 and 1.6 points less by flour, F·(W/(W − 10·points) − 1) = 17.0 and 34.5 g: spoons of 8 g, and never more than that.
  ['tacky', 480, 'flour', 16, 'tablespoon', 2],
  ['sticky', 480, 'flour', 32, 'tablespoon', 4],
  // A jug too much, and all of it is wanted bound, in goes: 580 g in, 480 g by the formula, 208 g of flour.
  ['sticky', 580, 'flour', 52, 'go', 4],
  // Below the first pour, 437 g, it is poured on to that; what is held back comes by the spoon.
  ['dry', 337, 'water', 50, 'go', 2],
] as const)(
  'a %s dough of a kilo of flour with %d g poured wants %s, %d g',
  (feel, grams0, what, grams, unit, count) => {
    expect(stepFor(kilo, feel, { type: 'poured', grams: grams0 })).toMatchObject({
      what,
      grams,
      measure: { unit, count },
    })
  },
)

// The first pour of that kilo is 437 of its 480 g of water.
it.each([
  [0, [1], { go: 1, of: 1, leftG: 437 }, false],
  [0, [0.5, 0.5], { go: 1, of: 2, leftG: 219 }, false],
  [150, [0.5, 0.5], { go: 1, of: 2, leftG: 69 }, false],
  // To half a step of the scale a go is over.
  [218, [0.5, 0.5], { go: 2, of: 2, leftG: 219 }, false],
  [436, [0.5, 0.5], { go: 2, of: 2, leftG: 1 }, false],
  [437, [0.5, 0.5], { go: 2, of: 2, leftG: 0 }, true],
  [500, [1], { go: 1, of: 1, leftG: 0 }, true],
] as const)('with %d g in, poured in goes of %j: %j; at the first pour: %s', (pouredG, goes, expected, reached) => {
  const state = pouredG > 0 ? after(kilo, { type: 'poured', grams: pouredG }) : after(kilo)
  expect(pourGo(kilo, state, { how: 'rake', goes: [...goes] })).toEqual(expected)
  expect(isFirstPourIn(kilo, state, pouredG)).toBe(reached)
})

it('no answer is larger than the need, but for the smallest there is', () => {
  for (const flourGrams of [60, 100, 250, 500, 1000, 5000]) {
    const plan = planOf({ ...testSheet, target: { by: 'flour', grams: flourGrams } })
    for (const [feel, points] of [
      ['tacky', 0.8],
      ['sticky', 1.6],
      ['dry', 1],
      ['crumbling', 2],
    ] as const) {
      const step = stepFor(plan, feel, { type: 'poured', grams: (flourGrams * 48) / 100 })!
      const moved = Math.abs(step.to - step.from)
      const smallest = (100 * (step.what === 'flour' ? 1.3 : 0.7)) / flourGrams
      expect(moved).toBeLessThanOrEqual(Math.max(points, smallest) + 0.02)
    }
  }
})

it('a batter moves by threes, in spoons of liquid or flour, and no hand is wetted', () => {
  const beaten: Plan = { ...kilo, body: 'batter' }
  const at = (feel: Feel) => stepFor(beaten, feel, { type: 'poured', grams: 480 })!
  expect(at('dry').to - at('dry').from).toBeCloseTo(3, 0)
  expect(at('sticky').from - at('sticky').to).toBeGreaterThan(1)
  const little = planOf({ ...testSheet, target: { by: 'flour', grams: 50 } })
  const thin: Plan = { ...little, body: 'batter' }
  expect(stepFor(thin, 'dry', { type: 'poured', grams: 24 })!.measure.unit).not.toMatch(/wet-hands|spray/)
})

it('tacky and sticky are told apart where spoons are fine enough', () => {
  const ton = planOf({ ...testSheet, target: { by: 'flour', grams: 100_000 } })
  const wet = after(ton, { type: 'poured', grams: 48_000 })
  const pointsOf = (feel: Feel) => {
    const { from, to, measure } = suggest(ton, wet, feel, T0 + 3_600_000).step!
    return (from - to) * measure.count
  }
  expect(pointsOf('tacky')).toBeCloseTo(0.8, 1)
  expect(pointsOf('sticky')).toBeCloseTo(1.6, 1)
})

it('a sticky dough on a kilo of potato wants 3 of flour in 100, a dry one wet hands', () => {
  // 1.6 × 0.019 × 1000 = 30.4 g: three spoons, no salt with them, for salt is counted on the potato.
  expect(stepFor(pot, 'sticky')).toMatchObject({ what: 'flour', grams: 24, saltG: 0 })
  expect(additionOf(pot, initialState, 'flour', 32)).toEqual({ type: 'added-flour', grams: 32, saltG: 0 })
  expect(stepFor(pot, 'dry')).toMatchObject({ what: 'water', grams: 5, measure: { unit: 'teaspoon', count: 1 } })
  const small = planOf({ ...potatoSheet, target: { by: 'base', grams: 300 } })
  // 1.5 g is what clings to wet hands; a spoon would be three times as much.
  expect(stepFor(small, 'dry')).toMatchObject({ grams: 1.5, measure: { unit: 'wet-hands', count: 1 } })
})

it('whoever turns from water to flour waits five minutes, however long ago the last spoon was', () => {
  const turned = after(
    kilo,
    poured,
    { type: 'felt', feel: 'dry', minute: 12 },
    { type: 'poured', grams: 10, minute: 13 },
  )
  expect(suggest(kilo, turned, 'sticky', T0 + 120 * 60_000).wait).toEqual({ why: 'chasing', minutes: 5 })
})

it('a step of the scale too much is the scale; more is over, and names its flour with the salt', () => {
  const { startG, holdBackG } = kilo.water
  const totalG = startG + holdBackG
  expect(overPour(kilo, initialState, totalG + 0.5)).toBeNull()
  const over = overPour(kilo, initialState, totalG + 1.5)!
  expect(over.flourG).toBeCloseTo((1000 * 1.5) / totalG, 6)
  expect(over.saltG).toBeCloseTo(over.flourG / 100, 6)
})

it('flour a point moister wants 10 g a kilo less for itself, and the water that those solids drink', () => {
  const written = { ...testSheet, flourState: { by: 'place', place: 'damp' } as const }
  const plan = planOf({ ...written, target: { by: 'flour', grams: 1000 } })
  const flour = plan.rows.find((row) => row.part === 'flour')!
  const dry = { temperatureC: 27, rhPercent: 38 }
  // Solids of a flour at 14 % are 86 of 100: (48 + 14)/86 of water on each gram of them.
  const moved = airShiftG({ ...plan, rows: [flour] }, dry, () => 'durum')!
  // A sack of unknown age has gone 0.35 of the way.
  const drier = 0.35 * (storeMoisture('durum', { temperatureC: 17, rhPercent: 81 }) - storeMoisture('durum', dry))
  expect(moved / (flour.weighedG * (1 + 62 / 86))).toBeCloseTo(drier, 9)
})

it('a piece a tenth off the reference is told of, one less is not', () => {
  const { pieceG } = kilo.shape
  const outside = (share: number) =>
    sampleReport(kilo, after(kilo, { type: 'sampled', grams: pieceG * share }))!.outside
  expect([outside(1.09), outside(1.12), outside(0.91), outside(0.88)]).toEqual([0, 1, 0, 1])
})

it('a lump 3 % off is even enough: its rope grows 1.5 % thicker, which nobody sees', () => {
  const each = lumps(kilo, after(kilo, { type: 'poured', grams: 480 }))
  expect(each.slackG / each.eachG).toBeCloseTo(Math.max(0.03, 1 / each.eachG), 9)
  const heavy = { ...each, eachG: 400, slackG: 12 }
  expect([lumpIsEven(heavy, 412), lumpIsEven(heavy, 413), lumpIsEven(heavy, 387)]).toEqual([true, false, false])
})

it('dry enough to be packed is 12.5 %: 100 g of dough at 42 % come down to its solids over 0.875', () => {
  const state = after(kilo, { type: 'poured', grams: 480 })
  const whole = doughG(kilo, state)
  const solids = 1000 * 0.86 + 10
  expect(driedG(kilo, state, whole)).toBeCloseTo(solids / 0.875, 3)
})

it('back from the fridge: a sheet bends within half an hour, a lump within the hour, a batter is used cold', () => {
  for (const roomC of [16, 19, 21, 24, 30]) {
    expect(backFromFridgeMin('sheet', roomC, 0.42)).toBeGreaterThanOrEqual(15)
    expect(backFromFridgeMin('sheet', roomC, 0.42)).toBeLessThanOrEqual(25)
    expect(backFromFridgeMin('lump', roomC, 0.42)).toBeGreaterThanOrEqual(30)
    expect(backFromFridgeMin('lump', roomC, 0.42)).toBeLessThanOrEqual(60)
    expect(backFromFridgeMin('loose', roomC, 0.42)).toBe(0)
  }
  // From 4 to 15 °C, no farther: 11 of the 30 degrees to a room of 34 °C take the middle of 30 mm three quarters of an hour.
  expect(backFromFridgeMin('lump', 34, 0.42)).toBe(45)
  // Pliable at 15 °C: a warmer room is there sooner.
  expect(backFromFridgeMin('lump', 30, 0.42)).toBeLessThan(backFromFridgeMin('lump', 19, 0.42))
})

/** The test dough, its water at such a heat. */
const withWaterAt = (waterC: number, course?: Dough['course']): Plan => {
  const dough = testKitchen.doughs.get('hand-dough')!
  const kitchen = { ...testKitchen, doughs: new Map([['hand-dough', course ? { ...dough, course } : dough]]) }
  return planOf({ ...testSheet, waterC }, kitchen)
}
const pourOf = (plan: Plan) => plan.steps.find((step) => step.kind === 'pour')
const coolOf = (plan: Plan) => plan.steps.find((step) => step.kind === 'cool')

it('water from 60 °C scalds, with a stick and no hand in it, and the dough cools to 45 °C before it is touched', () => {
  expect(pourOf(withWaterAt(55))).toMatchObject({ how: 'rake' })
  expect(pourOf(withWaterAt(62))).toMatchObject({ how: 'scald', goes: [1] })
  expect(coolOf(withWaterAt(100))).toMatchObject({ belowC: 45 })
  expect(coolOf(withWaterAt(62))).toBeUndefined()
})

it('torn to clods it steams: from 61 °C to 45 in some eight minutes', () => {
  // Were it one body: ρcL/h·ln((61 − 21)/(45 − 21)) = 1200·2800·0.006/20·0.51 s = 8.6 min.
  expect(coolOf(withWaterAt(100))).toMatchObject({ fromC: 61, minutes: 8 })
})

it('a scale that reads to half a gram cannot weigh a pinch: a fine one is fetched', () => {
  const salted = { ...testSheet, target: { by: 'flour', grams: 400 } as const }
  const itemsOn = (scaleStepG: number) => {
    const plan = planOf(salted, { ...testKitchen, gear: { ...testKitchen.gear, scaleStepG } })
    const ready = plan.steps.find((step) => step.kind === 'ready')
    return ready?.kind === 'ready' ? ready.items.map(({ id }) => id) : []
  }
  expect(itemsOn(0.5)).toContain('fine-scale')
  expect(itemsOn(0.1)).not.toContain('fine-scale')
  expect(resolutionPercent(4, 0.5)).toBeGreaterThan(5)
})

it('a practised pair of hands fills six pieces a minute', () => {
  const fill = { id: 'fill', kind: 'fill', name: 'curd', gramsEach: 8, moisturePercent: 60 } as const
  const made = stepMinutes(kilo, after(kilo, { type: 'poured', grams: 480 }), fill)
  expect(made.hands).toBe(true)
  expect(made.minutes).toBeCloseTo(kilo.shape.pieces / 6, -1)
})

it('what was added is what is poured and spooned in, in both parts of a dough carved in two', () => {
  const before = [poured, { type: 'added-flour', grams: 16, saltG: 0.2 }, { type: 'poured', grams: 9 }] as const
  const state = after(kilo, ...before, { type: 'split', keeps: 0.25, other: 'other', part: 'kept' })
  const sum = (what: 'water' | 'flour') =>
    state.additions.filter((each) => each.what === what).reduce((grams, each) => grams + each.grams, 0)
  expect([sum('water'), sum('flour')]).toEqual([state.pouredG, state.addedFlourG])
  expect(state.pouredG).toBeCloseTo(469 / 4, 9)
})

it('what the last setting leaves is what is cooked: a third thicker, half as long again', () => {
  const sheeted = { ...testKitchen.shapes.get('hollows')!, sheeted: true as const, method: 'cut' as const }
  const blank = { type: 'sheet' as const, thicknessMm: 0.9, widthMm: 6, lengthMm: 240 }
  const crank = {
    id: 'crank',
    name: 'Crank',
    widthMm: 150,
    settings: 2,
    widest: 'first' as const,
    measured: [
      { setting: 1, gapMm: 1.6 },
      { setting: 2, gapMm: 1 },
    ],
    springBack: 1,
  }
  const plan = planOf(testSheet, {
    ...testKitchen,
    gear: { ...testKitchen.gear, rollers: [crank] },
    shapes: new Map([['hollows', { ...sheeted, blank, cookFreshMin: [2, 4] }]]),
  })
  // 1 mm where 0.9 was wanted: × (1/0.9)^1.5 = 1.17.
  expect(plan.minutes.cook).toEqual([2.3, 4.7])
})

describe('what must be at hand before hands are floury', () => {
  const items = (sheet: Sheet, kitchen: Kitchen = testKitchen) => {
    const ready = planOf(sheet, kitchen).steps.find((step) => step.kind === 'ready')
    return ready?.kind === 'ready' ? ready.items.map(({ id }) => id) : []
  }
  const alkaline: Sheet = {
    ...testSheet,
    rows: [...testSheet.rows, { key: 'alkali', ingredient: 'carbonate', amount: { by: 'percent', percent: 1 } }],
  }

  it('alkali: gloves on, and nothing of aluminium; without it neither', () => {
    expect(items(alkaline)).toEqual(expect.arrayContaining(['gloves', 'no-aluminium']))
    expect(items(testSheet).filter((id) => id === 'gloves' || id === 'no-aluminium')).toEqual([])
  })

  it('water from 50 °C on: a thermometer', () => {
    expect(items({ ...testSheet, waterC: 50 })).toContain('thermometer')
    expect(items({ ...testSheet, waterC: 49 })).not.toContain('thermometer')
  })

  it('a press: its guard', () => {
    const hollows = testKitchen.shapes.get('hollows')!
    const tube = {
      ...hollows,
      method: 'extrude' as const,
      blank: { type: 'die', holeAreaMm2: 30, cutMm: 30, swell: 1.1 },
    }
    const pressed = { ...testKitchen, shapes: new Map([['hollows', tube as unknown as typeof hollows]]) }
    expect(items(testSheet, pressed)).toContain('hopper-guard')
    expect(items(testSheet)).not.toContain('hopper-guard')
  })

  it('under ten grams of anything, on a scale of half a gram or coarser: a finer one', () => {
    const saltOf = (grams: number) => {
      const salt = testSheet.rows.find(({ ingredient }) => ingredient === 'salt')!.amount
      return items({ ...testSheet, target: { by: 'flour', grams: (100 * grams) / salt.percent } })
    }
    expect(saltOf(9)).toContain('fine-scale')
    expect(saltOf(11)).not.toContain('fine-scale')
  })
})

describe('until when it is kept', () => {
  const chosen = (finish: 'hold' | 'freeze' | 'dry' | 'cook') => {
    const events = [{ id: 'f', at: AT, type: 'finish-chosen', finish }] as const
    return keptUntil(kilo, [...events])
  }
  const HOUR_MS = 3_600_000

  it('as many hours in the fridge as the plan says, and months of thirty days in the freezer or dried', () => {
    const air = kilo.steps.find((step) => step.kind === 'air')
    if (air?.kind !== 'air') throw new Error('no air')
    const { fridgeH, freezerMonths, driedMonths } = air.keeps
    expect([fridgeH, freezerMonths, driedMonths]).toEqual([48, 2, 9])
    expect(chosen('hold')).toBe(T0 + 48 * HOUR_MS)
    expect(chosen('freeze')).toBe(T0 + 60 * 24 * HOUR_MS)
    expect(chosen('dry')).toBe(T0 + 270 * 24 * HOUR_MS)
    expect(chosen('cook')).toBeNull()
  })

  it('from frozen it cooks a minute or two more', () => {
    expect(cookingSpan({ minutes: { cook: [4, 7] }, steps: [] }, 'freeze', undefined)).toEqual([5, 9])
    expect(cookingSpan({ minutes: { cook: [4, 7] }, steps: [] }, 'hold', undefined)).toEqual([4, 7])
  })
})

it('a machine kneads by itself; a hand is wanted', () => {
  const knead = { id: 'k', kind: 'knead', how: 'push', hand: [10, 14], mixer: [6, 8], processor: null } as const
  const step = { ...knead, hand: [10, 14] as [number, number], mixer: [6, 8] as [number, number] }
  const by = (kneads: Plan['kneads']) => stepMinutes({ ...kilo, kneads }, initialState, step)
  expect(by('hand')).toEqual({ minutes: 12, hands: true })
  expect(by('mixer')).toEqual({ minutes: 7, hands: false })
  // Not by the machine that should not: by hand then.
  expect(by('processor')).toEqual({ minutes: 12, hands: true })
})

it('sixty ropes a minute are rolled, whatever is made of them', () => {
  const roll = stepMinutes(kilo, initialState, { id: 'roll', kind: 'roll' })
  expect(roll.minutes).toBeCloseTo(benchPieces(kilo, initialState).pieces / 60, 6)
})

it('a step waits while its clock runs, not once it has rung, and never where hands work', () => {
  const rest = kilo.steps.find(({ kind }) => kind === 'rest')!
  const knead = kilo.steps.find(({ kind }) => kind === 'knead')!
  const state = after(
    kilo,
    { type: 'timer-started', timer: rest.id, minutes: 30 },
    { type: 'timer-started', timer: knead.id, minutes: 30 },
  )
  expect(waitOf(kilo, state, rest, T0 + 29 * 60_000)?.minutes).toBe(30)
  expect(waitOf(kilo, state, rest, T0 + 30 * 60_000)).toBeNull()
  expect(waitOf(kilo, state, knead, T0 + 60_000)).toBeNull()
  const covered = after(kilo, { type: 'timer-started', timer: 'drink', minutes: 10 })
  const feel = kilo.steps.find(({ kind }) => kind === 'feel')!
  expect(waitOf(kilo, covered, feel, T0 + 60_000)?.minutes).toBe(10)
})

it('what drinks late on a base, ten minutes or more, is waited for from when its flour went in; potato is not', () => {
  const waits = (drink: number) => {
    const plan: Plan = { ...pot, minutes: { ...pot.minutes, drink } }
    const folded = after(plan, { type: 'step-done', step: 'flour' })
    return suggest(plan, folded, 'sticky', T0 + 2 * 60_000).wait
  }
  expect(waits(12)).toEqual({ why: 'drinking', minutes: 10 })
  expect(waits(9)).toBeNull()
})

it('a thirsty flour: each answer is larger than the last, told as a run, up to what any flour takes', () => {
  const { totalG } = waterTargets(kilo, initialState)
  const steps: { grams: number; run: ReturnType<typeof suggest>['run'] }[] = []
  let events: (BenchAction & { minute: number })[] = [{ type: 'poured', grams: totalG, minute: 0 }]
  for (let n = 0; n < 6; n += 1) {
    events = [...events, { type: 'felt', feel: 'dry', minute: 20 * n + 10 }]
    const state = after(kilo, ...events)
    const { step, run } = suggest(kilo, state, 'dry', T0 + 86_400_000)
    steps.push({ grams: step!.grams, run })
    events = [...events, { type: 'poured', grams: step!.grams, minute: 20 * n + 11 }]
  }
  expect(steps[0]!.run).toBeNull()
  expect(steps[1]!.grams).toBeGreaterThan(steps[0]!.grams)
  expect(steps[2]!.grams).toBeGreaterThanOrEqual(steps[1]!.grams)
  expect(Math.max(...steps.map(({ grams }) => grams))).toBeLessThanOrEqual(2 * steps[0]!.grams + 0.5)
  expect(steps.map(({ run }) => run?.times ?? 0)).toEqual([0, 1, 2, 3, 4, 5])
  // Four in a hundred of a kilo.
  expect(steps[1]!.run!.mostG).toBeGreaterThanOrEqual(39.9)
  expect(steps.at(-1)!.run!.grams).toBeCloseTo(
    steps.slice(0, -1).reduce((sum, { grams }) => sum + grams, 0),
    6,
  )
})

it('flour after water is another run', () => {
  const state = after(
    kilo,
    { type: 'poured', grams: 480 },
    { type: 'felt', feel: 'dry', minute: 10 },
    { type: 'poured', grams: 10, minute: 11 },
    { type: 'felt', feel: 'sticky', minute: 30 },
  )
  expect(suggest(kilo, state, 'sticky', T0 + 86_400_000).run).toBeNull()
  expect(suggest(kilo, state, 'dry', T0 + 86_400_000).run!.times).toBe(1)
})

it.each([
  // 437 g by cups and spoons, to half a tablespoon; 27 g by spoons, to a twentieth.
  [1000, 430, true],
  [1000, 428, false],
  [62, 26, true],
  [62, 25, false],
])('without a scale, on %d g of flour, %d g in are the first pour: %s', (flourG, inG, isIn) => {
  const plan = planOf({ ...testSheet, target: { by: 'flour', grams: flourG } })
  const water = { ...plan.water, startG: 0.437 * flourG }
  expect(isFirstPourIn({ ...plan, noScale: true, water }, after(plan), inG)).toBe(isIn)
})

it('flour held back in place of water: all the water on the rest of the flour, salted once, and the formula when all is in', () => {
  const { flour } = Object.fromEntries(testSheet.rows.map((row) => [row.flour ? 'flour' : row.key, row.key]))
  const worked = workSheet({ ...testSheet, target: { by: 'flour', grams: 1000 } }, testKitchen)
  const plan = planBatch(
    { ...worked, heldFlour: 0.08, water: { ...worked.water, startG: 480, holdBackG: 0 } },
    testKitchen,
    AT,
    null,
  )
  const weighed = plan.rows.flatMap((row): BenchAction[] =>
    row.part === 'water' ? [] : [{ type: 'weighed', row: row.key, grams: row.weighedG - (row.heldG ?? 0) }],
  )
  expect(plan.rows.find(({ key }) => key === flour)?.heldG).toBe(80)
  const state = after(plan, ...weighed, { type: 'poured', grams: 480 })
  expect(heldBack(plan, state)).toEqual({ what: 'flour', leftG: 80 })
  expect(bowlOnRule(plan, state)).toBeCloseTo((100 * 480) / 920, 6)
  expect(withHeldBack(plan, state)).toBeCloseTo(48, 6)
  const all = after(plan, ...weighed, { type: 'poured', grams: 480 }, additionOf(plan, state, 'flour', 80))
  expect(bowlOnRule(plan, all)).toBeCloseTo(48, 6)
  expect(all.addedSaltG).toBe(0)
})

it('as much flour waits as makes the rest so many points wetter', () => {
  const held = heldForWater(4, 48)
  expect(held).toBeCloseTo(4 / 52, 9)
  expect(48 / (1 - held)).toBeCloseTo(52, 9)
})

it('folds in three, in two, or by turns: a letter first', () => {
  expect([layersOf(3), layersOf(3, 'three'), layersOf(3, 'turn')]).toEqual([8, 27, 18])
})
