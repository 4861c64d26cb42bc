/** Trays, rooms and covers. */
import { formatNumber, trayTimeMs, type Air, type Laying, type RackTray, type Spot } from '@harina/core'
import { CRACKS_OVER, type Otherwise } from '@harina/core/rack'
import { format } from 'date-fns'

export const airWords: Readonly<Record<Air, string>> = { still: 'still air', fan: 'a small fan', cabinet: 'a cabinet' }
export const coverWords = (cover: Spot['cover']): string => (cover ? `under ${cover.name}` : 'open')
export const layingWords: Readonly<Record<Laying, string>> = {
  spread: 'spread',
  nests: 'in nests',
  layers: 'in layers',
}

export const otherwiseWords = (way: Otherwise): string => {
  switch (way.is) {
    case 'air':
      return { fan: 'a fan on', still: 'the fan off' }[way.air]
    case 'cover':
      return coverWords(way.cover)
    case 'place':
      return way.place.name
    case 'thinner':
      return 'a fifth thinner'
    case 'drier':
      return 'two points less water in the dough'
    case 'spread':
      return 'spread out'
  }
}

/** @example Lamp room, fan on, under a cloth */
export const spotWords = ({ place, air, cover }: Pick<Spot, 'place' | 'air' | 'cover'>): string =>
  [place, ...(air === 'fan' ? ['fan on'] : []), coverWords(cover)].join(', ')

/** @example 22 °C, 60 %, at night 16 °C, 75 % */
export const roomAirWords = (
  { temperatureC, rhPercent, night }: Pick<Spot, 'temperatureC' | 'rhPercent' | 'night'>,
  temperature: (celsius: number) => string,
): string =>
  [
    `${temperature(temperatureC)}, ${formatNumber(rhPercent, 0)} %`,
    ...(night ? [`at night ${temperature(night.temperatureC)}, ${formatNumber(night.rhPercent, 0)} %`] : []),
  ].join(', ')

/** An hour of a tray as one says it: by the clock, or counted where it is practised with. */
export function hourOf(tray: Pick<RackTray, 'laidAt' | 'pace'>, h: number): string {
  if (tray.pace !== 1) return `after ${hoursShort(h)}`
  return format(trayTimeMs(tray, h), h > 6 * 24 ? 'EEE d MMM, HH:mm' : 'EEE HH:mm')
}

/** The same between two others: *not before …*, *between … and …*. */
export const hourMark = (tray: Pick<RackTray, 'laidAt' | 'pace'>, h: number): string =>
  tray.pace === 1 ? hourOf(tray, h) : hoursShort(h)

/** @example 0.5 → 30 min; 14.25 → 14 h; 60 → 2½ days */
export function hoursShort(h: number): string {
  if (h < 0.99) return `${formatNumber(60 * h, 0)} min`
  const short = (value: number) => formatNumber(value, value < 9.95 ? 1 : 0).replace(/\.0$/, '')
  return h < 48 ? `${short(h)} h` : `${short(h / 24)} days`
}

/** At its foot a chart has clock times, or the hours of a tray to practise with. */
export const hourOnAxis = ({ pace }: Pick<RackTray, 'pace'>, at: number): string =>
  pace === 1 ? format(at, 'EEE HH:mm') : hoursShort(at)

/** Whether pieces strained so far as they dry crack in the days after. */
export function crackWords(strain: number): 'hardly' | 'seldom' | 'perhaps' | 'likely' {
  const share = strain / CRACKS_OVER
  if (share > 1.2) return 'likely'
  if (share > 1) return 'perhaps'
  return share > 0.75 ? 'seldom' : 'hardly'
}

/** By so much an air is too damp, points. @example pointsOver(0.129, 0.125) → 0.4 */
export const pointsOver = (moisture: number, target: number): string =>
  formatNumber(Math.max(0.1, 100 * (moisture - target)), 1)
