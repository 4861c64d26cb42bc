/** A step that a clock runs for: set, started, moved by a minute, over. */
import { formatCountdown, formatNumber, type Timer, type TimerId } from '@harina/core'
import { useRef, useState, type ReactNode } from 'react'
import { recordTap } from '#web/state/bench.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import type { Left } from '#web/ui/useTyped.ts'
import { useClock } from '#web/ui/useNow.ts'
import { spanOfMinutes } from '#web/words/index.ts'
import { StepPage } from '../StepPage.tsx'
import { Big, useBench } from '../view.tsx'
import { OwnMinutesLine, useOwnMinutes } from './OwnMinutes.tsx'

interface TimedProps {
  readonly timer: TimerId
  readonly title: string
  readonly lead: string
  readonly minutes: number
  readonly startLabel: string
  readonly doneLabel: string
  /** What it says to go on without the clock. */
  readonly skipLabel?: string | undefined
  readonly onDone: (elapsedMin: number) => void
  /** What the maker's own minutes are remembered by. */
  readonly own?: string | null
  readonly aside: ReactNode
  readonly children?: ReactNode
}

/** Thin noodles cook for less than a minute: ten seconds can be set. */
const LEAST_MIN = 1 / 6

/** Hours where minutes would be many. */
const longMinutes = (minutes: number) =>
  minutes >= 180 ? { figure: formatNumber(minutes / 60, minutes % 60 === 0 ? 0 : 1), unit: 'h' } : null

/** The clock as it runs: what is left, and how much of it is gone. */
function Running({ clock }: { clock: Timer }) {
  const left = useClock((nowMs) => Math.round((clock.endsAtMs - nowMs) / 1000))
  const share = Math.min(1, Math.max(0, 1 - left / (clock.minutes * 60)))
  return (
    <>
      <Big label={left < 0 ? 'over by' : 'left'} figure={formatCountdown(left)} unit="" />
      <svg
        className="order-last h-4 w-full shrink-0"
        role="img"
        aria-label={`${Math.round(share * 100)} % of the time gone`}
        preserveAspectRatio="none"
        viewBox="0 0 100 4"
      >
        <rect width="100" height="4" fill="var(--line)" />
        <rect width={share * 100} height="4" fill="var(--family)" />
      </svg>
    </>
  )
}

/** As it will run: minutes, hours where minutes would be many, seconds where it is not whole. */
function Planned({ minutes }: { minutes: number }) {
  const long = longMinutes(minutes)
  return Number.isInteger(minutes) ? (
    <Big
      label={long ? 'hours' : 'minutes'}
      figure={long?.figure ?? formatNumber(minutes, 0)}
      unit={long?.unit ?? 'min'}
    />
  ) : (
    <Big label={long ? 'hours' : 'minutes'} figure={formatCountdown(minutes * 60)} unit="" />
  )
}

export function Timed({
  timer,
  title,
  lead,
  minutes,
  startLabel,
  doneLabel,
  skipLabel = 'Skip the timer',
  onDone,
  own = null,
  aside,
  children,
}: TimedProps) {
  const { running } = useBench()
  const { batch, state } = running
  const [typed, setTyped] = useState<number | null>(null)
  const planned = typed ?? minutes
  const clock = state.timers[timer]
  const started = clock !== undefined && clock.stage !== 'stopped'
  const start = () => void recordTap(batch, { type: 'timer-started', timer, minutes: planned })
  const end = () => onDone(clock ? Math.max(0, (Date.now() - Date.parse(clock.startedAt)) / 60_000) : 0)
  const whole = started ? clock.minutes : planned
  const move = (by: number) => void recordTap(batch, { type: 'timer-moved', timer, minutes: by })
  const set = (to: number) => (started ? move(to - clock.minutes) : setTyped(to))
  // A clock that runs is moved once, when the field is left: moved by every digit, the next would count from where it was.
  const wanted = useRef<number | null>(null)
  const type = (to: number) => {
    wanted.current = to
    if (!started) setTyped(to)
  }
  const leave = (left: Left) => {
    const to = wanted.current
    wanted.current = null
    if (!started && left === 'unread') setTyped(null)
    if (started && left === 'read' && to !== null && to !== clock.minutes) move(to - clock.minutes)
  }
  const mine = useOwnMinutes(own)
  return (
    <StepPage
      title={title}
      lead={lead}
      action={started ? { label: doneLabel, run: end } : { label: startLabel, run: start }}
      second={started ? null : { label: skipLabel, run: () => onDone(0) }}
      aside={aside}
    >
      {started && <p className="hidden text-lg print:block">{spanOfMinutes(planned, planned)}, by the clock.</p>}
      <div data-screen-only={started || undefined} className="flex flex-wrap items-end gap-x-8 gap-y-3">
        {started ? <Running clock={clock} /> : <Planned minutes={planned} />}
        {started && (
          <div className="flex pb-3">
            {[-1, 1].map((by) => (
              <button key={by} type="button" className="press -ml-px min-w-23 text-xl" onClick={() => move(by)}>
                {by > 0 ? '+1' : '−1'} min
              </button>
            ))}
          </div>
        )}
        <p className="pb-3 text-md text-second">
          {started ? 'of' : 'set it to'}{' '}
          <QuantityField
            label={`Minutes, ${title.toLowerCase()}`}
            shown={Number.isInteger(whole) ? formatNumber(whole, 0) : formatCountdown(whole * 60)}
            unit="min"
            min={LEAST_MIN}
            max={6000}
            className={started ? 'text-3xl font-semibold text-ink' : 'text-4xl font-semibold text-ink'}
            widthCh={5}
            onChange={type}
            onDone={leave}
          />{' '}
          min
        </p>
      </div>
      {own !== null && <OwnMinutesLine of={own} own={mine} now={whole} onTake={set} />}
      {children}
    </StepPage>
  )
}
