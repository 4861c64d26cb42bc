import { createBrowserRouter, Navigate, type RouteObject } from 'react-router'
import { Shell } from './Shell.tsx'
import { Stumble } from './Stumble.tsx'
import { useApp } from '../state/store.ts'

/** The first screen is the work as it was left. */
function Resume() {
  const lastPath = useApp((state) => state.preferences.lastPath)
  return <Navigate to={lastPath} replace />
}

const station = (path: string, load: () => Promise<{ default: React.ComponentType }>): RouteObject => ({
  path,
  lazy: async () => ({ Component: (await load()).default }),
})

/** Made once the work is there to be shown, so that it begins at the address of that moment. */
export const router = () =>
  createBrowserRouter([
    {
      element: <Shell />,
      errorElement: <Stumble />,
      HydrateFallback: () => null,
      children: [
        { index: true, element: <Resume /> },
        station('formula', () => import('../stations/formula/FormulaStation.tsx')),
        station('shape/:view?', () => import('../stations/shape/ShapeStation.tsx')),
        station('bench/:batchId?', () => import('../stations/bench/BenchStation.tsx')),
        station('log/:batchId?', () => import('../stations/log/LogStation.tsx')),
        station('gear/:shelf?', () => import('../stations/gear/GearStation.tsx')),
        { path: '*', element: <Navigate to="/formula" replace /> },
      ],
    },
  ])
