/** What rows, filling and heat make of keeping, in worked examples with their reasons; and flour in its sack. */
import { doughs, ingredients, schools, shapes } from '@harina/facts'
import { doughTable, ingredientTable, shapeTable, type Lot, type Sheet, type SheetRow } from '../model/index.ts'
import { testKitchen, workSheet } from '../testing/testKitchen.ts'
import type { Kitchen } from './kitchen.ts'
import { airing, cautionsOf, keepingOf } from './keeping.ts'
import { startSheet } from './startSheet.ts'

/** The tables, in the test kitchen's damp store and dry loft. */
const wholeKitchen: Kitchen = {
  ...testKitchen,
  ingredients: ingredientTable(ingredients),
  doughs: doughTable(doughs),
  shapes: shapeTable(shapes),
  schools,
  lots: [],
  todayMs: 0,
}
const work = (sheet: Sheet, kitchen: Kitchen = wholeKitchen) => workSheet(sheet, kitchen)

const started = (dough: string, shape: string, kitchen: Kitchen = wholeKitchen): Sheet =>
  startSheet(
    doughs.find(({ id }) => id === dough)!,
    shapes.find(({ id }) => id === shape)!,
    kitchen,
  )
const withRow = (sheet: Sheet, ingredient: string, percent: number): Sheet => ({
  ...sheet,
  rows: [...sheet.rows, { key: 'more', ingredient, amount: { by: 'percent', percent } } as SheetRow],
})
const keeping = (sheet: Sheet, kitchen: Kitchen = wholeKitchen) => work(sheet, kitchen).keeping

/** A shape whose own row of the table allows far more than any dough: what is left are the general limits. */
const PATIENT = { keep: { roomH: 24, fridgeDays: 30, freezerMonths: 24, driedMonths: 12 } } as never
const general = (sheet: Sheet) => keepingOf(work(sheet), PATIENT, wholeKitchen)

describe('the general limits, whatever a shape allows', () => {
  const ears = started('sw-hand', 'little-ears')

  it('flour and water: two hours, two days, three months', () => {
    expect(general(ears)).toMatchObject({ roomMin: 120, fridgeH: 48, freezerMonths: 3 })
  })

  it('alkali from half a percent of the flour on: a third day cold, and no longer warm', () => {
    const withAlkali = (percent: number) => general(withRow(ears, 'sodium-carbonate-anhydrous', percent))
    expect(withAlkali(0.3)).toMatchObject({ roomMin: 120, fridgeH: 48 })
    expect(withAlkali(0.49)).toMatchObject({ fridgeH: 48 })
    expect(withAlkali(0.51)).toMatchObject({ roomMin: 120, fridgeH: 72 })
  })

  it('the strictest of all that hold: alkali keeps no egg longer', () => {
    const both = withRow(withRow(ears, 'egg-whole', 10), 'sodium-carbonate-anhydrous', 1)
    expect(general({ ...both, rows: both.rows.map((row, n) => ({ ...row, key: `r${n}` })) })).toMatchObject({
      roomMin: 60,
      fridgeH: 24,
    })
  })

  it('a purée: as long warm as plain dough, a day cold', () => {
    expect(general(withRow(ears, 'spinach-puree', 10))).toMatchObject({ roomMin: 120, fridgeH: 24, freezerMonths: 2 })
  })
})

describe('how long it keeps', () => {
  const ears = started('sw-hand', 'little-ears')

  it('flour and water: two hours warm, two days cold, three months frozen, and it may be dried', () => {
    expect(keeping(ears)).toMatchObject({
      roomMin: 120,
      fridgeH: 48,
      freezerMonths: 3,
      driedMonths: 9,
      wet: [],
      perishable: false,
    })
  })

  it('an egg in it: an hour warm, a day cold, two months frozen, never the rack, and it says which row', () => {
    expect(keeping(withRow(ears, 'egg-whole', 30))).toMatchObject({
      roomMin: 60,
      fridgeH: 24,
      freezerMonths: 2,
      driedMonths: null,
      wet: [{ code: 'row', name: 'Whole egg, shelled (option)' }],
      perishable: true,
    })
  })

  it('a purée keeps a day cold and is not dried, but lies warm as plain dough does; a dry powder changes nothing', () => {
    expect(keeping(withRow(ears, 'spinach-puree', 10))).toMatchObject({ roomMin: 120, fridgeH: 24, driedMonths: null })
    expect(keeping(withRow(ears, 'spinach-powder', 2))).toEqual(keeping(ears))
  })

  it('alkali keeps noodles a third day', () => {
    expect(keeping(started('alk-low', 'alk-medium-wavy'))).toMatchObject({ fridgeH: 72 })
  })

  it('filled and raw: within the hour, a day in the fridge; the same skins kept empty are plain dough', () => {
    const round = started('wrapper-cold', 'plump-wrapper')
    expect(keeping(round)).toMatchObject({ fridgeH: 24, wet: [{ code: 'filling' }] })
    expect(keeping(round).roomMin).toBeLessThanOrEqual(60)
    expect(keeping({ ...round, unfilled: true }).wet).toEqual([])
  })

  it('raw potato: an hour on the board, then the pot or the freezer, no fridge', () => {
    expect(keeping(started('gn-potato', 'potato-ridged'))).toMatchObject({ roomMin: 60, fridgeH: 0, freezerMonths: 2 })
    expect(keeping(started('batter-potato', 'potato-drops')).fridgeH).toBe(0)
  })

  it('starch that was cooked by the water is not dried in room air', () => {
    expect(keeping(started('gf-hot', 'elbow-tubes')).wet).toEqual([{ code: 'scalded' }])
    expect(keeping(started('wrapper-hot', 'pan-wrapper')).wet).toContainEqual({ code: 'filling' })
  })

  it('an egg rests warm for an hour at the most, a curd in the fridge', () => {
    const eggy = work(withRow(started('salted-thick', 'thick-white'), 'egg-whole', 10))
    expect(eggy.practice).toMatchObject({ restMin: 60, restCold: false })
    expect(work(started('gn-curd-semolina', 'curd-hollows')).practice).toMatchObject({ restMin: 30, restCold: true })
  })

  it('hard cheese may hold egg, breadcrumbs milk, soy and sesame: named as what they may be', () => {
    const { balance } = work(withRow(withRow(ears, 'cheese-hard-grated', 5), 'breadcrumbs-dry', 5))
    expect(balance.allergens).toEqual(['gluten', 'milk'])
    expect(balance.mayContain).toEqual(['egg', 'sesame', 'soy'])
  })
})

describe('flour in its sack', () => {
  const DAY_MS = 86_400_000
  const lot = (more: Partial<Lot>): Lot => ({
    id: 'sack',
    name: 'Sack',
    ingredient: 'durum-semolina-remilled',
    note: '',
    ...more,
  })
  const today = Date.parse('2031-03-01T00:00:00Z')
  const flourIn = (place: string, sack: Partial<Lot>) => {
    const kitchen = { ...wholeKitchen, lots: [lot(sack)], todayMs: today }
    const sheet = started('sw-hand', 'little-ears', kitchen)
    const rows = sheet.rows.map((row) => (row.flour ? { ...row, lot: 'sack' } : row))
    return work({ ...sheet, rows, flourState: { by: 'place', place } }, kitchen)
  }
  const since = (days: number) => new Date(today - days * DAY_MS).toISOString()

  it('of unknown age it has gone a third of the way: 14.6 % in the damp, 12.2 % in the dry, some four points of water', () => {
    const [damp, dry] = [flourIn('damp', {}), flourIn('dry', {})]
    expect(damp.flourMoisture).toBeCloseTo(0.146, 3)
    expect(dry.flourMoisture).toBeCloseTo(0.122, 3)
    expect(dry.batch.hydration.effective - damp.batch.hydration.effective).toBeGreaterThan(3.5)
  })

  it('an open bin is there within weeks, a paper sack within months, a lined one never; its label is where it began', () => {
    const dry = (sack: Partial<Lot>) => flourIn('dry', sack).flourMoisture
    // 27 °C and 38 %: 9.9 % at last, and no flour is told drier than 10.5.
    expect(dry({ packing: 'open-bin', since: since(30) })).toBeCloseTo(0.105, 4)
    const afterMonth = dry({ packing: 'paper-sack', since: since(30) })
    expect(afterMonth).toBeCloseTo(0.135 - (1 - Math.exp(-30 / 120)) * (0.135 - 0.0986), 3)
    expect(dry({ packing: 'sealed', since: since(400) })).toBeCloseTo(0.135, 6)
    expect(dry({ packing: 'sealed', startMoisture: 0.128 })).toBeCloseTo(0.128, 6)
  })

  it('damper than 15 % it is told of, for mould', () => {
    const codes = (sack: Partial<Lot>) => flourIn('damp', sack).notes.map(({ code }) => code)
    expect(codes({ packing: 'open-bin', since: since(60) })).toContain('flour-damp')
    expect(codes({})).not.toContain('flour-damp')
  })

  it('a flour without a grain stands in no air that is known: nothing is said of it', () => {
    const sheet = started('gf-hot', 'elbow-tubes')
    const { notes } = work({ ...sheet, flourState: { by: 'place', place: 'dry' } })
    expect(notes.map(({ code }) => code)).not.toContain('flour-moisture')
  })

  it('what a sack taught in another air is less sure here: more is held back, and it says where it was learned', () => {
    const taught = [1.8, 2.1, 1.9].map((points) => ({
      batch: 'b',
      atMs: 0,
      points,
      offSd: 0,
      family: 'semolina',
      store: { name: 'Damp store', temperatureC: 17, rhPercent: 81 },
    }))
    const kitchen = { ...wholeKitchen, lots: [lot({})], thirst: new Map([['sack', taught]]) }
    const sheet = started('sw-hand', 'little-ears', kitchen)
    const rows = sheet.rows.map((row) => (row.flour ? { ...row, lot: 'sack' } : row))
    const at = (place: string) => work({ ...sheet, rows, flourState: { by: 'place', place } }, kitchen)
    const [here, there] = [at('damp'), at('dry')]
    expect([here.learnedAt, there.learnedAt]).toEqual([null, 'Damp store'])
    expect(there.lot.shift).toBeCloseTo(here.lot.shift, 9)
    // 7 points of equilibrium apart, two tenths of them unsure, 1.7 points of water for one of flour: 2.3 points.
    expect(Math.sqrt(there.lot.predictiveSd ** 2 - here.lot.predictiveSd ** 2)).toBeCloseTo(2.3, 1)
    expect(there.water.holdBackG).toBeGreaterThan(1.5 * here.water.holdBackG)
  })
})

it('a stiff dough holds back two points at the most, a supple one as much as its flour is unsure', () => {
  const held = (dough: string, shape: string) => {
    const worked = work({ ...started(dough, shape), target: { by: 'flour', grams: 10_000 } })
    return (100 * worked.water.holdBackG) / worked.batch.flourG
  }
  expect(held('sw-crumb', 'ridged-tubes')).toBeCloseTo(2, 0)
  expect(held('sw-hand', 'little-ears')).toBeCloseTo(4.3, 0)
})

describe('heat and air', () => {
  const ears = started('sw-hand', 'little-ears')

  it('water of 85 °C and more cooks some of the starch wherever it lands: an hour, a day, no rack', () => {
    const poured = (waterC: number) => keeping({ ...ears, waterC })
    expect(poured(80).wet).toEqual([])
    expect(poured(86)).toMatchObject({ wet: [{ code: 'scalded' }], driedMonths: null })
  })

  it('air before the pot ends where the dough has lain warm long enough; what wants more is dried, not aired', () => {
    expect(airing([15, 30], { roomMin: 60 }, 20)).toEqual([15, 30])
    expect(airing([15, 90], { roomMin: 60 }, 20)).toEqual([15, 60])
    expect(airing([60, 90], { roomMin: 60 }, 20)).toEqual([0, 60])
  })

  it('cooked pulses and bean curd spoil like egg; their flours and starches do not', () => {
    const perishable = (ingredient: string) => keeping(withRow(ears, ingredient, 10)).perishable
    const pulses = ingredients
      .filter(({ group }) => group === 'pulse')
      .map(({ id, water }) => ({ id, isWet: water > 0.3 }))
    expect(pulses.some(({ isWet }) => isWet)).toBe(true)
    for (const { id, isWet } of pulses) expect([id, perishable(id)]).toEqual([id, isWet])
  })

  it('egg or milk in it brings its caution, a filling its own', () => {
    const cautions = (sheet: Sheet) => cautionsOf(work(sheet))
    expect(cautions(ears)).not.toContain('egg-dairy')
    expect(cautions(withRow(ears, 'egg-whole', 20))).toContain('egg-dairy')
    expect(cautions(started('wrapper-cold', 'plump-wrapper'))).toContain('fillings')
  })
})
