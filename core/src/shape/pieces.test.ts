import fc from 'fast-check'
import { blankG, blankVolumeMm3 } from './blank.ts'
import type { Blank } from '../model/index.ts'
import { piecesOf } from './pieces.ts'

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
      const made = piecesOf(blank, doughG, density, 600)
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
      expect(piecesOf(blank, count * blankG(1.2, blank), 1.2, 600).pieces).toBe(count)
    }),
  )
})

it('a strand drawn out weighs what its cut weighed', () => {
  const cut: Blank = { type: 'rope', diameterMm: 9, cutMm: 60 }
  expect(blankG(1.2, { ...cut, drawn: { diameterMm: 4, lengthMm: 300 } })).toBe(blankG(1.2, cut))
})
