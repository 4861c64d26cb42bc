import * as fc from 'fast-check'
import { askedFor, believable, beliefsOver, lotFromHistory, taughtFor, unlike, unmet, type Taught } from './flourLot.ts'

const seen = (points: number, offSd = 0) => ({ points, offSd })

it('holds back 4.3 points of a lot nobody knows, and under 2 after three batches', () => {
  const held = (points: number[]) => 2 * lotFromHistory(points.map((each) => seen(each))).predictiveSd
  expect(held([])).toBeCloseTo(4.31, 2)
  expect(held([1.5, 2.2, 1.9])).toBeLessThan(2)
})

it('believes one batch most of the way, never all of it', () => {
  const { shift, n } = lotFromHistory([seen(2)])
  expect(n).toBe(1)
  expect(shift).toBeCloseTo((2 * 4) / 4.64, 6)
})

it('before any batch the belief is the prior; with each the band closes in, and the last is what is poured by', () => {
  const all = [1.5, 2.2, 1.9, 1].map((points) => seen(points))
  const beliefs = beliefsOver(all)
  expect(beliefs).toHaveLength(5)
  expect(beliefs[0]).toMatchObject({ shift: 0, sd: 2, n: 0 })
  expect(beliefs.at(-1)).toEqual(lotFromHistory(all))
  for (let n = 1; n < beliefs.length; n += 1) expect(beliefs[n]!.sd).toBeLessThan(beliefs[n - 1]!.sd)
})

it('one wildly unlike all others is left out, whichever comes first; two that only differ are both believed', () => {
  const points = (all: readonly { points: number }[]) => all.map((each) => each.points)
  for (const all of [
    [-11.9, 0.3, -0.2],
    [0.3, -0.2, -11.9],
    [0.3, -11.9],
  ])
    expect(points(believable(all.map((each) => seen(each))))).toEqual(all.filter((each) => each !== -11.9))
  expect(believable([seen(-1), seen(1.5)])).toHaveLength(2)
  expect(Math.abs(lotFromHistory([0.3, -0.2, -11.9].map((each) => seen(each))).shift)).toBeLessThan(0.2)
  // So far off a lot nobody knows, it is not believed either.
  expect(lotFromHistory([seen(-9)])).toMatchObject({ n: 0, shift: 0 })
})

it('what came from cups moves the belief less, and leaves it less sure', () => {
  const [weighed, cups] = [lotFromHistory([seen(2)]), lotFromHistory([seen(2, 3)])]
  expect(cups.shift).toBeLessThan(weighed.shift / 2)
  expect(cups.sd).toBeGreaterThan(weighed.sd)
})

const told = (family: string, ...points: readonly number[]): readonly Taught[] =>
  points.map((each) => ({ ...seen(each), batch: 'b', atMs: 0, family, store: null }))

it('nothing goes to another family before two agree', () => {
  const families = (all: readonly Taught[], family: string) => [
    ...new Set(taughtFor(all, family).map((each) => each.family)),
  ]
  expect(families(told('salted', 2, 2), 'semolina')).toEqual([])
  expect(families([...told('salted', 2, 2), ...told('alkaline', 1.8, 2.3)], 'semolina')).toEqual(['salted', 'alkaline'])
  expect(families([...told('salted', 4, 4), ...told('alkaline', -3, -3)], 'semolina')).toEqual([])
  expect(families([...told('salted', 2, 2), ...told('semolina', 2.1)], 'semolina')).toEqual(['salted', 'semolina'])
  expect(families([...told('salted', 5, 5, 5), ...told('semolina', -2, -2)], 'semolina')).toEqual(['semolina'])
})

const points = fc.double({ min: -12, max: 12, noNaN: true })
const asked = fc.double({ min: 20, max: 90, noNaN: true })

it('goes from what is asked towards what is accepted, by the thirst at the most, and never beyond; and back again', () => {
  fc.assert(
    fc.property(asked, asked, points, (wanted, table, shift) => {
      const moved = unmet(wanted, table, shift)
      expect(Math.abs(moved)).toBeLessThanOrEqual(Math.abs(shift) + 1e-9)
      expect(moved * shift).toBeGreaterThanOrEqual(0)
      if (wanted === table) expect(moved).toBeCloseTo(shift, 9)
      // Dragged to where it stands, a formula stays what is poured.
      const poured = wanted + moved
      const again = askedFor(poured, table, shift)
      expect(again + unmet(again, table, shift)).toBeCloseTo(poured, 9)
    }),
  )
})

it('a batch unlike all others is left out until the maker says that it was so, and one that was off stays out', () => {
  const others = [1, 1.2, 0.8].map((points) => seen(points))
  const odd = (counts?: boolean) => ({ ...seen(9), ...(counts === undefined ? {} : { counts }) })
  expect(believable([...others, odd()])).toEqual(others)
  expect(unlike([...others, odd()])).toEqual([odd()])
  expect(lotFromHistory([...others, odd(true)]).n).toBe(4)
  expect(lotFromHistory([...others, odd(true)]).shift).toBeGreaterThan(lotFromHistory(others).shift + 1)
  // One that is spoken for makes none of the others unlike: five ordinary batches are not outvoted by it.
  const many = [0.3, -0.3, 0.5, -1.2, 0.1].map((points) => seen(points))
  const counted = { ...seen(14), counts: true }
  expect(believable([...many, counted])).toEqual([...many, counted])
  expect(unlike([...many, counted])).toEqual([counted])
  expect(lotFromHistory([...many, counted]).shift).toBeLessThan(3)
  // It goes on being shown, so that the word can be taken back.
  expect(unlike([...others, odd(true)])).toEqual([odd(true)])
  expect(lotFromHistory([...others, { ...seen(1.1), counts: false }])).toEqual(lotFromHistory(others))
})
