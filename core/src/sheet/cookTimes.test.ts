import * as fc from 'fast-check'
import { cookTimes, fillingHalfMm, frozenExtraMin } from './cookTimes.ts'

const parcel = {
  blank: { type: 'sheet', thicknessMm: 1, widthMm: 40, lengthMm: 40 },
  cookFreshMin: [4, 6],
  heat: undefined,
  fillingG: { low: 3, best: 4, high: 5 },
} as unknown as Parameters<typeof cookTimes>[0]
const made = (thickMm: number) => ({ sheet: { madeMm: thickMm } }) as unknown as Parameters<typeof cookTimes>[1]

it('a filled piece is cooked by its filling: no thinner skin and no lighter word takes from it', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.3, max: 2, noNaN: true }),
      fc.double({ min: 1, max: 30, noNaN: true }),
      (thickMm, gramsEach) => {
        const [low, high] = cookTimes(parcel, made(thickMm), { gramsEach })
        const square = (gramsEach / 4) ** (2 / 3)
        expect(low).toBeGreaterThanOrEqual(4 * square - 1e-9)
        expect(high).toBeGreaterThanOrEqual(low)
        if (thickMm <= 1) expect(low).toBeCloseTo(4 * square, 9)
      },
    ),
  )
})

it('a wall goes by its thickness; baked, it does not wait for it', () => {
  const { fillingG: _, ...bare } = parcel
  expect(cookTimes(bare as typeof parcel, made(0.7), null)[0]).toBeLessThan(3)
  expect(cookTimes({ ...bare, heat: 'bake' } as typeof parcel, made(2), null)).toEqual([4, 6])
})

it('from frozen a filling thaws first: a minute for a small one, five for one of 20 mm', () => {
  expect(frozenExtraMin(fillingHalfMm(2))).toBeLessThan(1.5)
  expect(frozenExtraMin(10)).toBeCloseTo(5, 1)
  expect(fillingHalfMm(8) / fillingHalfMm(1)).toBeCloseTo(2, 9)
})
