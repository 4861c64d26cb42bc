/** The shapes as a library: found by words and filters, with the sauces that suit them. */
import {
  anyShape,
  findShapes,
  GROUPS,
  machinesOf,
  SAUCES,
  saucesFor,
  shapesForSauce,
  textOf,
  type Shape,
  type ShapeQuery,
} from '@harina/core'
import { engrave, engravingFrom, engravingKey, keptEngraving, type KeptEngraving } from '@harina/core/engraving'
import { sauces, shapes } from './index.ts'
import engravings from '../engravings.json' with { type: 'json' }
import { wholeKitchen } from './testing/wholeKitchen.ts'

const { doughs } = wholeKitchen
const texts = new Map(shapes.map((shape) => [shape.id, textOf(shape, doughs)]))
const find = (query: Partial<ShapeQuery>) => findShapes(shapes, { ...anyShape, ...query }, { texts, doughs })
const ids = (found: readonly Shape[]) => found.map((shape) => shape.id)

it('has sixty shapes and more, some of every group', () => {
  expect(find({}).length).toBe(shapes.length)
  expect(shapes.length).toBeGreaterThan(60)
  for (const group of GROUPS) expect(find({ group }).length).toBeGreaterThan(0)
})

it('is found by its name without accents, by place, by a tool and by its dough', () => {
  expect(ids(find({ words: 'orecch' }))).toEqual(['little-ears'])
  expect(ids(find({ words: "foglie d'ul" }))).toEqual(['olive-leaves'])
  expect(ids(find({ words: 'sardinia rod' }))).toContain('rod-long-tubes')
  expect(ids(find({ words: 'knitting needle' }))).toContain('fileja')
  expect(find({ words: 'nothing of the kind' })).toEqual([])
})

it('every filter leaves only what holds to it', () => {
  for (const shape of find({ difficulty: 2 })) expect(shape.difficulty).toBeLessThanOrEqual(2)
  for (const shape of find({ minutesPer100: 4 })) expect(shape.piecesPerMin.practised).toBeGreaterThanOrEqual(25)
  for (const shape of find({ family: 'alkaline' }))
    expect(shape.doughs.some(({ dough }) => doughs.get(dough)?.family === 'alkaline')).toBe(true)
  for (const shape of find({ sauce: 'broth' })) expect(shape.sauce.families).toContain('broth')
  const byHand = find({ without: ['press', 'roller'] })
  expect(byHand.length).toBeGreaterThan(20)
  for (const shape of byHand) expect(machinesOf(shape)).not.toContain('press')
})

it('every sauce is carried by shapes, and each shape has a sauce that its traits speak for', () => {
  expect(sauces.map((sauce) => sauce.id).sort()).toEqual([...SAUCES].sort())
  for (const { id } of sauces) expect(shapesForSauce(id, sauces, shapes).some((found) => found.listed)).toBe(true)
  for (const shape of shapes) {
    const found = saucesFor(shape, sauces)
    expect(
      found
        .filter((each) => each.listed)
        .map((each) => each.sauce.id)
        .sort(),
    ).toEqual([...shape.sauce.families].sort())
    expect(found.some((each) => each.because.length > 0)).toBe(true)
  }
})

it('both ways agree: a shape is under a sauce as the sauce is under the shape', () => {
  for (const { id } of sauces)
    for (const { shape, because, listed } of shapesForSauce(id, sauces, shapes)) {
      const back = saucesFor(shape, sauces).find((found) => found.sauce.id === id)
      expect(back).toMatchObject({ listed, because })
    }
})

it('ears hold greens in their cups; thin threads go into broth', () => {
  const ears = shapes.find((shape) => shape.id === 'little-ears')!
  expect(saucesFor(ears, sauces)[0]).toMatchObject({
    sauce: { id: 'greens-oil' },
    listed: true,
    because: ['cupped', 'rough'],
  })
})

it('says in words what a dough does outside the window, and what to do about each mistake', () => {
  for (const shape of shapes) {
    expect(shape.doneSign.length).toBeLessThanOrEqual(46)
    for (const text of [shape.tooStiff, shape.tooSoft, shape.doneSign]) expect(text).not.toMatch(/^[A-Z].*\.$/)
    for (const { sign, cause, remedy } of shape.mistakes)
      expect([sign, cause, remedy].every((word) => word.length > 2)).toBe(true)
  }
})

it('no filled or soft dough is said to dry in room air', () => {
  for (const shape of shapes) if (shape.fillingG || shape.group === 'gnocchi') expect(shape.keep.driedMonths).toBeNull()
})

it('every shape has its drawing kept, and it is the one that would be made now (npm run engrave makes them)', () => {
  const kept = engravings as unknown as Readonly<Record<string, KeptEngraving>>
  expect(shapes.filter((shape) => !kept[engravingKey(shape)]).map(({ id }) => id)).toEqual([])
  expect(Object.keys(kept).length).toBe(new Set(shapes.map(engravingKey)).size)
  // Every fortieth stands for all: the same code makes them.
  for (const shape of shapes.filter((_, n) => n % 40 === 0))
    expect(keptEngraving(engrave(shape))).toEqual(kept[engravingKey(shape)])
})

it('a kept drawing lies within a thousandth of the one it was made from', () => {
  const made = engrave(shapes[0]!)
  const again = engravingFrom(keptEngraving(made))
  const longMm = Math.max(made.widthMm, made.heightMm)
  made.lines.forEach((line, k) =>
    line.forEach(([x, y], n) => {
      const [across, down] = again.lines[k]![n]!
      expect(Math.hypot(across - x, down - y)).toBeLessThan(longMm / 1000)
    }),
  )
})
