/** What following each position of a school would change on a sheet: its rows, how it is worked, its steps. */
import type { Plan, Sheet } from '../model/index.ts'
import type { Position, School } from '../sheet/index.ts'
import {
  applySchool,
  computeSheet,
  diffSheets,
  ownBoard,
  refusalOf,
  SCALDS_C,
  type Kitchen,
  type Refusal,
  type SheetChange,
  type Worked,
} from '../sheet/index.ts'
import { planBatch } from './planBatch.ts'

export interface TriedPosition {
  readonly position: Position
  readonly sheet: Sheet
  /** Why it is not for this dough as this shape; null where it is. */
  readonly refused: Refusal | null
  /** Worked out; null where such a sheet does not work. */
  readonly worked: Worked | null
  readonly rows: readonly SheetChange[]
  /** The plan of it, where that is another one. */
  readonly plan: Plan | null
}

/** Why a position is not for this dough as this shape, worked out by it: what is in the dough may allow no such rest. Null where it is. */
export function refusedHere({ sets }: Position, { made, shape, practice }: Worked): Refusal | null {
  const asked = sets.rest === undefined ? null : practice.restAsked
  const restRefused = asked && (asked.forbids === 'dough' ? 'cold-rest' : 'rest-limit')
  // Scalding water is stirred in, whoever mixes how.
  const isScalded = sets.mix !== undefined && (practice.waterC ?? 0) >= SCALDS_C
  return refusalOf(sets, { dough: made, shape }) ?? (isScalded ? 'own-pour' : restRefused)
}

/** When it is planned has no say in what is compared. */
const AT = '2000-01-01T00:00:00Z'

export function tryPositions(worked: Worked, school: School, kitchen: Kitchen): readonly TriedPosition[] {
  const planOf = (of: Worked) => planBatch(of, kitchen, AT, null)
  const made = [worked.shape, ...worked.sheet.alsoShapes.flatMap(({ shape }) => kitchen.shapes.get(shape) ?? [])]
  // A way that is the table's own for all the shapes changes nothing.
  const surfaces = ({ surface }: Plan) =>
    made.map((shape) => [surface?.dust ?? shape.dust?.with, surface?.board ?? ownBoard(shape)])
  const told = (plan: Plan) =>
    JSON.stringify({ ...plan, surface: surfaces(plan), sheet: { ...plan.sheet, schools: {} } })
  const now = told(planOf(worked))
  return school.positions.map((position) => {
    const sheet = applySchool(worked, school.id, position, kitchen)
    const tried = computeSheet(sheet, kitchen)
    const plan = tried.ok ? planOf(tried.value) : null
    return {
      position,
      sheet,
      refused: refusedHere(position, tried.ok ? tried.value : worked),
      worked: tried.ok ? tried.value : null,
      rows: diffSheets(worked.sheet, sheet, kitchen).filter(({ code }) => code !== 'school' && code !== 'heat'),
      plan: plan && told(plan) !== now ? plan : null,
    }
  })
}
