/**
 * Trays that dry by a truth of their own, to hold the forecast to. It shares nothing with the product's solver but the table's
 * constants, written out again: nodes instead of cells, fixed in the dry matter so that they draw together as it shrinks; small
 * explicit steps; diffusivity that falls with moisture; a piece with a temperature of its own, cooled by what leaves it; air
 * that swings through the day. Lengths m, times s, moistures dry basis, unless a name says otherwise.
 */
import { random, type Random } from './random.ts'

export type Geometry = 'slab' | 'cylinder' | 'sphere'

/** What the maker believes, and tells the product. */
export interface Told {
  readonly geometry: Geometry
  readonly halfThicknessMm: number
  /** Wet basis. */
  readonly startMoisture: number
  readonly temperatureC: number
  readonly rhPercent: number
  readonly air: 'still' | 'fan'
}

/** How the world differs from what is told. */
export interface World extends Told {
  /** From the middle to either end of the day, and the hour of the warmest. */
  readonly swingC: number
  readonly swingRh: number
  readonly warmestH: number
  readonly diffusivityTimes: number
  readonly exchangeTimes: number
  /** b of D ∝ e^{b(X − 0.3)}; 0 is a constant. */
  readonly falls: number
  /** Share of the water's room that is lost as it goes: 0 keeps its size, 1 closes up wholly. */
  readonly shrinks: number
  /** Whether what leaves cools the piece. */
  readonly cools: boolean
  /** Moisture at a water activity, times the table's. */
  readonly isothermTimes: number
  /** Share of the surface that the air reaches. */
  readonly exposed: number
}

const DEPARTURES = {
  start: (r: Random, w: World) => ({ startMoisture: w.startMoisture + 0.005 * r.bell() }),
  air: (r: Random, w: World) => ({
    temperatureC: w.temperatureC + r.bell(),
    rhPercent: Math.min(95, Math.max(5, w.rhPercent + 3 * r.bell())),
  }),
  swing: (r: Random) => ({ swingC: 2 * r.even(), swingRh: 8 * r.even(), warmestH: 24 * r.even() }),
  thickness: (r: Random, w: World) => ({ halfThicknessMm: w.halfThicknessMm * Math.exp(0.05 * r.bell()) }),
  rates: (r: Random) => ({
    diffusivityTimes: Math.exp(0.35 * r.bell()),
    exchangeTimes: Math.exp(0.35 * r.bell()),
  }),
  falling: (r: Random) => ({ falls: 2 + 3 * r.even() }),
  shrinkage: (r: Random) => ({ shrinks: 0.5 + 0.5 * r.even() }),
  cooling: () => ({ cools: true }),
  isotherm: (r: Random) => ({ isothermTimes: Math.exp(0.1 * r.bell()) }),
  exposure: (r: Random) => ({ exposed: 0.85 + 0.15 * r.even() }),
} satisfies Readonly<Record<string, (r: Random, w: World) => Partial<World>>>

export type Departure = keyof typeof DEPARTURES
export const departures = Object.keys(DEPARTURES) as readonly Departure[]

/** What a maker says of a tray, drawn over kitchens and shapes, in rooms up to so damp. */
export function drawTold(r: Random, dampestRh = 55): Told {
  const geometry = r.even() < 0.6 ? 'slab' : r.even() < 0.9 ? 'cylinder' : 'sphere'
  const least = { slab: 0.4, cylinder: 0.5, sphere: 2 }[geometry]
  const most = { slab: 1.6, cylinder: 1.8, sphere: 4 }[geometry]
  return {
    geometry,
    halfThicknessMm: least + (most - least) * r.even(),
    startMoisture: 0.28 + 0.08 * r.even(),
    temperatureC: 16 + 16 * r.even(),
    rhPercent: 30 + (dampestRh - 30) * r.even(),
    air: r.even() < 0.6 ? 'still' : 'fan',
  }
}

/** A world that departs from what is told in these ways. */
export function drawWorld(told: Told, seed: number, ways: readonly Departure[] = departures): World {
  const r = random(seed)
  const plain: World = {
    ...told,
    swingC: 0,
    swingRh: 0,
    warmestH: 0,
    diffusivityTimes: 1,
    exchangeTimes: 1,
    falls: 0,
    shrinks: 0,
    cools: false,
    isothermTimes: 1,
    exposed: 1,
  }
  return ways.reduce<World>((world, way) => ({ ...world, ...DEPARTURES[way](r, world) }), plain)
}

const NODES = 25
const HOUR_S = 3600
const ISOTHERM = { k: 2.5738e-5, n: 2.211, c: 70.318 }
const HEAT_W = { still: 5, fan: 15 }
const LATENT_J_PER_KG = 2.45e6
const DOUGH_J_PER_KG_K = 2600
const DRY_KG_PER_M3 = 1480
const WATER_KG_PER_M3 = 1000
/** The long waves of the room warm a cool piece too, W/m²K. */
const RADIANT_W = 4

/** Magnus' formula in the constants of the meteorologists, Pa. */
const saturation = (celsius: number) => 611.2 * Math.exp((17.62 * celsius) / (243.12 + celsius))

const POWER = { slab: 0, cylinder: 1, sphere: 2 } as const

export interface Course {
  /** Hour at which the mean first reaches the target; null within the time looked at. */
  readonly hours: number | null
  /** Mean at an hour of the course, dry basis. */
  readonly at: (h: number) => number
}

/** How often the course is written down. */
const WRITTEN_S = 60

/** The course of a world to its target, or as long as is looked. */
export function courseOf(world: World, targetMoisture: number, maxH: number): Course {
  const { geometry, swingC, swingRh, warmestH, falls, isothermTimes, cools } = world
  const power = POWER[geometry]
  const start = world.startMoisture / (1 - world.startMoisture)
  const target = targetMoisture / (1 - targetMoisture)
  const fresh = (x: number) => 1 / DRY_KG_PER_M3 + x / WATER_KG_PER_M3
  // Room of dough for 1 kg of dry matter as it dries.
  const room = (x: number) => fresh(start) - world.shrinks * (fresh(start) - fresh(x))
  const radius = world.halfThicknessMm / 1000
  const gap = radius / (NODES - 1)

  // Dry mass that belongs to each node: half a gap to either side, per unit of what the geometry leaves out.
  const shell = (from: number, to: number) => (to ** (power + 1) - from ** (power + 1)) / (power + 1) / fresh(start)
  const mass = Array.from({ length: NODES }, (_, n) =>
    shell(Math.max(0, (n - 0.5) * gap), Math.min(radius, (n + 0.5) * gap)),
  )
  const all = mass.reduce((sum, each) => sum + each, 0)
  const x = new Float64Array(NODES).fill(start)
  const faces = new Float64Array(NODES)
  const flows = new Float64Array(NODES)
  let celsius = world.temperatureC
  let seconds = 0
  let mean = start
  let hours: number | null = start <= target ? 0 : null
  const written: { seconds: number; mean: number }[] = [{ seconds, mean }]

  const activity = (moisture: number, heat: number) =>
    1 - Math.exp(-ISOTHERM.k * (heat + ISOTHERM.c) * Math.max(0, (100 * moisture) / isothermTimes) ** ISOTHERM.n)
  /** Where each node's outer face lies now: what is inside it, as it has shrunk. A slab shrinks in thickness, round ones all over. */
  const place = () => {
    let inside = 0
    for (let n = 0; n < NODES; n += 1) {
      inside += mass[n]! * room(x[n]!)
      faces[n] = ((power + 1) * inside) ** (1 / (power + 1))
    }
  }
  while (seconds < maxH * HOUR_S && hours === null) {
    const sun = Math.cos((2 * Math.PI * (seconds / HOUR_S - warmestH)) / 24)
    const airC = world.temperatureC + swingC * sun
    const humidity = Math.min(0.99, Math.max(0.02, (world.rhPercent - swingRh * sun) / 100))
    const atForty =
      1.5e-11 * world.diffusivityTimes * Math.exp((-25_000 / 8.314462) * (1 / (celsius + 273.15) - 1 / 313.15))
    const airKelvin = airC + 273.15
    const dense = (101_325 * 0.02896) / (8.314462 * airKelvin)
    const heat = HEAT_W[world.air] * world.exchangeTimes
    const carried = (heat / (dense * 1006 * 0.865 ** (2 / 3))) * (0.018015 / (8.314462 * airKelvin))

    place()
    let fastest = 0
    for (let n = 0; n < NODES - 1; n += 1) {
      const [here, next] = [x[n]!, x[n + 1]!]
      const diffusivity = atForty * Math.exp(falls * ((here + next) / 2 - 0.3))
      const face = faces[n]!
      // From the middle of one node's own room to that of the next.
      const inner = n === 0 ? 0 : (faces[n - 1]! + face) / 2
      const outer = n === NODES - 2 ? faces[n + 1]! : (face + faces[n + 1]!) / 2
      const share = (face ** power * diffusivity) / (outer - inner) / room((here + next) / 2)
      flows[n] = share * (here - next)
      fastest = Math.max(fastest, share / Math.min(mass[n]!, mass[n + 1]!))
    }
    const edge = faces[NODES - 1]!
    const area = edge ** power * world.exposed
    const surface = x[NODES - 1]!
    const leaves = carried * (activity(surface, celsius) * saturation(celsius) - humidity * saturation(airC))
    flows[NODES - 1] = area * leaves
    const steep =
      ((carried * area * saturation(celsius)) / mass[NODES - 1]!) *
      Math.max(1, (activity(surface + 0.005, celsius) - activity(surface, celsius)) / 0.005)
    let step = Math.min(0.4 / fastest, 0.4 / steep, 600)

    if (cools) {
      const stuff = all * (1 + mean) * DOUGH_J_PER_KG_K
      const warmth = (heat + RADIANT_W) * area
      step = Math.min(step, (0.2 * stuff) / (warmth + area * carried * LATENT_J_PER_KG * saturation(celsius) * 0.06))
      celsius += (step * (warmth * (airC - celsius) - LATENT_J_PER_KG * area * leaves)) / stuff
    } else celsius = airC

    let sum = 0
    for (let n = 0; n < NODES; n += 1) {
      x[n] = x[n]! + (step * ((n === 0 ? 0 : flows[n - 1]!) - flows[n]!)) / mass[n]!
      sum += mass[n]! * x[n]!
    }
    const next = sum / all
    if (hours === null && next <= target) hours = (seconds + (step * (mean - target)) / (mean - next)) / HOUR_S
    mean = next
    seconds += step
    if (seconds - written.at(-1)!.seconds >= WRITTEN_S) written.push({ seconds, mean })
  }
  written.push({ seconds, mean })
  const at = (h: number): number => {
    const after = written.findIndex((each) => each.seconds >= h * HOUR_S)
    if (after <= 0) return after < 0 ? mean : start
    const [one, two] = [written[after - 1]!, written[after]!]
    return one.mean + ((h * HOUR_S - one.seconds) / (two.seconds - one.seconds || 1)) * (two.mean - one.mean)
  }
  return { hours, at }
}
