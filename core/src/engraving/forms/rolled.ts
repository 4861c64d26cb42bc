/** Rolled under the palm, round a rod, or turned on themselves. */
import type { FormOf } from '../../model/index.ts'
import type { Patch } from '../patch.ts'
import { moved, type Scene } from '../patch.ts'
import { fitted, plate } from '../plate.ts'
import { rope, round, taper, type Line } from '../rope.ts'
import { TAU, type Vec3 } from '../vec.ts'

/** A tapered thread with a screw in it. */
export function twist({ lengthMm, widthMm }: FormOf<'twist'>): Scene {
  const turns = 3.2
  return {
    patches: rope({
      line: (t) => [(t - 0.5) * lengthMm, 0.09 * widthMm * Math.sin(t * 6), 0],
      section(t, angle) {
        // A groove on one side of the section, carried round like a thread.
        const radius = (widthMm / 2) * Math.sin(Math.PI * t ** 0.85) ** 0.75
        const grooved = radius * (0.78 + 0.22 * Math.cos(2 * angle) - 0.16 * Math.cos(3 * angle))
        const way = angle + turns * TAU * t
        return [grooved * Math.cos(way), grooved * Math.sin(way)]
      },
      rows: 180,
      columns: 60,
      lines: [20, 0],
    }),
    view: { turn: 0.38, tilt: 0.6 },
  }
}

/** Rolled to a point at both ends. */
export function spindle({ lengthMm, widthMm, pieces = 1 }: FormOf<'spindle'>): Scene {
  const one = (turn: number, bend: number) =>
    rope({
      line: (t) => [(t - 0.5) * lengthMm, bend * widthMm * (2 * t - 1) ** 2, 0],
      section: (t, angle) => round((widthMm / 2) * Math.sin(Math.PI * t) ** (pieces > 1 ? 0.7 : 0.8))(t, angle),
      rows: 100,
      columns: 48,
      lines: [26, pieces > 1 ? 0 : 26],
    }).map((patch) => moved(patch, turn, [0, 0, 0]))
  return {
    patches: Array.from({ length: pieces }, (_, k) =>
      one(k * 0.5, k % 2 === 0 ? 0.5 : -0.6).map((patch) =>
        moved(patch, 0, [k * 2.5, (k - (pieces - 1) / 2) * widthMm * 2.4, 0]),
      ),
    ).flat(),
    view: { turn: 0.4, tilt: 0.75 },
  }
}

/** A rope wound on a rod, and the rod drawn out. */
export function coil({ lengthMm, widthMm, turns }: FormOf<'coil'>, wallMm: number): Scene {
  const radius = (widthMm - wallMm) / 2
  return {
    patches: rope({
      line: (t) => [
        (t - 0.5) * (lengthMm - wallMm),
        radius * Math.cos(t * turns * TAU),
        radius * Math.sin(t * turns * TAU),
      ],
      section: (t, angle) => round((wallMm / 2) * (0.45 + 0.55 * taper(t, 24)))(t, angle),
      rows: Math.round(turns * 44),
      columns: 22,
      cut: true,
      lines: [9, 0],
    }),
    view: { turn: 0.42, tilt: 0.42 },
  }
}

/** A strip wound like a screw, a groove running in it. */
export function screw({ lengthMm, widthMm, turns }: FormOf<'screw'>, wallMm: number): Scene {
  const pitch = 1 / turns
  const middle = fitted(
    (u, v) => {
      const close = Math.max(0.15, taper(0.01 + 0.98 * u, 5))
      const angle = turns * TAU * u
      const across = (v - 0.5) * 0.84 * pitch * close
      const curl = 1 + 0.12 * (2 * v - 1) ** 2
      return [u - 0.5 + across, curl * Math.cos(angle), curl * Math.sin(angle)]
    },
    { x: lengthMm, y: widthMm - wallMm, z: widthMm - wallMm },
  )
  return {
    patches: plate({ middle, wallMm, rows: Math.round(turns * 56), columns: 26, lines: [9, Math.round(turns * 10)] }),
    view: { turn: 0.42, tilt: 0.45 },
  }
}

/** A strip folded along its length by one rub of the palms, and turned as it went. */
export function rolledStrip({ lengthMm, widthMm, turns }: FormOf<'rolled-strip'>, wallMm: number): Scene {
  const middle = fitted(
    (u, v) => {
      const close = 0.5 + 0.5 * taper(0.02 + 0.96 * u, 6)
      const angle = v * 4.4 + turns * TAU * u
      const radius = close * (0.45 + 0.55 * v)
      return [u - 0.5, radius * Math.cos(angle) + 0.25 * Math.sin(u * 3), radius * Math.sin(angle)]
    },
    { x: lengthMm, y: widthMm * 1.1 - wallMm, z: widthMm - wallMm },
  )
  return {
    patches: plate({ middle, wallMm, rows: 150, columns: 54, lines: [18, 0] }),
    view: { turn: 0.4, tilt: 0.6 },
  }
}

/** A ribbon rolled to a corkscrew and bent. */
export function corkscrew({ lengthMm, widthMm, turns }: FormOf<'corkscrew'>, wallMm: number): Scene {
  const bend = 1.5
  const reach = lengthMm / 2 / Math.sin(bend / 2)
  return {
    patches: plate({
      middle(u, v) {
        const way = (u - 0.5) * bend
        const angle = turns * Math.PI * u
        const half = (v - 0.5) * (widthMm - wallMm)
        const out = reach + half * Math.cos(angle)
        return [out * Math.sin(way), out * Math.cos(way) - reach, half * Math.sin(angle)]
      },
      wallMm,
      rows: Math.round(turns * 40),
      columns: 22,
      lines: [9, 0],
    }),
    view: { turn: 0.2, tilt: 0.75 },
  }
}

const helix = (lengthMm: number, radius: number, turns: number, phase: number): Line => {
  return (t) => [
    (t - 0.5) * lengthMm,
    radius * Math.cos(t * turns * TAU + phase),
    radius * Math.sin(t * turns * TAU + phase),
  ]
}

/** Two strands wound round each other. */
export function twin({ lengthMm, widthMm, turns }: FormOf<'twin'>): Scene {
  const radius = widthMm / 4
  return {
    patches: [0, Math.PI].flatMap((phase) =>
      rope({
        line: helix(lengthMm, radius, turns, phase),
        section: round(radius * 1.02),
        rows: Math.round(turns * 50),
        columns: 30,
        cut: true,
        lines: [11, 0],
      }),
    ),
    view: { turn: 0.42, tilt: 0.55 },
  }
}

/** A double loop of thread, its two strands turned round one another all the way. */
export function braid({ lengthMm, widthMm }: FormOf<'braid'>, wallMm: number): Scene {
  const radius = wallMm / 4
  const [a, b] = [lengthMm / 2 - 2 * radius, widthMm / 2 - 2 * radius]
  const turns = 13
  const loop = (t: number): { at: Vec3; out: Vec3 } => {
    const angle = t * TAU
    // A drop: pointed where the seam is.
    const narrow = 1 - 0.34 * Math.cos(angle) ** 3
    const at: Vec3 = [a * Math.cos(angle), b * Math.sin(angle) * narrow, 0]
    const long = Math.hypot(Math.cos(angle) / a, Math.sin(angle) / b)
    return { at, out: [Math.cos(angle) / a / long, Math.sin(angle) / b / long, 0] }
  }
  const strand = (phase: number): readonly Patch[] =>
    rope({
      line(t) {
        const { at, out } = loop(t)
        const way = t * turns * TAU + phase
        const [side, up] = [radius * Math.cos(way), radius * Math.sin(way)]
        return [at[0] + side * out[0], at[1] + side * out[1], up]
      },
      section: round(radius * 1.04),
      rows: 420,
      columns: 20,
      wraps: true,
      up: () => [0, 0, 1],
      lines: [8, 0],
    })
  return { patches: [0, Math.PI].flatMap(strand), view: { turn: 0.35, tilt: 0.9 } }
}

/** A square rolled on a ridged comb by its corner: pointed where the corners end, wound over itself in the middle. */
export function quill({ lengthMm, widthMm, sideMm }: FormOf<'quill'>, wallMm: number): Scene {
  const radius = (widthMm - 2 * wallMm) / 2
  const ridges = 17
  const middle = fitted(
    (u, v) => {
      const half = sideMm / Math.SQRT2
      const along = (2 * u - 1) * half
      const angle = ((2 * v - 1) * Math.max(1.5, half - Math.abs(along))) / radius
      // Each turn lies on the one before.
      const out = radius + (wallMm * 1.15 * (angle + Math.PI)) / TAU + 0.12 * Math.cos((along / sideMm) * ridges * TAU)
      return [along, out * Math.cos(angle + 2.4), out * Math.sin(angle + 2.4)]
    },
    { x: lengthMm },
  )
  return {
    patches: plate({ middle, wallMm: wallMm * 0.9, rows: ridges * 8, columns: 110, lines: [0, ridges * 3] }),
    view: { turn: 0.5, tilt: 0.5 },
  }
}
/** Along an arc in the lying plane: `bend` radians from end to end, the ends `lengthMm` apart. */
export function arc(lengthMm: number, bend: number): Line {
  if (bend < 1e-3) return (t) => [(t - 0.5) * lengthMm, 0, 0]
  const reach = lengthMm / 2 / Math.sin(Math.min(bend, Math.PI) / 2)
  return (t) => [reach * Math.sin((t - 0.5) * bend), reach * (Math.cos((t - 0.5) * bend) - Math.cos(bend / 2)), 0]
}
