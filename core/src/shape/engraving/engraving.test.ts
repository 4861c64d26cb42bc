import { shapes } from '@harina/facts'
import { engrave, engraveSurface, joinSegments, thinned } from './engrave.ts'
import { surfaceOf } from './forms.ts'
import { boundingBox, type Surface, type Vec3 } from './surface.ts'

const length = (a: Vec3, b: Vec3, axis: 0 | 1 | 2) => b[axis] - a[axis]

describe.each(shapes.map((shape) => [shape.id, shape] as const))('%s', (_, shape) => {
  const { surface } = surfaceOf(shape)
  const box = boundingBox(surface)

  it('is as large as its table says', () => {
    const [x, y, z] = [length(box.min, box.max, 0), length(box.min, box.max, 1), length(box.min, box.max, 2)]
    const { kind, widthMm } = shape.form
    const coiled = kind === 'strand' || (kind === 'ribbon' && widthMm < 5)
    if (coiled) {
      // A coil: as thick as the strand, a little more where it lies loosely.
      const thick = kind === 'strand' ? widthMm : shape.wallMm
      expect(z).toBeGreaterThanOrEqual(thick)
      expect(z).toBeLessThan(thick + 4)
      return
    }
    if (kind === 'ribbon') {
      // A long band is shown in part, as wide as it is.
      expect(x).toBeLessThanOrEqual(shape.form.lengthMm)
      expect(Math.abs(y / widthMm - 1)).toBeLessThan(0.05)
      return
    }
    expect(Math.abs(x / shape.form.lengthMm - 1)).toBeLessThan(0.12)
    expect(Math.abs(y / shape.form.widthMm - 1)).toBeLessThan(0.3)
    expect(Math.max(x, y, z)).toBeLessThan(shape.form.lengthMm * 1.2)
  })

  it('is closed around', () => {
    for (const along of [0.1, 0.37, 0.5, 0.82]) {
      const [a, b] = [surface.at(along, 0), surface.at(along, 1 - 1e-9)]
      // Ears and flats are carried round their middle, where back and face lie up to a wall apart.
      const overMiddle = ['ear', 'disc', 'square'].includes(shape.form.kind)
      const apart = overMiddle ? shape.wallMm * 1.001 : 0.05
      expect(Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])).toBeLessThan(apart)
    }
  })
})

const oneOfEachForm = [...new Map(shapes.map((shape) => [shape.form.kind, shape])).values()]

it.each(oneOfEachForm.map((shape) => [shape.form.kind, shape] as const))(
  '%s keeps every line on the paper, and has both outline and shading',
  (_, shape) => {
    const { widthMm, heightMm, outline, lines } = engrave(shape)
    expect(outline.length).toBeGreaterThan(0)
    expect(lines.length).toBeGreaterThan(20)
    for (const [x, y] of [...outline, ...lines].flat()) {
      expect(x >= 0 && x <= widthMm).toBe(true)
      expect(y >= 0 && y <= heightMm).toBe(true)
    }
  },
)

/** A ball of radius 5 with a plate of 20 × 20 beyond it, as one tube: lines of the plate must not show through the ball. */
const ballBeforePlate: Surface = {
  at(along, around) {
    const angle = around * 2 * Math.PI
    if (along < 0.5) {
      const polar = along * 2 * Math.PI
      return [5 * Math.sin(polar) * Math.cos(angle), -20 - 5 * Math.cos(polar), 5 * Math.sin(polar) * Math.sin(angle)]
    }
    const reach = (along - 0.5) * 20
    return [reach * Math.cos(angle), 0.01, reach * Math.sin(angle)]
  },
  alongSteps: 120,
  aroundSteps: 64,
  linesAlong: 16,
  linesAround: 20,
}

it('draws no line behind a nearer face', () => {
  // Seen from the front, ball and plate share a middle: the plate's rings of 2 and 6 mm would be engraved, and the ball
  // hides the one of 2 mm. Its own rings have other radii.
  const { lines, widthMm, heightMm } = engraveSurface(ballBeforePlate, { turn: 0, tilt: 0 })
  const radiiOf = (line: (typeof lines)[number]) => line.map(([x, y]) => Math.hypot(x - widthMm / 2, y - heightMm / 2))
  const rings = lines
    .map(radiiOf)
    .filter((radii) => radii.length > 8 && Math.max(...radii) - Math.min(...radii) < 0.25)
    .map((radii) => radii[0]!)
  expect(rings.some((radius) => Math.abs(radius - 6) < 0.1)).toBe(true)
  expect(rings.some((radius) => Math.abs(radius - 2) < 0.1)).toBe(false)
})

it('joins segments end to end, whichever way they run', () => {
  const joined = joinSegments([
    [
      [0, 0],
      [1, 0],
    ],
    [
      [2, 1],
      [1, 0],
    ],
    [
      [2, 1],
      [3, 1],
    ],
    [
      [9, 9],
      [8, 9],
    ],
  ])
  expect(joined.map((line) => line.length).sort()).toEqual([2, 4])
})

it('thins a straight line and keeps a corner', () => {
  expect(
    thinned([
      [0, 0],
      [1, 0],
      [2, 0],
      [3, 0],
      [3, 2],
    ]),
  ).toEqual([
    [0, 0],
    [3, 0],
    [3, 2],
  ])
})
