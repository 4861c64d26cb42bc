/** Clocks that run beside what is shown: each can be moved by a minute, and stopped. */
import { formatCountdown, type Batch, type LiveTimer } from '@harina/core'
import { recordTap } from '../state/bench.ts'
import { timerName } from '../words/index.ts'

export interface RunningClock {
  readonly batch: Batch
  readonly clock: LiveTimer
}

interface Props {
  readonly label: string
  readonly clocks: readonly RunningClock[]
  readonly nowMs: number
}

export function ClockList({ label, clocks, nowMs }: Props) {
  if (clocks.length === 0) return null
  return (
    <ul aria-label={label} data-screen-only className="border-t border-line">
      {clocks.map(({ batch, clock }) => (
        <li key={`${batch.id} ${clock.id}`} className="border-b border-line py-1">
          <p className="flex items-baseline gap-3">
            <span className="min-w-0 flex-1 truncate">{timerName(clock)}</span>
            <span className="figure text-3xl font-semibold">{formatCountdown((clock.endsAtMs - nowMs) / 1000)}</span>
          </p>
          <p className="flex justify-end gap-4 text-label">
            {[-1, 1].map((minutes) => (
              <button
                key={minutes}
                type="button"
                className="quiet min-h-9"
                onClick={() => void recordTap(batch, { type: 'timer-moved', timer: clock.id, minutes })}
              >
                {minutes > 0 ? '+1' : '−1'} min
              </button>
            ))}
            <button
              type="button"
              className="quiet min-h-9"
              aria-label={`Stop ${timerName(clock)}`}
              onClick={() => void recordTap(batch, { type: 'timer-stopped', timer: clock.id })}
            >
              Stop
            </button>
          </p>
        </li>
      ))}
    </ul>
  )
}
