import { shapes } from '@harina/facts'
import type { FormKind } from '../model/index.ts'
import type { Patch } from './patch.ts'
import { engrave, engraveScene } from './engrave.ts'
import { sceneOf } from './forms/index.ts'
import { joinSegments, thinned } from './lines.ts'
import { boxOf, patchOf } from './patch.ts'
import { plate } from './plate.ts'
import { rope, round } from './rope.ts'
import { subtract, TAU, type Vec3 } from './vec.ts'

/** Forms that show several pieces, or a part of a long one: their box is not the piece's. */
const LAID_OUT = new Set<FormKind>([
  ...(['strand', 'hank', 'nest', 'tangle', 'wavy', 'skein', 'rods', 'lattice', 'mat', 'band', 'ruffle'] as const),
  ...([
    'scrap',
    'scatter',
    'sheets',
    'rounds',
    'shaving',
    'drop',
    'fish',
    'buttons',
    'quenelle',
    'ball',
    'stars',
  ] as const),
  ...(['pillow', 'cushion', 'slant', 'corkscrew', 'crest', 'snail'] as const),
])
const alone = shapes.filter(
  ({ form }) => !LAID_OUT.has(form.kind) && !('pieces' in form && (form.pieces ?? 1) > 1) && !('bendDeg' in form),
)
const oneOfEach = (rows: typeof shapes) => [...new Map(rows.map((shape) => [shape.form.kind, shape])).values()]
const oneOfEachForm = oneOfEach(shapes)
const pointsOf = (patches: readonly Patch[]) => patches.flatMap((patch) => patch.points)

it.each(oneOfEach(alone).map((shape) => [shape.id, shape] as const))(
  '%s is as large as its table says',
  (_, { form, wallMm }) => {
    const points = pointsOf(sceneOf(form, wallMm).patches)
    expect(points.every((point) => point.every(Number.isFinite))).toBe(true)
    const { min, max } = boxOf(points)
    const size = subtract(max, min)
    expect(Math.abs(size[0] / form.lengthMm - 1)).toBeLessThan(0.15)
    expect(Math.abs(size[1] / form.widthMm - 1)).toBeLessThan(0.28)
  },
)

it.each(oneOfEachForm.map((shape) => [shape.form.kind, shape] as const))(
  '%s keeps every line on the paper, and has an outline',
  (_, shape) => {
    const { widthMm, heightMm, outline, lines } = engrave(shape)
    expect(outline.length).toBeGreaterThan(0)
    const outside = [...outline, ...lines]
      .flat()
      .filter(([x, y]) => !(x >= 0 && x <= widthMm && y >= 0 && y <= heightMm))
    expect(outside).toEqual([])
  },
)

const middle = (u: number, v: number): Vec3 => [20 * u, 12 * v, 3 * Math.sin(4 * u) * v]

it('a plate is a wall thick everywhere, and closed at every border', () => {
  const [front, back, ...rims] = plate({ middle, wallMm: 1.4, rows: 30, columns: 24, lines: [4, 4] })
  const walls = front!.points.map((point, index) => Math.hypot(...subtract(point, back!.points[index]!)))
  expect(Math.min(...walls)).toBeCloseTo(1.4, 6)
  expect(Math.max(...walls)).toBeCloseTo(1.4, 6)
  // Each rim is sewn to a border of both faces.
  const onFaces = new Set([...front!.points, ...back!.points].map(String))
  expect(rims).toHaveLength(4)
  expect(rims.every((rim) => rim.points.every((point) => onFaces.has(String(point))))).toBe(true)
})

it.each(['tube', 'ear', 'half-moon'] as const)('%s closes on itself: its last row meets its first', (kind) => {
  const shape = shapes.find(({ form }) => form.kind === kind && !('seam' in form))!
  const [front] = sceneOf(shape.form, shape.wallMm).patches
  expect(front!.wrapsRows).toBe(true)
  const { columns, rows, points } = front!
  const step = (i: number) =>
    Math.hypot(...subtract(points[(i % rows) * columns + 5]!, points[i * columns - columns + 5]!))
  expect(step(rows)).toBeLessThan(3 * step(2) + 0.5)
})

it('the wall of a tube is that of the table: 1.45 mm between bore and face', () => {
  const wide = shapes.find(({ id }) => id === 'wide-smooth-tubes')!
  const [outer, inner] = sceneOf(wide.form, wide.wallMm).patches
  for (const index of [0, 77, 500])
    expect(Math.hypot(...subtract(outer!.points[index]!, inner!.points[index]!))).toBeCloseTo(wide.wallMm, 6)
})

it('normals of a rope point outwards, whichever way it runs', () => {
  const [body] = rope({
    line: (t) => [20 * t, 6 * Math.sin(t * 5), 3 * t],
    section: round(2),
    rows: 40,
    columns: 24,
    lines: [3, 0],
  })
  body!.points.forEach((point, index) => {
    const row = Math.floor(index / 24)
    const t = row / 39
    const out = subtract(point, [20 * t, 6 * Math.sin(t * 5), 3 * t])
    const [nx, ny, nz] = body!.normals[index]!
    expect(out[0] * nx + out[1] * ny + out[2] * nz).toBeGreaterThan(1)
  })
})

const disc = (radius: number, y: number, lines: number): Patch =>
  patchOf(
    {
      rows: 64,
      columns: 41,
      wrapsRows: true,
      at: (i, j) => {
        const [angle, reach] = [(i / 64) * TAU, (j / 40) * radius]
        return [reach * Math.cos(angle), y, reach * Math.sin(angle)]
      },
    },
    { alongRows: 0, alongColumns: lines },
  )

it('draws no line behind a nearer face', () => {
  // From the front, both discs share a middle; the near one of 5 mm hides what the far one has inside of it.
  const view = { turn: 0, tilt: 0 }
  const [near, far] = [disc(5, -20, 0), disc(20, 0, 19)]
  const facing = (patch: Patch): Patch => ({
    ...patch,
    normals: patch.normals.map((): Vec3 => [0, -0.8, -0.6]),
  })
  const { lines, widthMm, heightMm } = engraveScene({ patches: [facing(near), facing(far)], view })
  const radii = lines.map((line) => line.map(([x, y]) => Math.hypot(x - widthMm / 2, y - heightMm / 2))).flat()
  expect(radii.some((radius) => radius > 8)).toBe(true)
  expect(radii.filter((radius) => radius < 4.8)).toEqual([])
})

it('draws nothing on a face that is turned away', () => {
  const away: Patch = { ...disc(20, 0, 19), normals: disc(20, 0, 19).normals.map((): Vec3 => [0, 1, 0]) }
  expect(engraveScene({ patches: [away], view: { turn: 0, tilt: 0 } }).lines).toEqual([])
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
