/** The air a tray stands in, from spot to spot and from day to night. */
import { DRIED_MOISTURE, type Gear, type Place, type Spot } from '../model/index.ts'
import { dryBasis, equilibrium, wetBasis, type AirFrom } from '../transport/index.ts'

/** How far is looked: two weeks. */
export const LONGEST_H = 336
/** Nights are from eight to eight. */
const DAY_FROM = 8
const NIGHT_FROM = 20
const DAY_H = 24
/** Air whose end lies so near the target that it hardly gets there, points of humidity. */
export const NEAR_NEVER_RH = 4
/** Under what lets less through than this, the dough does not feel whether a fan is on. */
const FEELS_FAN_FROM = 0.5

/** The hour of the day a time was written at, where it was written. @example clockHour('2031-03-01T07:30:00+02:00') → 7.5 */
export const clockHour = (at: string): number => Number(at.slice(11, 13)) + Number(at.slice(14, 16)) / 60

/** Hours from `fromH` on to the next change between day and night, of a tray whose hour 0 is at this hour of the day. */
export function untilChange(fromH: number, startsAt: number): number {
  const clock = (((startsAt + fromH) % DAY_H) + DAY_H) % DAY_H
  const ahead = clock < DAY_FROM ? DAY_FROM - clock : clock < NIGHT_FROM ? NIGHT_FROM - clock : DAY_H + DAY_FROM - clock
  // A change that rounding puts just ahead has been.
  return ahead < 1e-6 ? DAY_FROM + DAY_H - NIGHT_FROM : ahead
}

/** Whether it is night at this hour of a tray whose hour 0 is at this hour of the day. */
export function isNight(h: number, startsAt: number): boolean {
  const clock = (((startsAt + h + 1e-6) % DAY_H) + DAY_H) % DAY_H
  return clock < DAY_FROM || clock >= NIGHT_FROM
}

/** One air of a spot, the night's where it has another then. */
export const airOf = (spot: Spot, fromH: number, night = false): AirFrom => ({
  fromH,
  temperatureC: (night ? spot.night : null)?.temperatureC ?? spot.temperatureC,
  rhPercent: (night ? spot.night : null)?.rhPercent ?? spot.rhPercent,
  air: spot.air,
  open: spot.cover?.open ?? 1,
})

export interface Leg {
  readonly fromH: number
  readonly spot: Spot
}

/**
 * The airs of spots one after the other, each from its hour on; the last goes on as long as is looked.
 * @param startsAt the hour of the day at hour 0
 */
export function airsThrough(legs: readonly Leg[], startsAt: number): readonly AirFrom[] {
  return legs.flatMap(({ fromH, spot }, n) => {
    const toH = legs[n + 1]?.fromH ?? LONGEST_H
    // Of those that begin at once the last counts.
    if (toH <= fromH && n < legs.length - 1) return []
    const airs = [airOf(spot, fromH, isNight(fromH, startsAt))]
    if (spot.night)
      for (let h = fromH + untilChange(fromH, startsAt); h < toH; h += untilChange(h, startsAt))
        airs.push(airOf(spot, h, isNight(h, startsAt)))
    return airs
  })
}

/** Whether a dough gets to its target there: `near` is within a few points of humidity of never, `unread` never by air that nobody has read. */
export type Reaches = 'yes' | 'near' | 'never' | 'unread'

type AirOfRoom = Pick<Spot, 'temperatureC' | 'rhPercent' | 'night' | 'guessed'>

/**
 * Where a spot holds such a dough in the end, day and night together, and whether that is dry enough to pack. Of air that nobody has
 * read *never* is not said.
 */
export function endsAt(
  { temperatureC, rhPercent, night, guessed }: AirOfRoom,
  targetMoisture = DRIED_MOISTURE,
): { readonly moisture: number; readonly reaches: Reaches } {
  const target = dryBasis(targetMoisture)
  const airs = night ? [{ temperatureC, rhPercent }, night] : [{ temperatureC, rhPercent }]
  const held = (damper: number) =>
    airs.map(({ temperatureC: celsius, rhPercent: rh }) => equilibrium(Math.min(100, rh + damper), celsius))
  const mean = (all: readonly number[]) => all.reduce((sum, each) => sum + each, 0) / all.length
  const moisture = wetBasis(mean(held(0)))
  // By day alone it may still get there.
  if (Math.min(...held(0)) >= target) return { moisture, reaches: guessed ? 'unread' : 'never' }
  return { moisture, reaches: mean(held(NEAR_NEVER_RH)) >= target ? 'near' : 'yes' }
}

type Air = Pick<Spot, 'temperatureC' | 'rhPercent'>

/** A drying tray does not feel less than this: °C, and points of humidity. */
const FELT_C = 1
const FELT_RH = 3

/** Whether a room's air, by day or by night, is another than the spot's. */
export function isOtherAir(room: AirOfRoom, spot: AirOfRoom): boolean {
  const differ = (a: Air, b: Air) =>
    Math.abs(a.temperatureC - b.temperatureC) >= FELT_C || Math.abs(a.rhPercent - b.rhPercent) >= FELT_RH
  return Boolean(spot.guessed && !room.guessed) || differ(room, spot) || differ(room.night ?? room, spot.night ?? spot)
}

export const spotIn = ({ name, temperatureC, rhPercent, night, air, guessed }: Place, cover: Spot['cover']): Spot => ({
  place: name,
  temperatureC,
  rhPercent,
  night,
  air,
  cover,
  ...(guessed ? { guessed } : {}),
})

export const overOf = ({ name, open }: Gear['covers'][number]): NonNullable<Spot['cover']> => ({ name, open })

/** Every way a tray can stand in this kitchen: each room, its fan on or off, open or under each cover. */
export const spotsOf = ({ places, covers }: Pick<Gear, 'places' | 'covers'>): readonly Spot[] =>
  places.flatMap((place) => {
    const over = covers.map((cover) => spotIn(place, overOf(cover)))
    const open = spotIn(place, null)
    const calm = place.air === 'fan' ? [open, ...over.filter(({ cover }) => cover!.open >= FEELS_FAN_FROM)] : []
    return [open, ...over, ...calm.map((spot): Spot => ({ ...spot, air: 'still' }))]
  })
