/** A formula larger than its vessel becomes equal mixes, one bench run each. */
import type { Sheet } from '../model/index.ts'
import type { Worked } from './computeSheet.ts'
import type { Kitchen } from './kitchen.ts'

export interface Mixes {
  readonly mixes: number
  readonly doughG: number
  readonly vessel: string
}

/** Null where the sheet names no vessel. */
export function mixesOf({ sheet, batch }: Pick<Worked, 'sheet' | 'batch'>, { gear }: Kitchen): Mixes | null {
  const vessel = gear.vessels.find((each) => each.id === sheet.vessel)
  if (!vessel) return null
  const mixes = Math.max(1, Math.ceil(batch.doughG / vessel.maxDoughG - 1e-9))
  return { mixes, doughG: batch.doughG / mixes, vessel: vessel.name }
}

/** The sheet of one of so many equal mixes. */
export function oneMix(sheet: Sheet, mixes: number): Sheet {
  const { target } = sheet
  if (mixes === 1) return sheet
  const share = 1 / mixes
  switch (target.by) {
    case 'portions':
      return { ...sheet, target: { ...target, count: target.count * share } }
    case 'pieces':
      return { ...sheet, target: { ...target, count: target.count * share } }
    default:
      return { ...sheet, target: { ...target, grams: target.grams * share } }
  }
}
