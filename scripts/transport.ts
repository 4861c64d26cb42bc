/** What drying is held to, measured and printed: errors against the series, the grid, the times, and how honest the bands are. */
import { spawnSync } from 'node:child_process'
import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { usualCovers, type Spot } from '@harina/core'
import { overOf, programmes, USUAL_LIMITS } from '@harina/core/rack'
import { dry, dryHours, DRYING_MODEL, ensembleOf, type Tray } from '@harina/core/transport'
import { evenNumbers, seriesErrors, stiffRequest } from '@harina/core/testing'
import { asProduct } from './rooms/asProduct.ts'
import { byWeights } from './rooms/byWeights.ts'
import { trial, type Forecaster } from './rooms/trial.ts'
import { departures } from './rooms/truth.ts'

const tray: Tray = {
  geometry: 'cylinder',
  halfThicknessMm: 1.5,
  startMoisture: 0.36,
  targetMoisture: 0.125,
  climate: [
    { fromH: 0, temperatureC: 24, rhPercent: 45, air: 'still' },
    { fromH: 14, temperatureC: 18, rhPercent: 60, air: 'still' },
    { fromH: 26, temperatureC: 26, rhPercent: 40, air: 'fan' },
  ],
  exposure: 0.5,
  model: DRYING_MODEL,
}
const WEEK_H = 168

function medianMs(runs: number, work: () => unknown): number {
  const took = Array.from({ length: runs }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  }).sort((a, b) => a - b)
  return took[Math.floor(runs / 2)]!
}
const row = (name: string, value: string, wanted = ''): void =>
  console.log(`${name.padEnd(58)}${value.padStart(12)}  ${wanted}`)

console.log(`Drying, measured on ${availableParallelism()} processors\n`)
for (const { geometry, worst } of seriesErrors())
  row(`against the series, ${geometry}: worst share of the change`, worst.toExponential(1), 'wanted 2e-3')
const usual = dryHours(tray, 1000)!
row('hours of the tray measured here', usual.toFixed(3))
row(
  'the same with twice the cells, relative',
  Math.abs(dryHours(tray, 1000, 96)! / usual - 1).toExponential(1),
  'wanted 3e-3',
)

const forecast = medianMs(41, () => dry(tray, { maxH: WEEK_H }))
row('a forecast of seven days, median, ms', forecast.toFixed(1), 'wanted 50')
const weighIns = [2, 5, 9, 14, 20, 26, 32, 40].map((h, n) => ({
  h,
  grams: 800 - 14 * Math.sqrt(h) * 3.1 + (n % 2),
}))
row(
  'the worlds that agree with eight weighings, median, ms',
  medianMs(7, () => ensembleOf({ tray, startG: 800, weighIns, scaleSdG: 1, maxH: 336 })).toFixed(0),
  'wanted 300',
)

const even = evenNumbers(5)
const rooms = (): Spot[] =>
  Array.from({ length: 3 }, (_, n) => ({
    place: `Room ${n}`,
    temperatureC: 14 + 18 * even(),
    rhPercent: 32 + 48 * even(),
    air: even() < 0.5 ? ('still' as const) : ('fan' as const),
    night: null,
  })).flatMap((room) => [null, ...usualCovers.map(overOf)].map((cover) => ({ ...room, cover })))
const took: number[] = []
let [found, slower, broken] = [0, 0, 0]
for (let n = 0; n < 100; n += 1) {
  const spots = rooms()
  const body = {
    geometry: n % 2 === 0 ? ('slab' as const) : ('cylinder' as const),
    halfThicknessMm: 0.5 + 1.2 * even(),
  }
  const began = performance.now()
  const { best, constant } = programmes({
    layout: { body, moisture: 0.34, laid: 'spread', faces: 'both', target: 0.125 },
    spots,
    limits: USUAL_LIMITS,
  })
  took.push(performance.now() - began)
  if (best) found += 1
  if (constant && (!best || best.hours > constant.hours)) slower += 1
  if (best && ((best.strain ?? 0) > USUAL_LIMITS.strain || best.growthH > USUAL_LIMITS.growthH)) broken += 1
}
took.sort((a, b) => a - b)
row(
  'a programme through nine spots, median and longest, s',
  `${(took[50]! / 1000).toFixed(1)}, ${(took[99]! / 1000).toFixed(1)}`,
  'wanted 15',
)
row('of 100 seeded rooms: with a way, slower than constant, broken', `${found}, ${slower}, ${broken}`, 'wanted 0, 0')

console.log(
  '\nThe nine-in-ten band in rooms of another make (scripts/rooms): times it held, of so many; half its width and the',
)
console.log('error of the hour as shares of the true time, medians; by weighings\n')
const percent = (share: number) => (Number.isFinite(share) ? `${(100 * share).toFixed(0)} %` : 'open')
const tell = (
  name: string,
  worlds: number,
  seed: number,
  ways = departures,
  dampest?: number,
  forecast: Forecaster = asProduct,
) => {
  for (const { weighings, held, of, early, late, halfWidth, error } of trial(forecast, worlds, seed, ways, dampest))
    row(
      `${name}, ${weighings} weighings`,
      `${held} of ${of}`,
      `early ${early}, late ${late}, ±${percent(halfWidth)}, error ${percent(error)}`,
    )
}
tell('all departures', 100, 1000)
tell('all, in rooms of up to 45 %', 100, 3000, departures, 45)
for (const way of departures) tell(`${way} alone`, 30, 5000, [way])
// Minutes: how sharp a band may be that is still honest, by another method on the same unknowns.
if (process.argv.includes('weights')) {
  tell('up to 45 %, the same 16 rooms', 16, 3000, departures, 45)
  tell('up to 45 %, by 10,000 worlds weighed', 16, 3000, departures, 45, byWeights)
}
console.log('')

const still: Tray = { ...tray, climate: [tray.climate[0]!] }
const request = stiffRequest(still, WEEK_H)
const own = medianMs(21, () => dry(still, { maxH: 0, sampleH: [WEEK_H], onlyTarget: true }))
const { samples } = dry(still, { maxH: 0, sampleH: [WEEK_H], onlyTarget: true })
const general = spawnSync('python3', [fileURLToPath(new URL('./bench/general_ode.py', import.meta.url))], {
  input: JSON.stringify(request),
  encoding: 'utf8',
})
if (general.status === 0) {
  const { mean, seconds } = JSON.parse(general.stdout) as { mean: number; seconds: number }
  const ownMean = samples[0]!.moisture / (1 - samples[0]!.moisture)
  row('a week in one air: own, ms', own.toFixed(1))
  row('the same cells by a general stiff integrator (LSODA), ms', (seconds * 1000).toFixed(0))
  row('means apart, dry basis', Math.abs(mean - ownMean).toExponential(1))
  row('times faster', ((seconds * 1000) / own).toFixed(0), 'wanted 20')
} else console.log('A general stiff integrator (SciPy) is not at hand: not compared.')
