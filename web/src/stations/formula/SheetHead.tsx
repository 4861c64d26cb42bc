import { keptFormula, plainTextFrom, type Worked } from '@harina/core'
import { nanoid } from 'nanoid'
import { useLiveQuery } from 'dexie-react-hooks'
import { Link } from 'react-router'
import { draftOpened, redone, undone } from '../../state/draftSlice.ts'
import { useApp, useAppDispatch } from '../../state/store.ts'
import { repository } from '../../storage/index.ts'
import { FamilyMark } from '../../ui/family.tsx'
import { notify } from '../../state/notify.ts'
import { useSheet } from './useSheet.ts'

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** Whether the sheet stands in the book as it is, and the two ways to settle a difference. */
function BookStanding() {
  const dispatch = useAppDispatch()
  const draft = useApp((state) => state.draft.present)
  const formulas = useLiveQuery(() => repository.formulas())
  if (!draft || !formulas) return null
  const inBook = formulas.find((formula) => formula.id === draft.formula)
  if (inBook && same(inBook.sheet, draft.sheet)) return <span className="small">as in the book</span>

  const keep = async () => {
    const now = new Date().toISOString()
    const formula = keptFormula(inBook ?? null, draft.sheet, now, nanoid)
    await repository.putFormula(formula)
    dispatch(draftOpened({ ...draft, formula: formula.id }))
    notify(`${draft.sheet.name} is in the book`, {
      action: {
        label: 'Undo',
        onClick: () => void (inBook ? repository.putFormula(inBook) : repository.deleteFormula(formula.id)),
      },
    })
  }
  return (
    <span className="small flex items-baseline gap-3">
      {inBook ? 'differs from the book' : 'not in the book'}
      <button type="button" className="quiet" onClick={() => void keep()}>
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
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      {worked && (
        <span className="self-center">
          <FamilyMark family={worked.dough.family} size={22} />
        </span>
      )}
      <h1 className="contents">
        <input
          className="field head min-w-0 text-[24px]"
          aria-label="Name of the formula"
          style={{ width: `${Math.max(10, name.length + 1)}ch` }}
          value={name}
          maxLength={120}
          onChange={(event) =>
            edit((sheet) => ({ ...sheet, name: plainTextFrom(event.target.value, 120) || 'Untitled' }), 'name')
          }
          onBlur={done}
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
          for {worked.shape.name}
        </Link>
      )}
      <BookStanding />
      <span className="ml-auto flex gap-4">
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
