import { heatCapacityJ } from './mixing.ts'

const CONDUCTIVITY = 0.4
const DENSITY = 1200
const TERMS = 60

export interface TemperRequest {
  readonly shape: 'slab' | 'sphere'
  /** Radius for the sphere. */
  readonly halfThicknessMm: number
  readonly fromC: number
  readonly roomC: number
  readonly withinC: number
  readonly moisture: number
  readonly hWPerM2K: number
}

/** The n-th root of a function that rises from −∞ or its low end to +∞ on each branch. */
function rootBetween(low: number, high: number, f: (x: number) => number): number {
  let [a, b] = [low, high]
  for (let round = 0; round < 80; round += 1) {
    const middle = (a + b) / 2
    if (f(middle) < 0) a = middle
    else b = middle
  }
  return (a + b) / 2
}

interface Mode {
  readonly zeta: number
  readonly weight: number
}

/** Slab: ζ tan ζ = Bi on each (nπ, nπ + π/2); the weight is that of the centre. */
function slabModes(biot: number): Mode[] {
  return Array.from({ length: TERMS }, (_, n) => {
    const zeta = rootBetween(
      n * Math.PI,
      n * Math.PI + Math.PI / 2,
      (x) => x * Math.sin(x) * (n % 2 ? -1 : 1) - biot * Math.cos(x) * (n % 2 ? -1 : 1),
    )
    return { zeta, weight: (4 * Math.sin(zeta)) / (2 * zeta + Math.sin(2 * zeta)) }
  })
}

/** Sphere: 1 − ζ cot ζ = Bi on each (nπ, nπ + π). */
function sphereModes(biot: number): Mode[] {
  return Array.from({ length: TERMS }, (_, n) => {
    const sign = n % 2 ? -1 : 1
    const zeta = rootBetween(
      n * Math.PI + 1e-12,
      (n + 1) * Math.PI,
      (x) => sign * ((1 - biot) * Math.sin(x) - x * Math.cos(x)),
    )
    return { zeta, weight: (4 * (Math.sin(zeta) - zeta * Math.cos(zeta))) / (2 * zeta - Math.sin(2 * zeta)) }
  })
}

/**
 * Minutes until the centre of a chilled block is within so many degrees of the room: conduction inside, a surface
 * coefficient outside, by the series solution. k 0.40 W/m·K, ρ 1200 kg/m³.
 * @example a 30 mm slab at 40 % from 4 °C, room 22 °C, within 3 °C → about 191 min
 */
export function temperMinutes({
  shape,
  halfThicknessMm,
  fromC,
  roomC,
  withinC,
  moisture,
  hWPerM2K,
}: TemperRequest): number {
  const wanted = withinC / Math.abs(roomC - fromC)
  if (!(wanted < 1)) return 0
  const radiusM = halfThicknessMm / 1000
  const biot = (hWPerM2K * radiusM) / CONDUCTIVITY
  const modes = shape === 'slab' ? slabModes(biot) : sphereModes(biot)
  const centreAt = (fourier: number) =>
    modes.reduce((sum, { zeta, weight }) => sum + weight * Math.exp(-zeta * zeta * fourier), 0)
  // Past the first mode's own time for the wanted share, the centre is there: a bound to halve down from.
  const first = modes[0] as Mode
  let [early, late] = [0, Math.log(2 / wanted) / first.zeta ** 2 + 1]
  for (let round = 0; round < 100; round += 1) {
    const middle = (early + late) / 2
    if (centreAt(middle) > wanted) early = middle
    else late = middle
  }
  const diffusivity = CONDUCTIVITY / (DENSITY * heatCapacityJ(moisture) * 1000)
  return (late * radiusM ** 2) / diffusivity / 60
}
