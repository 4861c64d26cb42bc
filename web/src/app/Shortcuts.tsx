/** Keys that work at every station. */
import { lazy, startTransition, Suspense, useEffect, useState } from 'react'
import { useLocation } from 'react-router'
import { isTyping, OPEN_FIND, OPEN_HELP } from '../ui/keys.ts'
import { useApp } from '../state/store.ts'
import { takeBack } from '../state/takeBack.ts'
import { stationAt } from './stations.tsx'

const Help = lazy(() => import('./Help.tsx'))
const Find = lazy(() => import('./Find.tsx'))

export function Shortcuts() {
  const [open, setOpen] = useState<'help' | 'find' | null>(null)
  // Not shown empty while it is fetched: it would then wait for its turn.
  const turnTo = (next: typeof open) => startTransition(() => setOpen(next))
  const [term, setTerm] = useState<string | null>(null)
  const { pathname } = useLocation()
  const loaded = useApp((state) => state.batches.loaded)

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const command = event.ctrlKey || event.metaKey
      if (command && event.key.toLowerCase() === 'z' && !isTyping(event.target)) {
        event.preventDefault()
        void takeBack(stationAt(pathname).takesBack, pathname.split('/')[2], event.shiftKey ? 'forth' : 'back')
      } else if (command && event.key.toLowerCase() === 'k') {
        event.preventDefault()
        turnTo('find')
      } else if (event.key === '?' && !isTyping(event.target)) {
        setTerm(null)
        turnTo('help')
      }
    }
    const onFind = () => turnTo('find')
    const onHelp = (event: Event) => {
      setTerm(event instanceof CustomEvent && typeof event.detail === 'string' ? event.detail : null)
      turnTo('help')
    }
    addEventListener('keydown', onKey)
    addEventListener(OPEN_FIND, onFind)
    addEventListener(OPEN_HELP, onHelp)
    return () => {
      removeEventListener('keydown', onKey)
      removeEventListener(OPEN_FIND, onFind)
      removeEventListener(OPEN_HELP, onHelp)
    }
  })

  if (!loaded) return null
  return (
    <Suspense>
      {open === 'help' && <Help at={term} onClose={() => setOpen(null)} />}
      {open === 'find' && <Find onClose={() => setOpen(null)} />}
    </Suspense>
  )
}
