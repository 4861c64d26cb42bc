/** Keys that work at every station. */
import { lazy, Suspense, useEffect, useState } from 'react'
import { useLocation } from 'react-router'
import { isTyping, OPEN_FIND, OPEN_HELP } from '../ui/keys.ts'
import { redone, undone } from '../state/draftSlice.ts'
import { redoTap, undoTap } from '../state/bench.ts'
import { redoGear, undoGear } from '../state/gearHistory.ts'
import { useApp, useAppDispatch, store } from '../state/store.ts'

const Help = lazy(() => import('./Help.tsx'))
const Find = lazy(() => import('./Find.tsx'))

/** Undo takes back what is in view: a tap at the bench, a change of Gear, of the sheet; in the log there is nothing to. */
function useUndo() {
  const dispatch = useAppDispatch()
  const { pathname } = useLocation()
  return (forward: boolean) => {
    const [, station, id] = pathname.split('/')
    switch (station) {
      case 'bench': {
        const batch = store.getState().batches.open.find((candidate) => candidate.id === id)
        if (batch) void (forward ? redoTap(batch) : undoTap(batch))
        return
      }
      case 'gear':
        return forward ? redoGear() : undoGear()
      case 'log':
        return
      default:
        dispatch(forward ? redone() : undone())
    }
  }
}

export function Shortcuts() {
  const [open, setOpen] = useState<'help' | 'find' | null>(null)
  const [term, setTerm] = useState<string | null>(null)
  const undo = useUndo()
  const loaded = useApp((state) => state.batches.loaded)

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const command = event.ctrlKey || event.metaKey
      if (command && event.key.toLowerCase() === 'z' && !isTyping(event.target)) {
        event.preventDefault()
        undo(event.shiftKey)
      } else if (command && event.key.toLowerCase() === 'k') {
        event.preventDefault()
        setOpen('find')
      } else if (event.key === '?' && !isTyping(event.target)) {
        setTerm(null)
        setOpen('help')
      }
    }
    const onFind = () => setOpen('find')
    const onHelp = (event: Event) => {
      setTerm(event instanceof CustomEvent && typeof event.detail === 'string' ? event.detail : null)
      setOpen('help')
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

  if (!loaded || open === null) return null
  return (
    <Suspense>
      {open === 'help' ? <Help at={term} onClose={() => setOpen(null)} /> : <Find onClose={() => setOpen(null)} />}
    </Suspense>
  )
}
