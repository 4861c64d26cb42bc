import { useApp } from '../../state/store.ts'
import { TextField } from '../../ui/TextField.tsx'
import { useSheet } from './useSheet.ts'

/** The maker's own words on this formula. */
export function KeepersNote() {
  const { edit, done } = useSheet()
  const note = useApp((state) => state.draft.present?.sheet.note ?? '')
  return (
    <TextField
      className="w-full resize-none [field-sizing:content] max-h-21.5 min-h-11 text-label leading-snug text-second"
      rows={2}
      label="Notes on this formula"
      placeholder="notes on this formula"
      value={note}
      max={4000}
      onChange={(typed) => void edit((sheet) => ({ ...sheet, note: typed }), 'note')}
      onDone={done}
    />
  )
}
