/** What became of a tray on the rack: where it stood, when somebody weighed it, and how it ended. */
import {
  DRIED_MOISTURE,
  type BenchAction,
  type BenchEvent,
  type Laying,
  type PieceBody,
  type Spot,
  type TrayLayout,
} from '@harina/core'
import { airsThrough, clockHour, LONGEST_H, trayIn } from '@harina/core/rack'
import { courseIn, gramsAt, worldOfRate } from '@harina/core/transport'
import type { Random } from './random.ts'
import { iso } from './iso.ts'

export interface TrayStory {
  readonly laid: Laying
  readonly faces: TrayLayout['faces']
  /** Where, from which hour. */
  readonly spots: readonly (readonly [fromH: number, spot: Spot])[]
  readonly weighedH: readonly number[]
  /** How this tray differs from the model, unknown to the two of the bench. */
  readonly scaleD: number
  readonly end?: { readonly how: 'packed' } | { readonly how: 'thrown'; readonly atH: number; readonly why: string }
}

interface TrayToLay {
  readonly id: string
  readonly number: number
  readonly grams: number
  readonly body: PieceBody
  readonly moisture: number
  readonly laidMs: number
  readonly story: TrayStory
}

const HOUR_MS = 3_600_000
const TRAY_G = 420

export function trayEvents(
  { id, number, grams, body, moisture, laidMs, story }: TrayToLay,
  random: Random,
): BenchEvent[] {
  const tray = `${id}-tray-${number}`
  const layout: TrayLayout = {
    body,
    moisture,
    laid: story.laid,
    faces: story.faces,
    target: DRIED_MOISTURE,
    spot: story.spots[0]![1],
  }
  const legs = story.spots.map(([fromH, spot]) => ({ fromH, spot }))
  const climate = airsThrough(legs, clockHour(iso(laidMs)))
  const course = courseIn(trayIn(layout, climate), worldOfRate(story.scaleD), LONGEST_H, LONGEST_H)
  const { hoursToTarget } = course
  const packedH = story.end?.how === 'packed' && hoursToTarget !== null ? Math.ceil(hoursToTarget) + 1 : null
  const weighedH = packedH === null ? story.weighedH : [...story.weighedH.filter((h) => h < packedH), packedH]
  const happened: (readonly [hours: number, action: BenchAction])[] = [
    [0, { type: 'tray-laid', tray, name: `Tray ${number}`, grams, trayG: TRAY_G, layout }],
    ...story.spots.slice(1).map(([h, spot]) => [h, { type: 'tray-moved', tray, spot }] as const),
    ...weighedH.map(
      (h) =>
        [
          h,
          { type: 'tray-weighed', tray, grams: Math.round(gramsAt(course, h, grams) + TRAY_G + random.normal(0, 0.4)) },
        ] as const,
    ),
    ...(packedH === null ? [] : [[packedH + 0.05, { type: 'tray-packed', tray }] as const]),
    ...(story.end?.how === 'thrown'
      ? [[story.end.atH, { type: 'tray-thrown', tray, why: story.end.why }] as const]
      : []),
  ]
  return happened
    .sort(([a], [b]) => a - b)
    .map(([h, action], n) => ({ ...action, id: `${tray}-${n}`, at: iso(laidMs + h * HOUR_MS) }) as BenchEvent)
}
