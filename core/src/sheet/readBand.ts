/** How wet a dough may be whose figures were read off a recipe, while they are not typed or weighed. */
import type { Window } from '../model/index.ts'
import type { Worked } from './computeSheet.ts'

/** Effective, percent of the flour: as narrow as its rows are sure. Null where all are, or where it is counted on a base. */
export function readBand({ sheet, rows, control }: Pick<Worked, 'sheet' | 'rows' | 'control'>): Window | null {
  if (control.by === 'base' || !sheet.rows.some(({ unsure }) => unsure)) return null
  const bandOf = (key: string) => sheet.rows.find((row) => row.key === key)?.unsure ?? { low: 1, high: 1 }
  const sum = (of: (row: Worked['rows'][number]) => number) => rows.reduce((all, row) => all + of(row), 0)
  const isFlour = ({ part }: Worked['rows'][number]) => part === 'flour'
  const flour = (by: 'low' | 'high') => sum((row) => (isFlour(row) ? row.grams * bandOf(row.key)[by] : 0))
  const water = (by: 'low' | 'high') => sum((row) => (isFlour(row) ? 0 : row.grams * row.water * bandOf(row.key)[by]))
  const flourG = sum((row) => (isFlour(row) ? row.grams : 0))
  const waterG = sum((row) => (isFlour(row) ? 0 : row.grams * row.water))
  if (flourG <= 0) return null
  return {
    low: (100 * water('low')) / flour('high'),
    best: (100 * waterG) / flourG,
    high: (100 * water('high')) / flour('low'),
  }
}
