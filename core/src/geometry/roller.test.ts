import fc from 'fast-check'
import { settingsOf, type Roller } from './roller.ts'
import { lightThrough } from './light.ts'
import { rolledSheetPlan } from './rolledSheetPlan.ts'

const crank: Roller = {
  settings: 7,
  widest: 'first',
  measured: [
    { setting: 1, gapMm: 2.8 },
    { setting: 7, gapMm: 0.5 },
  ],
  springBack: 1.1,
  widthMm: 150,
}
const gaps = (roller: Roller) => settingsOf(roller).map((setting) => Number(setting.gapMm.toFixed(2)))

it('two measurements fill the table, in equal shares a step', () => {
  expect(gaps(crank)).toEqual([2.8, 2.1, 1.58, 1.18, 0.89, 0.67, 0.5])
  expect(settingsOf(crank).map((setting) => setting.measured)).toEqual([true, false, false, false, false, false, true])
})

it('a scale that runs the other way is the same roller, its numbers turned round', () => {
  const turned = crank.measured.map(({ setting, gapMm }) => ({ setting: 8 - setting, gapMm }))
  const reversed = settingsOf({ ...crank, widest: 'last', measured: turned })
  expect(reversed.map((setting) => setting.gapMm.toFixed(6))).toEqual(
    settingsOf(crank).map((setting) => setting.gapMm.toFixed(6)),
  )
  expect(reversed[0]!.setting).toBe(7)
})

it('one more measurement bends the table there, and beyond the last two it goes on as between them', () => {
  const measured = [
    { setting: 2, gapMm: 2 },
    { setting: 4, gapMm: 1 },
    { setting: 5, gapMm: 0.5 },
  ]
  expect(gaps({ ...crank, measured })).toEqual([2.83, 2, 1.41, 1, 0.5, 0.25, 0.13])
})

it('with less than two measurements only those are known', () => {
  expect(gaps({ ...crank, measured: [{ setting: 3, gapMm: 1.8 }] })).toEqual([1.8])
  expect(gaps({ ...crank, measured: [] })).toEqual([])
})

it('every gap is thinner than the one before, whatever was measured in order', () => {
  const measured = fc
    .uniqueArray(fc.tuple(fc.integer({ min: 1, max: 12 }), fc.double({ min: 0.3, max: 6, noNaN: true })), {
      minLength: 2,
      maxLength: 6,
      selector: ([setting]) => setting,
    })
    .map((pairs) => {
      const byNumber = [...pairs].sort(([a], [b]) => a - b)
      const wide = pairs.map(([, gapMm]) => gapMm).sort((a, b) => b - a)
      return byNumber.map(([setting], index) => ({ setting, gapMm: wide[index]! - index * 1e-6 }))
    })
  fc.assert(
    fc.property(measured, (each) => {
      const found = settingsOf({ ...crank, settings: 12, measured: each })
      found.slice(1).forEach((setting, index) => expect(setting.gapMm).toBeLessThanOrEqual(found[index]!.gapMm + 1e-9))
    }),
  )
})

describe('a dough through the roller', () => {
  const asked = {
    doughG: 1000,
    densityGPerCm3: 1.2,
    thicknessMm: 1,
    hydrationPercent: 34,
    roller: crank,
    maxLengthMm: 600,
    cut: { pitchMm: 1.5, lengthMm: 250 },
  }

  it('stiff dough is thinned by a third at a time, supple dough by two fifths', () => {
    const worst = (hydrationPercent: number) => {
      const plan = rolledSheetPlan({ ...asked, hydrationPercent })
      if (!plan.passes.ok) throw new Error(plan.passes.problem.code)
      return Math.max(...plan.passes.value.map((pass) => pass.ratio))
    }
    expect(worst(34)).toBeLessThanOrEqual(1.5 + 1e-9)
    expect(worst(50)).toBeLessThanOrEqual(1 / 0.6 + 1e-9)
  })

  it('ends at the setting that comes nearest, and the sheet is as long as that leaves it', () => {
    const plan = rolledSheetPlan(asked)
    if (!plan.passes.ok) throw new Error(plan.passes.problem.code)
    expect(plan.widest).toMatchObject({ setting: 1, gapMm: 2.8 })
    const outs = settingsOf(crank).map(({ gapMm }) => gapMm * crank.springBack)
    const off = Math.min(...outs.map((out) => Math.abs(out - 1)))
    expect(Math.abs(plan.madeMm - 1)).toBeCloseTo(off, 9)
    expect(plan.passes.value.at(-1)!.outMm).toBe(plan.madeMm)
    expect(plan.sheet.lengthMm).toBeCloseTo((1000 * 1000) / (1.2 * plan.madeMm * 150), 6)
    expect(plan.sheet.strandsPerSheet).toBe(100)
    // A hundred across, each 250 long: ends of a sheet go into the next.
    expect(plan.pieces).toBe(Math.floor((100 * plan.sheet.lengthMm) / 250))
    expect(plan.stamped).toBeNull()
  })

  it('rounds are stamped of one sheet, and its scrap rolled out twice at the most', () => {
    const stamp = { shape: 'circle' as const, sizeMm: 70, gapMm: 2 }
    const { stamped } = rolledSheetPlan({ ...asked, cut: { stamp } })
    expect(stamped!.perSheet).toBeGreaterThan(12)
    expect(stamped!.generations.length).toBeLessThanOrEqual(3)
  })

  it('thinner still, one setting at a time, down to the last; the sheet grows as it thins', () => {
    let plan = rolledSheetPlan(asked)
    const seen = [plan.madeMm]
    while (plan.further) {
      const thinner = rolledSheetPlan({ ...asked, thinnedMm: plan.further.outMm })
      expect(thinner.sheet.areaCm2 * thinner.madeMm).toBeCloseTo(plan.sheet.areaCm2 * plan.madeMm, 6)
      expect(plan.further.ratio).toBeCloseTo(plan.madeMm / thinner.madeMm, 9)
      plan = thinner
      seen.push(plan.madeMm)
    }
    const outs = settingsOf(crank).map(({ gapMm }) => gapMm * crank.springBack)
    expect(seen).toEqual(outs.filter((out) => out <= seen[0]!))
    expect(rolledSheetPlan({ ...asked, roller: null, thinnedMm: 0.7 })).toMatchObject({ madeMm: 0.7, further: null })
  })

  it('what shows through a sheet says about how thin it is', () => {
    expect([2.4, 1.05, 0.85, 0.62, 0.2].map((mm) => lightThrough(mm).id)).toEqual([
      'none',
      'shadow',
      'fingers',
      'headline',
      'print',
    ])
  })

  it('thinner than the roller goes is said, not guessed', () => {
    expect(rolledSheetPlan({ ...asked, thicknessMm: 0.3 }).passes).toMatchObject({
      problem: { code: 'no-gap-so-thin' },
    })
    expect(rolledSheetPlan({ ...asked, roller: { ...crank, measured: [] } }).widest).toBeNull()
    // Thicker than the widest leaves it: the pin does it, and it is as thick as wanted.
    expect(rolledSheetPlan({ ...asked, thicknessMm: 6 })).toMatchObject({ madeMm: 6, passes: { ok: true, value: [] } })
    expect(rolledSheetPlan({ ...asked, roller: null })).toMatchObject({
      madeMm: 1,
      folds: 0,
      widest: null,
      widthMm: 300,
    })
  })
})
