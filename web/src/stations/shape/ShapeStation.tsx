/** Shapes: what suits the dough, every shape there is, the map of windows, sauces, and the gauge. */
import type { Kitchen } from '@harina/core'
import { lazy, Suspense, type ComponentType } from 'react'
import { Link, NavLink, useParams } from 'react-router'
import { BatchStrip } from '../../ui/BatchStrip.tsx'
import { FindButton } from '../../ui/FindButton.tsx'
import { useKitchen } from '../../state/select.ts'
import { ForThisDough } from './ForThisDough.tsx'

type View = ComponentType<{ kitchen: Kitchen }>

const views: readonly { readonly id: string; readonly name: string; readonly View: View }[] = [
  { id: 'dough', name: 'For this dough', View: ForThisDough },
  { id: 'library', name: 'All shapes', View: lazy(() => import('./Library.tsx')) },
  { id: 'map', name: 'Doughs and methods', View: lazy(() => import('./MethodMap.tsx')) },
  { id: 'sauces', name: 'Sauces', View: lazy(() => import('./Sauces.tsx')) },
  { id: 'gauge', name: 'Gauge', View: lazy(() => import('./Gauge.tsx')) },
]

export default function ShapeStation() {
  const kitchen = useKitchen()
  const { view = 'dough' } = useParams()
  const { View } = views.find((each) => each.id === view) ?? { View: ForThisDough }
  return (
    <>
      <BatchStrip>
        <FindButton />
        <Link to="/formula" className={view === 'gauge' ? 'quiet' : 'action'}>
          Back to the formula
        </Link>
      </BatchStrip>
      <main id="work" className="relative min-h-0 flex-1 overflow-y-auto bg-sheet px-4 py-2 md:px-6.5">
        <nav aria-label="Looking at shapes" className="mb-2 flex gap-x-6 overflow-x-auto border-b border-line">
          {views.map(({ id, name }) => (
            <NavLink
              key={id}
              to={id === 'dough' ? '/shape' : `/shape/${id}`}
              end
              className={({ isActive }) =>
                `min-h-9 border-b-4 text-md whitespace-nowrap ${isActive ? 'border-ink font-semibold' : 'border-transparent text-second hover:text-ink'}`
              }
            >
              {name}
            </NavLink>
          ))}
        </nav>
        <Suspense>{kitchen && <View kitchen={kitchen} />}</Suspense>
      </main>
    </>
  )
}
