/** On which step each row goes on the scale: every row but the plain water, once. */
import type { Plan, PlannedRow } from '../model/index.ts'
import { eggApart } from './jug.ts'

type Row = Pick<PlannedRow, 'part' | 'water' | 'weighedG' | 'ingredient'>
interface Steps<R extends Row> {
  readonly rows: readonly R[]
  readonly steps: Plan['steps']
}

const makesWater = ({ steps }: Pick<Plan, 'steps'>): boolean => steps.some(({ kind }) => kind === 'water')
/** Salt goes into the flour of what is beaten, rubbed or scalded, and into the water of all else. */
const saltInFlour = ({ steps }: Pick<Plan, 'steps'>): boolean =>
  steps.some((step) => step.kind === 'pour' && (step.how === 'beat' || step.how === 'rub' || step.how === 'scald'))
const isWeighed = ({ part, weighedG }: Row): boolean => part !== 'water' && weighedG > 0
/** As they go in. */
const inOrder = <R extends Row>(rows: readonly R[], ...parts: readonly PlannedRow['part'][]): readonly R[] =>
  parts.flatMap((part) => rows.filter((row) => row.part === part && isWeighed(row)))

/** The base and the flour, the salt that goes into it, and with nothing to pour, everything else too. */
export const weighedFirst = <R extends Row>(plan: Steps<R>): readonly R[] => {
  if (!makesWater(plan)) return inOrder(plan.rows, 'base', 'flour', 'alkali', 'salt', 'other')
  const first = saltInFlour(plan) ? inOrder(plan.rows, 'base', 'flour', 'salt') : inOrder(plan.rows, 'base', 'flour')
  return [...first, ...eggApart(plan.rows)]
}

/** What goes into the first pour. */
export const weighedWithWater = <R extends Row>(plan: Steps<R>): readonly R[] => {
  if (!makesWater(plan)) return []
  const apart = eggApart(plan.rows)
  const rows = plan.rows.filter((row) => !apart.includes(row))
  return saltInFlour(plan) ? inOrder(rows, 'alkali', 'other') : inOrder(rows, 'alkali', 'salt', 'other')
}
