/** The least of a linear programme: a few sacks, solved where it is asked in well under a millisecond. */
import type { LinearProgramme, SolveLinear } from '@harina/core'
import { solve, type Constraint } from 'yalps'

const boundOf = ({ is, value }: LinearProgramme['rows'][number]): Constraint =>
  is === '=' ? { equal: value } : is === '>=' ? { min: value } : { max: value }

/** Values of the variables at the least value; null where nothing meets all rows. */
export const solveLinear: SolveLinear = ({ minimise, rows, upTo }) => {
  const variables = new Map<string, Map<string, number>>()
  const term = (name: string, row: string, factor: number) =>
    variables.set(name, (variables.get(name) ?? new Map<string, number>()).set(row, factor))
  for (const { name, factor } of minimise) term(name, 'least', factor)
  for (const { name: row, terms } of rows) for (const { name, factor } of terms) term(name, row, factor)
  for (const { name } of upTo) term(name, `most of ${name}`, 1)
  const constraints = new Map([
    ...rows.map((row) => [row.name, boundOf(row)] as const),
    ...upTo.map(({ name, max }) => [`most of ${name}`, { max }] as const),
  ])
  const found = solve({ direction: 'minimize', objective: 'least', constraints, variables })
  return found.status === 'optimal' ? Object.fromEntries(found.variables) : null
}
