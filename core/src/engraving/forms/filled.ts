/** Filled and closed. The skin is drawn; what is inside swells it. */
import type { FormOf } from '../../model/index.ts'
import { borderOf, patchOf, withEdges, type EdgePoint, type Scene } from '../patch.ts'
import { plate } from '../plate.ts'
import { rope, taper, type Section } from '../rope.ts'
import { TAU, type Vec3 } from '../vec.ts'
import { arc } from './rolled.ts'

const radians = (degrees: number): number => (degrees / 180) * Math.PI

/** A round folded over its filling, the rim crimped with a fork or turned like a cord. */
export function halfMoon(form: FormOf<'half-moon'>, wallMm: number): Scene {
  const { lengthMm, widthMm, heightMm, crimps, rolled } = form
  const [a, b] = [lengthMm / 2, widthMm]
  // The outline: the fold along the front, the rim in an arc behind it.
  const outline = (u: number): readonly [number, number, boolean] => {
    if (u < 0.36) {
      const x = (2 * (u / 0.36) - 1) * a
      return [x, -0.05 * b * (1 - (x / a) ** 2), false]
    }
    const angle = ((u - 0.36) / 0.64) * Math.PI
    return [a * Math.cos(angle), b * Math.sin(angle), true]
  }
  const [middleY, rim] = [0.38 * b, 0.8]
  const belly = (v: number, v0 = rim) => (v < v0 ? Math.sqrt(Math.max(0, 1 - (v / v0) ** 2.4)) : 0)
  return {
    patches: plate({
      middle(u, v) {
        const [x, y, arcSide] = outline(u)
        const onRim = Math.max(0, (v - rim) / (1 - rim))
        const wave = arcSide ? onRim * Math.sin((u - 0.36) * (crimps / 0.64) * TAU) : 0
        const scallop = rolled && arcSide ? 1 + 0.03 * Math.cos((u - 0.36) * (crimps / 0.64) * TAU) * onRim : 1
        return [
          v * x * scallop,
          middleY + v * (y - middleY) * scallop,
          wave * (rolled ? 0.9 : 0.45) * wallMm + 0.2 * heightMm * belly(v),
        ]
      },
      wallMm: (u, v) => {
        const towardsFold = u < 0.36 ? 1 : 0
        return wallMm + (heightMm - wallMm) * belly(v, towardsFold ? 1 : rim)
      },
      rows: 260,
      columns: 44,
      wraps: true,
      polar: true,
      lines: [5, 0],
    }),
    view: { turn: 0.3, tilt: 0.75 },
  }
}

/** Stands on its belly, the seam up: pleats along one side, the whole bent to a crescent. */
export function crescent(form: FormOf<'crescent'>, wallMm: number): Scene {
  const { lengthMm, widthMm, heightMm, folds, bendDeg } = form
  const line = arc(lengthMm, radians(bendDeg))
  const body = rope({
    line,
    up: () => [0, 0, 1],
    section(t, angle) {
      const close = Math.max(0, Math.sin(Math.PI * t)) ** 0.55
      const [c, s] = [Math.cos(angle), Math.sin(angle)]
      const up = s > 0 ? s ** 0.85 * 0.66 : s * 0.34
      const pinched = s > 0 ? c * (1 - s) ** 0.42 : c * 0.98
      // Outside of the bend carries the pleats.
      const pleat = c < 0 && s > 0 ? 0.16 * Math.sin(Math.PI * s) * Math.cos(t * folds * TAU) * close : 0
      return [(widthMm / 2) * close * (pinched - pleat), heightMm * (0.12 + 0.88 * close) * up]
    },
    rows: folds * 16,
    columns: 72,
    lines: [22, folds * 2],
  })
  const crestRows = folds * 12
  const seam = plate({
    middle(u, v) {
      const close = Math.max(0, Math.sin(Math.PI * u)) ** 0.55
      const [x, y] = line(u)
      const wave = 0.06 * widthMm * v * Math.sin(u * folds * TAU)
      return [x, y + wave, heightMm * ((0.12 + 0.88 * close) * 0.62 + v * 0.16 * close)]
    },
    wallMm: wallMm * 1.2,
    rows: crestRows,
    columns: 8,
    lines: [0, 0],
  })
  return { patches: [...body, ...seam], view: { turn: Math.PI + 0.3, tilt: 0.3 + bendDeg / 160 } }
}

/** A drop of filling under a braid of pleats, like the grain on an ear. */
export function wheatEar({ lengthMm, widthMm, heightMm, folds }: FormOf<'wheat-ear'>): Scene {
  const pear = (t: number) => Math.max(0, Math.sin(Math.PI * t ** 0.78)) ** 0.6 * (t > 0.88 ? 0.55 + 3.75 * (1 - t) : 1)
  const section: Section = (t, angle) => {
    const [c, s] = [Math.cos(angle), Math.sin(angle)]
    return [(widthMm / 2) * pear(t) * c, (heightMm / 2) * pear(t) * s]
  }
  const line = (t: number): Vec3 => [(t - 0.5) * lengthMm, 0, 0]
  // Left and right in turn: each pleat lies over the one before.
  const pleats = Array.from({ length: folds * 2 - 2 }, (_, k) => {
    const side = k % 2 === 0 ? 1 : -1
    const from = (k + 1.4) / (folds * 2 + 0.6)
    return Array.from({ length: 16 }, (_, step): EdgePoint => {
      const share = step / 15
      const angle = Math.PI / 2 - side * (1.05 - 1.3 * share)
      const t = Math.min(0.97, from + 0.075 * share ** 1.6)
      const [across, up] = section(t, angle)
      const [x, y, z] = line(t)
      const out: Vec3 = [0, -Math.cos(angle), Math.sin(angle)]
      return { at: [x, y - across + 0.25 * out[1], z + up + 0.25 * out[2]], faces: [out, out] }
    })
  })
  const [body] = rope({ line, up: () => [0, 0, 1], section, rows: folds * 22, columns: 84, lines: [16, 14] })
  return { patches: [withEdges(body!, pleats)], view: { turn: 0.5, tilt: 1.25 } }
}

/** Gathered round its filling, open on top, the rim frilled. */
export function purse({ lengthMm, widthMm, heightMm, folds }: FormOf<'purse'>, wallMm: number): Scene {
  // The frill is the widest of it.
  const radius = Math.min(lengthMm, widthMm) / 2 / 1.27
  const out = (v: number) =>
    0.74 + 0.3 * Math.sin(v * Math.PI * 0.62) - 0.5 * Math.exp(-(((v - 0.74) / 0.16) ** 2)) * 0.62
  const skin = plate({
    middle(u, v) {
      const angle = u * TAU
      const frill = 1 + (0.025 + 0.15 * Math.max(0, v - 0.55) ** 1.3) * Math.cos(folds * angle)
      const flare = v > 0.8 ? 1 + 0.9 * (v - 0.8) : 1
      const r = radius * out(v) * frill * flare
      return [
        r * Math.cos(angle),
        r * Math.sin(angle),
        v * heightMm + 0.03 * heightMm * v * Math.cos(folds * angle + 1),
      ]
    },
    wallMm,
    rows: folds * 14,
    columns: 46,
    wraps: true,
    lines: [5, folds * 4],
  })
  const fill = patchOf(
    {
      rows: 60,
      columns: 16,
      wrapsRows: true,
      at(i, j) {
        const angle = (i / 60) * TAU
        const reach = j / 15
        const r = radius * 0.72 * reach
        const lump = 0.03 * heightMm * Math.sin(5 * angle + 3 * reach * 4) * reach
        return [r * Math.cos(angle), r * Math.sin(angle), heightMm * (0.86 - 0.09 * reach ** 2) + lump]
      },
    },
    { alongRows: 0, alongColumns: 5, facing: 1 },
  )
  const floor = patchOf(
    {
      rows: 60,
      columns: 3,
      wrapsRows: true,
      at: (i, j): Vec3 => {
        const r = (j / 2) * radius * 0.74
        return [r * Math.cos((i / 60) * TAU), r * Math.sin((i / 60) * TAU), 0]
      },
    },
    { alongRows: 0, alongColumns: 0 },
  )
  return { patches: [...skin, fill, floor], view: { turn: 0.2, tilt: 0.55 } }
}

/** A half-moon bent until its tips meet: a plump ring with the rim standing round it. */
export function ringPocket({ lengthMm, widthMm }: FormOf<'ring-pocket'>, wallMm: number): Scene {
  const ring = lengthMm * 0.26
  const sweep = 6.25
  const along = (t: number) => (t - 0.5) * sweep + Math.PI / 2
  const thick = (t: number) => Math.max(0.02, taper(0.01 + 0.98 * t, 3.4)) * lengthMm * 0.2
  const flat = widthMm / lengthMm
  const body = rope({
    line: (t) => [ring * Math.cos(along(t)), ring * flat * Math.sin(along(t)), 0.12 * lengthMm * (2 * t - 1) ** 4],
    up: () => [0, 0, 1],
    section: (t, angle) => [thick(t) * Math.cos(angle), thick(t) * 0.92 * Math.sin(angle)],
    rows: 120,
    columns: 60,
    lines: [18, 22],
  })
  const rim = plate({
    middle(u, v) {
      const way = along(u)
      const out = ring + thick(u) * 0.86 + v * lengthMm * 0.1
      return [
        out * Math.cos(way),
        out * flat * Math.sin(way),
        thick(u) * 0.2 + v * lengthMm * 0.09 + 0.12 * lengthMm * (2 * u - 1) ** 4,
      ]
    },
    wallMm: wallMm * 1.5,
    rows: 110,
    columns: 10,
    lines: [2, 40],
  })
  return { patches: [...body, ...rim], view: { turn: Math.PI, tilt: 0.8 } }
}

/** A square with its four corners drawn up to one point: four seams. */
export function parcel({ lengthMm, widthMm, heightMm }: FormOf<'parcel'>): Scene {
  const rows = 200
  const outline = (angle: number): readonly [number, number] => {
    // Between the seams the sides belly out; at the seams they are pinched to fins.
    const seam = Math.abs(Math.cos(2 * angle)) ** 10
    const square = 1 / (Math.abs(Math.cos(angle)) + Math.abs(Math.sin(angle)))
    return [square ** 0.7, seam]
  }
  const top = patchOf(
    {
      rows,
      columns: 40,
      wrapsRows: true,
      at(i, j) {
        const angle = (i / rows) * TAU
        const reach = j / 39
        const [out, seam] = outline(angle)
        const height = 0.78 * (1 - reach ** 2.4) + 0.22 * (1 - reach) ** 4
        const fin = 0.2 * seam * Math.sin(Math.PI * reach) ** 0.8
        return [
          (lengthMm / 2) * reach * out * Math.cos(angle),
          (widthMm / 2) * reach * out * Math.sin(angle),
          heightMm * (height + fin),
        ]
      },
    },
    { alongRows: 60, alongColumns: 9, facing: -1 },
  )
  return { patches: [withEdges(top, [borderOf(top, 'last-column')])], view: { turn: 0.25, tilt: 0.6 } }
}

/** Two squares over a mound, the rim cut with a toothed wheel. */
export function squarePocket(form: FormOf<'square-pocket'>, wallMm: number): Scene {
  const { lengthMm, widthMm, heightMm, teeth } = form
  const rim = 0.7
  /** How far a square with rounded corners reaches, of half its side. */
  const reach = (angle: number) => (Math.abs(Math.cos(angle)) ** 9 + Math.abs(Math.sin(angle)) ** 9) ** (-1 / 9)
  const belly = (v: number) => (v < rim ? Math.sqrt(Math.max(0, 1 - (v / rim) ** 2.2)) : 0)
  return {
    patches: plate({
      middle(u, v) {
        const angle = u * TAU
        const onRim = Math.max(0, (v - rim) / (1 - rim))
        const tooth = 1 + 0.022 * onRim * Math.sin(u * teeth * TAU)
        // The mound is round, the rim is square.
        const square = 1 + (reach(angle) - 1) * v ** 2
        return [
          (lengthMm / 2) * v * square * tooth * Math.cos(angle),
          (widthMm / 2) * v * square * tooth * Math.sin(angle),
          0.2 * heightMm * belly(v),
        ]
      },
      wallMm: (_, v) => wallMm + (heightMm - wallMm) * belly(v),
      rows: 320,
      columns: 44,
      wraps: true,
      polar: true,
      lines: [6, 0],
    }),
    view: { turn: 0.3, tilt: 0.75 },
  }
}
