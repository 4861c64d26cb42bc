import fc from 'fast-check'
import { blankG, blankVolumeMm3, withSize } from './blank.ts'
import type { Roller } from '../geometry/index.ts'
import type { Blank } from '../model/index.ts'
import { doughFor, piecesOf, type Rolling } from './pieces.ts'

const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const blanks: fc.Arbitrary<Blank> = fc.oneof(
  fc.record({ type: fc.constant('rope' as const), diameterMm: mm(3, 30), cutMm: mm(4, 200) }),
  fc.record({
    type: fc.constant('sheet' as const),
    thicknessMm: mm(0.5, 6),
    widthMm: mm(1, 300),
    lengthMm: mm(20, 2000),
  }),
  fc.record({ type: fc.constant('disc' as const), diameterMm: mm(10, 200), thicknessMm: mm(0.5, 20) }),
  fc.record({
    type: fc.constant('drop' as const),
    by: fc.constant('hole' as const),
    holeMm: mm(3, 20),
    lengthMm: mm(3, 60),
  }),
)

it.each([
  ['a rope', { type: 'rope', diameterMm: 9, cutMm: 13 }, 827.03],
  ['a belt', { type: 'sheet', thicknessMm: 2, widthMm: 30, lengthMm: 400 }, 24_000],
  ['a round', { type: 'disc', diameterMm: 70, thicknessMm: 1 }, 3848.45],
  ['a drop', { type: 'drop', by: 'hole', holeMm: 8, lengthMm: 12 }, 603.19],
  [
    'a tube from a die',
    { type: 'die', section: 'tube', outerMm: 12, innerMm: 9.6, openAreaMm2: 40, swell: 1.1, cutMm: 40 },
    1760,
  ],
] as const)('volume of %s', (_, blank, mm3) => expect(blankVolumeMm3(blank)).toBeCloseTo(mm3, 1))

it('pieces and what is left over are the dough, whatever they are cut from', () => {
  fc.assert(
    fc.property(blanks, mm(10, 20_000), mm(1, 1.4), (blank, doughG, density) => {
      const made = piecesOf(blank, doughG, density, 600, null)
      expect(made.pieceG).toBeCloseTo(blankG(density, blank), 9)
      expect(made.pieces * made.pieceG + made.leftoverG).toBeGreaterThanOrEqual(doughG - 1e-6)
      expect(made.leftoverG).toBeLessThan(made.pieceG + 1e-6)
      expect(made.rope === null).toBe(blank.type !== 'rope')
    }),
  )
})

it('exactly so many pieces of dough make so many, and not one less', () => {
  fc.assert(
    fc.property(blanks, fc.integer({ min: 1, max: 3000 }), (blank, count) => {
      expect(piecesOf(blank, count * blankG(1.2, blank), 1.2, 600, null).pieces).toBe(count)
      expect(doughFor(count, blank, 1.2, 600, null)).toBeCloseTo(count * blankG(1.2, blank), 6)
    }),
  )
})

it('a strand drawn out weighs what its cut weighed', () => {
  const cut: Blank = { type: 'rope', diameterMm: 9, cutMm: 60 }
  expect(blankG(1.2, { ...cut, drawn: { diameterMm: 4, lengthMm: 300 } })).toBe(blankG(1.2, cut))
})

const crank: Roller = {
  widthMm: 150,
  settings: 7,
  widest: 'first',
  measured: [
    { setting: 1, gapMm: 2.8 },
    { setting: 7, gapMm: 0.5 },
  ],
  springBack: 1.1,
}
const rolling = (roller: Roller | null): Rolling => ({ roller, belt: false, hydrationPercent: 45 })
const sheets: fc.Arbitrary<Blank> = fc.oneof(
  fc.record({
    type: fc.constant('sheet' as const),
    thicknessMm: mm(0.6, 3),
    widthMm: mm(2, 140),
    lengthMm: mm(20, 500),
  }),
  mm(0.6, 3).chain((thicknessMm) =>
    mm(40, 100).map((sideMm): Blank => ({ type: 'sheet', thicknessMm, widthMm: sideMm, lengthMm: sideMm })),
  ),
  fc.record({ type: fc.constant('disc' as const), diameterMm: mm(30, 140), thicknessMm: mm(0.6, 3) }),
)

it('of a sheet: never more pieces than there is dough for, and what is asked for can be cut of what is made for it', () => {
  fc.assert(
    fc.property(sheets, fc.constantFrom(null, crank), fc.integer({ min: 1, max: 400 }), (blank, roller, count) => {
      const doughG = doughFor(count, blank, 1.2, 600, rolling(roller))
      const made = piecesOf(blank, doughG, 1.2, 600, rolling(roller))
      expect(made.pieces).toBeGreaterThanOrEqual(count)
      expect(doughG).toBeGreaterThanOrEqual(count * made.pieceG - 1e-6)
      expect(made.pieces * made.pieceG).toBeLessThanOrEqual(doughG * 1.03 + 1e-6)
      // As much as they weigh; or a hair less, and one is missing. (A good deal less may make one more: of other scrap another
      // row is stamped.)
      const less = piecesOf(blank, doughG * (1 - Number.EPSILON), 1.2, 600, rolling(roller))
      if (Math.abs(doughG - count * made.pieceG) > 1e-6) expect(less.pieces).toBeLessThan(count)
    }),
    { numRuns: 150 },
  )
})

it('48 rounds want the scrap as well: more dough than they weigh, and the count is the one that is stamped', () => {
  const round: Blank = { type: 'disc', diameterMm: 70, thicknessMm: 1 }
  const doughG = doughFor(48, round, 1.2, 600, rolling(crank))
  const made = piecesOf(round, doughG, 1.2, 600, rolling(crank))
  expect(made.pieces).toBe(48)
  expect(doughG).toBeGreaterThan(48 * made.pieceG * 1.01)
  expect(made.sheet!.stamped!.pieces).toBe(48)
})

it('a blank takes the sizes it has and leaves the others', () => {
  const rope: Blank = { type: 'rope', diameterMm: 9, cutMm: 13 }
  expect(withSize(rope, 'cutMm', 20)).toEqual({ type: 'rope', diameterMm: 9, cutMm: 20 })
  expect(withSize(rope, 'holeMm', 20)).toBe(rope)
  expect(withSize(rope, 'drawnMm', 2)).toBe(rope)
  const strand: Blank = { type: 'rope', diameterMm: 9, cutMm: 90, drawn: { diameterMm: 2 } }
  expect(withSize(strand, 'drawnMm', 3)).toEqual({ ...strand, drawn: { diameterMm: 3 } })
})
