/** What goes into the pot: how long, in how much water, how fast the boil is back, and how several come up together. */
import {
  cookingSpan,
  doughG,
  doughMoisture,
  DRIED_MOISTURE,
  potTurns,
  saltG,
  USUAL_POT_L,
  type BenchState,
  type PotTurns,
} from '../bench/index.ts'
import { heatCapacityJ, pot, boilingPointC } from '../heat/index.ts'
import type { Finish, Gear, Plan, Pot, Shape } from '../model/index.ts'
import { pieceBodyOf } from '../rack/index.ts'
import { cook, saltUptake, type Cooking } from '../transport/index.ts'

/** A household's ring, kW, where Gear says nothing; and what of it reaches the water. */
export const USUAL_RING_KW = 2
const EFFICIENCY = 0.7
/** So soon the boil should be back after a basket goes in, min. */
export const BACK_WITHIN_MIN = 1
/** From the clock's end to the plate, min: lifted and drained. */
export const DRAIN_MIN = 0.5
const FROZEN_C = -18
const ROOM_C = 21
/** Pot water that clings to drained noodles, of their weight: it goes into the broth with them. */
const CLINGS = 0.12

export interface Cooked {
  /** From the tables and the log, moved by thickness, dryness and height; minutes from the return of the boil. */
  readonly span: readonly [number, number]
  readonly tasteAtMin: number
  /** Of the piece as it goes in; its times are the model's own and only scale the table's. */
  readonly model: Cooking
}

/**
 * The table's times are the anchor. The plan's have the thickness as made in them; the model adds what height takes, and for
 * dried pieces how their thickness differs from the listed one.
 */
export function cookedLike(
  plan: Plan,
  shape: Shape,
  finish: Finish | null,
  moisture: number,
  altitudeM: number,
): Cooked {
  const isDried = finish === 'dry'
  const startMoisture = isDried ? DRIED_MOISTURE : moisture
  const made = pieceBodyOf({ ...shape, blank: plan.shape.blank })
  const listed = pieceBodyOf(shape)
  const high = cook({ ...made, startMoisture, altitudeM })
  const low = cook({ ...made, startMoisture, altitudeM: 0 })
  const height = high.doneMin / low.doneMin
  const thickness = isDried ? low.doneMin / cook({ ...listed, startMoisture, altitudeM: 0 }).doneMin : 1
  const [from, to] = cookingSpan(plan, finish, shape.cookDriedMin)
  const span = [from * height * thickness, to * height * thickness] as const
  return { span, tasteAtMin: span[0], model: high }
}

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

/** Water, salt and heat for so much of a dough in one pot. */
export function waterFor(
  grams: number,
  plan: Plan,
  from: { readonly moisture: number; readonly finish: Finish | null },
  chosen: Pot,
  gear: Pick<Gear, 'altitudeM' | 'tapC'>,
): Water {
  const turns = potTurns(grams, plan.pot, chosen.holdsL)
  const powerKW = chosen.ringKW ?? USUAL_RING_KW
  const pastaC = from.finish === 'freeze' ? FROZEN_C : ROOM_C
  const pastaMoisture = from.finish === 'dry' ? DRIED_MOISTURE : from.moisture
  const heated = pot({
    litres: turns.litres,
    powerKW,
    efficiency: EFFICIENCY,
    startC: gear.tapC,
    altitudeM: gear.altitudeM,
    pastaG: turns.eachG,
    pastaC,
    pastaMoisture,
    saltGPerL: plan.pot.saltGPerL,
  })
  const boilC = boilingPointC(gear.altitudeM)
  const kJPerMin = powerKW * EFFICIENCY * 60
  const kJPerG = (heatCapacityJ(pastaMoisture) * (boilC - pastaC)) / 1000
  return { ...turns, ...heated, pot: chosen, boilC, basketG: (kJPerMin * BACK_WITHIN_MIN) / kJPerG }
}

/** The pots there are, the largest first; a usual one where Gear has none. */
export const potsOf = ({ pots }: Pick<Gear, 'pots'>): readonly Pot[] =>
  pots.length > 0
    ? [...pots].sort((a, b) => b.holdsL - a.holdsL)
    : [{ id: 'usual', name: 'A large pot', holdsL: USUAL_POT_L, ringKW: null }]

export interface OnThePlate {
  /** Of a portion of 100 g as it goes in, g. */
  readonly cookedG: number
  readonly saltG: number
  /** Of that, from the dough itself. */
  readonly doughSaltG: number
  /** Pot water that goes along into a broth, g, and the salt in it. */
  readonly clingsG: number
  readonly clingsSaltG: number
}

/** What 100 g of it take up, of water and of salt; null where heat alone decides and nobody knows. */
export function onThePlate(
  plan: Plan,
  state: BenchState,
  { model }: Pick<Cooked, 'model'>,
  finish: Finish | null,
): OnThePlate | null {
  const cookedMoisture = model.curve?.at(-1)?.moisture
  if (cookedMoisture === undefined) return null
  const moisture = doughMoisture(plan, state)
  const startMoisture = finish === 'dry' ? DRIED_MOISTURE : moisture
  // Drying leaves the salt where it is, in less.
  const concentrated = (1 - startMoisture) / (1 - moisture)
  const wholeG = doughG(plan, state)
  const doughSaltG = wholeG > 0 ? (100 * saltG(plan, state) * concentrated) / wholeG : 0
  const taken = saltUptake({ portionG: 100, startMoisture, cookedMoisture, saltGPerL: plan.pot.saltGPerL, doughSaltG })
  const clingsG = CLINGS * taken.cookedG
  return {
    cookedG: taken.cookedG,
    saltG: taken.saltG,
    doughSaltG,
    clingsG,
    clingsSaltG: (clingsG * plan.pot.saltGPerL) / 1000,
  }
}

export interface Dropped<Id> {
  readonly id: Id
  /** Minutes before they are up at which it goes in, and for how long its clock runs. */
  readonly minutes: number
  readonly beforeMin: number
}

/**
 * Several that come up together: each goes in so long before as it cooks and drains; the middle of its span. Longest first.
 * @example 7 min and 3 min → the first goes in 7½ minutes before, the second 3½
 */
export const upTogether = <Id>(baskets: readonly { readonly id: Id; readonly span: readonly [number, number] }[]) =>
  baskets
    .map(({ id, span: [from, to] }): Dropped<Id> => {
      const minutes = (from + to) / 2
      return { id, minutes, beforeMin: minutes + DRAIN_MIN }
    })
    .sort((a, b) => b.beforeMin - a.beforeMin)

/** When a basket goes in so as to be up at this time, ms: its middle time and the draining before. */
export const dropAt = (span: readonly [number, number], upAtMs: number): number =>
  upAtMs - (upTogether([{ id: null, span }])[0]?.beforeMin ?? 0) * 60_000

/** For how long a basket's clock runs when it goes in now, so that it is up with the others: never out of its own span. */
export const clockFor = ([from, to]: readonly [number, number], upAtMs: number, nowMs: number): number =>
  Math.min(to, Math.max(from, (upAtMs - nowMs) / 60_000 - DRAIN_MIN))
