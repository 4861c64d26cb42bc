/** On which step each row goes on the scale: every row but the plain water, once. */
import type { Plan, PlannedRow } from '../model/index.ts'

type Steps = Pick<Plan, 'rows' | 'steps'>

const makesWater = ({ steps }: Steps): boolean => steps.some(({ kind }) => kind === 'water')
const isWeighed = ({ part, weighedG }: PlannedRow): boolean => part !== 'water' && weighedG > 0
/** As they go in. */
const inOrder = (rows: readonly PlannedRow[], ...parts: readonly PlannedRow['part'][]) =>
  parts.flatMap((part) => rows.filter((row) => row.part === part && isWeighed(row)))

/** The base and the flour, and with nothing to pour, everything else too. */
export const weighedFirst = (plan: Steps): readonly PlannedRow[] =>
  inOrder(plan.rows, 'base', 'flour', ...(makesWater(plan) ? [] : (['alkali', 'salt', 'other'] as const)))

/** What goes into the first stop. */
export const weighedWithWater = (plan: Steps): readonly PlannedRow[] =>
  makesWater(plan) ? inOrder(plan.rows, 'alkali', 'salt', 'other') : []
