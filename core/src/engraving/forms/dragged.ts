/** Pressed and dragged from a cut of rope: ears, hollows, pips, leaves. */
import type { FormOf } from '../../model/index.ts'
import { moved, type Scene } from '../patch.ts'
import { fitted, plate } from '../plate.ts'
import { taper } from '../rope.ts'
import { TAU } from '../vec.ts'

/** A little dome turned inside out: thin in the middle, thick at the rim. */
export function ear({ lengthMm, widthMm }: FormOf<'ear'>, wallMm: number): Scene {
  const middle = fitted(
    (u, v) => {
      const angle = u * TAU
      const reach = v
      const rim = 1 + 0.05 * Math.sin(3 * angle + 0.6)
      return [
        reach * rim * Math.cos(angle),
        reach * rim * Math.sin(angle),
        0.72 * reach ** 2.1 + 0.09 * Math.sin(angle * 2) * reach ** 4,
      ]
    },
    { x: lengthMm - wallMm / 2, y: widthMm - wallMm / 2, z: widthMm * 0.36 },
  )
  return {
    patches: plate({
      middle,
      wallMm: (_, v) => wallMm * (0.45 + 0.55 * v ** 3),
      rows: 110,
      columns: 40,
      wraps: true,
      polar: true,
      lines: [13, 0],
    }),
    view: { turn: 0.5, tilt: 0.72 },
  }
}

/** Curls to both sides of a groove; with more dents it stays open like a pod. */
export function hollow({ lengthMm, widthMm, dents = 1 }: FormOf<'hollow'>, wallMm: number): Scene {
  const open = dents > 1
  const half = open ? 1.75 : 2.5
  const middle = fitted(
    (u, v) => {
      const close = 0.42 + 0.58 * taper(0.02 + 0.96 * u, 2.6)
      const angle = (2 * v - 1) * half * (open ? 0.7 + 0.3 * close : 1) - Math.PI / 2
      const floor = open ? 0.3 * Math.cos(u * dents * TAU) * Math.cos((v - 0.5) * Math.PI) ** 2 : 0
      const lift = 0.28 * (2 * u - 1) ** 2
      return [u - 0.5, close * Math.cos(angle), close * Math.sin(angle) + floor + lift]
    },
    { x: lengthMm - wallMm * 0.3, y: widthMm - wallMm, z: widthMm * (open ? 0.75 : 0.85) },
  )
  return {
    patches: plate({
      middle,
      wallMm: (u) => wallMm * (0.5 + 0.5 * taper(u, 4)),
      rows: 90,
      columns: 60,
      lines: [30, 12],
    }),
    view: open ? { turn: 0.4, tilt: 0.95 } : { turn: 0.5, tilt: 0.82 },
  }
}

/** A hollow seen from its back, with the marks of a ridged board. */
export function ridgedPip({ lengthMm, widthMm }: FormOf<'ridged-pip'>, wallMm: number): Scene {
  const ridges = 9
  const middle = fitted(
    (u, v) => {
      const close = 0.45 + 0.55 * taper(0.02 + 0.96 * u, 2.6)
      const angle = (2 * v - 1) * 2.05 + 1.05
      const ridge = 1 + 0.07 * Math.cos(u * ridges * TAU) * Math.sin(Math.PI * v) ** 0.6
      return [u - 0.5, close * ridge * Math.cos(angle), close * ridge * Math.sin(angle) - 0.3 * (2 * u - 1) ** 2]
    },
    { x: lengthMm - wallMm * 0.3, y: widthMm - wallMm, z: widthMm * 0.85 },
  )
  return {
    patches: plate({
      middle,
      wallMm: (u) => wallMm * (0.5 + 0.5 * taper(u, 4)),
      rows: ridges * 14,
      columns: 60,
      lines: [8, ridges * 4],
    }),
    view: { turn: 0.45, tilt: 0.6 },
  }
}

/** Pushed away with a thumb until it rolls up behind: a curl on one side. */
export function scroll({ lengthMm, widthMm }: FormOf<'scroll'>, wallMm: number): Scene {
  const middle = fitted(
    (u, v) => {
      const angle = v * 3.6 - 1.3
      const radius = 1.25 - 0.5 * v
      const close = 0.32 + 0.68 * taper(0.03 + 0.94 * u, 2.2)
      const flare = 1 + 0.35 * (1 - v)
      return [(u - 0.5) * 2.4 * flare, close * radius * Math.sin(angle), -close * radius * Math.cos(angle)]
    },
    { x: lengthMm - wallMm * 0.3, y: widthMm - wallMm, z: widthMm * 0.75 },
  )
  return {
    patches: plate({
      middle,
      wallMm: (u, v) => wallMm * (0.55 + 0.45 * taper(u, 3)) * (0.75 + 0.25 * v),
      rows: 70,
      columns: 64,
      lines: [26, 12],
    }),
    view: { turn: 0.62, tilt: 0.55 },
  }
}

/** One long drag: flat and a little hollow, torn fine across by the blade or the board. */
export function leaf({ lengthMm, widthMm, pointed = undefined }: FormOf<'leaf'>, wallMm: number): Scene {
  const outline = (u: number) =>
    pointed ? Math.sin(Math.PI * u) ** 0.9 : taper(0.015 + 0.97 * u, 2.8) * (1 + 0.05 * Math.sin(u * 9))
  const middle = fitted(
    (u, v) => {
      const half = Math.max(0.012, outline(u))
      const y = (2 * v - 1) * half
      const ripple = pointed ? 0 : 0.055 * Math.sin(u * 58 + y * 2) * Math.abs(2 * v - 1) ** 0.5
      const curl = pointed ? 0.55 * Math.abs(y) ** 1.6 : 0.4 * y * y * (0.4 + u)
      return [(u - 0.5) * 2, y, curl + ripple + 0.35 * (2 * u - 1) ** 2]
    },
    { x: lengthMm, y: widthMm, z: widthMm * (pointed ? 0.42 : 0.3) },
  )
  return {
    patches: plate({
      middle,
      wallMm: (u, v) => wallMm * (0.35 + 0.65 * taper(u, 3)) * (0.8 + 0.2 * Math.abs(2 * v - 1)),
      rows: 120,
      columns: 40,
      lines: pointed ? [11, 0] : [4, 54],
    }),
    view: pointed ? { turn: 0.45, tilt: 0.9 } : { turn: 0.5, tilt: 0.85 },
  }
}

/** Off a log with a curved blade: thick along the middle, thin and ragged at both edges, tapered at both ends. */
export function shaving({ lengthMm, widthMm }: FormOf<'shaving'>, wallMm: number): Scene {
  const middle = fitted(
    (u, v) => {
      const half = Math.max(0.03, Math.sin(Math.PI * u) ** 0.55)
      const ragged = v > 0.5 ? 1 + 0.14 * Math.sin(u * 31) + 0.08 * Math.sin(u * 67 + 1) : 1
      const y = (2 * v - 1) * half * ragged
      return [(u - 0.5) * 9, y + 0.9 * Math.sin(u * 2.6), 0.42 * y * y + 0.55 * Math.sin(u * TAU * 0.9)]
    },
    { x: lengthMm, y: widthMm * 1.35, z: widthMm * 1.1 },
  )
  const one = plate({
    middle,
    wallMm: (u, v) => wallMm * (0.2 + 0.8 * (1 - Math.abs(2 * v - 1) ** 1.5)) * (0.3 + 0.7 * taper(u, 3)),
    rows: 160,
    columns: 28,
    lines: [9, 0],
  })
  return {
    patches: [-1, 0, 1].flatMap((k) =>
      one.map((patch) => moved(patch, 0.28 * k, [6 * k, widthMm * 1.5 * k, k * wallMm])),
    ),
    view: { turn: 0.4, tilt: 0.8 },
  }
}
