import { keptFormula, sameValue, type Worked } from '@harina/core'
import { nanoid } from 'nanoid'
import { Link } from 'react-router'
import { draftOpened, redone, undone } from '../../state/draftSlice.ts'
import { selectFormulas } from '../../state/select.ts'
import { useApp, useAppDispatch } from '../../state/store.ts'
import { put, say } from '../../state/workspace.ts'
import { TextField } from '../../ui/TextField.tsx'
import { PrintButton } from '../../ui/PrintButton.tsx'
import { FamilyMark } from '../../ui/family.tsx'
import { useSheet } from './useSheet.ts'
import { Term } from '../../ui/Term.tsx'

/** Whether the sheet stands in the book as it is, and the two ways to settle a difference. */
function BookStanding() {
  const dispatch = useAppDispatch()
  const draft = useApp((state) => state.draft.present)
  const formulas = useApp(selectFormulas)
  if (!draft) return null
  const inBook = formulas.find((formula) => formula.id === draft.formula)
  if (inBook && sameValue(inBook.sheet, draft.sheet)) return <span className="small">as in the book</span>

  const keep = () => {
    const now = new Date().toISOString()
    const formula = keptFormula(inBook ?? null, draft.sheet, now, nanoid)
    const kept = put('formula', formula)
    dispatch(draftOpened({ ...draft, formula: formula.id }))
    void say(`${draft.sheet.name} is in the book`, kept)
  }
  return (
    <span className="small flex items-baseline gap-3">
      <span>
        <Term of="draft">Draft</Term>, {inBook ? 'differs from the book' : 'not in the book'}
      </span>
      <button type="button" className="quiet" onClick={keep}>
        Keep in the book
      </button>
      {inBook && (
        <button
          type="button"
          className="quiet"
          onClick={() => dispatch(draftOpened({ ...draft, sheet: inBook.sheet }))}
        >
          Back to the book
        </button>
      )}
    </span>
  )
}

interface Props {
  readonly worked: Worked | null
  readonly onOpenBook: () => void
  readonly onNew: () => void
}

export function SheetHead({ worked, onOpenBook, onNew }: Props) {
  const dispatch = useAppDispatch()
  const { edit, done } = useSheet()
  const name = useApp((state) => state.draft.present?.sheet.name ?? '')
  const canUndo = useApp((state) => state.draft.past.length > 0)
  const canRedo = useApp((state) => state.draft.future.length > 0)
  return (
    <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
      {worked && (
        <span className="self-center">
          <FamilyMark family={worked.dough.family} size={22} />
        </span>
      )}
      <h1 className="contents">
        <TextField
          className="head min-w-0 text-3xl"
          label="Name of the formula"
          style={{ width: `${Math.max(10, name.length + 1)}ch` }}
          value={name}
          max={120}
          required
          onChange={(typed) => void edit((sheet) => ({ ...sheet, name: typed }), 'name')}
          onDone={done}
        />
      </h1>
      <button type="button" className="quiet font-semibold" onClick={onOpenBook}>
        Formula book
      </button>
      <button type="button" className="quiet" onClick={onNew}>
        New
      </button>
      {worked && (
        <Link to="/shape" className="quiet">
          Shape: {worked.shape.name}
        </Link>
      )}
      <BookStanding />
      <span className="ml-auto flex gap-4">
        <PrintButton />
        <button type="button" className="quiet" disabled={!canUndo} onClick={() => dispatch(undone())}>
          Undo
        </button>
        <button type="button" className="quiet" disabled={!canRedo} onClick={() => dispatch(redone())}>
          Redo
        </button>
      </span>
    </div>
  )
}
