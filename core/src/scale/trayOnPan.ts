/** A tray on the practice scale: it loses weight as dough does, by constants of its own that nobody is told. */
import type { Spot, TrayLayout } from '../model/index.ts'
import { airsThrough, LONGEST_H, onCurve, trayIn, type Leg } from '../rack/index.ts'
import { courseIn, gramsAt, USUAL_WORLD, type World } from '../transport/index.ts'

export interface TrayOnPan {
  readonly startG: number
  readonly trayG: number
  readonly layout: TrayLayout
  /** Hours of the tray in one of the clock. */
  readonly pace: number
  readonly h: number
  readonly legs: readonly Leg[]
  /** The hour of the day at which it was laid. */
  readonly startsAt: number
  /** Drawn when it is first looked at: how this tray differs from the model. */
  readonly truth: World | null
  /** What is left of the dough, g, from hour to hour. */
  readonly grams: readonly { readonly h: number; readonly grams: number }[]
}

export const trayOnPan = ({
  grams,
  trayG,
  layout,
  pace,
  startsAt,
}: {
  readonly grams: number
  readonly trayG: number
  readonly layout: TrayLayout
  readonly pace: number
  readonly startsAt: number
}): TrayOnPan => ({
  startG: grams,
  trayG,
  layout,
  pace,
  h: 0,
  legs: [{ fromH: 0, spot: layout.spot }],
  startsAt,
  truth: null,
  grams: [{ h: 0, grams }],
})

function worked(tray: TrayOnPan, truth: World): TrayOnPan {
  const { startG, layout, legs, startsAt } = tray
  const course = courseIn(trayIn(layout, airsThrough(legs, startsAt)), truth, 0, LONGEST_H)
  return { ...tray, truth, grams: course.h.map((h) => ({ h, grams: gramsAt(course, h, startG) })) }
}

/** Twelve even numbers make a bell. */
const bell = (chance: () => number): number => Array.from({ length: 12 }, chance).reduce((sum, each) => sum + each, -6)

/** So many seconds of the clock later. */
export function later(tray: TrayOnPan, seconds: number, chance: () => number): TrayOnPan {
  const drawn = tray.truth
    ? tray
    : worked(
        tray,
        // Half as far from the usual as trays may be, so that a practice ends in a day or two.
        USUAL_WORLD.map(() => bell(chance) / 2),
      )
  return { ...drawn, h: drawn.h + (seconds * tray.pace) / 3600 }
}

export function moved(tray: TrayOnPan, spot: Spot): TrayOnPan {
  const next = { ...tray, legs: [...tray.legs.filter(({ fromH }) => fromH < tray.h), { fromH: tray.h, spot }] }
  return tray.truth ? worked(next, tray.truth) : next
}

/** Dough and tray, g. */
export const onPanG = ({ grams, h, trayG }: TrayOnPan): number => onCurve(grams, 'grams', h) + trayG
