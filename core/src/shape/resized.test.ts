/** Made to another size, a shape says so everywhere. */
import { shapes } from '@harina/facts'
import { ownShapeSchema, type Blank, type Shape } from '../model/index.ts'
import { cookedAt, resized } from './resized.ts'
import { comparesSize } from './sizeWords.ts'

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

it('a rope of 10 mm cut every 35 mm is told so, is as long and as thin as that, and cooks by its wall', () => {
  const shells = shapeOf('one-dent-shells')
  const long = withBlank(shells, { diameterMm: 10, cutMm: 35 })
  expect(long.steps.slice(0, 2)).toEqual(['Roll a rope 10 mm thick.', 'Cut it every 35 mm.'])
  expect(long.steps.join()).not.toMatch(/pencil|half as long/)
  const [was, is] = [shells.form, long.form] as { lengthMm: number; widthMm: number }[]
  expect(is!.lengthMm / was!.lengthMm).toBeCloseTo(35 / 13, 2)
  expect(is!.widthMm / was!.widthMm).toBeCloseTo(10 / 9, 2)
  // Set again, the sentence follows.
  const longer = resized(shells, long, { ...long, blank: { ...long.blank, cutMm: 40 } as Blank })
  expect(longer.steps[1]).toBe('Cut it every 40 mm.')
})

it.each(shapes.filter(({ blank }) => blank.type === 'rope').map((shape) => [shape.id, shape] as const))(
  '%s of any rope: the piece weighs what went in, no step compares it with a finger, and back again it is the same size',
  (_, shape) => {
    const blank = shape.blank as Extract<Blank, { type: 'rope' }>
    const sizeOf = ({ form, wallMm }: Shape) => {
      const { lengthMm = 1, widthMm = 1 } = form as { lengthMm?: number; widthMm?: number }
      return lengthMm * widthMm * wallMm
    }
    for (const [across, along] of [
      [1.3, 1],
      [1, 2.5],
      [0.7, 0.6],
    ] as const) {
      const made = withBlank(shape, { diameterMm: blank.diameterMm * across, cutMm: blank.cutMm * along })
      expect(sizeOf(made) / sizeOf(shape)).toBeCloseTo(across * across * along, 2)
      expect(made.steps.filter((step) => comparesSize(step) && /rope|\bcut/i.test(step))).toEqual([])
      const back = resized(shape, made, { ...made, blank })
      expect(sizeOf(back) / sizeOf(shape)).toBeCloseTo(1, 3)
    }
  },
)
