/** Made to another size, a shape says so everywhere. */
import { shapes } from '@harina/facts'
import { ownShapeSchema, type Blank, type Shape } from '../model/index.ts'
import { cookedAt, resized } from './resized.ts'

const shapeOf = (id: string): Shape => shapes.find((shape) => shape.id === id)!
const withBlank = (shape: Shape, part: object): Shape =>
  resized(shape, shape, { ...shape, blank: { ...shape.blank, ...part } as Blank })

it('a round of 80 mm instead of 70: its cutter, its drawing, its pace', () => {
  const moons = shapeOf('half-moons')
  const larger = withBlank(moons, { diameterMm: 80 })
  expect(larger.tools.map(({ tool }) => tool).join()).toContain('80 mm')
  expect(JSON.stringify(larger)).not.toContain('70 mm')
  expect((larger.form as { lengthMm: number }).lengthMm).toBe(80)
  // Its skin is as thick as it was, so it cooks as long.
  expect(larger.cookFreshMin).toEqual(moons.cookFreshMin)
  // 1.31 times the mass, 1.09 times as long.
  expect(larger.piecesPerMin.practised).toBeCloseTo(moons.piecesPerMin.practised / (80 / 70) ** (2 / 3), 1)
})

it('ribbons twice as thick: the sentence, the wall, nearly three times as long in the pot; dried, four', () => {
  const ribbons = shapeOf('ribbons')
  const thick = withBlank(ribbons, { thicknessMm: 2.2 })
  expect(thick.steps.join()).toContain('2.2 mm')
  expect(thick.steps.join()).not.toContain('1.1 mm')
  expect(thick.wallMm).toBe(2.2)
  expect(thick.cookFreshMin[0] / ribbons.cookFreshMin[0]).toBeCloseTo(2 ** 1.5, 1)
  if (ribbons.cookDriedMin) expect(thick.cookDriedMin![0] / ribbons.cookDriedMin[0]).toBeCloseTo(4, 1)
})

it('back to its size it is what it was, and what was written in between stays', () => {
  const ribbons = shapeOf('ribbons')
  const thick = withBlank(ribbons, { thicknessMm: 2.2 })
  const mine = { ...thick, steps: [...thick.steps, 'Leave them under a cloth.'] }
  const back = resized(ribbons, mine, { ...mine, blank: { ...mine.blank, thicknessMm: 1.1 } as Blank })
  expect(back).toEqual({ ...ribbons, steps: [...ribbons.steps, 'Leave them under a cloth.'] })
})

it.each(shapes.map((shape) => [shape.id, shape] as const))('%s a fifth larger all round can be kept', (_, shape) => {
  const larger = Object.fromEntries(
    Object.entries(shape.blank).map(([key, value]) => [
      key,
      typeof value === 'number' && key.endsWith('Mm') ? value * 1.2 : value,
    ]),
  )
  const made = withBlank(shape, larger)
  expect(ownShapeSchema.safeParse(made).error?.issues ?? []).toEqual([])
  expect(made.cookFreshMin.every(Number.isFinite)).toBe(true)
})

it.each([
  [1, [2, 3]],
  [1.01, [2, 3]],
  [1.2, [2.6, 3.9]],
] as const)('at %d of its thickness 2 to 3 min are %j', (ratio, minutes) => {
  expect(cookedAt([2, 3], ratio)).toEqual(minutes)
})
