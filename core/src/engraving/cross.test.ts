import { shapes } from '@harina/facts'
import { motionOf, MOTIONS } from '../shape/index.ts'
import { crossSection } from './cross.ts'

const section = (id: string) => crossSection(shapes.find((shape) => shape.id === id)!)
const shapeOf = (id: string) => shapes.find((shape) => shape.id === id)!

/** Area inside a closed line, mm². */
const areaOf = (line: readonly (readonly [number, number])[]): number =>
  Math.abs(
    line.reduce((sum, [x, y], index) => {
      const [nextX, nextY] = line[(index + 1) % line.length]!
      return sum + x * nextY - nextX * y
    }, 0) / 2,
  )

it('a tube cut across is a ring: its bore, and a wall round it', () => {
  const { outline, widthMm } = section('thimbles')
  const { form, wallMm } = shapeOf('thimbles')
  const [outer, inner] = outline.map(areaOf).sort((a, b) => b - a)
  const [R, r] = [form.widthMm / 2, form.widthMm / 2 - wallMm]
  expect(outer! / (Math.PI * R ** 2)).toBeCloseTo(1, 1)
  expect(inner! / (Math.PI * r ** 2)).toBeCloseTo(1, 1)
  expect(Math.abs(widthMm / form.widthMm - 1)).toBeLessThan(0.25)
})

it('a rope cut across is round and as thick as its table says', () => {
  const { outline } = section('finger-potato')
  const { form } = shapeOf('finger-potato')
  expect(areaOf(outline[0]!) / (Math.PI * (form.widthMm / 2) ** 2)).toBeCloseTo(1, 1)
})

it('every section lies within its own paper', () => {
  for (const id of ['little-ears', 'pinched-bows', 'radiators', 'half-moons', 'potato-ridged', 'ribbons']) {
    const { outline, widthMm, heightMm } = section(id)
    expect(outline.length).toBeGreaterThan(0)
    const outside = outline.flat().filter(([x, y]) => !(x >= 0 && y >= 0 && x <= widthMm && y <= heightMm))
    expect(outside).toEqual([])
  }
})

it.each([
  ['little-ears', 'drag'],
  ['ridged-pips', 'roll-down'],
  ['rod-spirals', 'wind'],
  ['rod-long-tubes', 'wind'],
  ['pinched-bows', 'pinch'],
  ['ridged-tubes', 'press-through'],
  ['press-ribbons', 'press-through'],
  ['stamped-coins', 'stamp'],
  ['belt-pulled', 'pull'],
  ['board-scraped', 'drop'],
  ['thick-white', 'cut'],
  ['hand-rolled-strand', 'roll-out'],
] as const)('%s is made by %s', (id, motion) => {
  expect(motionOf(shapeOf(id))).toBe(motion)
})

it('every shape is made by a motion there is', () => {
  for (const shape of shapes) expect(MOTIONS).toContain(motionOf(shape))
})
