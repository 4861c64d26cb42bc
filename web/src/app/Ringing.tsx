/** A timer that has ended is heard, seen and felt until it is answered, whatever station is open. */
import { formatCountdown } from '@harina/core'
import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { ringingOf, type NamedTimer } from '../ui/batches.ts'
import { useRunningBatches } from '../state/select.ts'
import { ringInTitle } from '../ui/pageTitle.ts'
import { useNow } from '../ui/useNow.ts'
import { speak } from '../ui/voice.ts'
import { useBenchHold } from '../state/benchLock.ts'
import { recordTap } from '../state/bench.ts'
import { freeSound, ring, soundIsHeld } from '../ui/sound.ts'
import { useApp } from '../state/store.ts'
import { batchTitle, timerCall } from '../words/index.ts'

const RING_EVERY_MS = 3000
const callOf = (timer: NamedTimer) => `${batchTitle(timer.running.batch)}${timerCall(timer)}`

function useRinging(ringing: boolean, sound: boolean, first: NamedTimer | undefined): boolean {
  const [held, setHeld] = useState(false)
  const title = first ? callOf(first) : null
  const voice = useApp((state) => state.preferences.voice)
  useEffect(() => {
    if (!ringing || !title) return
    if (voice) speak(title)
    let marked = false
    const call = () => {
      setHeld(sound && soundIsHeld())
      if (sound) ring()
      navigator.vibrate?.([300, 150, 300])
      marked = !marked
      ringInTitle(marked ? `● ${title}` : title)
    }
    call()
    const interval = setInterval(call, RING_EVERY_MS)
    return () => {
      clearInterval(interval)
      ringInTitle(null)
    }
  }, [ringing, sound, voice, title])
  return ringing && held
}

function Call({ timer, nowMs, full }: { timer: NamedTimer; nowMs: number; full: boolean }) {
  const navigate = useNavigate()
  const { batch } = timer.running
  const answer = async () => {
    await freeSound()
    if (await recordTap(batch, { type: 'timer-answered', timer: timer.id })) void navigate(`/bench/${batch.id}`)
  }
  const later = () =>
    void recordTap(batch, {
      type: 'timer-moved',
      timer: timer.id,
      minutes: Math.ceil((nowMs - timer.endsAtMs) / 60_000 + 1),
    })
  return (
    <div className={`flex flex-wrap items-center gap-x-6 gap-y-3 ${full ? 'justify-center text-center' : ''}`}>
      {/* Said once; the seconds that run on beside it are for the eye. */}
      <p
        role="alert"
        className={`head min-w-0 ${full ? 'w-full text-5xl leading-tight md:text-6xl' : 'flex-1 text-3xl'}`}
      >
        {callOf(timer)}
      </p>
      <p role="timer" aria-live="off" className={`figure ${full ? 'w-full text-6xl md:text-7xl' : 'text-4xl'}`}>
        {formatCountdown((timer.endsAtMs - nowMs) / 1000)}
      </p>
      <button
        type="button"
        className="press min-w-36 border-sheet bg-sheet text-xl font-semibold text-ink"
        onClick={() => void answer()}
      >
        I heard it
      </button>
      <button type="button" className="press min-w-36 border-sheet bg-transparent text-xl text-sheet" onClick={later}>
        One more minute
      </button>
    </div>
  )
}

export function Ringing() {
  const batches = useRunningBatches()
  const now = useNow()
  const sound = useApp((state) => state.preferences.sound)
  // Every tab hears of it; only the one that holds the bench rings.
  const mine = useBenchHold() === 'here'
  const ringing = mine ? ringingOf(batches, now) : []
  const held = useRinging(ringing.length > 0, sound, ringing[0])
  if (ringing.length === 0) return null
  return (
    <section
      aria-label="Timers ringing"
      data-full={held}
      // From above: what is pressed to go on stands at the foot, and stays in reach.
      className={`fixed z-40 flex flex-col justify-center gap-8 bg-ink p-6 text-sheet ${held ? 'inset-0' : 'inset-x-0 top-0'}`}
    >
      {ringing.map((timer) => (
        <Call key={`${timer.running.batch.id}-${timer.id}`} timer={timer} nowMs={now} full={held} />
      ))}
      {held && (
        <button
          type="button"
          className="press mx-auto border-sheet bg-transparent px-8 text-3xl text-sheet underline"
          onClick={() => void freeSound()}
        >
          Tap for sound
        </button>
      )}
    </section>
  )
}
