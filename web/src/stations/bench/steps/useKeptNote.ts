/** A note that is stored while it is written, so that a page that goes takes no word of it along. */
import { activeEvents, type Batch, type BenchAction, type BenchEvent } from '@harina/core'
import { useEffect, useEffectEvent, useRef, useState } from 'react'
import { recordTap } from '#web/state/bench.ts'
import { store } from '#web/state/store.ts'

/** A pause in the writing. */
const PAUSE_MS = 800

type Noted = Extract<BenchEvent, { type: 'noted' }>

/** The last note since the last step was ended: what was written before the page was left. */
function notedHere({ events }: Batch): Noted | null {
  for (const event of [...activeEvents(events)].reverse()) {
    if (event.type === 'noted') return event
    if (event.type === 'step-done') return null
  }
  return null
}

interface KeptNote {
  readonly text: string
  readonly write: (text: string) => void
  /** Stores what is not stored yet; whether all of it is. */
  readonly keep: () => Promise<boolean>
}

export function useKeptNote(batch: Batch): KeptNote {
  const [text, setText] = useState(() => notedHere(batch)?.text ?? '')
  const latest = useRef(text)
  const kept = useRef(text)
  const writing = useRef(Promise.resolve(true))

  const keep = (): Promise<boolean> => {
    writing.current = writing.current.then(async () => {
      const note = latest.current
      if (note === kept.current) return true
      // One note grows; what stood before is taken back for it.
      const now = store.getState().batches.open.find(({ id }) => id === batch.id)
      const before = now && notedHere(now)
      const taps: BenchAction[] = [
        ...(before ? [{ type: 'undone' as const, events: [before.id] }] : []),
        ...(note.trim() ? [{ type: 'noted' as const, text: note.trim() }] : []),
      ]
      const isKept = taps.length === 0 || (await recordTap(batch, ...taps))
      if (isKept) kept.current = note
      return isKept
    })
    return writing.current
  }
  const keepNow = useEffectEvent(() => void keep())

  useEffect(() => {
    const soon = setTimeout(keepNow, PAUSE_MS)
    return () => clearTimeout(soon)
  }, [text])
  useEffect(() => {
    // What the store was told last before a page goes may be lost: it is asked first.
    const leave = (event: Event) => {
      if (latest.current !== kept.current) event.preventDefault()
      keepNow()
    }
    // A phone may not ask.
    const last = () => keepNow()
    addEventListener('beforeunload', leave)
    addEventListener('pagehide', last)
    return () => {
      removeEventListener('beforeunload', leave)
      removeEventListener('pagehide', last)
      keepNow()
    }
  }, [])

  return {
    text,
    write: (next) => {
      latest.current = next
      setText(next)
    },
    keep,
  }
}
