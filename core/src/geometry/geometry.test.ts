import fc from 'fast-check'
import { extrude } from './extrude.ts'
import { passes, type PassesRequest } from './passes.ts'
import { rolledSheet } from './rolledSheet.ts'
import { bestLayout, stampAreaMm2, stampCentres, stamped, type Layout, type Stamp } from './stamp.ts'

const size = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('a sheet', () => {
  it('2839 g at 1.224, 0.8 mm thick and 140 wide: 20.7 m in 30 pieces, 82 strands at 1.7 mm', () => {
    const sheet = { doughG: 2839, densityGPerCm3: 1.224, thicknessMm: 0.8, widthMm: 140, maxLengthMm: 700 }
    expect(rolledSheet({ ...sheet, cutterPitchMm: 1.7 })).toMatchObject({ sheets: 30, strandsPerSheet: 82 })
    expect(rolledSheet(sheet).lengthMm).toBeCloseTo(20709.3, 1)
  })

  it('weighs what the dough weighed, and no piece is longer than arms', () => {
    fc.assert(
      fc.property(
        size(1, 50_000),
        size(0.3, 8),
        size(20, 600),
        size(100, 3000),
        (doughG, thicknessMm, widthMm, max) => {
          const made = rolledSheet({ doughG, densityGPerCm3: 1.2, thicknessMm, widthMm, maxLengthMm: max })
          const { sheets, sheetLengthMm, areaCm2 } = made
          expect((sheets * sheetLengthMm * widthMm * thicknessMm * 1.2) / 1000 / doughG).toBeCloseTo(1, 9)
          expect((areaCm2 * 100 * thicknessMm * 1.2) / 1000 / doughG).toBeCloseTo(1, 9)
          expect(sheetLengthMm).toBeLessThanOrEqual(max + 1e-6)
          expect(sheets === 1 || made.lengthMm > (sheets - 1) * max - 1e-6).toBe(true)
        },
      ),
    )
  })
})

describe('passes through a roller', () => {
  /** Every sequence there is, slowly. */
  function allWays({ gapsMm, startMm, targetMm, maxRatio, springBack = 1 }: PassesRequest) {
    const last = Math.max(...gapsMm.filter((gap) => gap * springBack <= targetMm + 1e-9))
    const ways: { sequence: number[]; worst: number }[] = []
    const go = (before: number, sequence: number[], worst: number) => {
      if (sequence.at(-1) === last) return void ways.push({ sequence, worst })
      for (const gap of gapsMm) {
        const ratio = before / (gap * springBack)
        if (gap >= last && ratio > 1 + 1e-9 && ratio <= maxRatio + 1e-9)
          go(gap * springBack, [...sequence, gap], Math.max(worst, ratio))
      }
    }
    go(startMm, [], 0)
    return ways
  }
  const requests: fc.Arbitrary<PassesRequest> = fc.record({
    gapsMm: fc.uniqueArray(
      fc.integer({ min: 3, max: 60 }).map((tenths) => tenths / 10),
      { minLength: 1, maxLength: 8 },
    ),
    startMm: size(0.5, 12),
    targetMm: size(0.3, 6),
    maxRatio: size(1.05, 3),
    springBack: size(1, 1.3),
  })

  it('are as few as can be, and of those the gentlest', () => {
    fc.assert(
      fc.property(requests, (request) => {
        const found = passes(request)
        if (request.startMm <= request.targetMm) return expect(found).toMatchObject({ value: { sequence: [] } })
        const ways = request.gapsMm.some((gap) => gap * request.springBack! <= request.targetMm + 1e-9)
          ? allWays(request)
          : []
        if (ways.length === 0) return expect(found.ok).toBe(false)
        if (!found.ok) throw new Error(found.problem.code)
        const fewest = Math.min(...ways.map((way) => way.sequence.length))
        const gentlest = Math.min(...ways.filter((way) => way.sequence.length === fewest).map((way) => way.worst))
        expect(found.value.sequence).toHaveLength(fewest)
        expect(Math.max(...found.value.ratios)).toBeCloseTo(gentlest, 9)
        expect(found.value.finalMm).toBeLessThanOrEqual(request.targetMm + 1e-9)
        return found.value.ratios.reduce((thick, ratio) => thick / ratio, request.startMm) - found.value.finalMm < 1e-9
      }),
    )
  })

  it('gaps may come in any order, and twice', () => {
    const request = { gapsMm: [1.2, 4.8, 2.1, 2.1, 3.8, 2.8, 1.6], startMm: 8, targetMm: 1.2, maxRatio: 1.8 }
    expect(passes(request)).toMatchObject({ value: { sequence: [4.8, 2.8, 2.1, 1.2] } })
  })

  it('what cannot be names the step', () => {
    expect(passes({ gapsMm: [4, 1], startMm: 6, targetMm: 1, maxRatio: 1.8 })).toMatchObject({
      problem: { code: 'pass-too-large', data: { fromMm: 4, toMm: 1, ratio: 4 } },
    })
    expect(passes({ gapsMm: [4, 2], startMm: 6, targetMm: 1, maxRatio: 3 })).toMatchObject({
      problem: { code: 'no-gap-so-thin', data: { thinnestMm: 2, targetMm: 1 } },
    })
  })
})

describe('stamps', () => {
  const stamps: fc.Arbitrary<Stamp> = fc.record({
    shape: fc.constantFrom('circle' as const, 'square' as const),
    sizeMm: size(12, 120),
    gapMm: fc.oneof(fc.constant(0), size(0, 10)),
  })
  const sheets = fc.record({ widthMm: size(10, 400), lengthMm: size(10, 900) })

  it('drawn, they never overlap and never leave the sheet, in any layout', () => {
    fc.assert(
      fc.property(sheets, stamps, (sheet, stamp) => {
        const layouts: readonly Layout[] =
          stamp.shape === 'square' ? ['square'] : ['square', 'staggered-rows', 'staggered-columns']
        for (const layout of layouts) {
          const centres = stampCentres(sheet, stamp, layout)
          const half = stamp.sizeMm / 2 - 1e-6
          const inside = ({ acrossMm, alongMm }: (typeof centres)[number]) =>
            acrossMm >= half && acrossMm <= sheet.widthMm - half && alongMm >= half && alongMm <= sheet.lengthMm - half
          expect(centres.every(inside)).toBe(true)
          const apart = stamp.sizeMm + stamp.gapMm - 1e-6
          // Along the sheet, each has to be held only against those that begin before it ends.
          const along = [...centres].sort((one, other) => one.alongMm - other.alongMm)
          along.forEach((one, n) => {
            for (let m = n + 1; m < along.length && along[m]!.alongMm - one.alongMm < apart; m += 1) {
              const across = Math.abs(along[m]!.acrossMm - one.acrossMm)
              const up = along[m]!.alongMm - one.alongMm
              const free = stamp.shape === 'square' ? Math.max(across, up) : Math.hypot(across, up)
              if (free < apart) throw new Error(`${layout}: stamps ${n} and ${m} are ${free} mm apart`)
            }
          })
        }
      }),
      { numRuns: 150 },
    )
  })

  it('as many are drawn as are counted, and never fewer than the plain grid holds', () => {
    fc.assert(
      fc.property(sheets, stamps, (sheet, stamp) => {
        const { layout, count } = bestLayout(sheet, stamp)
        expect(stampCentres(sheet, stamp, layout)).toHaveLength(count)
        expect(count).toBeGreaterThanOrEqual(stampCentres(sheet, stamp, 'square').length)
      }),
    )
  })

  it('pieces and the last scrap are the sheet and the flour it took up', () => {
    fc.assert(
      fc.property(
        sheets,
        stamps,
        fc.integer({ min: 0, max: 4 }),
        size(0, 0.05),
        (sheet, stamp, rerolls, pickupShare) => {
          const made = stamped({ sheet, stamp, thicknessMm: 1, densityGPerCm3: 1.2, rerolls, pickupShare })
          const sheetG = (sheet.widthMm * sheet.lengthMm * 1.2) / 1000
          const tookUpG = made.generations
            .slice(0, -1)
            .reduce((sum, generation) => sum + generation.scrapG * pickupShare, 0)
          const outG = made.pieces * made.pieceG + made.generations.at(-1)!.scrapG
          expect(outG / (sheetG + tookUpG)).toBeCloseTo(1, 6)
          expect(made.generations.length).toBeLessThanOrEqual(rerolls + 1)
          expect(made.scrapFraction).toBeCloseTo(
            1 - (made.perSheet * stampAreaMm2(stamp)) / (sheet.widthMm * sheet.lengthMm),
            9,
          )
        },
      ),
    )
  })

  it('a sheet smaller than its stamp gives none, and no re-roll either', () => {
    const made = stamped({
      sheet: { widthMm: 30, lengthMm: 400 },
      stamp: { shape: 'circle', sizeMm: 40, gapMm: 0 },
      thicknessMm: 1,
      densityGPerCm3: 1.2,
      rerolls: 3,
      pickupShare: 0,
    })
    expect(made).toMatchObject({ perSheet: 0, pieces: 0, scrapFraction: 1, layout: 'square' })
    expect(made.generations).toHaveLength(1)
  })
})

describe('a die', () => {
  it('what runs out is the dough, whatever the holes', () => {
    fc.assert(
      fc.property(
        size(100, 9000),
        size(2, 80),
        fc.integer({ min: 1, max: 40 }),
        size(1, 1.4),
        (doughG, open, holes, swell) => {
          const run = { densityGPerCm3: 1.3, openAreaMm2: open, holes, speedMmPerS: 20, cutMm: 25, swell, lumpG: 80 }
          const made = extrude({ ...run, doughG })
          expect(made.massFlowGPerMin * made.runMin).toBeCloseTo(doughG, 6)
          expect((made.piecesPerMin * made.pieceG) / made.massFlowGPerMin).toBeCloseTo(1, 9)
          expect(doughG - made.pieces * made.pieceG).toBeLessThan(made.pieceG + 1e-6)
          expect((made.massFlowGPerMin * made.lumpEveryS) / 60).toBeCloseTo(80, 6)
        },
      ),
    )
  })
})
