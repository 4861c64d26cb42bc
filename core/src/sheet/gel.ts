/** Near-boiling water swells part of the starch, and the dough takes more of it. */
import { boilingPointC, scald } from '../heat/index.ts'
import { asShape } from '../match/index.ts'
import type { Dough, Shape, Sheet } from '../model/index.ts'
import { benchC, placeOf, type Kitchen } from './kitchen.ts'
import { meantWaterC } from './practice.ts'
import { waterCFor } from './waterHeat.ts'

/** Hot enough to be meant to cook, °C. */
const HOT_FROM_C = 60
/** Where the first grains begin to swell as the water meets them, and where they have gelled; heat of the dough, °C. */
const SWELLS_C = 45
const GELLED_C = 65
/** Water that gelled starch takes beyond raw, points: boiled skins want 8 more than cold ones, three quarters gelled. */
const GELLED_POINTS = 10
const TABLE_MOISTURE = 0.14

export interface Gel {
  /** More water than the dough's own way wants; less for one that is written for hot water and made cooler. */
  readonly points: number
  /** Where the pour lands, °C. */
  readonly doughC: number
}

/** What the heat of the water does to a dough at this hydration, percent; null where it is made at its own heat. */
export function gelOf(sheet: Sheet, dough: Dough, shape: Shape, percent: number, kitchen: Kitchen): Gel | null {
  const waterC = meantWaterC(sheet, dough, shape, kitchen)
  const own = asShape(shape, dough)?.waterC ?? waterCFor(dough, {})
  const hottest = Math.max(waterC ?? 0, own ?? 0)
  if (dough.control.by === 'base' || waterC === null || own === null || hottest < HOT_FROM_C) return null
  const flourC = placeOf(sheet, kitchen.gear)?.temperatureC ?? benchC(kitchen)
  const landsAt = (pouredC: number) =>
    scald({
      flourG: 100,
      flourC,
      flourMoisture: TABLE_MOISTURE,
      waterG: percent,
      waterC: Math.min(pouredC, boilingPointC(kitchen.gear.altitudeM)),
    }).doughC
  const gelled = (doughC: number) => Math.min(1, Math.max(0, (doughC - SWELLS_C) / (GELLED_C - SWELLS_C)))
  const doughC = landsAt(waterC)
  const points = GELLED_POINTS * (gelled(doughC) - gelled(landsAt(own)))
  return Math.abs(points) < LEAST_POINTS ? null : { points, doughC }
}
/** Less is within what a maker feels. */
const LEAST_POINTS = 0.5
