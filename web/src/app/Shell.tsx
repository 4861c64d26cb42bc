import { lazy, Suspense, useEffect } from 'react'
import { Outlet, useLocation } from 'react-router'
import { preferred } from '../state/preferencesSlice.ts'
import { Ringing } from './Ringing.tsx'
import { Shortcuts } from './Shortcuts.tsx'
import { StationIndex } from './StationIndex.tsx'
import { stationAt } from './stations.tsx'
import { Stumble } from './Stumble.tsx'
import { whenIdle } from '../ui/whenIdle.ts'
import { useAwake } from './useAwake.ts'
import { useClockWatch } from './useClockWatch.ts'
import { useStrayFiles } from './useStrayFiles.ts'
import { useApp, useAppDispatch } from '../state/store.ts'

const Toasts = lazy(async () => {
  await whenIdle()
  return import('./Toasts.tsx')
})

/** The page the app opens at next time is the one it was left at. */
function useLastPath(pathname: string) {
  const dispatch = useAppDispatch()
  useEffect(() => {
    dispatch(preferred({ lastPath: pathname }))
  }, [pathname, dispatch])
}

function useTheme() {
  const theme = useApp((state) => state.preferences.theme)
  useEffect(() => {
    const dark = matchMedia('(prefers-color-scheme: dark)')
    const apply = () => {
      const page = document.documentElement
      page.dataset['theme'] = theme === 'system' ? (dark.matches ? 'lamp' : 'day') : theme
      // The browser's own frame follows.
      const ground = getComputedStyle(page).getPropertyValue('--ground').trim()
      if (ground) document.querySelector('meta[name=theme-color]')?.setAttribute('content', ground)
    }
    apply()
    dark.addEventListener('change', apply)
    return () => dark.removeEventListener('change', apply)
  }, [theme])
}

export function Shell() {
  const { pathname } = useLocation()
  useLastPath(pathname)
  useTheme()
  useAwake()
  useClockWatch()
  useStrayFiles()
  return (
    <>
      <a href="#work" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3">
        To the work
      </a>
      <div className="flex h-full flex-col-reverse md:flex-row">
        <StationIndex />
        <div className="flex min-h-0 min-w-0 flex-1 flex-col">
          {/* Outside the key: a boundary that is new shows itself empty, and what fills it then waits 300 ms for its turn. */}
          <Suspense>
            <Stumble key={stationAt(pathname).station}>
              <Outlet />
            </Stumble>
          </Suspense>
        </div>
      </div>
      <Ringing />
      <Shortcuts />
      <Suspense>
        <Toasts />
      </Suspense>
    </>
  )
}
