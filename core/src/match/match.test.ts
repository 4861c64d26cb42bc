import fc from 'fast-check'
import { doughs, shapes } from '@harina/facts'
import { judgeWindow } from './judgeWindow.ts'
import { doughTable } from '../model/index.ts'
import { doughsFor } from './doughsFor.ts'
import { matchShape, ranked } from './matchShape.ts'
import { doughsAt, methodMap } from './methodMap.ts'

const ranks = (among: typeof shapes, reading: number) =>
  ranked(among.map((shape) => matchShape(shape, doughs[0]!, reading)))
const window = { low: 47, best: 50, high: 53 }

it.each([
  [50, 'in', 0],
  [47, 'in', 0],
  [46.2, 'near', -0.8],
  [55, 'near', 2],
  [44.9, 'out', -2.1],
] as const)('%d %% is %s, %d points outside 47 to 53', (hydration, grade, outsideBy) => {
  expect(judgeWindow(hydration, window)).toMatchObject({ grade, outsideBy: expect.closeTo(outsideBy, 9) })
})

it('stiff dough ranks the ridged pips first; supple dough the leaves', () => {
  const fromRope = shapes.filter((shape) => shape.group === 'hand-rope')
  expect(ranks(fromRope, 46)[0]?.shape.id).toBe('ridged-pips')
  expect(ranks(fromRope, 51.5)[0]?.shape.id).toBe('dragged-leaves')
})

it('a shape the table does not list for a dough is judged by the hand window and ranked last', () => {
  const dough = doughs[0]!
  const strand = matchShape(
    shapes.find((s) => s.id === 'hand-rolled-strand')!,
    dough,
    49,
  )
  expect(strand).toMatchObject({ listed: false, grade: 'in', window: dough.windows.hand })
  const listed = ranks(shapes, 49).map((match) => match.listed)
  expect(listed.indexOf(false)).toBeGreaterThan(4)
  expect(listed.slice(listed.indexOf(false))).not.toContain(true)
})

it('moving to the nearest edge always brings a dough in', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 130, noNaN: true }), (hydration) => {
      const { outsideBy } = judgeWindow(hydration, window)
      expect(judgeWindow(hydration - outsideBy, window).grade).toBe('in')
    }),
  )
})

describe('the map of families and methods', () => {
  const rows = methodMap(doughs)

  it('has every window of every dough once, within its row', () => {
    const windows = doughs.flatMap((dough) => Object.values(dough.windows))
    expect(rows.flatMap((row) => row.doughs)).toHaveLength(windows.length)
    for (const { low, high, doughs: inRow } of rows) {
      expect(Math.min(...inRow.map(({ window }) => window.low))).toBe(low)
      expect(Math.max(...inRow.map(({ window }) => window.high))).toBe(high)
    }
  })

  it('never puts doughs counted on unlike things in one row', () => {
    for (const row of rows)
      expect(
        new Set(row.doughs.map(({ dough }) => (dough.control.by === 'base' ? dough.control.base : 'flour'))).size,
      ).toBe(1)
  })

  it('crumb for the press lies below dough for the hand, and they overlap nowhere near the middle', () => {
    const [press, hand] = ['extrude', 'hand'].map((method) =>
      rows.find((row) => row.family === 'semolina' && row.method === method),
    )
    expect(press!.low).toBeLessThan(hand!.low)
    expect(doughsAt(press!, 32).length).toBeGreaterThan(0)
    expect(doughsAt(hand!, 32)).toEqual([])
  })
})

it('which dough a shape is made of: its own narrower windows, in the order of its table', () => {
  const ears = shapes.find((shape) => shape.id === 'little-ears')!
  const found = doughsFor(ears, doughTable(doughs))
  expect(found.map(({ dough }) => dough.id)).toEqual(['sw-hand', 'mixed-semolina-soft', 'whole-grain'])
  expect(found[0]!.window).toEqual({ low: 47, best: 50, high: 53 })
  expect(
    doughsFor({ ...ears, doughs: [{ dough: 'gone', window: { low: 1, best: 2, high: 3 } }] }, doughTable(doughs)),
  ).toEqual([])
})
