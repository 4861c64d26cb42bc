import fc from 'fast-check'
import { sheetSchema, type Sheet } from '../model/index.ts'
import { testKitchen, testSheet, workSheet as work } from '../testing/testKitchen.ts'
import type { Taught } from '../lot/index.ts'
import { computeSheet, type Worked } from './computeSheet.ts'
import { fromPoured, toPoured } from './reckoned.ts'
import { addRow } from './editRows.ts'
import { lockedLine, lockRow, retarget, scaledTarget, setPoured, setRowGrams, setRowPercent } from './editSheet.ts'
import type { Kitchen } from './kitchen.ts'

const grams = (worked: Worked, key: string) => worked.rows.find((row) => row.key === key)!.grams
const standing = (place: string): Sheet => ({ ...testSheet, flourState: { by: 'place', place } })
const learned = (points: number[], store: Taught['store'] = null): Kitchen => ({
  ...testKitchen,
  thirst: new Map([
    ['lot-a', points.map((each) => ({ batch: 'b', atMs: 0, points: each, offSd: 0, family: 'semolina', store }))],
  ]),
})

it('six portions of 110 g with 2 % loss: the figures of the port’s first case', () => {
  const worked = work(testSheet)
  expect(worked.batch.flourG).toBeCloseTo(451.993, 3)
  expect(worked.rows.map((row) => row.weighedG)).toEqual([452, 217, 5])
  // 452 + 217 + 5 g on the scale, less 2 %.
  expect(worked.cut.pieces).toBe(Math.floor((674 * 0.98) / worked.cut.pieceG))
})

it('the same flour in a damp store and a dry loft: four points apart, the dough as stiff as before', () => {
  const [damp, dry] = [work(standing('damp')), work(standing('dry'))]
  const apart = dry.batch.hydration.effective - damp.batch.hydration.effective
  expect(apart).toBeGreaterThan(3.5)
  expect(apart).toBeLessThan(4.5)
  expect(damp.flourMoisture).toBeCloseTo(0.146, 3)
  expect(dry.flourMoisture).toBeCloseTo(0.122, 3)
  expect(damp.batch.hydration.basis14).toBeCloseTo(48, 9)
  expect(dry.batch.hydration.basis14).toBeCloseTo(48, 9)
  expect(damp.notes.find((note) => note.code === 'flour-moisture')).toMatchObject({ place: 'Damp store' })
})

it('a lot that has wanted more before gets more now, and less is held back', () => {
  const [unknown, known] = [work(testSheet), work(testSheet, learned([1.8, 2.1, 1.9]))]
  expect(known.expected14 - known.paper14).toBeCloseTo(known.lot.shift, 9)
  expect(known.lot.shift).toBeGreaterThan(1.5)
  expect(known.water.holdBackG).toBeLessThan(unknown.water.holdBackG / 2)
  expect(work({ ...testSheet, useLearned: false }, learned([2])).expected14).toBeCloseTo(48, 9)
})

it('a second flour at 0 % is out: the sack alone still wants what it wanted', () => {
  const kitchen = learned([1.8, 2.1, 1.9])
  const alone = work(testSheet, kitchen)
  const added = addRow(alone, 'durum', 0, kitchen)
  const both = work(added.ok ? added.value : testSheet, kitchen)
  expect(both.rows).toHaveLength(alone.rows.length + 1)
  expect(both.water.totalG).toBeCloseTo(alone.water.totalG, 9)
  expect(both.lot.n).toBe(alone.lot.n)
})

it('start and hold-back are the jug, whatever the flour', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.06, max: 0.19, noNaN: true }),
      fc.integer({ min: 1, max: 60 }),
      (moisture, count) => {
        const { water } = work({
          ...testSheet,
          flourState: { by: 'typed', moisture },
          target: { by: 'portions', count, gramsEach: 110 },
        })
        expect(water.startG + water.holdBackG).toBeCloseTo(water.totalG, 6)
        expect(water.startG).toBeGreaterThanOrEqual(0)
      },
    ),
  )
})

it('the rule reads poured water there and back', () => {
  const { poured, batch, expected14 } = work(standing('damp'))
  expect(toPoured(poured, expected14)).toBeCloseTo(batch.hydration.effective, 9)
  expect(fromPoured(poured, batch.hydration.effective)).toBeCloseTo(expected14, 9)
})

it('what is dragged on the rule is what is poured, with a lot’s thirst left out of the formula', () => {
  const kitchen = learned([2, 2])
  const worked = work(standing('damp'), kitchen)
  const next = work(setPoured(worked, 47.5), kitchen)
  expect(next.batch.hydration.effective).toBeCloseTo(47.5, 9)
  expect(next.expected14 - next.paper14).toBeCloseTo(worked.lot.shift, 9)
})

it.each(['water', 'salt'])('grams typed for the %s come out as typed, and the portions stay', (key) => {
  fc.assert(
    fc.property(fc.double({ min: 1, max: 260, noNaN: true }), (typed) => {
      const worked = work(testSheet)
      const next = setRowGrams(worked, key, typed, testKitchen)
      if (!next.ok) throw new Error(next.problem.code)
      expect(grams(work(next.value), key)).toBeCloseTo(typed, 2)
      expect(next.value.target).toEqual(testSheet.target)
    }),
  )
})

it('grams typed for the only flour set the scale', () => {
  const next = setRowGrams(work(testSheet), 'flour', 500, testKitchen)
  expect(next).toMatchObject({ ok: true, value: { target: { by: 'flour', grams: 500 } } })
})

it.each([
  [{ by: 'dough', grams: 500 }, 2, { by: 'dough', grams: 1000 }],
  [{ by: 'portions', count: 5, gramsEach: 110 }, 0.5, { by: 'portions', count: 2.5, gramsEach: 110 }],
  [{ by: 'portions', count: 0.5, gramsEach: 110 }, 0.5, { by: 'portions', count: 0.5, gramsEach: 110 }],
  [{ by: 'pieces', count: 25 }, 0.5, { by: 'pieces', count: 13 }],
] as const)('%j %d times is %j', (target, by, scaled) => expect(scaledTarget(target, by)).toEqual(scaled))

describe('rows typed in grams', () => {
  const typed = (worked: Worked, ...entries: readonly (readonly [string, number])[]): Worked =>
    entries.reduce((now, [key, grams]) => {
      const next = setRowGrams(now, key, grams, testKitchen)
      if (!next.ok) throw new Error(`${key}: ${next.problem.code}`)
      return work(next.value)
    }, worked)
  const withFlour = (...flours: readonly [string, number][]): Sheet => ({
    ...testSheet,
    rows: [
      ...flours.map(([key, percent]) => ({
        key,
        ingredient: key === 'another' ? 'durum' : key,
        amount: { by: 'percent' as const, percent },
        flour: true as const,
      })),
      ...testSheet.rows.slice(1),
    ],
  })

  it('two flours, 100 and 100: both stand, and the dough is what they make', () => {
    const now = typed(work(withFlour(['durum', 70], ['soft', 30])), ['durum', 100], ['soft', 100])
    expect([grams(now, 'durum'), grams(now, 'soft')]).toEqual([expect.closeTo(100, 6), expect.closeTo(100, 6)])
    expect(now.sheet.target).toEqual({ by: 'flour', grams: 200 })
    expect(now.batch.hydration.effective).toBeCloseTo(work(testSheet).batch.hydration.effective, 6)
  })

  it('salt of 9 g stays 9 g when the flour is typed, and when the water is', () => {
    const now = typed(work(testSheet), ['salt', 9], ['flour', 700], ['water', 350])
    expect([grams(now, 'salt'), grams(now, 'flour'), grams(now, 'water')]).toEqual(
      [9, 700, 350].map((g) => expect.closeTo(g, 6) as number),
    )
    expect(now.batch.hydration.effective).toBeCloseTo(50, 6)
  })

  it('in any order, over any rows, they come out as typed while the portions stay', () => {
    const sheet = withFlour(['durum', 50], ['soft', 50])
    fc.assert(
      fc.property(
        fc.shuffledSubarray(['soft', 'salt', 'water'], { minLength: 1 }),
        fc.array(fc.double({ min: 1, max: 200, noNaN: true }), { minLength: 3, maxLength: 3 }),
        (keys, amounts) => {
          const entries = keys.map((key, k) => [key, amounts[k]!] as const)
          const now = typed(work(sheet), ...entries)
          for (const [key, amount] of entries) expect(grams(now, key)).toBeCloseTo(amount, 2)
          expect(now.sheet.target).toEqual(testSheet.target)
          expect(
            now.rows.filter(({ part }) => part === 'flour').reduce((sum, { percent }) => sum + percent, 0),
          ).toBeCloseTo(100, 6)
        },
      ),
    )
  })

  it('a percent typed over it, or another scale, and it is a share again', () => {
    const nine = typed(work(testSheet), ['salt', 9])
    const percent = setRowPercent(nine, 'salt', 2)
    if (!percent.ok) throw new Error(percent.problem.code)
    expect(percent.value.rows.find(({ key }) => key === 'salt')).not.toHaveProperty('typedG')
    const twice = work({ ...nine.sheet, target: { by: 'dough', grams: 2 * nine.batch.doughG } })
    expect(grams(twice, 'salt')).toBeCloseTo(18, 6)
    const then = typed(twice, ['water', 400])
    expect(then.rows.find(({ key }) => key === 'salt')!.percent).toBeCloseTo(
      nine.rows.find(({ key }) => key === 'salt')!.percent,
      6,
    )
  })

  it('a percent of one flour leaves the flour that was typed in grams alone', () => {
    const now = typed(work(withFlour(['durum', 50], ['soft', 30], ['another', 20])), ['soft', 100])
    const next = setRowPercent(now, 'durum', 60)
    if (!next.ok) throw new Error(next.problem.code)
    const share = (of: Worked, key: string) => of.rows.find((row) => row.key === key)!.percent
    expect(share(work(next.value), 'soft')).toBeCloseTo(share(now, 'soft'), 9)
  })
})

it('more of a row than the whole dough is refused', () => {
  expect(setRowGrams(work(testSheet), 'salt', 5000, testKitchen).ok).toBe(false)
  expect(setRowGrams(work(testSheet), 'flour', 0, testKitchen)).toMatchObject({ problem: { code: 'zero-target' } })
})

it('a locked row keeps its grams while the rest follows', () => {
  const locked = lockRow(work(testSheet), 'salt', 8)
  const worked = work(locked)
  expect(grams(worked, 'salt')).toBeCloseTo(8, 9)
  expect(worked.batch.flourG).toBeCloseTo(800, 6)
  expect(lockedLine(worked)).toBe('salt')
  expect(
    computeSheet(
      {
        ...locked,
        rows: locked.rows.map((r) => (r.key === 'salt' ? { ...r, amount: { by: 'percent', percent: 0 } } : r)),
      },
      testKitchen,
    ),
  ).toMatchObject({
    problem: { code: 'locked-row-empty' },
  })
})

it.each(['flour', 'dough', 'water', 'pieces', 'portions'] as const)(
  'switching to solve for %s changes next to nothing',
  (by) => {
    const worked = work(testSheet)
    expect(Math.abs(work(retarget(worked, by)).batch.doughG - worked.batch.doughG)).toBeLessThan(3)
  },
)

it('one flour of a blend moves, the others make room', () => {
  const blend: Sheet = {
    ...testSheet,
    rows: [
      { key: 'a', ingredient: 'durum', amount: { by: 'percent', percent: 50 }, flour: true },
      { key: 'b', ingredient: 'soft', amount: { by: 'percent', percent: 50 }, flour: true },
      ...testSheet.rows.slice(1),
    ],
  }
  const next = setRowPercent(work(blend), 'a', 70)
  if (!next.ok) throw new Error(next.problem.code)
  expect(
    work(next.value)
      .rows.slice(0, 2)
      .map((row) => row.percent),
  ).toEqual([70, 30])
  expect(setRowPercent(work(blend), 'a', 120)).toMatchObject({ problem: { code: 'flour-over-100' } })
  expect(setRowPercent(work(testSheet), 'flour', 90)).toMatchObject({ problem: { code: 'only-flour' } })
})

it('every edit leaves a sheet that can be stored', () => {
  const worked = work(standing('dry'))
  for (const sheet of [
    setPoured(worked, -20),
    setPoured(worked, 900),
    lockRow(worked, 'water', 200),
    retarget(worked, 'pieces'),
  ])
    expect(sheetSchema.safeParse(sheet).success).toBe(true)
})

it('notes say what is outside, worst first', () => {
  const codes = (sheet: Sheet) => work(sheet).notes.map((note) => note.code)
  const at = (percent: number): Sheet => ({
    ...testSheet,
    rows: testSheet.rows.map((row) =>
      row.key === 'water' ? { ...row, amount: { by: 'hydration', percent, basis: 'basis14' } } : row,
    ),
  })
  expect(codes(at(70))[0]).toBe('hydration-outside')
  expect(codes(at(45))).toContain('shape-outside')
  expect(codes(at(49))).not.toContain('shape-outside')
  expect(codes(testSheet)).toContain('scale-coarse')
  expect(
    codes({
      ...testSheet,
      rows: testSheet.rows.map((row) => (row.key === 'salt' ? { ...row, amount: { by: 'percent', percent: 3 } } : row)),
    }),
  ).toContain('salt-outside')
})

it('an ingredient, dough or shape the tables do not have is named', () => {
  expect(computeSheet({ ...testSheet, shape: 'gone' }, testKitchen)).toMatchObject({
    problem: { code: 'unknown-shape' },
  })
  expect(computeSheet({ ...testSheet, dough: 'gone' }, testKitchen)).toMatchObject({
    problem: { code: 'unknown-dough' },
  })
})

it('flour reckoned damper than 15 % is told of for its mould, and counted as 15', () => {
  const years = '2029-03-01T00:00:00Z'
  const lots = [{ ...testKitchen.lots[0]!, packing: 'open-bin' as const, since: years }]
  const damp = work(standing('damp'), { ...testKitchen, lots })
  expect(damp.flourMoisture).toBeCloseTo(0.15, 9)
  expect(damp.notes.find(({ code }) => code === 'flour-damp')).toMatchObject({ limit: 0.15 })
  expect(work(standing('damp')).notes.map(({ code }) => code)).not.toContain('flour-damp')
})
