/** What earlier trays say of the next: how fast this shape dries in this room, against the model as it is written. */
import type { RackTray } from '../bench/index.ts'
import { DIFFUSIVITY_SD, DRYING_MODEL, ensembleOf, type DryingModel } from '../transport/index.ts'
import { LONGEST_H } from './air.ts'
import { requestOf, weighInsOf } from './forecast.ts'

/** Sd of the logarithm between two trays of one shape in one room. */
const BETWEEN_SD = 0.3
/** The latest say enough. */
const MOST_TRAYS = 8

export interface LearntDrying {
  readonly model: DryingModel
  /** Diffusivity times the table's. */
  readonly factor: number
  readonly n: number
}

/** Of trays of one shape in one room, the latest last. Few move it little; each counts as surely as its weighings allow. */
export function learntDrying(trays: readonly RackTray[], scaleSdG: number): LearntDrying {
  const told = trays.slice(-MOST_TRAYS).flatMap((tray) => {
    const weighIns = weighInsOf(tray)
    if (weighIns.length === 0) return []
    const { rate } = ensembleOf({ tray: requestOf(tray), startG: tray.startG, weighIns, scaleSdG, maxH: LONGEST_H })
    // What the prior has pulled to the middle is given back: it is counted once, below.
    const said = 1 / rate.sd ** 2 - 1 / DIFFUSIVITY_SD ** 2
    if (said <= 0) return []
    return [{ log: rate.mean / rate.sd ** 2 / said, weight: 1 / (1 / said + BETWEEN_SD ** 2) }]
  })
  const weight = told.reduce((sum, each) => sum + each.weight, 1 / DIFFUSIVITY_SD ** 2)
  const factor = Math.exp(told.reduce((sum, each) => sum + each.log * each.weight, 0) / weight)
  return { model: { ...DRYING_MODEL, scaleD: factor }, factor, n: told.length }
}
