import type { Machines, Worked } from '@harina/core'
import { sheetEdited } from '#web/state/draftSlice.ts'
import { useAppDispatch } from '#web/state/store.ts'

/** Changes what this dough goes through: kept with the work sheet, and taken to the bench. */
export function useMachines({ sheet }: Worked): (next: Partial<Machines>) => void {
  const dispatch = useAppDispatch()
  return (next) => {
    dispatch(sheetEdited({ sheet: { ...sheet, machines: { ...sheet.machines, ...next } }, gesture: null }))
  }
}
