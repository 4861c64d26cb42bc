import { plainTextFrom } from '@harina/core'
import { useApp } from '../../state/store.ts'
import { useSheet } from './useSheet.ts'

/** The maker's own words on this formula. */
export function KeepersNote() {
  const { edit, done } = useSheet()
  const note = useApp((state) => state.draft.present?.sheet.note ?? '')
  return (
    <textarea
      className="field w-full resize-none [field-sizing:content] max-h-[86px] min-h-[44px] text-[15px] leading-snug text-second"
      rows={2}
      aria-label="Notes on this formula"
      placeholder="notes on this formula"
      value={note}
      onChange={(event) => edit((sheet) => ({ ...sheet, note: plainTextFrom(event.target.value, 4000) }), 'note')}
      onBlur={done}
    />
  )
}
