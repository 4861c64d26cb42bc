import { rootBetween } from '../quantity/index.ts'
import { heatCapacityJ } from './mixing.ts'

const CONDUCTIVITY = 0.4
const DENSITY = 1200
const TERMS = 60
/** Of what a mode began with: beyond what a sum can show. */
const NOTHING_LEFT = 1e-17

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

interface Mode {
  readonly zeta: number
  readonly weight: number
}

/** Slab: ζ tan ζ = Bi on each (nπ, nπ + π/2); the weight is that of the centre. */
function slabMode(biot: number, n: number): Mode {
  const sign = n % 2 ? -1 : 1
  const zeta = rootBetween(n * Math.PI, n * Math.PI + Math.PI / 2, (x) => sign * (x * Math.sin(x) - biot * Math.cos(x)))
  return { zeta, weight: (4 * Math.sin(zeta)) / (2 * zeta + Math.sin(2 * zeta)) }
}

/** Sphere: 1 − ζ cot ζ = Bi on each (nπ, nπ + π). */
function sphereMode(biot: number, n: number): Mode {
  const sign = n % 2 ? -1 : 1
  const zeta = rootBetween(
    n * Math.PI + 1e-12,
    (n + 1) * Math.PI,
    (x) => sign * ((1 - biot) * Math.sin(x) - x * Math.cos(x)),
  )
  return { zeta, weight: (4 * (Math.sin(zeta) - zeta * Math.cos(zeta))) / (2 * zeta - Math.sin(2 * zeta)) }
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
  const modeOf = shape === 'slab' ? slabMode : sphereMode
  const modes: Mode[] = []
  const centreAt = (fourier: number): number => {
    let sum = 0
    for (let n = 0; n < TERMS; n += 1) {
      const { zeta, weight } = (modes[n] ??= modeOf(biot, n))
      const left = Math.exp(-zeta * zeta * fourier)
      sum += weight * left
      // Each further mode fades sooner still: most are never worked out.
      if (left < NOTHING_LEFT) break
    }
    return sum
  }
  // Past the first mode's own time for the wanted share, the centre is there.
  const latest = Math.log(2 / wanted) / modeOf(biot, 0).zeta ** 2 + 1
  const fourier = rootBetween(0, latest, (time) => wanted - centreAt(time))
  const diffusivity = CONDUCTIVITY / (DENSITY * heatCapacityJ(moisture) * 1000)
  return (fourier * radiusM ** 2) / diffusivity / 60
}
