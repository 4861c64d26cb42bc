/** From the sauce to its shapes. */
import { shapesForSauce, matchFor, type Kitchen, type Sauce } from '@harina/core'
import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { useWorked } from '../../state/worked.ts'
import { ShapeThumb } from '../../ui/ShapeEngraving.tsx'
import { tables } from '../../state/tables.ts'
import { gradeWords, traitWords } from '../../words/index.ts'
import { PrintButton } from '../../ui/PrintButton.tsx'

export default function Sauces({ kitchen }: { kitchen: Kitchen }) {
  const { sauces } = tables()
  const [id, setId] = useState<Sauce>('tomato')
  const [mine, setMine] = useState(true)
  const navigate = useNavigate()
  const worked = useWorked()
  const dough = worked?.ok ? worked.value : null
  const shapes = useMemo(() => [...kitchen.shapes.values()], [kitchen.shapes])
  const found = useMemo(() => shapesForSauce(id, sauces, shapes), [id, sauces, shapes])
  const suits = (shapeId: string) =>
    shapes.find((shape) => shape.id === shapeId)?.doughs.some((each) => each.dough === dough?.dough.id)
  const shown = found.filter(({ shape, listed }) => listed && (!mine || !dough || suits(shape.id)))
  const sauce = sauces.find((each) => each.id === id)
  return (
    <div className="grid gap-x-8 gap-y-3 lg:grid-cols-[220px_minmax(0,1fr)]">
      <h1 className="sr-only">Sauces</h1>
      <ul aria-label="Sauces" className="flex flex-wrap gap-x-4 lg:block">
        {sauces.map((each) => (
          <li key={each.id}>
            <button
              type="button"
              aria-pressed={each.id === id}
              onClick={() => setId(each.id)}
              className={`min-h-8.5 w-full border-l-5 px-2 text-left ${each.id === id ? 'border-ink bg-ground font-semibold' : 'border-transparent hover:bg-ground'}`}
            >
              {each.name}
            </button>
          </li>
        ))}
      </ul>
      <section aria-label={`Shapes for ${sauce?.name ?? ''}`}>
        <p className="flex items-baseline gap-4 text-lg leading-snug">
          <span className="flex-1">
            <span className="head text-2xl">{sauce?.name}</span>: {sauce?.why}.
          </span>
          <PrintButton className="quiet text-base" />
        </p>
        {dough && (
          <label className="small mt-1 flex items-center gap-2">
            <input type="checkbox" checked={mine} onChange={(event) => setMine(event.target.checked)} />
            only what {dough.sheet.name} can be made into
          </label>
        )}
        {shown.length === 0 && (
          <p className="mt-3">
            No shape of this dough is usual with it. Show the shapes of all doughs, or take another sauce.
          </p>
        )}
        <ul className="mt-2 grid grid-cols-1 gap-x-6 md:grid-cols-2 xl:grid-cols-3">
          {shown.map(({ shape, because }) => (
            <li key={shape.id}>
              <button
                type="button"
                data-printed
                className="flex w-full items-center gap-3 border-b border-line py-1 text-left hover:bg-ground"
                onClick={() => void navigate(`/shape/library?look=${encodeURIComponent(shape.id)}`)}
              >
                <ShapeThumb shape={shape} width={74} height={52} />
                <span className="min-w-0 flex-1">
                  <span className="head block text-md leading-tight">{shape.name}</span>
                  <span className="small block leading-tight">
                    {because.length > 0 ? because.map((trait) => traitWords[trait]).join(', ') : 'by custom'}
                  </span>
                </span>
                {dough && suits(shape.id) && (
                  <span className="small">{gradeWords[matchFor(shape, dough, kitchen).grade]}</span>
                )}
              </button>
            </li>
          ))}
        </ul>
      </section>
    </div>
  )
}
