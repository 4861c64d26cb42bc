/** On which step each row goes on the scale: every row but the plain water, once. */
import type { Plan, PlannedRow } from '../model/index.ts'
import { eggApart } from './jug.ts'

type Steps = Pick<Plan, 'rows' | 'steps'>

const makesWater = ({ steps }: Steps): boolean => steps.some(({ kind }) => kind === 'water')
/** Salt goes into the flour of what is beaten, rubbed or scalded, and into the water of all else. */
const saltInFlour = ({ steps }: Steps): boolean =>
  steps.some((step) => step.kind === 'pour' && (step.how === 'beat' || step.how === 'rub' || step.how === 'scald'))
const isWeighed = ({ part, weighedG }: PlannedRow): boolean => part !== 'water' && weighedG > 0
/** As they go in. */
const inOrder = (rows: readonly PlannedRow[], ...parts: readonly PlannedRow['part'][]) =>
  parts.flatMap((part) => rows.filter((row) => row.part === part && isWeighed(row)))

/** The base and the flour, the salt that goes into it, and with nothing to pour, everything else too. */
export const weighedFirst = (plan: Steps): readonly PlannedRow[] => {
  if (!makesWater(plan)) return inOrder(plan.rows, 'base', 'flour', 'alkali', 'salt', 'other')
  const first = saltInFlour(plan) ? inOrder(plan.rows, 'base', 'flour', 'salt') : inOrder(plan.rows, 'base', 'flour')
  return [...first, ...eggApart(plan.rows)]
}

/** What goes into the first stop. */
export const weighedWithWater = (plan: Steps): readonly PlannedRow[] => {
  if (!makesWater(plan)) return []
  const apart = eggApart(plan.rows)
  const rows = plan.rows.filter((row) => !apart.includes(row))
  return saltInFlour(plan) ? inOrder(rows, 'alkali', 'other') : inOrder(rows, 'alkali', 'salt', 'other')
}
