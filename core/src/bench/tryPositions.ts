/** What following each position of a school would change on a sheet: its rows, how it is worked, its steps. */
import type { Sheet } from '../model/index.ts'
import type { Position, School } from '../sheet/index.ts'
import { applySchool, computeSheet, diffSheets, type Kitchen, type SheetChange, type Worked } from '../sheet/index.ts'
import { planSteps } from './planSteps.ts'

export interface TriedPosition {
  readonly position: Position
  readonly sheet: Sheet
  /** Worked out; null where such a sheet does not work. */
  readonly worked: Worked | null
  readonly rows: readonly SheetChange[]
  /** The steps at the bench would be others. */
  readonly steps: boolean
}

export function tryPositions(worked: Worked, school: School, kitchen: Kitchen): readonly TriedPosition[] {
  const stepsOf = (of: Worked) => JSON.stringify(planSteps(of, kitchen))
  const now = stepsOf(worked)
  return school.positions.map((position) => {
    const sheet = applySchool(worked, school.id, position, kitchen)
    const tried = computeSheet(sheet, kitchen)
    return {
      position,
      sheet,
      worked: tried.ok ? tried.value : null,
      rows: diffSheets(worked.sheet, sheet, kitchen).filter(({ code }) => code !== 'school' && code !== 'heat'),
      steps: tried.ok && stepsOf(tried.value) !== now,
    }
  })
}
