import * as fc from 'fast-check'
import { leftOf, limitsOf, spentBy, spoilageOf, warmShare, type Contents, type Lying, type Spoilage } from './limits.ts'

const plain: Contents = { rows: ['plain'], carbonatePercent: 0, filled: false, scalded: false, potatoBase: false }

it.each<[string, Partial<Contents>, number, number, boolean]>([
  ['flour, water and salt', {}, 120, 48, true],
  ['half a percent of carbonate', { carbonatePercent: 0.5 }, 120, 72, true],
  ['less carbonate than that', { carbonatePercent: 0.49 }, 120, 48, true],
  ['a purée', { rows: ['plain', 'moist'] }, 120, 24, false],
  ['a soy drink', { rows: ['perishable'] }, 60, 24, false],
  ['a filling', { filled: true }, 60, 24, false],
  ['scalded starch', { scalded: true }, 60, 24, false],
  ['a potato', { potatoBase: true }, 60, 0, false],
  ['egg and carbonate', { rows: ['perishable'], carbonatePercent: 1 }, 60, 24, false],
])('%s', (_, part, warmMin, coldH, mayDry) => {
  expect(limitsOf({ ...plain, ...part })).toEqual({ warmMin, coldH, mayDry })
})

it.each([
  [27, 1],
  [27.1, 0.75],
  [32, 0.75],
  [32.1, 0.5],
])('at %f °C a warm limit is %f of itself', (celsius, share) => expect(warmShare(celsius)).toBe(share))

it('what spoils by what it is: milk of any plant, ink, the water of pulses; powders do not', () => {
  const of = (part: Partial<Parameters<typeof spoilageOf>[0]>): Spoilage =>
    spoilageOf({ group: 'liquid', water: 0.9, allergens: [], protein: 0, fat: 0, ...part })
  expect(of({ water: 1 })).toBe('plain')
  expect(of({ allergens: ['milk'] })).toBe('perishable')
  expect(of({ protein: 0.006, fat: 0.011 })).toBe('perishable')
  expect(of({ group: 'pulse', water: 0.8 })).toBe('perishable')
  expect(of({ group: 'pulse', water: 0.1 })).toBe('plain')
  expect(of({ group: 'vegetable', water: 0.9 })).toBe('moist')
  expect(of({ group: 'vegetable', water: 0.07 })).toBe('plain')
  expect(of({ spoils: 'moist', protein: 0.03 })).toBe('moist')
})

const lying = fc.record<Lying>({
  minutes: fc.double({ min: 0, max: 3000, noNaN: true }),
  temperatureC: fc.double({ min: -40, max: 60, noNaN: true }),
})
const contents = fc.record<Contents>({
  rows: fc.array(fc.constantFrom<Spoilage>('plain', 'moist', 'perishable'), { maxLength: 4 }),
  carbonatePercent: fc.double({ min: 0, max: 2, noNaN: true }),
  filled: fc.boolean(),
  scalded: fc.boolean(),
  potatoBase: fc.boolean(),
})

it('however a while is cut, and in whatever order it lay, as much is spent; more is never left than the limit', () => {
  fc.assert(
    fc.property(
      contents,
      fc.array(lying, { maxLength: 8 }),
      fc.double({ min: -20, max: 45, noNaN: true }),
      (of, lain, roomC) => {
        const limits = limitsOf(of)
        const halves = lain.flatMap(({ minutes, temperatureC }) => [
          { minutes: minutes / 2, temperatureC },
          { minutes: minutes / 2, temperatureC },
        ])
        const [once, twice] = [spentBy(lain, limits), spentBy(halves.reverse(), limits)]
        if (Number.isFinite(once.warm + once.cold)) {
          expect(twice.warm).toBeCloseTo(once.warm, 6)
          expect(twice.cold).toBeCloseTo(once.cold, 6)
        }
        const left = leftOf(once, limits, roomC)
        expect(left.roomLeftMin).toBeGreaterThanOrEqual(0)
        expect(left.roomLeftMin).toBeLessThanOrEqual(limits.warmMin)
        expect(left.fridgeLeftH).toBeLessThanOrEqual(limits.coldH)
        // To lie longer leaves less.
        const longer = leftOf(spentBy([...lain, { minutes: 30, temperatureC: 21 }], limits), limits, roomC)
        expect(longer.roomLeftMin).toBeLessThanOrEqual(left.roomLeftMin)
      },
    ),
  )
})

it('frozen, nothing is spent; between 5 and 8 °C an hour counts twice', () => {
  const limits = limitsOf(plain)
  expect(spentBy([{ minutes: 10_000, temperatureC: -10 }], limits)).toEqual({ warm: 0, cold: 0 })
  expect(spentBy([{ minutes: 60, temperatureC: 5 }], limits).cold).toBeCloseTo(1 / 48, 12)
  expect(spentBy([{ minutes: 60, temperatureC: 6 }], limits).cold).toBeCloseTo(2 / 48, 12)
  expect(spentBy([{ minutes: 60, temperatureC: 8 }], limits).warm).toBe(0)
  expect(leftOf({ warm: 1.01, cold: 0 }, limits, 20)).toEqual({ roomLeftMin: 0, fridgeLeftH: 0 })
})
