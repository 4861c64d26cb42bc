import fc from 'fast-check'
import { blankVolumeMm3, drawnOutMm } from '../shape/index.ts'
import { dropped } from './dropped.ts'
import { filled } from './filled.ts'
import { pulled } from './pulled.ts'

it('a lump of 30 × 130 mm, pulled to 64 strands: 2.6 mm each where the loop is 270 mm', () => {
  const folds = pulled({ volumeMm3: (Math.PI / 4) * 30 ** 2 * 130, loopMm: 270, folds: 6 })
  expect(folds).toHaveLength(7)
  expect(folds.at(-1)).toMatchObject({ folds: 6, strands: 64 })
  expect(folds.at(-1)!.diameterMm).toBeCloseTo(2.6, 1)
})

it('no dough is lost by folding: strands × section × loop is the lump', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1000, max: 1e6, noNaN: true }),
      fc.double({ min: 50, max: 2000, noNaN: true }),
      fc.integer({ min: 0, max: 12 }),
      (volumeMm3, loopMm, folds) => {
        for (const { strands, diameterMm } of pulled({ volumeMm3, loopMm, folds }))
          expect((strands * Math.PI * diameterMm ** 2 * loopMm) / 4 / volumeMm3).toBeCloseTo(1, 9)
      },
    ),
  )
})

const round = { pieces: 100, doughG: 5.2, fillingG: 8, moisturePercent: 60, wallMm: 1.1, faceMm: 70 }

it('a hundred half-moons: filling, mound and rim', () => {
  const plan = filled(round)
  expect(plan).toMatchObject({ fillingG: 800, pieceG: 13.2 })
  expect(plan.moundMm).toBeCloseTo(30.8, 1)
  expect(plan.rimMm).toBeCloseTo(10.8, 1)
  expect(plan.softAfterMin).toBeCloseTo(50.4, 1)
})

it('wetter fillings and thinner skins go soft sooner, within ten minutes and two hours', () => {
  const after = (part: Partial<typeof round>) => filled({ ...round, ...part }).softAfterMin
  expect(after({ moisturePercent: 75 })).toBeCloseTo(after({}) / 2, 6)
  expect(after({ wallMm: 0.3, moisturePercent: 90 })).toBe(10)
  expect(after({ wallMm: 4 })).toBe(120)
})

it('too much filling leaves no rim', () => {
  expect(filled({ ...round, fillingG: 60 }).rimMm).toBeLessThan(0)
})

it('1300 g into 6 L at 1 L to 100 g: three potfuls of 433 g, and never none', () => {
  const { potfuls, eachG } = dropped({ doughG: 1300, potL: 6, litresPer100G: 1 })
  expect([potfuls, Math.round(eachG)]).toEqual([3, 433])
  expect(dropped({ doughG: 600, potL: 6, litresPer100G: 1 }).potfuls).toBe(1)
  expect(dropped({ doughG: 0, potL: 6, litresPer100G: 1 }).potfuls).toBe(1)
})

it('what is drawn out keeps its volume; what is not has no length of its own', () => {
  const belt = {
    type: 'sheet',
    thicknessMm: 12,
    widthMm: 40,
    lengthMm: 130,
    drawn: { thicknessMm: 2, widthMm: 35 },
  } as const
  expect(drawnOutMm(belt)! * 2 * 35).toBeCloseTo(blankVolumeMm3(belt), 6)
  const lump = { type: 'rope', diameterMm: 30, cutMm: 130, drawn: { diameterMm: 2.6, strands: 64 } } as const
  expect(drawnOutMm(lump)).toBeCloseTo(270, 0)
  expect(drawnOutMm({ type: 'rope', diameterMm: 9, cutMm: 13 })).toBeNull()
})
