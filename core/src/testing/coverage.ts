/** How often the interval of a fit holds the true hour: trays whose constants are drawn from the priors, weighed with noise. */
import {
  atMoistureG,
  dry,
  dryHours,
  DRYING_MODEL,
  fitDrying,
  PRIOR_SD,
  solidsG,
  type Tray,
} from '../transport/index.ts'

/** The same numbers at every run. */
export function evenNumbers(seed: number): () => number {
  let state = seed
  return () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648
    return state / 2_147_483_648
  }
}
export const bellOf = (even: () => number): number => {
  // Two even numbers make one of a bell.
  const radius = Math.sqrt(-2 * Math.log(Math.max(1e-12, even())))
  return radius * Math.cos(2 * Math.PI * even())
}

const TRAYS = [
  { geometry: 'slab', halfThicknessMm: 0.8 },
  { geometry: 'slab', halfThicknessMm: 1.3 },
  { geometry: 'cylinder', halfThicknessMm: 0.9 },
  { geometry: 'cylinder', halfThicknessMm: 1.5 },
] as const
const START_G = 800
const SCALE_SD_G = 1
const LONGEST_H = 1000
/** When it is weighed, as shares of the way to what the unfitted model expects. */
const WEIGHED_AT = [0.08, 0.2, 0.35, 0.5]

/** Shares of the trials whose 90 % interval held the true hour. Trials that are never dry, or are by the last weighing, are drawn again. */
export function coverage(trials: number, seed: number): { readonly held: number; readonly of: number } {
  const even = evenNumbers(seed)
  let held = 0
  let of = 0
  while (of < trials) {
    const tray: Tray = {
      ...TRAYS[Math.floor(even() * TRAYS.length)]!,
      startMoisture: 0.3 + 0.1 * even(),
      targetMoisture: 0.125,
      climate: [
        { fromH: 0, temperatureC: 18 + 12 * even(), rhPercent: 32 + 16 * even(), air: even() < 0.5 ? 'still' : 'fan' },
      ],
      exposure: 0.3 + 0.7 * even(),
      model: DRYING_MODEL,
    }
    const truth: Tray = {
      ...tray,
      model: {
        ...DRYING_MODEL,
        scaleD: Math.exp(PRIOR_SD * bellOf(even)),
        scaleK: Math.exp(PRIOR_SD * bellOf(even)),
      },
    }
    const [expected, hours] = [dryHours(tray, LONGEST_H), dryHours(truth, LONGEST_H)]
    if (expected === null || hours === null) continue
    const atH = WEIGHED_AT.map((share) => share * expected)
    if (hours <= atH.at(-1)!) continue
    const dryG = solidsG(START_G, tray.startMoisture)
    const weighIns = dry(truth, { sampleH: atH, maxH: 0, onlyTarget: true }).samples.map(({ h, moisture }) => ({
      h,
      grams: atMoistureG(dryG, moisture) + SCALE_SD_G * bellOf(even),
    }))
    const { low, high } = fitDrying({ tray, startG: START_G, weighIns, scaleSdG: SCALE_SD_G, maxH: LONGEST_H })
    of += 1
    if (low !== null && low <= hours && (high === null || hours <= high)) held += 1
  }
  return { held, of }
}
