/** Water, salt and heat for what goes into the pot, and what of it reaches the plate. */
import {
  doughG,
  doughMoisture,
  driedTo,
  potNow,
  potTurns,
  saltG,
  type BenchState,
  type PotTurns,
} from '../bench/index.ts'
import { heatCapacityJ, pot, boilingPointC } from '../heat/index.ts'
import { USUAL_POT_L, type Finish, type Gear, type Plan, type Pot } from '../model/index.ts'
import { saltUptake } from '../transport/index.ts'
import type { PieceCooking } from './times.ts'

/** A household's ring, kW, where Gear says nothing; and what of it reaches the water. */
export const USUAL_RING_KW = 2
const EFFICIENCY = 0.7
/** So soon the boil should be back after a basket goes in, min. */
export const BACK_WITHIN_MIN = 1
const FROZEN_C = -18
const ROOM_C = 21
/** Kept for the sauce before draining, ml: enough to loosen it for a tableful. */
export const SAUCE_ML = 250
/** Pot water that clings to drained noodles, of their weight: it goes into the broth with them. */
const CLINGS = 0.12

export interface Water extends PotTurns {
  readonly pot: Pot
  readonly minutesToBoil: number
  readonly boilC: number
  /** When a turn goes in all at once. */
  readonly dipC: number
  readonly minutesToReturn: number
  /** The most that the boil comes back from within a minute, g. */
  readonly basketG: number
}

/** Water, salt and heat for so much of a dough in one pot; `water`: as the dough and the maker want it. */
export function waterFor(
  grams: number,
  water: Plan['pot'],
  from: { readonly moisture: number; readonly finish: Finish | null },
  chosen: Pot,
  gear: Pick<Gear, 'altitudeM' | 'tapC'>,
): Water {
  const turns = potTurns(grams, water, chosen.holdsL)
  const powerKW = chosen.ringKW ?? USUAL_RING_KW
  const pastaC = from.finish === 'freeze' ? FROZEN_C : ROOM_C
  const heated = pot({
    litres: turns.litres,
    powerKW,
    efficiency: EFFICIENCY,
    startC: gear.tapC,
    altitudeM: gear.altitudeM,
    pastaG: turns.eachG,
    pastaC,
    pastaMoisture: from.moisture,
    saltGPerL: water.saltGPerL,
  })
  const boilC = boilingPointC(gear.altitudeM)
  const kJPerMin = powerKW * EFFICIENCY * 60
  const kJPerG = (heatCapacityJ(from.moisture) * (boilC - pastaC)) / 1000
  return { ...turns, ...heated, pot: chosen, boilC, basketG: (kJPerMin * BACK_WITHIN_MIN) / kJPerG }
}

/** The pots there are, the largest first; a usual one where Gear has none. */
export const potsOf = ({ pots }: Pick<Gear, 'pots'>): readonly Pot[] =>
  pots.length > 0
    ? [...pots].sort((a, b) => b.holdsL - a.holdsL)
    : [{ id: 'usual', name: 'A large pot', holdsL: USUAL_POT_L, ringKW: null }]

/** Of a dough's own salt so much stays as it boils: it loses three to four fifths, as measured on salted noodles. */
const STAYS = [0.2, 0.4] as const

export interface OnThePlate {
  /** Of a portion of 100 g as it goes in, g. */
  readonly cookedG: number
  /** About so much, from and to: a dough’s own salt washes out in part. */
  readonly saltG: readonly [number, number]
  /** What the dough had before, g. */
  readonly doughSaltG: number
  /** Pot water that goes along into a broth, g, and the salt in it. */
  readonly clingsG: number
  readonly clingsSaltG: number
}

/** What 100 g of it take up, of water and of salt; null where heat alone decides and nobody knows. */
export function onThePlate(
  plan: Plan,
  state: BenchState,
  { model }: Pick<PieceCooking, 'model'>,
  finish: Finish | null,
): OnThePlate | null {
  const cookedMoisture = model.curve?.at(-1)?.moisture
  if (cookedMoisture === undefined) return null
  const { saltGPerL } = potNow(plan, state)
  const moisture = doughMoisture(plan, state)
  const startMoisture = finish === 'dry' ? driedTo(state) : moisture
  // Drying leaves the salt where it is, in less.
  const concentrated = (1 - startMoisture) / (1 - moisture)
  const wholeG = doughG(plan, state)
  const doughSaltG = wholeG > 0 ? (100 * saltG(plan, state) * concentrated) / wholeG : 0
  const taken = saltUptake({
    portionG: 100,
    startMoisture,
    cookedMoisture,
    saltGPerL,
    doughSaltG: 0,
  })
  const clingsG = CLINGS * taken.cookedG
  return {
    cookedG: taken.cookedG,
    saltG: [taken.saltG + STAYS[0] * doughSaltG, taken.saltG + STAYS[1] * doughSaltG],
    doughSaltG,
    clingsG,
    clingsSaltG: (clingsG * saltGPerL) / 1000,
  }
}
