import { plainTextFrom } from '@harina/core'
import { useApp } from '../../state/store.ts'
import { useSheet } from './useSheet.ts'

/** The maker's own words on this formula. */
export function KeepersNote({ rows }: { rows: number }) {
  const { edit, done } = useSheet()
  const note = useApp((state) => state.draft.present?.sheet.note ?? '')
  return (
    <textarea
      className="field w-full resize-none text-[15px] leading-snug text-second"
      rows={rows}
      aria-label="Notes on this formula"
      placeholder="notes on this formula"
      value={note}
      onChange={(event) => edit((sheet) => ({ ...sheet, note: plainTextFrom(event.target.value, 4000) }), 'note')}
      onBlur={done}
    />
  )
}
