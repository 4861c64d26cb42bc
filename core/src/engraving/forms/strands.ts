/** Long strands, a few of them as they lie. What is longer than can be shown is shown in part. */
import type { FormOf } from '../../model/index.ts'
import type { Patch } from '../patch.ts'
import type { Scene } from '../patch.ts'
import { plate } from '../plate.ts'
import { boxy, frames, rope, round, type Line, type Section } from '../rope.ts'
import { add, scale, TAU, type Vec3 } from '../vec.ts'

/** Even but not regular: the same at every run. */
const jitter = (k: number, salt: number): number => {
  const value = Math.sin(k * 127.1 + salt * 311.7) * 43758.5453
  return value - Math.floor(value) - 0.5
}

const sectionOf = (widthMm: number, heightMm: number | undefined): Section =>
  heightMm === undefined ? round(widthMm / 2) : boxy(widthMm, heightMm)

/** A strand with a bore: a tube along a line. */
function pipe(line: Line, radiusMm: number, wallMm: number, rows: number): readonly Patch[] {
  const frame = frames(line, rows, false)
  return plate({
    middle(u, v) {
      const place = Math.min(rows - 1, v * (rows - 1))
      const { across, up } = frame[Math.round(place)]!
      const [a, b] = [radiusMm * Math.cos(u * TAU), radiusMm * Math.sin(u * TAU)]
      return add(line(v), add(scale(across, a), scale(up, b)))
    },
    wallMm,
    rows: 28,
    columns: rows,
    wraps: true,
    lines: [0, 9],
  })
}

/** One long strand laid in a loose coil, wound outwards. */
export function strand({ lengthMm, widthMm }: FormOf<'strand'>): Scene {
  const shown = Math.min(lengthMm, 720)
  const [inner, outer] = [9, 9 + Math.min(36, 4 * widthMm + 10)]
  const turns = shown / (TAU * ((inner + outer) / 2))
  return {
    patches: rope({
      line(t) {
        const angle = t * turns * TAU
        const reach = inner + (outer - inner) * t + 0.18 * widthMm * Math.sin(angle * 2.3)
        return [reach * Math.cos(angle), 0.94 * reach * Math.sin(angle), 0.3 * widthMm * Math.sin(angle * 1.7)]
      },
      section: round(widthMm / 2),
      rows: Math.round(turns * 70),
      columns: 20,
      cut: true,
      lines: [9, 0],
    }),
    view: { turn: 0.2, tilt: 0.85 },
  }
}

/** How much of a straight strand is shown. */
const SHOWN_WIDTHS = 24

/** Straight strands side by side, fanned a little, with their cut ends; folded once over where they are kept so. */
export function hank({ lengthMm, widthMm, heightMm, boreMm, strands, folded }: FormOf<'hank'>, wallMm: number): Scene {
  const shown = Math.min(lengthMm, widthMm * SHOWN_WIDTHS)
  const layers = strands > 10 ? 3 : 2
  const perLayer = Math.ceil(strands / layers)
  const lift = (heightMm ?? widthMm) * 1.04
  const lines = Array.from({ length: strands }, (_, k): Line => {
    const layer = Math.floor(k / perLayer)
    const place = (k % perLayer) - (perLayer - 1) / 2 + (layer % 2) * 0.5 + 0.12 * jitter(k, 1)
    const start = 0.05 * shown * jitter(k, 2)
    if (folded) {
      const bend = shown * 0.16 + layer * lift
      const side = (place: number) => place * widthMm * 1.12
      return (t) => {
        // Out, round the fold, and back on top.
        const way = t * (2 * shown + Math.PI * bend) - shown
        if (way < 0) return [way + start * 0.4, side(place), -bend]
        if (way > Math.PI * bend) return [Math.PI * bend - way + start * 0.4, side(place) + 0.06 * shown, bend]
        const turn = way / bend
        return [bend * Math.sin(turn), side(place) + (0.06 * shown * turn) / Math.PI, -bend * Math.cos(turn)]
      }
    }
    return (t) => [
      (t - 0.5) * shown + start,
      place * widthMm * 1.16 * (1 + 0.35 * (t - 0.5)) + 0.05 * shown * Math.sin(t * 2.4 - 0.6),
      layer * lift + 0.1 * widthMm * Math.sin(t * 5 + k),
    ]
  })
  return {
    patches: lines.flatMap((line) =>
      boreMm === undefined
        ? rope({
            line,
            section: sectionOf(widthMm, heightMm),
            rows: folded ? 90 : 40,
            columns: 20,
            cut: true,
            lines: [heightMm === undefined ? 6 : 8, 0],
            ...(heightMm !== undefined && !folded ? { up: (): Vec3 => [0, 0, 1] } : {}),
          })
        : pipe(line, (widthMm - wallMm) / 2, wallMm, 36),
    ),
    view: folded ? { turn: 0.62, tilt: 0.42 } : { turn: 0.85, tilt: 0.55 },
  }
}

/** Wound loosely round two fingers: every strand its own way, the ends hanging out. */
export function nest({ widthMm, heightMm, strands, lengthMm, folded }: FormOf<'nest'>): Scene {
  const reach = 20 + 1.1 * widthMm
  const turns = Math.min(2.2, Math.max(1.1, lengthMm / (TAU * reach)))
  return {
    patches: Array.from({ length: strands }, (_, k) => {
      const phase = (k / strands) * TAU * 0.8
      const out = reach * (0.8 + 0.42 * (k / strands))
      return rope({
        line(t) {
          const angle = t * turns * TAU + phase
          const leave = Math.max(0, t - 0.86) / 0.14
          const radius = out * (1 + 0.12 * Math.sin(angle * 2 + k * 1.7) + 0.5 * leave ** 2)
          return [
            radius * Math.cos(angle),
            radius * (folded ? 0.62 : 0.9) * Math.sin(angle),
            (k % 3) * heightMm * 1.2 +
              widthMm * (0.25 + 0.3 * Math.sin(angle * 1.5 + k)) * (1 - leave) +
              t * heightMm * 2,
          ]
        },
        section: boxy(widthMm, heightMm),
        rows: Math.round(turns * 80),
        columns: 20,
        cut: true,
        // The band leans outwards, as it does in a nest.
        up: (t) => {
          const angle = t * turns * TAU + phase
          const lean = 0.9 * Math.sin(angle * 1.3 + k * 2)
          return [Math.cos(angle) * lean, Math.sin(angle) * lean, 1]
        },
        lines: [8, 0],
      })
    }).flat(),
    view: { turn: 0.3, tilt: 0.72 },
  }
}

/** A heap of wet noodles: loops over loops. */
export function tangle({ widthMm, heightMm, strands, frizz }: FormOf<'tangle'>): Scene {
  const reach = 16 + 3.2 * widthMm
  return {
    patches: Array.from({ length: strands }, (_, k) =>
      rope({
        line(t) {
          const angle = t * TAU * 2.6 + k * 1.3
          const radius = reach * (0.62 + 0.34 * Math.sin(angle * 0.73 + k * 2.1))
          const fine = frizz ? widthMm * 1.3 * Math.sin(t * 190 + k) : 0
          const mound = 1 - (radius / reach) ** 2
          return [
            radius * Math.cos(angle + 0.5 * Math.sin(angle * 1.6)) + fine * Math.sin(angle),
            radius * Math.sin(angle) - fine * Math.cos(angle),
            0.4 * reach * mound + widthMm * (1.1 * Math.sin(angle * 2.3 + k) + 0.7 * k) * 0.8,
          ]
        },
        section: sectionOf(widthMm, heightMm),
        rows: frizz ? 420 : 200,
        columns: 16,
        cut: true,
        lines: [6, 0],
      }),
    ).flat(),
    view: { turn: 0.4, tilt: 0.8 },
  }
}

/** Scrunched strands: all wave, none quite alike. */
export function wavy({ lengthMm, widthMm, heightMm, strands, rough }: FormOf<'wavy'>): Scene {
  const waves = rough ? 3.5 : 4.5
  const swing = rough ? 2.2 * widthMm : 1.9 * widthMm
  return {
    patches: Array.from({ length: strands }, (_, k) => {
      const place = (k - (strands - 1) / 2) * widthMm * (rough ? 1.7 : 1.35)
      const phase = (rough ? 2.4 : 0.5) * jitter(k, 3)
      return rope({
        line: (t) => [
          (t - 0.5) * lengthMm + 0.04 * lengthMm * jitter(k, 4),
          place + swing * 0.5 * Math.sin(t * waves * TAU + phase) * (rough ? 1 + 0.8 * jitter(k, 5) : 1),
          (k % 2) * heightMm + heightMm * 0.6 * Math.sin(t * waves * TAU * (rough ? 1.4 : 1) + phase + 1.4),
        ],
        section: boxy(widthMm, heightMm),
        rows: Math.round(waves * 26),
        columns: 16,
        cut: true,
        up: () => [0, 0, 1],
        lines: [6, 0],
      })
    }).flat(),
    view: { turn: 0.55, tilt: 0.75 },
  }
}

/** Pulled and folded, doubled at one end: loops lying inside each other. */
export function skein({ lengthMm, widthMm, strands }: FormOf<'skein'>): Scene {
  return {
    patches: Array.from({ length: strands }, (_, k) => {
      const layer = k % 2
      const bend = widthMm * (1.2 + 1.25 * Math.floor(k / 2))
      const straight = lengthMm * 0.42
      const whole = 2 * straight + Math.PI * bend
      return rope({
        line(t) {
          const way = t * whole - straight
          const sag = 0.9 * widthMm * Math.sin(t * 9 + k)
          const open = 1 + 0.35 * Math.abs(2 * t - 1)
          const lift = layer * widthMm * 1.02 + 0.2 * widthMm * Math.sin(t * 7 + k)
          if (way < 0) return [way, bend * open + sag * 0.4, lift]
          if (way > Math.PI * bend) return [Math.PI * bend - way, -bend * open + sag * 0.4, lift]
          const turn = way / bend
          return [bend * Math.sin(turn), bend * open * Math.cos(turn) + sag * 0.4, lift]
        },
        section: round(widthMm / 2),
        rows: 120,
        columns: 14,
        cut: true,
        lines: [5, 0],
      })
    }).flat(),
    view: { turn: 0.5, tilt: 0.8 },
  }
}

/** Threads stretched between two rods. */
export function rods({ lengthMm, widthMm, strands }: FormOf<'rods'>): Scene {
  const rod = 4
  const gap = widthMm * 3.2
  const span = strands * gap + 6
  const bar = (x: number) =>
    rope({
      line: (t) => [x, (t - 0.5) * span, 0],
      section: round(rod / 2),
      rows: 12,
      columns: 32,
      cut: true,
      lines: [16, 0],
    })
  const thread = (k: number) => {
    const y = (k - (strands - 1) / 2) * gap + widthMm * 0.6 * jitter(k, 6)
    const over = k % 2 === 0 ? 1 : -1
    return rope({
      line: (t) => {
        const x = (t - 0.5) * (lengthMm + rod)
        const close = Math.abs(x) > lengthMm / 2 ? 1 : 0
        return [x, y, over * (rod / 2 + widthMm / 2) * (0.35 + 0.65 * close) * (1 - 0.5 * Math.sin(Math.PI * t))]
      },
      section: round(widthMm / 2),
      rows: 40,
      columns: 10,
      cut: true,
      lines: [3, 0],
    })
  }
  return {
    patches: [
      ...bar(-lengthMm / 2),
      ...bar(lengthMm / 2),
      ...Array.from({ length: strands }, (_, k) => thread(k)).flat(),
    ],
    view: { turn: 0.5, tilt: 0.85 },
  }
}

/** Threads laid in layers, one across the other. */
export function lattice({ lengthMm, widthMm, strands }: FormOf<'lattice'>): Scene {
  const layer = (turn: number, lift: number, salt: number) =>
    Array.from({ length: strands }, (_, k) => {
      const place = ((k + 0.5) / strands - 0.5) * lengthMm * 0.92
      const half = Math.sqrt(Math.max(0.02, 0.25 - (place / lengthMm) ** 2)) * lengthMm * (0.94 + 0.1 * jitter(k, salt))
      return rope({
        line(t) {
          const along = (2 * t - 1) * half
          const side = place + 1.8 * widthMm * Math.sin(t * 4 + k * 1.9) + 2.4 * widthMm * jitter(k, salt + 1)
          return [
            along * Math.cos(turn) - side * Math.sin(turn),
            along * Math.sin(turn) + side * Math.cos(turn),
            lift + 0.4 * widthMm * Math.sin(t * 11 + k),
          ]
        },
        section: round(widthMm / 2),
        rows: 40,
        columns: 8,
        cut: true,
        lines: [2, 0],
      })
    }).flat()
  return {
    patches: [...layer(0.15, 0, 1), ...layer(1.2, widthMm, 4), ...layer(2.3, 2 * widthMm, 7)],
    view: { turn: 0.3, tilt: 0.8 },
  }
}

/** Threads pressed in circles on a cloth: loops going round a disc. */
export function mat({ lengthMm, widthMm, strands }: FormOf<'mat'>): Scene {
  const reach = lengthMm / 2
  return {
    patches: Array.from({ length: strands }, (_, k) => {
      const loop = reach * (0.3 + 0.05 * k)
      const round_ = reach - loop
      return rope({
        line(t) {
          const big = t * TAU + k * 1.1
          const small = t * TAU * (9 + k) + k
          return [
            round_ * 0.86 * Math.cos(big) + loop * Math.cos(small),
            round_ * 0.86 * Math.sin(big) + loop * Math.sin(small),
            widthMm * (0.6 * k + Math.sin(small * 0.5 + big)),
          ]
        },
        section: round(widthMm / 2),
        rows: 520,
        columns: 10,
        wraps: true,
        up: () => [0, 0, 1],
        lines: [3, 0],
      })
    }).flat(),
    view: { turn: 0.3, tilt: 0.85 },
  }
}
