/** What this maker took the last times, beside the table's: one press takes it, one forgets it. */
import { formatNumber, ownMinutes, type OwnMinutes as Own } from '@harina/core'
import { useMemo } from 'react'
import { changeGear } from '#web/state/gear.ts'
import { selectEnded, useKitchen } from '#web/state/select.ts'
import { useApp } from '#web/state/store.ts'
import { batchesWords } from '#web/words/index.ts'

/** Of batches that came out well, since it was last forgotten; null where there is nothing. */
export function useOwnMinutes(key: string | null): Own | null {
  const ended = useApp(selectEnded)
  const forgot = useKitchen()?.gear.forgot
  return useMemo(() => (key === null || !ended ? null : ownMinutes(ended, key, forgot?.[key])), [key, ended, forgot])
}

export const forget = (key: string): void =>
  void changeGear((gear) => ({ ...gear, forgot: { ...gear.forgot, [key]: new Date().toISOString() } }))

/** Nearer than this it is the same. */
const SAME = 0.05

export function OwnMinutesLine({
  of,
  own,
  now,
  onTake,
}: {
  of: string
  own: Own | null
  /** What the clock stands at, min. */
  now: number
  onTake: (minutes: number) => void
}) {
  if (!own) return null
  const minutes = own.value < 2 ? own.value : Math.round(own.value)
  const words = `${formatNumber(minutes, minutes % 1 === 0 ? 0 : 1)} min`
  const isSame = Math.abs(minutes - now) <= SAME * now
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-2 text-md" role="group" aria-label="Your own minutes">
      <span>
        <span className="figure font-semibold">{words}</span> from {batchesWords(own.n)} of yours.
      </span>
      {!isSame && (
        <button type="button" className="press min-h-11 px-4" onClick={() => onTake(minutes)}>
          Take {words}
        </button>
      )}
      <button type="button" className="quiet min-h-11" onClick={() => forget(of)}>
        Forget it
      </button>
    </p>
  )
}
