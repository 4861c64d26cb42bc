/** One step at a time, large: a title, what to do, the figures, and one dark action that the space bar presses. */
import { catchUp, liveTimers, stepsOf, waitOf } from '@harina/core'
import { catchUpTo } from '../../state/bench.ts'
import { useEffect, useRef, useState, type ReactNode } from 'react'
import { Link, useLocation } from 'react-router'
import { takeBack } from '../../state/takeBack.ts'
import { useApp } from '../../state/store.ts'
import { ClockList } from '../../ui/ClockList.tsx'
import { callsOf } from '../../ui/batches.ts'
import { useAtBench } from '../../state/select.ts'
import { usePageTitle } from '../../ui/pageTitle.ts'
import { speak } from '../../ui/voice.ts'
import { useClock, useNow } from '../../ui/useNow.ts'
import { useKeys } from '../../ui/useKeys.ts'
import { usePhone } from '../../ui/usePhone.ts'
import { batchTitle, callWords, stepName } from '../../words/index.ts'
import { useBench } from './view.tsx'
import { WarmLeft } from './WarmLeft.tsx'

export interface StepAction {
  readonly label: string
  readonly run: () => void
  readonly disabled?: boolean
}

interface Props {
  readonly title: string
  readonly lead?: ReactNode
  readonly action: StepAction
  readonly second?: StepAction | null
  /** What the digit keys do. */
  readonly onDigit?: (digit: number) => void
  readonly aside?: ReactNode
  readonly children: ReactNode
}

const isOfTheStep = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest('[data-step-action]') !== null

/** Space goes on with the step, but never while it waits: what was pressed for one thing would at once mean another. */
function useStepKeys(action: StepAction, waits: boolean, digit: Props['onDigit']): boolean {
  const { keyIsTaken } = useBench()
  const [held, setHeld] = useState(false)
  useKeys({
    space: waits ? () => setHeld(true) : action.disabled ? null : action.run,
    spaceIsTaken: (target) => keyIsTaken(target) && !(waits && isOfTheStep(target)),
    digit,
  })
  useEffect(() => {
    if (!waits) return
    // A focused button is pressed by space as it comes up.
    const onKeyUp = (event: KeyboardEvent) => {
      if (event.key === ' ' && isOfTheStep(event.target)) event.preventDefault()
    }
    addEventListener('keyup', onKeyUp)
    return () => removeEventListener('keyup', onKeyUp)
  }, [waits])
  return waits && held
}

/** What the other doughs want, the most urgent first, and what this one wants next. */
function Meanwhile() {
  const { running } = useBench()
  const nowMs = useNow()
  const others = callsOf(
    useAtBench().filter(({ batch }) => batch.id !== running.batch.id),
    nowMs,
  )
  const steps = stepsOf(running.batch.plan, running.state)
  const next = steps[steps.findIndex(({ id }) => id === running.step?.id) + 1]
  return (
    <>
      {others.length > 0 && (
        <section aria-label="The other doughs" data-screen-only className="border-t border-line">
          <ul>
            {others.map(({ running: { batch }, call }) => (
              <li key={batch.id} className="border-b border-line">
                <Link to={`/bench/${batch.id}`} className="flex min-h-12 items-center gap-3 hover:bg-ground">
                  <span className="min-w-0 flex-1 truncate">{batchTitle(batch)}</span>
                  <span
                    className={`figure text-xl whitespace-nowrap ${call.why === 'rings' || call.why === 'hands' ? 'font-semibold' : 'text-second'}`}
                  >
                    {callWords(call, nowMs)}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
          <Link to="/bench/all" className="quiet inline-block min-h-9 pt-2 text-label">
            Timeline of all doughs
          </Link>
        </section>
      )}
      {next && (
        <p className="text-label text-second">
          Next <span className="head ml-1 text-xl text-ink">{stepName(next)}</span>
        </p>
      )}
    </>
  )
}

/** Clocks of this batch that run beside the step shown: those the maker named, and a rest looked away from. */
function OtherClocks() {
  const { running, step } = useBench()
  const nowMs = useNow()
  const { batch, state } = running
  const clocks = liveTimers(batch.plan, state).filter(({ id }) => id !== step.id)
  return <ClockList label="Other clocks" clocks={clocks.map((clock) => ({ batch, clock }))} nowMs={nowMs} />
}

/** Says a step aloud when it begins, where the maker wants to hear it. */
function useSpokenTitle(title: string, live: boolean) {
  const voice = useApp((state) => state.preferences.voice)
  useEffect(() => {
    if (voice && live) speak(title)
  }, [voice, live, title])
}

/** Whoever listens hears each step begin, and the next key is the step's. */
function useFocusedTitle(stepId: string) {
  const heading = useRef<HTMLHeadingElement>(null)
  // Its tab pressed once more is a new way to it, though the step be the same.
  const { key } = useLocation()
  useEffect(() => heading.current?.focus({ preventScroll: true }), [stepId, key])
  return heading
}

export function StepPage({ title, lead, action, second, onDigit, aside, children }: Props) {
  const { live, back, running, step, onTrouble } = useBench()
  const phone = usePhone()
  const heading = useFocusedTitle(`${running.batch.id} ${step.id}`)
  usePageTitle(batchTitle(running.batch), title)
  const main: StepAction = live ? action : { label: 'Back to now', run: back }
  const waits = useClock((nowMs) => live && waitOf(running.batch.plan, running.state, step, nowMs) !== null)
  const spaceHeld = useStepKeys(main, waits, live ? onDigit : undefined)
  useSpokenTitle(title, live)
  return (
    <div className="flex flex-col gap-5 lg:grid lg:min-h-0 lg:flex-1 lg:grid-cols-[minmax(0,1fr)_310px] lg:grid-rows-[minmax(0,1fr)_auto] lg:gap-x-7 lg:gap-y-0">
      <section
        aria-label={title}
        className="flex min-w-0 flex-col gap-4 pb-2 *:shrink-0 lg:row-span-2 lg:pl-px lg:min-h-0 lg:overflow-y-auto"
      >
        <div>
          <h1 ref={heading} tabIndex={-1} className="head text-3xl leading-tight outline-none md:text-4xl">
            {title}
          </h1>
          {lead && <p className="mt-1 max-w-184 text-md text-second">{lead}</p>}
        </div>
        {children}
      </section>
      <div className="flex flex-col gap-5 lg:overflow-y-auto lg:border-l lg:border-line lg:pl-6">
        {aside}
        <WarmLeft />
        <OtherClocks />
        <Meanwhile />
      </div>
      <div className="sticky -bottom-2 z-10 flex flex-wrap gap-2 border-t border-line bg-sheet py-2 lg:static lg:flex-col lg:border-t-0 lg:border-l lg:pl-6">
        {/* What is wanted in a hurry is by the thumb. */}
        {phone && (
          <p className="flex w-full justify-between text-label">
            <button
              type="button"
              className="quiet min-h-11 px-1"
              onClick={() => void takeBack('batch', running.batch.id, 'back')}
            >
              Undo
            </button>
            <button type="button" className="quiet min-h-11 px-1" onClick={onTrouble}>
              Something is wrong
            </button>
          </p>
        )}
        {spaceHeld && (
          <p role="status" className="w-full text-label text-second">
            Space does nothing until the clock rings. To go on sooner, press the button.
          </p>
        )}
        {!live && catchUp(running.batch.plan, running.state, step.id, running.batch.plan.at) && (
          <button
            type="button"
            className="press flex-1 text-md lg:flex-none lg:text-lg"
            onClick={() => void catchUpTo(running.batch, step.id).then((isStored) => isStored && back())}
          >
            Done up to here, as planned
          </button>
        )}
        {live && second && (
          <button
            type="button"
            data-step-action
            className="press flex-1 text-md lg:flex-none lg:text-lg"
            disabled={second.disabled}
            onClick={second.run}
          >
            {second.label}
          </button>
        )}
        <button
          type="button"
          data-step-action
          className="action flex min-h-19 flex-[1.4] items-center justify-center gap-4 text-2xl lg:flex-none"
          aria-keyshortcuts={waits ? undefined : 'Space'}
          disabled={main.disabled}
          onClick={main.run}
        >
          <span className="head">{main.label}</span>
          {!waits && (
            <span aria-hidden="true" className="figure hidden text-label font-normal opacity-75 lg:inline">
              space
            </span>
          )}
        </button>
      </div>
    </div>
  )
}
