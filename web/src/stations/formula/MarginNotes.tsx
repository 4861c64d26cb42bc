import type { SheetNote, Worked } from '@harina/core'
import { useUnits } from '../../ui/units.ts'
import { noteWords } from '../../words/index.ts'

const edge: Readonly<Record<SheetNote['severity'], string>> = {
  danger: 'border-danger border-l-5',
  caution: 'border-family border-l-5',
  note: 'border-second border-l-2',
}
const grade: Readonly<Record<SheetNote['severity'], string | null>> = {
  danger: 'Danger',
  caution: 'Caution',
  note: null,
}

/** Cautions stand in the margin, the way they are pencilled beside a recipe. */
export function MarginNotes({ worked, scaleStepG }: { worked: Worked; scaleStepG: number }) {
  const words = useUnits()
  return (
    <aside aria-label="Notes in the margin" className="flex flex-col gap-3">
      {worked.notes.length === 0 && (
        <p className="small border-l-2 border-second pl-3 leading-snug">
          Nothing to pencil in: the dough is in its windows, and the scale is fine enough.
        </p>
      )}
      {worked.notes.map((note) => {
        const { title, text } = noteWords(note, worked, scaleStepG, words)
        return (
          <div
            key={`${note.code}-${'ingredient' in note ? note.ingredient : ''}`}
            role={note.severity === 'danger' ? 'alert' : undefined}
            className={`pl-3 ${edge[note.severity]}`}
          >
            <h2 className="head text-base leading-tight">
              {grade[note.severity] && <span className="sr-only">{grade[note.severity]}: </span>}
              {title}
            </h2>
            <p className="small leading-snug">{text}</p>
          </div>
        )
      })}
    </aside>
  )
}
