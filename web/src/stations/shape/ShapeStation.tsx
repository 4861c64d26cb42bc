/** Shapes: what suits the dough, every shape there is, the map of windows, sauces, and the gauge. */
import type { Kitchen } from '@harina/core'
import { lazy, type ComponentType } from 'react'
import { Link, useLocation } from 'react-router'
import { BatchStrip } from '../../ui/BatchStrip.tsx'
import { FindButton } from '../../ui/FindButton.tsx'
import { ToBench } from '../../ui/ToBench.tsx'
import { usePageTitle } from '../../ui/pageTitle.ts'
import { ViewLinks } from '../../ui/ViewLinks.tsx'
import { selectSheet, useKitchen } from '../../state/select.ts'
import { useApp } from '../../state/store.ts'
import { useWorked } from '../../state/worked.ts'
import { ForThisDough } from './ForThisDough.tsx'

type View = ComponentType<{ kitchen: Kitchen }>

const views: readonly { readonly to: string; readonly name: string; readonly View: View }[] = [
  { to: '/shape', name: 'For this dough', View: ForThisDough },
  { to: '/shape/library', name: 'All shapes', View: lazy(() => import('./Library.tsx')) },
  { to: '/shape/map', name: 'Doughs and methods', View: lazy(() => import('./MethodMap.tsx')) },
  { to: '/shape/sauces', name: 'Sauces', View: lazy(() => import('./Sauces.tsx')) },
  { to: '/shape/gauge', name: 'Gauge', View: lazy(() => import('./Gauge.tsx')) },
]

export default function ShapeStation() {
  const kitchen = useKitchen()
  const { pathname } = useLocation()
  const { View, name } = views.find(({ to }) => to === pathname) ?? { View: ForThisDough, name: undefined }
  const sheet = useApp(selectSheet)
  const worked = useWorked()
  // The gauge is held against what is made already.
  const isGauge = pathname === '/shape/gauge'
  const toBench = kitchen && worked?.ok && !isGauge && <ToBench worked={worked.value} kitchen={kitchen} />
  usePageTitle(name, 'Shape', sheet?.name)
  return (
    <>
      <BatchStrip>
        <FindButton />
        <Link to="/formula" className={toBench ? 'quiet max-md:hidden' : isGauge ? 'quiet' : 'action'}>
          Back to the formula
        </Link>
        {toBench}
      </BatchStrip>
      <main id="work" className="relative min-h-0 flex-1 overflow-y-auto bg-sheet px-4 py-2 md:px-6.5">
        <ViewLinks label="Looking at shapes" views={views} />
        {kitchen && <View kitchen={kitchen} />}
      </main>
    </>
  )
}
