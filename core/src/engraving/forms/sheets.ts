/** Cut from a sheet: bands, bows, squares, scraps. */
import type { FormOf } from '../../model/index.ts'
import type { Patch } from '../patch.ts'
import { moved, withEdges, type Edge, type Scene } from '../patch.ts'
import { fitted, plate } from '../plate.ts'
import { rope } from '../rope.ts'
import { TAU, turned, type Vec3 } from '../vec.ts'

const scattered = (k: number, salt: number): number => {
  const value = Math.sin(k * 91.7 + salt * 47.3) * 24634.6345
  return value - Math.floor(value) - 0.5
}

/** How much of a long band is shown. */
const shownMm = (lengthMm: number, widthMm: number) => Math.min(lengthMm, widthMm * 5 + 60)

/** Bands as they fall, one across the other; short ones lie flatter. */
export function band({ lengthMm, widthMm, pieces }: FormOf<'band'>, wallMm: number): Scene {
  const span = shownMm(lengthMm, widthMm)
  const rise = Math.min(0.06 * span, 0.3 * widthMm + 1.5)
  const waves = span < 90 ? 0.8 : 1.6
  const one = (k: number): readonly Patch[] => {
    const turn = pieces === 1 ? 0 : (k - (pieces - 1) / 2) * (pieces > 4 ? 0.5 : 0.62) + 0.3 * scattered(k, 1)
    const aside = pieces === 1 ? 0 : (k - (pieces - 1) / 2) * Math.min(widthMm, span / 6) * 0.9
    return plate({
      middle(u, v) {
        const phase = u * waves * TAU + k * 1.9
        const y = (v - 0.5) * widthMm
        return [
          (u - 0.5) * span,
          y + 0.05 * span * Math.sin(u * 2.6 + k),
          rise * Math.sin(phase + (y / widthMm) * 0.7) + k * (wallMm + rise * 0.5),
        ]
      },
      wallMm,
      rows: 100,
      columns: 20,
      lines: [7, Math.round(span / 4)],
      plain: true,
    }).map((patch) => moved(patch, turn, [aside * 0.6, aside, 0]))
  }
  return { patches: Array.from({ length: pieces }, (_, k) => one(k)).flat(), view: { turn: 0.5, tilt: 0.72 } }
}

/** A band whose edges ran faster than its middle, and wave. */
export function ruffle({ lengthMm, widthMm }: FormOf<'ruffle'>, wallMm: number): Scene {
  const span = Math.min(lengthMm, widthMm * 5.5)
  const waves = 6
  return {
    patches: plate({
      middle(u, v) {
        const edge = Math.abs(2 * v - 1) ** 2.2
        const wave = Math.sin(u * waves * TAU + (v > 0.5 ? 0 : 1.3))
        return [
          (u - 0.5) * span,
          (v - 0.5) * widthMm + 0.1 * span * Math.sin(u * 3),
          0.24 * widthMm * edge * wave + 0.05 * span * Math.sin(u * 5),
        ]
      },
      wallMm,
      rows: 200,
      columns: 34,
      lines: [10, waves * 8],
    }),
    view: { turn: 0.45, tilt: 0.68 },
  }
}

/** Pinched in the middle to a double pleat, its short edges zigzag. */
export function bow({ lengthMm, widthMm }: FormOf<'bow'>, wallMm: number): Scene {
  const middle = fitted(
    (u, v) => {
      const x = 2 * u - 1
      const pinch = Math.exp(-((x / 0.33) ** 2))
      const y = (2 * v - 1) * (1 - 0.7 * pinch)
      const pleat = 0.2 * pinch * Math.cos(2 * TAU * (v - 0.5))
      const tooth = 0.035 * Math.abs(((v * 11) % 1) - 0.5) * 2
      return [x * (1 + tooth), y, pleat + 0.1 * Math.abs(x) ** 2 * Math.sin(v * 3.1 + u * 2)]
    },
    { x: lengthMm, y: widthMm },
  )
  const deep = widthMm * 0.5
  return {
    patches: plate({
      middle: (u, v) => {
        const [x, y, z] = middle(u, v)
        return [x, y, z * deep]
      },
      wallMm,
      rows: 120,
      columns: 88,
      lines: [26, 26],
    }),
    view: { turn: 0.42, tilt: 0.9 },
  }
}

/** A four-cornered piece by its corners, with a bend of its own. */
function cornered(corners: readonly Vec3[], bend: (x: number, y: number) => number): (u: number, v: number) => Vec3 {
  const [a, b, c, d] = corners as readonly [Vec3, Vec3, Vec3, Vec3]
  return (u, v) => {
    const mix = (k: 0 | 1) => (1 - u) * ((1 - v) * a[k] + v * b[k]) + u * ((1 - v) * d[k] + v * c[k])
    const [x, y] = [mix(0), mix(1)]
    return [x, y, bend(x, y)]
  }
}

/** Cut on changing slants, or torn by hand: three that differ. */
export function scrap({ lengthMm, widthMm, torn }: FormOf<'scrap'>, wallMm: number): Scene {
  const [a, b] = [lengthMm / 2, widthMm / 2]
  if (torn) {
    const one = (k: number, size: number): readonly Patch[] =>
      plate({
        middle(u, v) {
          const angle = u * TAU
          const ragged =
            1 + 0.13 * Math.sin(angle * 3 + k) + 0.09 * Math.sin(angle * 5 + 2 * k) + 0.035 * Math.sin(angle * 17 + k)
          const [x, y] = [v * ragged * a * size * Math.cos(angle), v * ragged * b * size * Math.sin(angle)]
          return [x, y, 0.1 * b * Math.sin(x / 9 + k) + 0.22 * b * v ** 2 * Math.sin(angle * 2 + k)]
        },
        wallMm: (_, v) => wallMm * (1.25 - 0.85 * v),
        rows: 150,
        columns: 26,
        wraps: true,
        polar: true,
        lines: [5, 0],
      })
    return {
      patches: [...one(1, 1), ...one(4, 0.7).map((patch) => moved(patch, 0.7, [lengthMm * 0.85, widthMm * 0.3, 0]))],
      view: { turn: 0.4, tilt: 0.85 },
    }
  }
  const cuts: readonly (readonly Vec3[])[] = [
    [
      [-a, -b * 0.5, 0],
      [-a * 0.55, b, 0],
      [a, b * 0.5, 0],
      [a * 0.7, -b, 0],
    ],
    [
      [-a * 0.5, -b * 0.9, 0],
      [-a * 0.75, b * 0.7, 0],
      [a * 0.65, b * 0.8, 0],
      [a * 0.2, -b * 0.75, 0],
    ],
    [
      [-a * 0.6, -b * 0.3, 0],
      [-a * 0.2, b * 0.95, 0],
      [a * 0.7, b * 0.1, 0],
      [a * 0.55, -b * 0.7, 0],
    ],
  ]
  const places: readonly Vec3[] = [
    [0, 0, 0],
    [lengthMm * 0.8, widthMm * 0.62, 0],
    [lengthMm * 0.95, -widthMm * 0.4, 0],
  ]
  return {
    patches: cuts.flatMap((corners, k) =>
      plate({
        middle: cornered(corners, (x, y) => 0.1 * b * Math.sin(x / 8 + k * 2) + (0.12 * y * x) / b),
        wallMm,
        rows: 40,
        columns: 40,
        lines: [12, 0],
        plain: true,
      }).map((patch) => moved(patch, k * 0.9, places[k]!)),
    ),
    view: { turn: 0.3, tilt: 0.85 },
  }
}

/** A spoonful of small pieces. */
export function scatter({ lengthMm, widthMm, torn }: FormOf<'scatter'>, wallMm: number): Scene {
  const count = 9
  const [a, b] = [lengthMm / 2, widthMm / 2]
  return {
    patches: Array.from({ length: count }, (_, k) => {
      const [row, place] = [Math.floor(k / 3), k % 3]
      const uneven = (salt: number) => (torn ? 1 + 0.75 * scattered(k, salt) : 1)
      const corners: readonly Vec3[] = [
        [-a * uneven(1), -b * uneven(2), 0],
        [-a * uneven(3), b * uneven(4), 0],
        [a * uneven(5), b * uneven(6), 0],
        [a * uneven(7), -b * uneven(8), 0],
      ]
      return plate({
        middle: cornered(corners, (x, y) => (torn ? 0.22 : 0.05) * ((x * y) / b) * (k % 2 === 0 ? 1 : -1)),
        wallMm,
        rows: 14,
        columns: 14,
        lines: [4, 0],
        plain: true,
      }).map((patch) =>
        moved(patch, 1.5 * scattered(k, 9), [
          (place - 1) * lengthMm * 1.45 + lengthMm * 0.35 * scattered(k, 10),
          (row - 1) * widthMm * 1.4 + widthMm * 0.3 * scattered(k, 11),
          0,
        ]),
      )
    }).flat(),
    view: { turn: 0.3, tilt: 0.8 },
  }
}

/** A cloth let fall: thin, in folds. */
export function drape({ lengthMm, widthMm }: FormOf<'drape'>, wallMm: number): Scene {
  const middle = fitted(
    (u, v) => {
      const [x, y] = [u - 0.5, v - 0.5]
      const fold = 0.12 * Math.sin(x * 13 + y * 4) * (0.35 + v) + 0.07 * Math.sin(x * 5 - y * 9)
      return [x + 0.05 * Math.sin(y * 9), y + 0.06 * Math.sin(x * 11), fold]
    },
    { x: lengthMm, y: widthMm, z: lengthMm * 0.22 },
  )
  return {
    patches: plate({ middle, wallMm, rows: 130, columns: 90, lines: [46, 16] }),
    view: { turn: 0.35, tilt: 0.72 },
  }
}

/** Rectangles or squares in a loose stack, each turned a little. */
export function sheets({ lengthMm, widthMm, pieces }: FormOf<'sheets'>, wallMm: number): Scene {
  return {
    patches: Array.from({ length: pieces }, (_, k) =>
      plate({
        middle(u, v) {
          const [x, y] = [(u - 0.5) * lengthMm, (v - 0.5) * widthMm]
          const corner = (2 * u - 1) ** 4 * (2 * v - 1) ** 4
          return [x, y, 0.05 * widthMm * corner * (k === pieces - 1 ? 1 : 0.3) + k * wallMm * 1.6]
        },
        wallMm,
        rows: 50,
        columns: 40,
        lines: [16, 0],
        plain: true,
      }).map((patch) => moved(patch, (k - (pieces - 1) / 2) * 0.2, [k * lengthMm * 0.03, -k * widthMm * 0.06, 0])),
    ).flat(),
    view: { turn: 0.45, tilt: 0.72 },
  }
}

/** Thicker than this a round shows its side. */
const THICK_MM = 5

/** Rounds in a row, each leaning on the next. */
export function rounds({ lengthMm, widthMm, pieces }: FormOf<'rounds'>, wallMm: number): Scene {
  const thick = wallMm > THICK_MM
  const one = (k: number): readonly Patch[] =>
    thick
      ? rope({
          line: (t) => [0, 0, t * wallMm],
          section: (t, angle) => {
            const soft = 0.97 + 0.03 * Math.sin(Math.PI * t)
            return [(lengthMm / 2) * soft * Math.cos(angle), (widthMm / 2) * soft * Math.sin(angle)]
          },
          rows: 8,
          columns: 80,
          cut: true,
          lines: [64, 0],
        })
      : plate({
          middle: (u, v) => {
            const angle = u * TAU
            const [x, y] = [v * (lengthMm / 2) * Math.cos(angle), v * (widthMm / 2) * Math.sin(angle)]
            return [x, y, 0.012 * lengthMm * v ** 3 * Math.sin(2 * angle + k)]
          },
          wallMm,
          rows: 90,
          columns: 20,
          wraps: true,
          polar: true,
          lines: [0, 0],
        })
  const step: Vec3 = thick ? [lengthMm * 0.62, -widthMm * 0.65, 0] : [lengthMm * 0.2, widthMm * 0.06, wallMm * 1.5]
  return {
    patches: Array.from({ length: pieces }, (_, k) =>
      one(k).map((patch) =>
        moved(patch, 0.4 * k, [
          step[0] * k,
          step[1] * (thick ? (k % 2) * 1.3 : k),
          thick && k % 2 === 1 ? 0 : step[2] * k,
        ]),
      ),
    ).flat(),
    view: { turn: 0.3, tilt: 0.62 },
  }
}

/** A round with the print of a carved stamp: a ring, and a flower of eight petals in it. */
export function coin({ lengthMm, widthMm }: FormOf<'coin'>, wallMm: number): Scene {
  const [a, b] = [lengthMm / 2, widthMm / 2]
  const patches = plate({
    middle: (u, v) => {
      const angle = u * TAU
      return [v * a * Math.cos(angle), v * b * Math.sin(angle), 0.01 * a * v ** 2 * Math.sin(2 * angle)]
    },
    wallMm,
    rows: 96,
    columns: 30,
    wraps: true,
    polar: true,
    lines: [0, 0],
  })
  const [front, ...rest] = patches
  const print = (radius: (angle: number) => number): Edge =>
    Array.from({ length: 241 }, (_, k) => {
      const angle = (k / 240) * TAU
      const r = radius(angle)
      return {
        at: [r * a * Math.cos(angle), r * b * Math.sin(angle), wallMm / 2 + 0.1],
        faces: [
          [0, 0, 1],
          [0, 0, 1],
        ],
      } as const
    })
  const petal = (k: number): Edge =>
    Array.from({ length: 40 }, (_, step) => {
      const t = (step / 39) * Math.PI * 2
      const along = 0.4 + 0.28 * Math.cos(t)
      const aside = 0.115 * Math.sin(t) * (1 + 0.4 * Math.cos(t))
      const [x, y] = turned([along * a, aside * b, 0], (k / 8) * TAU)
      return {
        at: [x, y, wallMm / 2 + 0.1],
        faces: [
          [0, 0, 1],
          [0, 0, 1],
        ],
      } as const
    })
  const marks = [
    print(() => 0.86),
    print(() => 0.78),
    print((angle) => 0.105 + 0.008 * Math.cos(angle * 12)),
    ...Array.from({ length: 8 }, (_, k) => petal(k)),
  ]
  return {
    patches: [withEdges(front!, marks), ...rest],
    view: { turn: 0.2, tilt: 0.95 },
  }
}
