/**
 * Lists, groups and search fields are the package's, and the package is a third of what the first screen would otherwise wait
 * for. Until it is there each of them rests as the plain element it looks like; what a hand does to one meanwhile is not lost.
 */
import { useRef, useSyncExternalStore } from 'react'
import { notifyTrouble } from '../../state/notify.ts'
import type { Touch } from './arrival.ts'
import type * as fromPackage from './fromPackage.ts'

type Controls = typeof fromPackage

let held: Controls | null = null
let coming: Promise<void> | null = null
const listeners = new Set<() => void>()

export function provideControls(controls: Controls): void {
  held = controls
  for (const listener of listeners) listener()
}

/** A press ends on the element it began on: nothing is put in its place meanwhile. */
let pressing: Promise<void> | null = null

function pressBegins(): void {
  pressing = new Promise((resolve) => {
    const over = new AbortController()
    const end = () => {
      over.abort()
      pressing = null
      // The click is still to come.
      setTimeout(resolve)
    }
    for (const up of ['pointerup', 'pointercancel']) addEventListener(up, end, { capture: true, signal: over.signal })
  })
}

/** Fetches the package; where that fails, the next touch asks again. Never rejects. */
export const bringControls = (): Promise<void> =>
  (coming ??= import('./fromPackage.ts')
    .then(async (controls) => {
      await pressing
      provideControls(controls)
    })
    .catch(() => {
      coming = null
    }))

const UNTOUCHED: Touch = { isFocused: false, isAsked: false }

const follow = (listener: () => void) => {
  // Once for all of them: the same listener is added no second time.
  addEventListener('pointerdown', pressBegins, { capture: true })
  listeners.add(listener)
  return () => listeners.delete(listener)
}

const now = () => held

/** The package's controls, null until they are there, and what the control at rest takes down until then. */
export function useControls() {
  const touched = useRef(UNTOUCHED)
  const controls = useSyncExternalStore(follow, now, now)
  const atRest = {
    onFocus: () => {
      touched.current = { ...touched.current, isFocused: true }
      void bringControls()
    },
    onBlur: () => {
      touched.current = { ...touched.current, isFocused: false }
    },
  }
  const ask = () => {
    touched.current = { ...touched.current, isAsked: true }
    void bringControls().then(() => {
      if (!held)
        notifyTrouble('This list did not come', 'The line to the server is gone. Load the page again once it is back.')
    })
  }
  return { controls, touched, atRest, ask }
}
