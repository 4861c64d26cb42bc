/** What suits the dough on paper, and all of the chosen one. */
import { formatPercent, shapesRanked, tableReading, type Kitchen, type Worked } from '@harina/core'
import { useMemo, useState, type CSSProperties } from 'react'
import { Link } from 'react-router'
import { sheetEdited } from '../../state/draftSlice.ts'
import { useAppDispatch } from '../../state/store.ts'
import { familyInk } from '../../ui/family.tsx'
import { useWorked } from '../../state/worked.ts'
import { ChosenShape } from './ChosenShape.tsx'
import { ShapeList } from './ShapeList.tsx'
import { problemTold } from '#web/ui/units.ts'
import { Term } from '#web/ui/Term.tsx'

/** What the shapes are held against: the figure of the sheet, and what it is like with the flour of the tables. */
function Reading({ worked }: { worked: Worked }) {
  const { control, expected14 } = worked
  if (control.by === 'base')
    return (
      <>
        at {formatPercent(control.flourOnBase)} of flour on <Term of="base">{control.base}</Term>
      </>
    )
  const onSheet = formatPercent(expected14)
  const onTable = formatPercent(tableReading(worked))
  return (
    <>
      {onSheet} % at <Term of="at standard 14 % flour moisture">standard 14 % flour moisture</Term>
      {onTable !== onSheet && `, like ${onTable} with the flour of the tables`}
    </>
  )
}

function Shapes({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const dispatch = useAppDispatch()
  const [all, setAll] = useState(false)
  const reading = tableReading(worked)
  const matches = useMemo(() => shapesRanked(worked, kitchen), [worked, kitchen])
  const known = matches.filter((match) => match.listed || match.shape.id === worked.shape.id)
  const rest = matches.length - known.length
  return (
    <div
      className="grid min-h-0 grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-4 lg:grid-cols-[330px_minmax(0,1fr)]"
      style={{ '--family': familyInk[worked.dough.family] } as CSSProperties}
    >
      <section
        aria-label="Which shapes suit"
        className="order-2 lg:order-none lg:max-h-[calc(100vh-125px)] lg:overflow-y-auto"
      >
        <p className="mb-1 leading-snug">
          <span className="head text-lg">What suits {worked.sheet.name}</span>
          <span className="small block">
            <Reading worked={worked} />; best suited first
          </span>
        </p>
        <ShapeList
          matches={all ? matches : known}
          chosen={worked.shape.id}
          hydration={reading}
          onChoose={(id) => dispatch(sheetEdited({ sheet: { ...worked.sheet, shape: id } }))}
        />
        {rest > 0 && (
          <button type="button" className="quiet mt-3" aria-expanded={all} onClick={() => setAll(!all)}>
            {all ? 'Only what this dough is known for' : `${rest} more, not usual for this dough`}
          </button>
        )}
      </section>
      <ChosenShape worked={worked} kitchen={kitchen} />
    </div>
  )
}

export function ForThisDough({ kitchen }: { kitchen: Kitchen }) {
  const worked = useWorked()
  if (worked?.ok) return <Shapes worked={worked.value} kitchen={kitchen} />
  if (worked)
    return (
      <p role="alert" className="border-l-5 border-danger p-3 text-lg">
        {problemTold(worked.problem)}
      </p>
    )
  return (
    <div className="m-auto max-w-md py-20 text-center">
      <h1 className="head mb-3 text-4xl">No dough to shape yet</h1>
      <p>
        Here stand the shapes that suit the dough of the draft. Take a formula from the book first, or choose one of{' '}
        <Link className="underline" to="/shape/library">
          all shapes
        </Link>{' '}
        and begin with a dough for it.
      </p>
    </div>
  )
}
