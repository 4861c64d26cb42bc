/** A piece in boiling water: when it is firm to the bite, when it is done, and how the water goes in. */
import { boilingPointC } from '../heat/index.ts'
import type { Geometry } from '../model/index.ts'
import { bodyOf, CELLS, type Body } from './body.ts'
import { advance, centreOf, meanOf, startRun, type Run, type Surface } from './diffusion.ts'
import { dryBasis, GAS_J_PER_MOL_K, kelvin, wetBasis } from './sorption.ts'

export interface CookRequest {
  readonly geometry: Geometry
  readonly halfThicknessMm: number
  /** Wet basis. */
  readonly startMoisture: number
  readonly altitudeM: number
}

export interface CookPoint {
  readonly min: number
  /** Wet basis, of the whole piece. */
  readonly moisture: number
  /** Share of the half thickness that is still core. */
  readonly coreFraction: number
}

export interface Cooking {
  readonly alDenteMin: number
  readonly doneMin: number
  /** Null for what is wet already: nobody knows what it takes up. */
  readonly curve: readonly CookPoint[] | null
  readonly massGainDone: number | null
  /** It is done when it is hot, and the water that goes in decides nothing. */
  readonly heatOnly: boolean
}

/** A fit to common experience, not a law: one set for dried pieces, one for fresh, and between them by moisture. */
interface WaterSet {
  readonly d100M2PerS: number
  readonly surface: number
  readonly delayS: number
}
const DRIED: WaterSet = { d100M2PerS: 1.92e-10, surface: 2.3, delayS: 20 }
const FRESH: WaterSet = { d100M2PerS: 1.9e-9, surface: 1.8, delayS: 88 }
const DRIED_TO = 0.2
const FRESH_FROM = 0.43
const HEAT_ONLY_FROM = 0.5
const EA_J_PER_MOL = 25_000

/** Starch is cooked from this dry-basis moisture on, or from so much more than there was; done is so much more again. */
const GELS_AT = 0.8
const GELS_MORE = 0.1
const DONE_MORE = 0.2
const AL_DENTE_CORE = 0.1

/** Heat in dough: diffusivity m²/s, conductivity W/mK, what boiling water brings to a surface W/m²K. */
const HEAT_M2_PER_S = 1.3e-7
const CONDUCTIVITY = 0.45
const BOILING_W_PER_M2_K = 1500
const START_C = 20
const HOT_C = 75

const MINUTE_S = 60
const CURVE_POINTS = 64
/** Of any piece that can be asked for; steps grow, so that long ones cost no more. */
const LONGEST_MIN = 2 * 365 * 24 * 60

/**
 * How fast what cooks goes at the boil of this height, m above the sea, against 100 °C: by Arrhenius.
 * @example atBoil(0) → 1
 */
export const atBoil = (altitudeM: number): number =>
  Math.exp((-EA_J_PER_MOL / GAS_J_PER_MOL_K) * (1 / kelvin(boilingPointC(altitudeM)) - 1 / 373.15))

function waterSet(startX: number): WaterSet {
  const share = Math.min(1, Math.max(0, (startX - DRIED_TO) / (FRESH_FROM - DRIED_TO)))
  return {
    d100M2PerS: DRIED.d100M2PerS * (FRESH.d100M2PerS / DRIED.d100M2PerS) ** share,
    surface: DRIED.surface + share * (FRESH.surface - DRIED.surface),
    delayS: DRIED.delayS + share * (FRESH.delayS - DRIED.delayS),
  }
}

/**
 * When a measure of a run that only rises comes to a level, in s: the run goes on in steps of a fixed share of its time until
 * it has, and the crossing is read off the last of them.
 */
function whenReached(
  body: Body,
  start: number,
  diffusivity: number,
  outside: Surface | { readonly held: number },
  scale: number,
  measures: readonly ((run: Run) => number)[],
  levels: readonly number[],
): readonly number[] {
  const run = startRun(body, start)
  const reached: number[] = levels.map(() => Number.NaN)
  const before = measures.map((measure) => measure(run))
  let stepS = (body.radiusM ** 2 / diffusivity) * 1e-4
  while (reached.some(Number.isNaN) && run.timeS < LONGEST_MIN * MINUTE_S) {
    const fromS = run.timeS
    advance(run, fromS + stepS, diffusivity, outside, scale)
    measures.forEach((measure, n) => {
      const now = measure(run)
      const level = levels[n]!
      if (Number.isNaN(reached[n]) && now >= level) {
        const share = now > before[n]! ? (level - before[n]!) / (now - before[n]!) : 0
        reached[n] = fromS + Math.max(0, share) * (run.timeS - fromS)
      }
      before[n] = now
    })
    stepS *= 1.03
  }
  return reached
}

/** Share of the half thickness within which it is drier than a level: 0 once the middle is wetter. */
export function drierWithin(run: Run, level: number): number {
  const { values, body, surface } = run
  if (centreOf(run) >= level) return 0
  const last = values.length - 1
  for (let n = 0; n <= last; n += 1) {
    if (values[n]! < level) continue
    if (n === 0) {
      // Between the very middle and the first cell a parabola, flat at the middle.
      const centre = centreOf(run)
      return (body.centresM[0]! * Math.sqrt((level - centre) / (values[0]! - centre))) / body.radiusM
    }
    const share = (level - values[n - 1]!) / (values[n]! - values[n - 1]!)
    return (body.centresM[n - 1]! + share * (body.centresM[n]! - body.centresM[n - 1]!)) / body.radiusM
  }
  const share = surface > level ? (level - values[last]!) / (surface - values[last]!) : 1
  return (body.centresM[last]! + share * body.skinM) / body.radiusM
}

/** Seconds until the middle of a piece that goes in at 20 °C is at 75 °C. */
function heatS(body: Body, altitudeM: number): number {
  const boilC = boilingPointC(altitudeM)
  const perK = (BOILING_W_PER_M2_K * HEAT_M2_PER_S) / CONDUCTIVITY
  const outside: Surface = { flux: (celsius) => perK * (celsius - boilC), slope: () => perK }
  return whenReached(body, START_C, HEAT_M2_PER_S, outside, boilC - START_C, [centreOf], [HOT_C])[0]!
}

/**
 * Cooking times by diffusion of water with the surface held, and by heat; whichever is later, after a delay for the surface.
 * The tables' own times are the anchor: this scales them (`cookedLike`). Alone it overshoots on thick dried shapes made by hand.
 * @example cook({ geometry: 'cylinder', halfThicknessMm: 0.85, startMoisture: 0.125, altitudeM: 0 })
 * → { alDenteMin: 9.0, doneMin: 10.8 }
 */
export const cook = (request: CookRequest, cells = CELLS): Cooking => cookWaiting(request, () => Infinity, cells)

/** From this moisture on (wet basis) a dough has some of the water its starch wants; at half water, all of it. */
const WATER_OF_ITS_OWN = 0.3
/** So long a piece may wait for water at any rate while it has little of its own: thin ones are hot in seconds, and not done then. */
const MAY_WAIT_S = 300

/**
 * As `cook`, but the wetter the dough, the less it waits for water; from half water on heat alone decides. A thick fresh piece is done
 * in minutes, not when water has crept to its middle.
 * @example cookedThrough({ geometry: 'sphere', halfThicknessMm: 8, startMoisture: 0.42, altitudeM: 0 }).doneMin → 9.4
 */
export const cookedThrough = (request: CookRequest): Cooking => {
  const share = (request.startMoisture - WATER_OF_ITS_OWN) / (HEAT_ONLY_FROM - WATER_OF_ITS_OWN)
  const own = Math.min(1, Math.max(0, share))
  return cookWaiting(request, (hotS, faster) => hotS / own ** 2 + (MAY_WAIT_S / faster) * (1 / own - 1), CELLS)
}

/** `longestS`: of a piece that is hot to its middle after so many seconds, when it is done without more water; `faster` as `atBoil`. */
function cookWaiting(
  { geometry, halfThicknessMm, startMoisture, altitudeM }: CookRequest,
  longestS: (hotS: number, faster: number) => number,
  cells: number,
): Cooking {
  const body = bodyOf(geometry, halfThicknessMm / 1000, cells)
  const faster = atBoil(altitudeM)
  const start = dryBasis(startMoisture)
  const { d100M2PerS, surface, delayS } = waterSet(start)
  const hotS = heatS(body, altitudeM)
  const minutes = (seconds: number) => (seconds + delayS / faster) / MINUTE_S
  if (startMoisture > HEAT_ONLY_FROM)
    return {
      alDenteMin: minutes(hotS),
      doneMin: minutes(hotS),
      curve: null,
      massGainDone: null,
      heatOnly: true,
    }

  const diffusivity = d100M2PerS * faster
  const gels = Math.max(GELS_AT, start + GELS_MORE)
  const scale = surface - start
  const held = { held: surface }
  const [firmS, softS] = whenReached(
    body,
    start,
    diffusivity,
    held,
    scale,
    [(run) => -drierWithin(run, gels), centreOf],
    [-AL_DENTE_CORE, gels + DONE_MORE],
  ) as [number, number]
  const longest = longestS(hotS, faster)
  const waited = (seconds: number) => Math.max(Math.min(seconds, longest), hotS)
  const doneMin = minutes(waited(softS))
  const run = startRun(body, start)
  const curve = Array.from({ length: CURVE_POINTS }, (_, n): CookPoint => {
    const min = doneMin * (n / (CURVE_POINTS - 1)) ** 2
    advance(run, min * MINUTE_S, diffusivity, held, scale)
    return { min, moisture: wetBasis(meanOf(run)), coreFraction: drierWithin(run, gels) }
  })
  return {
    alDenteMin: minutes(waited(firmS)),
    doneMin,
    curve,
    massGainDone: (1 + meanOf(run)) / (1 + start),
    heatOnly: longest < softS,
  }
}

/** What goes into a portion from the pot: water taken up, and the salt in it besides the dough's own. Masses g. */
export function saltUptake(request: {
  readonly portionG: number
  readonly startMoisture: number
  readonly cookedMoisture: number
  readonly saltGPerL: number
  readonly doughSaltG: number
}) {
  const { portionG, startMoisture, cookedMoisture, saltGPerL, doughSaltG } = request
  const cookedG = (portionG * (1 - startMoisture)) / (1 - cookedMoisture)
  const waterUptakeG = cookedG - portionG
  return { waterUptakeG, saltG: (waterUptakeG * saltGPerL) / 1000 + doughSaltG, cookedG }
}
