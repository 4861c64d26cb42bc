/** The trays of a batch: laid out, moved, turned, weighed, and packed or thrown away. */
import type { BenchEvent, TrayLayout, Spot } from '../model/index.ts'

export interface RackTray {
  readonly id: string
  readonly name: string
  /** What lay on it at first, without the tray, g. */
  readonly startG: number
  readonly trayG: number
  readonly layout: TrayLayout
  readonly laidAt: string
  /** Hours of the tray in one of the clock: 1, or more to practise with. */
  readonly pace: number
  /** Where it has stood, in order; the first is that of its layout. */
  readonly spots: readonly { readonly at: string; readonly spot: Spot }[]
  readonly turnedAt: readonly string[]
  /** Without the tray. `event` to put it right by. */
  readonly weighed: readonly { readonly at: string; readonly grams: number; readonly event: string }[]
  readonly end: { readonly how: 'packed' | 'thrown'; readonly at: string; readonly why: string } | null
}

type TrayEvent = Extract<BenchEvent, { type: `tray-${string}` }>

const HOUR_MS = 3_600_000

/** Hours that a tray has lain at this time, by its own pace; never before it was laid. */
export const trayHours = ({ laidAt, pace }: Pick<RackTray, 'laidAt' | 'pace'>, atMs: number): number =>
  (pace * Math.max(0, atMs - Date.parse(laidAt))) / HOUR_MS

/** When so many hours of the tray are over, ms since the epoch. */
export const trayTimeMs = ({ laidAt, pace }: Pick<RackTray, 'laidAt' | 'pace'>, hours: number): number =>
  Date.parse(laidAt) + (hours * HOUR_MS) / pace

function changed(tray: RackTray, event: Exclude<TrayEvent, { type: 'tray-laid' }>): RackTray {
  // What is packed is weighed and moved no more; thrown away it may be at any time.
  if (tray.end?.how === 'thrown' || (tray.end && event.type !== 'tray-thrown')) return tray
  const { at } = event
  switch (event.type) {
    case 'tray-moved':
      return { ...tray, spots: [...tray.spots, { at, spot: event.spot }] }
    case 'tray-turned':
      return { ...tray, turnedAt: [...tray.turnedAt, at] }
    case 'tray-weighed': {
      const grams = event.grams - tray.trayG
      return grams > 0 ? { ...tray, weighed: [...tray.weighed, { at, grams, event: event.id }] } : tray
    }
    case 'tray-packed':
      return { ...tray, end: { how: 'packed', at, why: '' } }
    case 'tray-thrown':
      return { ...tray, end: { how: 'thrown', at, why: event.why } }
  }
}

export function onTheRack(trays: readonly RackTray[], event: TrayEvent): readonly RackTray[] {
  if (event.type !== 'tray-laid') return trays.map((tray) => (tray.id === event.tray ? changed(tray, event) : tray))
  const { tray: id, name, grams, trayG, layout, at, pace = 1 } = event
  if (trays.some((tray) => tray.id === id)) return trays
  const laid: RackTray = {
    id,
    name,
    startG: grams,
    trayG,
    layout,
    laidAt: at,
    pace,
    spots: [{ at, spot: layout.spot }],
    turnedAt: [],
    weighed: [],
    end: null,
  }
  return [...trays, laid]
}
