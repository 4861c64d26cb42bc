/** Dropped batter, and the soft doughs that are only cut or rolled. */
import type { FormOf } from '../../model/index.ts'
import type { Patch } from '../patch.ts'
import { moved, withEdges, type Edge, type Scene } from '../patch.ts'
import { edged, rope, taper, type Section } from '../rope.ts'
import { TAU, type Vec3 } from '../vec.ts'

const along =
  (lengthMm: number) =>
  (t: number): Vec3 => [(t - 0.5) * lengthMm, 0, 0]

const scattered = (k: number, salt: number): number => {
  const value = Math.sin(k * 71.3 + salt * 19.7) * 15731.743
  return value - Math.floor(value) - 0.5
}

/** Batter as it sets in the pot: round at the head, drawn out to a tail. */
export function drop({ lengthMm, widthMm, pieces = 3 }: FormOf<'drop'>): Scene {
  const long = lengthMm > widthMm * 15
  const one = (k: number): readonly Patch[] =>
    rope({
      line: (t) => [
        (t - 0.5) * lengthMm,
        widthMm * (long ? 1.6 : 0.5) * Math.sin(t * (long ? 8 : 4) + k * 2),
        0.2 * widthMm * Math.sin(t * 7 + k),
      ],
      section(t, angle) {
        const body = Math.sin(Math.PI * (0.02 + 0.96 * t) ** 0.72) ** (long ? 0.35 : 0.62)
        const lump = 1 + 0.09 * Math.sin(t * 17 + k) + 0.05 * Math.sin(3 * angle + t * 9)
        const radius = (widthMm / 2) * body * lump
        return [radius * Math.cos(angle), radius * Math.sin(angle)]
      },
      rows: 110,
      columns: 32,
      lines: [12, 16],
    })
  return {
    patches: Array.from({ length: pieces }, (_, k) =>
      one(k).map((patch) =>
        moved(patch, (k - (pieces - 1) / 2) * 0.35 + 0.4 * scattered(k, 1), [
          lengthMm * 0.14 * scattered(k, 2),
          (k - (pieces - 1) / 2) * widthMm * (long ? 3 : 2.1),
          k * widthMm * 0.25,
        ]),
      ),
    ).flat(),
    view: { turn: 0.45, tilt: 0.75 },
  }
}

/** Thick in the belly and tapered to both ends, the tail the longer: flicked off a rim. */
export function fish({ lengthMm, widthMm }: FormOf<'fish'>): Scene {
  const one = (bend: number) =>
    rope({
      line: (t) => [(t - 0.5) * lengthMm, bend * (t - 0.4) ** 2 * lengthMm, 0],
      section(t, angle) {
        const radius = (widthMm / 2) * Math.max(0, Math.sin(Math.PI * t ** 0.62)) ** 1.15
        return [radius * Math.cos(angle), 0.82 * radius * Math.sin(angle)]
      },
      rows: 120,
      columns: 44,
      lines: [20, 18],
    })
  return {
    patches: [...one(0.34), ...one(-0.3).map((patch) => moved(patch, 0.5, [lengthMm * 0.12, widthMm * 2.2, 0]))],
    view: { turn: 0.4, tilt: 0.75 },
  }
}

/** Small and round, a few together; through a coarse strainer they keep a tail. */
export function buttons({ lengthMm, widthMm, rough }: FormOf<'buttons'>): Scene {
  const one = (k: number): readonly Patch[] => {
    const size = 1 + 0.22 * scattered(k, 3)
    return rope({
      line: along(lengthMm * size),
      section(t, angle) {
        const body = Math.sin(Math.PI * t) ** 0.55 * (rough ? 1 - 0.5 * Math.max(0, t - 0.55) * 2 : 1)
        const lump =
          1 +
          (rough ? 0.1 : 0.04) * Math.sin(3 * angle + t * 6 + k) +
          (rough ? 0.06 * Math.sin(7 * angle + t * 11 + 2 * k) : 0)
        const radius = (widthMm / 2) * size * body * lump
        return [radius * Math.cos(angle), 0.85 * radius * Math.sin(angle)]
      },
      rows: 60,
      columns: 44,
      lines: [14, 14],
    })
  }
  const places: readonly (readonly [number, number])[] = [
    [0, 0],
    [1.35, 0.35],
    [-1.2, 0.65],
    [0.35, 1.35],
    [-0.7, -1.05],
    [0.9, -0.95],
  ]
  return {
    patches: places.flatMap(([x, y], k) =>
      one(k).map((patch) => moved(patch, k * 1.3, [x * lengthMm, y * widthMm * 1.15, 0])),
    ),
    view: { turn: 0.3, tilt: 0.75 },
  }
}

/** Turned between two wet spoons: an oval, with three edges where they met. */
export function quenelle({ lengthMm, widthMm, facets = 0 }: FormOf<'quenelle'>): Scene {
  const one = (k: number): readonly Patch[] =>
    rope({
      line: along(lengthMm),
      section(t, angle) {
        const body = Math.sin(Math.PI * t) ** 0.62
        const edge = facets > 0 ? 1 + 0.16 * Math.abs(Math.cos((facets * angle) / 2 + 0.4)) ** 3 - 0.06 : 1
        const lump = facets > 0 ? 1 : 1 + 0.05 * Math.sin(4 * angle + t * 8 + k) + 0.04 * Math.sin(t * 19 + 2 * angle)
        const radius = (widthMm / 2) * body * edge * lump
        return [radius * Math.cos(angle), 0.84 * radius * Math.sin(angle)]
      },
      rows: 90,
      columns: 72,
      lines: [facets > 0 ? 30 : 20, facets > 0 ? 0 : 24],
    })
  return {
    patches: [0, 1].flatMap((k) =>
      one(k).map((patch) => moved(patch, 0.35 * k, [k * lengthMm * 0.25, k * widthMm * 1.25, 0])),
    ),
    view: { turn: 0.42, tilt: 0.72 },
  }
}

/** A cut of soft dough rolled down a ridged board: ridges on the back, a thumb's dent in the face. */
export function pillow({ lengthMm, widthMm, ridges }: FormOf<'pillow'>): Scene {
  const one = (roll: number) =>
    rope({
      line: along(lengthMm),
      section(t, angle) {
        const close = taper(0.004 + 0.992 * t, 3.4)
        const onBack = Math.max(0, Math.sin(angle)) ** 0.5
        const ridge = 0.5 * onBack * close * Math.cos(t * ridges * TAU)
        const dent = Math.max(0, -Math.sin(angle)) ** 2 * 0.4 * (widthMm / 2) * Math.sin(Math.PI * t) ** 2
        const radius = (widthMm / 2 - 0.5) * close - dent + ridge
        const way = angle + roll
        return [radius * Math.cos(way), radius * 0.88 * Math.sin(way)]
      },
      rows: ridges * 14,
      columns: 84,
      lines: [10, ridges * 5],
    })
  return {
    patches: [...one(0), ...one(2.5).map((patch) => moved(patch, 0.5, [lengthMm * 0.35, widthMm * 1.35, 0]))],
    view: { turn: 0.5, tilt: 0.75 },
  }
}

/** Cut and left as it is: round in section, flat at both cuts. */
export function cushion({ lengthMm, widthMm }: FormOf<'cushion'>): Scene {
  const one = (k: number) =>
    rope({
      line: along(lengthMm),
      section(t, angle) {
        const soft = 0.9 + 0.1 * taper(0.02 + 0.96 * t, 3)
        const slump = Math.sin(angle) < 0 ? 0.86 : 1
        return [
          (widthMm / 2) * soft * edged(Math.cos(angle), 0.75),
          (widthMm / 2) * 0.84 * soft * slump * edged(Math.sin(angle), 0.75),
        ]
      },
      rows: 40,
      columns: 60,
      cut: true,
      lines: [22, 8],
    }).map((patch) => moved(patch, k * 0.9, [k * lengthMm * 0.75, k * widthMm * 1.1, 0]))
  return { patches: [0, 1].flatMap(one), view: { turn: 0.6, tilt: 0.62 } }
}

/** A flattened rope cut on the slant; scored with the back of a knife where it is so made. */
export function slant({ lengthMm, widthMm, heightMm, scored }: FormOf<'slant'>): Scene {
  const skew = 0.9
  const section: Section = (_, angle) => [
    (widthMm / 2) * edged(Math.cos(angle), 0.55),
    (heightMm / 2) * edged(Math.sin(angle), 0.6),
  ]
  const long = lengthMm - skew * widthMm
  const sheared = (patch: Patch): Patch => {
    const shift = ([x, y, z]: Vec3): Vec3 => [x + skew * y, y, z]
    return {
      ...patch,
      points: patch.points.map(shift),
      edges: patch.edges.map((edge) => edge.map(({ at, faces }) => ({ at: shift(at), faces }))),
    }
  }
  const mark = (x: number): Edge =>
    Array.from({ length: 12 }, (_, k) => ({
      at: [x + ((k / 11 - 0.5) * long) / 5, (k / 11 - 0.5) * widthMm * 0.8, heightMm / 2 + 0.12],
      faces: [
        [0, 0, 1],
        [0, 0, 1],
      ],
    }))
  const one = (k: number) => {
    const [body, ...lids] = rope({ line: along(long), section, rows: 30, columns: 60, cut: true, lines: [18, 6] })
    const marks = scored ? [-0.34, -0.12, 0.1, 0.32].map((place) => mark(place * long)) : []
    return [withEdges(body!, marks), ...lids]
      .map(sheared)
      .map((patch) => moved(patch, 0.25 * k, [k * lengthMm * 0.9, k * widthMm * 0.5, 0]))
  }
  return { patches: [0, 1].flatMap(one), view: { turn: -0.3, tilt: 0.8 } }
}

/** Rolled between the palms and left in semolina: three, grainy all over. */
export function ball({ lengthMm, widthMm }: FormOf<'ball'>): Scene {
  const one = (k: number): readonly Patch[] =>
    rope({
      line: along(lengthMm),
      section(t, angle) {
        const body = Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2))
        const grain = 1 + 0.012 * Math.sin(angle * 23 + t * 31 + k) + 0.012 * Math.sin(angle * 11 - t * 43)
        const radius = (widthMm / 2) * body * grain
        return [radius * Math.cos(angle), radius * Math.sin(angle)]
      },
      rows: 80,
      columns: 80,
      lines: [16, 18],
    })
  const places: readonly Vec3[] = [
    [0, 0, 0],
    [lengthMm * 1.02, widthMm * 0.3, 0],
    [lengthMm * 0.42, widthMm * 0.98, 0],
  ]
  return {
    patches: places.flatMap((place, k) => one(k).map((patch) => moved(patch, k, place))),
    view: { turn: 0.2, tilt: 0.55 },
  }
}
