/** Keys that work at every station. */
import { lazy, Suspense, useEffect, useState } from 'react'
import { useLocation } from 'react-router'
import { isTyping, OPEN_FIND } from '../ui/keys.ts'
import { redone, undone } from '../state/draftSlice.ts'
import { redoTap, undoTap } from '../state/bench.ts'
import { useApp, useAppDispatch, store } from '../state/store.ts'

const ShortcutList = lazy(() => import('./ShortcutList.tsx'))
const Find = lazy(() => import('./Find.tsx'))

/** At the bench undo takes back a tap; elsewhere a change to the sheet. */
function useUndo() {
  const dispatch = useAppDispatch()
  const { pathname } = useLocation()
  return (forward: boolean) => {
    const id = /^\/bench\/([\w-]+)/.exec(pathname)?.[1]
    const batch = store.getState().batches.open.find((candidate) => candidate.id === id)
    if (pathname.startsWith('/bench')) {
      if (batch) void (forward ? redoTap(batch) : undoTap(batch))
    } else dispatch(forward ? redone() : undone())
  }
}

export function Shortcuts() {
  const [open, setOpen] = useState<'list' | 'find' | null>(null)
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
      } else if (event.key === '?' && !isTyping(event.target)) setOpen('list')
    }
    const onFind = () => setOpen('find')
    addEventListener('keydown', onKey)
    addEventListener(OPEN_FIND, onFind)
    return () => {
      removeEventListener('keydown', onKey)
      removeEventListener(OPEN_FIND, onFind)
    }
  })

  if (!loaded || open === null) return null
  return (
    <Suspense>
      {open === 'list' ? <ShortcutList onClose={() => setOpen(null)} /> : <Find onClose={() => setOpen(null)} />}
    </Suspense>
  )
}
