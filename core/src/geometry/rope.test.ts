import fc from 'fast-check'
import { rope } from './rope.ts'

const size = (min: number, max: number) => fc.double({ min, max, noNaN: true })

it('998 g as a 9 mm rope cut at 18 mm: π/4 × 0.9² × 1.8 × 1.165 = 1.334 g a piece', () => {
  const made = rope({ doughG: 998, densityGPerCm3: 1.165, diameterMm: 9, cutMm: 18, boardMm: 600 })
  expect(made).toMatchObject({ pieces: 748, ropes: 23, piecesPerBoard: 33 })
  expect(made.pieceG).toBeCloseTo(1.334, 3)
})

it('pieces and what is left over are the dough', () => {
  fc.assert(
    fc.property(
      size(1, 20_000),
      size(1, 1.4),
      size(2, 40),
      size(2, 300),
      (doughG, densityGPerCm3, diameterMm, cutMm) => {
        const made = rope({ doughG, densityGPerCm3, diameterMm, cutMm, boardMm: 600 })
        expect(made.pieces * made.pieceG + made.leftoverG).toBeCloseTo(doughG, 5)
        expect(made.leftoverG).toBeLessThan(made.pieceG + 1e-6)
        expect(made.ropes * 600).toBeGreaterThanOrEqual(made.ropeMm - 1e-3)
      },
    ),
  )
})
