/** Pressed through a die: tubes, spirals, shells. */
import type { FormOf } from '../../model/index.ts'
import type { Patch } from '../patch.ts'
import { moved, type Scene } from '../patch.ts'
import { fitted, plate } from '../plate.ts'
import { frames } from '../rope.ts'
import { add, scale, TAU, type Vec3 } from '../vec.ts'
import { arc } from './rolled.ts'

const radians = (degrees: number): number => (degrees / 180) * Math.PI

/** A tube, straight or bent, smooth or ridged, cut square or at a slant; rolled on a rod it keeps its seam. */
export function tube(form: FormOf<'tube'>, wallMm: number): Scene {
  const { lengthMm, widthMm, ridges = 0, slantDeg = 0, bendDeg = 0, slack = 0, seam, pieces = 1 } = form
  const radius = (widthMm - wallMm) / 2
  const slope = Math.tan(radians(slantDeg))
  const bend = radians(bendDeg)
  const line = arc(lengthMm - slope * widthMm, bend)
  const columns = bend > 0 ? 70 : 40
  const frame = frames(line, columns, false, () => [0, 0, 1])
  // Open or shut along its length: the edges of a rope closed round a rod overlap a little at one side.
  const gap = seam ? 0.35 : 0
  const angleAt = (u: number) => gap / 2 + u * (TAU - gap) + (seam ? 0.9 : 0)
  const ridge = ridges > 0 ? wallMm * 0.22 : 0
  const one = plate({
    middle(u, v) {
      const angle = angleAt(u)
      // Ridged outside, smooth in its bore.
      const out = radius + (ridge / 2) * (Math.cos(ridges * angle) - 1)
      const place = frame[Math.round(v * (columns - 1))]!
      const across = out * Math.cos(angle) * (1 + slack * 0.45)
      const up = out * Math.sin(angle) * (1 - slack) + slack * 0.2 * out * Math.cos(2 * angle)
      const at = add(line(v), add(scale(place.across, across), scale(place.up, up)))
      return add(at, scale(place.along, slope * up))
    },
    wallMm: (u) => wallMm + ridge * (Math.cos(ridges * angleAt(u)) - 1),
    rows: ridges > 0 ? ridges * 12 : 100,
    columns,
    wraps: !seam,
    lines: [ridges > 0 || lengthMm < widthMm ? 4 : bend > 0 ? 16 : 14, ridges > 0 ? ridges * 3 : 34],
  })
  return {
    patches: Array.from({ length: pieces }, (_, k) =>
      one.map((patch) => moved(patch, 0.09 * (k - (pieces - 1) / 2), [6 * k, k * widthMm * 1.25, 0])),
    ).flat(),
    view:
      lengthMm < widthMm
        ? { turn: 0.95, tilt: 0.4 }
        : bend > 1
          ? { turn: 0.35, tilt: 0.95 }
          : { turn: 0.62, tilt: 0.4 },
  }
}

/** Three fins winding round one core. */
export function spiral({ lengthMm, widthMm, turns }: FormOf<'spiral'>, wallMm: number): Scene {
  const radius = widthMm / 2
  const fin = (k: number): readonly Patch[] =>
    plate({
      middle(u, v) {
        const angle = turns * TAU * u + (k * TAU) / 3
        const out = radius * (0.04 + 0.96 * v)
        return [(u - 0.5) * lengthMm, out * Math.cos(angle), out * Math.sin(angle)]
      },
      wallMm: (_, v) => wallMm * (1.15 - 0.4 * v),
      rows: Math.round(turns * 70),
      columns: 16,
      lines: [6, Math.round(turns * 7)],
    })
  return { patches: [0, 1, 2].flatMap(fin), view: { turn: 0.42, tilt: 0.5 } }
}

/** An S in section, both curls open, turned a little along its length. */
export function sRoll({ lengthMm, widthMm }: FormOf<'s-roll'>, wallMm: number): Scene {
  const middle = fitted(
    (u, v) => {
      const s = 2 * v - 1
      const [side, sweep] = [Math.sign(s) || 1, Math.abs(s) * 4.3]
      const [y, z] = [side * (1 - Math.cos(sweep)), side * Math.sin(sweep)]
      const turn = 0.9 * (u - 0.5)
      return [u - 0.5, y * Math.cos(turn) - z * Math.sin(turn), y * Math.sin(turn) + z * Math.cos(turn)]
    },
    { x: lengthMm, y: widthMm - wallMm, z: widthMm * 0.62 - wallMm },
  )
  return {
    patches: plate({ middle, wallMm, rows: 70, columns: 90, lines: [34, 0] }),
    view: { turn: 0.72, tilt: 0.42 },
  }
}

/** A ridged strip drawn in at both ends, its mouth nearly shut. */
export function shell({ lengthMm, widthMm, ridges }: FormOf<'shell'>, wallMm: number): Scene {
  const middle = fitted(
    (u, v) => {
      const close = 0.2 + 0.8 * Math.sin(Math.PI * (0.04 + 0.92 * u)) ** 0.85
      const angle = (2 * v - 1) * (2.15 + 0.6 * (1 - close)) - Math.PI / 2 - 0.35
      const out = close * (1 + 0.025 * Math.cos(v * ridges * TAU))
      const bow = 0.5 * (2 * u - 1) ** 2
      return [(u - 0.5) * 2.2, out * Math.cos(angle), out * Math.sin(angle) + bow]
    },
    { x: lengthMm, y: widthMm - wallMm, z: widthMm * 0.95 },
  )
  return {
    patches: plate({ middle, wallMm, rows: 90, columns: ridges * 10, lines: [ridges * 3, 0] }),
    view: { turn: 0.6, tilt: 0.72 },
  }
}

/** A ridged tube bent round, one mouth wide, the other nearly pinched shut. */
export function snail({ lengthMm, widthMm, ridges }: FormOf<'snail'>, wallMm: number): Scene {
  const bend = 2.3
  const line = arc((lengthMm - widthMm * 0.55) * 0.95, bend)
  const columns = 64
  const frame = frames(line, columns, false, () => [0, 0, 1])
  const radius = (widthMm - wallMm) / 2
  return {
    patches: plate({
      middle(u, v) {
        const angle = u * TAU
        const pinch = Math.max(0, (v - 0.55) / 0.45) ** 1.6
        const swell = 0.72 + 0.28 * Math.sin(Math.PI * (0.25 + 0.5 * v))
        const out = radius * swell * (1 - 0.03 + 0.03 * Math.cos(ridges * angle))
        const place = frame[Math.round(v * (columns - 1))]!
        const across = out * Math.cos(angle) * (1 - 0.1 * pinch)
        const up = out * Math.sin(angle) * (1 - 0.75 * pinch)
        return add(line(v), add(scale(place.across, across), scale(place.up, up)))
      },
      wallMm: (_, v) => wallMm * (v > 0.7 ? 0.7 : 1),
      rows: ridges * 12,
      columns,
      wraps: true,
      lines: [0, ridges * 3],
    }),
    view: { turn: -0.75, tilt: 0.7 },
  }
}

/** A bent tube with a ruffled fin along its back. */
export function crest({ lengthMm, widthMm, heightMm }: FormOf<'crest'>, wallMm: number): Scene {
  const bend = 2
  const line = arc(lengthMm - widthMm, bend)
  const columns = 56
  const frame = frames(line, columns, false, () => [0, 0, 1])
  const radius = (widthMm - wallMm) / 2
  const at = (v: number) => ({ ...frame[Math.round(v * (columns - 1))]!, here: line(v) })
  const body = plate({
    middle(u, v) {
      const { across, up, here } = at(v)
      const angle = u * TAU
      return add(here, add(scale(across, radius * Math.cos(angle)), scale(up, radius * Math.sin(angle))))
    },
    wallMm,
    rows: 60,
    columns,
    wraps: true,
    lines: [8, 20],
  })
  const rows = 150
  const finFrame = frames(line, rows, false, () => [0, 0, 1])
  const fin = plate({
    middle(u, v) {
      const { across, up } = finFrame[Math.round(u * (rows - 1))]!
      // `across` points to the inside of the bend, or away from it: the fin stands on the outside.
      const outwards: Vec3 = across[1] > 0 ? across : scale(across, -1)
      const wave = 0.3 * heightMm * v ** 1.2 * Math.sin(u * 7 * TAU)
      return add(line(u), add(scale(outwards, radius + v * heightMm), scale(up, wave)))
    },
    wallMm: wallMm * 0.8,
    rows,
    columns: 16,
    lines: [4, 70],
  })
  return { patches: [...body, ...fin], view: { turn: 0.3, tilt: 0.85 } }
}

/** An open core with ruffled fins round it. */
export function radiator({ lengthMm, widthMm, fins }: FormOf<'radiator'>, wallMm: number): Scene {
  const [inner, outer] = [widthMm * 0.24, widthMm / 2]
  const gap = 1.1
  const way = (u: number) => gap / 2 + u * (TAU - gap) + 2.5
  const core = plate({
    middle: (u, v) => [(v - 0.5) * lengthMm, inner * Math.cos(way(u)), inner * Math.sin(way(u))],
    wallMm,
    rows: 70,
    columns: 24,
    lines: [4, 18],
  })
  const fin = (k: number): readonly Patch[] =>
    plate({
      middle(u, v) {
        const out = inner + v * (outer - inner)
        const wave = 0.055 * lengthMm * v ** 1.5 * Math.sin(u * 6 * TAU + 0.4 * k)
        return [((k + 0.5) / fins - 0.5) * lengthMm * 0.94 + wave, out * Math.cos(way(u)), out * Math.sin(way(u))]
      },
      wallMm: wallMm * 0.8,
      rows: 130,
      columns: 12,
      lines: [2, 30],
    })
  return {
    patches: [...core, ...Array.from({ length: fins }, (_, k) => fin(k)).flat()],
    view: { turn: 0.55, tilt: 0.5 },
  }
}

/** A handful of thin stars, sliced off a die. */
export function stars({ lengthMm, widthMm, points }: FormOf<'stars'>, wallMm: number): Scene {
  const count = 7
  const reach = (u: number) => 0.56 + 0.44 * Math.abs(Math.cos((u * points * TAU) / 2)) ** 1.6
  const one = plate({
    middle(u, v) {
      const angle = u * TAU
      const out = (0.16 + 0.84 * v) * (1 + (reach(u) - 1) * v)
      return [(lengthMm / 2) * out * Math.cos(angle), (widthMm / 2) * out * Math.sin(angle), 0]
    },
    wallMm,
    rows: 120,
    columns: 10,
    wraps: true,
    lines: [0, 0],
    plain: true,
  })
  const laid = Array.from({ length: count }, (_, k) => {
    const [row, place] = [Math.floor((k + 1) / 3), (k + 1) % 3]
    const lean = ((k * 7) % 5) - 2
    return one.map((patch) =>
      moved(patch, 0.25 * lean, [
        (place - 1) * lengthMm * 1.3 + (row % 2) * lengthMm * 0.5,
        (row - 1) * widthMm * 1.25 + 0.06 * lean * widthMm,
        0,
      ]),
    )
  })
  return { patches: laid.flat(), view: { turn: 0.2, tilt: 0.85 } }
}
