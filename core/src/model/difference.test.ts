import fc from 'fast-check'
import { differenceOf, sameValue, withDifference } from './difference.ts'

const word = fc.string({ maxLength: 4 })
const row = fc.record({
  key: fc.constantFrom(...'abcdef'),
  grams: fc.nat(9),
  of: fc.record({ lot: word, n: fc.nat(3) }),
})
const rows = fc.uniqueArray(row, { selector: ({ key }) => key, maxLength: 6 })
const record = fc.record(
  {
    id: fc.constant('x'),
    name: word,
    step: fc.nat(9),
    note: fc.option(word),
    tags: fc.array(word, { maxLength: 3 }),
    rows,
    units: fc.dictionary(fc.constantFrom('mass', 'length', 'cup'), word),
  },
  { requiredKeys: ['id', 'name', 'step', 'tags', 'rows', 'units'] },
)

it('leads from any state of a record to any other, and twice is the same as once', () => {
  fc.assert(
    fc.property(record, record, (a, b) => {
      const difference = differenceOf(a, b)
      const once = withDifference(a, difference)
      expect(sameValue(once, b)).toBe(true)
      expect(withDifference(once, difference)).toEqual(once)
      expect(sameValue(withDifference(b, differenceOf(b, a)), a)).toBe(true)
    }),
    { numRuns: 1000 },
  )
})

it('is nothing between equal states, and can be stored', () => {
  fc.assert(
    fc.property(record, record, (a, b) => {
      expect(differenceOf(a, JSON.parse(JSON.stringify(a)))).toEqual([])
      const stored = JSON.parse(JSON.stringify(differenceOf(a, b))) as ReturnType<typeof differenceOf>
      expect(sameValue(withDifference(a, stored), b)).toBe(true)
    }),
  )
})

it('a record made or removed is a difference too', () => {
  const made = { id: 'x', name: 'Sea store' }
  expect(withDifference<unknown>(undefined, differenceOf(undefined, made))).toEqual(made)
  expect(withDifference<unknown>(made, differenceOf(made, undefined))).toBeUndefined()
})

const gear = {
  boardMm: 900,
  scaleStepG: 1,
  places: [
    { id: 'sea', name: 'Sea store', rhPercent: 81 },
    { id: 'lamp', name: 'Lamp room', rhPercent: 38 },
  ],
}
const first = (list: typeof gear.places) => list[0]!

it('what two hands change apart stands in both orders', () => {
  const board = differenceOf(gear, { ...gear, boardMm: 777 })
  const step = differenceOf(gear, { ...gear, scaleStepG: 0.1 })
  const name = differenceOf(gear, {
    ...gear,
    places: gear.places.map((p) => (p.id === 'sea' ? { ...p, name: 'Hold' } : p)),
  })
  const damp = differenceOf(gear, {
    ...gear,
    places: gear.places.map((p) => (p.id === 'sea' ? { ...p, rhPercent: 70 } : p)),
  })
  const added = differenceOf(gear, { ...gear, places: [{ id: 'new', name: 'New', rhPercent: 50 }, ...gear.places] })
  const all = [board, step, name, damp, added]
  for (const order of [all, [...all].reverse()]) {
    const end = order.reduce(withDifference, gear)
    expect(end).toMatchObject({ boardMm: 777, scaleStepG: 0.1 })
    expect(end.places.map(({ id }) => id)).toEqual(['new', 'sea', 'lamp'])
    expect(end.places[1]).toEqual({ id: 'sea', name: 'Hold', rhPercent: 70 })
  }
})

it('taken back, it takes back itself alone', () => {
  const renamed = { ...gear, places: gear.places.map((p) => (p.id === 'sea' ? { ...p, name: 'Hold' } : p)) }
  const since = { ...renamed, boardMm: 600 }
  const undone = withDifference(since, differenceOf(renamed, gear))
  expect([first(undone.places).name, undone.boardMm]).toEqual(['Sea store', 600])
})

it('changes nothing of a member that is gone', () => {
  const name = differenceOf(gear, {
    ...gear,
    places: gear.places.map((p) => (p.id === 'sea' ? { ...p, name: 'Hold' } : p)),
  })
  const without = { ...gear, places: gear.places.slice(1) }
  expect(withDifference(without, name)).toEqual(without)
})
