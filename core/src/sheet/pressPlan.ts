/** A dough through a press: what the die makes of it, and when the barrel must rest. */
import { extrude, type Extruded } from '../geometry/index.ts'
import type { Judgement } from '../match/index.ts'
import type { KeptPress, Blank, Window } from '../model/index.ts'
import type { PressedAs } from './tried.ts'

export interface PressPlan extends Extruded {
  readonly outlets: number
  readonly speedMmPerS: number
  /** Goes back into the hopper. */
  readonly firstDiscardG: number
  /** Pauses for a barrel that warms, and all of the run with them. */
  readonly rests: number
  readonly wholeMin: number
  /** How it goes in, and how it suits the press; null for a dough that has a way of its own. */
  readonly takes: PressTakes | null
}

export interface PressTakes {
  readonly as: PressedAs
  readonly window: Window
  readonly judged: Judgement
}

/** Null for a shape that is not pressed through a die. */
export function pressPlan(
  { blank, doughG }: { readonly blank: Blank; readonly doughG: number },
  densityGPerCm3: number,
  press: KeptPress,
  takes: PressTakes | null,
): PressPlan | null {
  if (blank.type !== 'die') return null
  const outlets = Math.max(1, Math.round(press.openAreaMm2 / blank.openAreaMm2))
  const openAreaMm2 = outlets * blank.openAreaMm2
  // The table's swell is of the section, the run's of the diameter.
  const swell = Math.sqrt(blank.swell)
  const gPerMm = (densityGPerCm3 * openAreaMm2 * blank.swell) / 1000
  const speedMmPerS = (press.flowKgPerH * 1000) / 3600 / gPerMm
  const run = extrude({
    doughG,
    densityGPerCm3,
    openAreaMm2,
    holes: outlets,
    speedMmPerS,
    cutMm: blank.cutMm,
    swell,
    lumpG: press.lumpG,
  })
  const rests = press.runMin === null ? 0 : Math.max(0, Math.ceil(run.runMin / press.runMin - 1e-9) - 1)
  return {
    ...run,
    outlets,
    speedMmPerS,
    firstDiscardG: press.firstDiscardG,
    rests,
    wholeMin: run.runMin + rests * press.restMin,
    takes,
  }
}
