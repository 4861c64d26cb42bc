/** What is forecast: a tray, the airs it stands in, and how what lies on it dries. */
import type { Air, Geometry } from '../model/index.ts'

export interface AirFrom {
  /** Hours from the start until which the one before lasts. */
  readonly fromH: number
  readonly temperatureC: number
  readonly rhPercent: number
  readonly air: Air
  /** Share of the surface's exchange that is left under a cloth or a lid, times the tray's own; 1 is open. */
  readonly open?: number | undefined
}

export interface DryingModel {
  /** Diffusivity at 40 °C, m²/s. */
  readonly d40M2PerS: number
  readonly eaJPerMol: number
  readonly scaleD: number
  readonly scaleK: number
}
export const DRYING_MODEL: DryingModel = { d40M2PerS: 1.5e-11, eaJPerMol: 25_000, scaleD: 1, scaleK: 1 }

export interface Tray {
  readonly geometry: Geometry
  /** Half the thickness of a slab that dries from both sides, the whole of one that lies on a closed tray; radius of the round ones. */
  readonly halfThicknessMm: number
  /** Wet basis, as the others. */
  readonly startMoisture: number
  readonly targetMoisture: number
  /** In order; the first from hour 0, the last one lasts. */
  readonly climate: readonly AirFrom[]
  /** Share of the surface that the air reaches: 1 spread on a rack, less in nests and layers. */
  readonly exposure: number
  readonly model: DryingModel
  /** Of a slab that dries from one side: hours at which it is turned over, in order. The plain solver looks away from these and from covers. */
  readonly turnsH?: readonly number[] | undefined
}

export interface DryingPoint {
  readonly h: number
  /** Wet basis: of the whole piece, at its surface, in its middle. */
  readonly moisture: number
  readonly surface: number
  readonly core: number
}
