import fc from 'fast-check'
import { doughs, shapes } from '@harina/facts'
import { judgeWindow } from './judgeWindow.ts'
import { matchShape, rankShapes } from './matchShape.ts'

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
  const dough = doughs[0]!
  expect(rankShapes(shapes, dough, 46)[0]?.shape.id).toBe('ridged-pips')
  expect(rankShapes(shapes, dough, 51.5)[0]?.shape.id).toBe('dragged-leaves')
})

it('a shape the table does not list for a dough is judged by the hand window and ranked last', () => {
  const dough = doughs[0]!
  const strand = matchShape(
    shapes.find((s) => s.id === 'hand-rolled-strand')!,
    dough,
    49,
  )
  expect(strand).toMatchObject({ listed: false, grade: 'in', window: dough.windows.hand })
  const listed = rankShapes(shapes, dough, 49).map((match) => match.listed)
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
