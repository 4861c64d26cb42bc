import type { SheetNote, Worked } from '@harina/core'
import { useEffect, useState } from 'react'
import { useUnits } from '../../ui/units.ts'
import { noteWords } from '../../words/index.ts'
import { Term } from '#web/ui/Term.tsx'

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

/** Typing changes notes with every key: they are read aloud once it pauses, and only those that are new. */
const QUIET_MS = 1500

function SaidQuietly({ titles }: { titles: readonly string[] }) {
  const [said, setSaid] = useState<{ readonly all: readonly string[]; readonly fresh: string }>({
    all: titles,
    fresh: '',
  })
  const now = titles.join('\n')
  useEffect(() => {
    const soon = setTimeout(() => {
      const all = now === '' ? [] : now.split('\n')
      setSaid((before) => ({ all, fresh: all.filter((title) => !before.all.includes(title)).join('. ') }))
    }, QUIET_MS)
    return () => clearTimeout(soon)
  }, [now])
  return (
    <p className="sr-only" aria-live="polite">
      {said.fresh}
    </p>
  )
}

/** Cautions stand in the margin, the way they are pencilled beside a recipe. */
export function MarginNotes({ worked, scaleStepG }: { worked: Worked; scaleStepG: number }) {
  const words = useUnits()
  return (
    <aside aria-label="Notes in the margin" className="flex flex-col gap-3">
      <h2 className="sr-only">Notes in the margin</h2>
      <SaidQuietly titles={worked.notes.map((note) => noteWords(note, worked, scaleStepG, words).title)} />
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
            <h3 className="head text-base leading-tight">
              {grade[note.severity] && <span className="sr-only">{grade[note.severity]}: </span>}
              {note.code === 'hold-back' ? <Term of="hold back">{title}</Term> : title}
            </h3>
            <p className="small leading-snug">{text}</p>
          </div>
        )
      })}
    </aside>
  )
}
