import { doughG, madeG, stepsOf, type BenchState, type Plan, type PlannedStep } from '@harina/core'
import { format } from 'date-fns'
import { lazy, Suspense, useEffect, useMemo, useState, type CSSProperties } from 'react'
import { Link, Navigate, useNavigate, useParams } from 'react-router'
import { BatchStrip } from '../../ui/BatchStrip.tsx'
import { FindButton } from '../../ui/FindButton.tsx'
import { takeBenchOver, useBenchHold } from '../../state/benchLock.ts'
import { recordTap } from '../../state/bench.ts'
import { takeBack } from '../../state/takeBack.ts'
import { preferred } from '../../state/preferencesSlice.ts'
import { useApp, useAppDispatch } from '../../state/store.ts'
import { familyInk } from '../../ui/family.tsx'
import { useAtBench, useKept, useKitchen, useRunningBatches, type RunningBatch } from '../../state/select.ts'
import { useUnits } from '../../ui/units.ts'
import { useKeys } from '../../ui/useKeys.ts'
import { useKeyIsTaken } from '../../ui/useKeyIsTaken.ts'
import { usePhone } from '../../ui/usePhone.ts'
import { Lanes } from './Lanes.tsx'
import { SetAside } from './SetAside.tsx'
import { BenchViewContext } from './view.tsx'
import { stepSheets } from './stepSheets.ts'
import { stepName, type Worded } from '../../words/index.ts'

const panels = {
  interrupt: lazy(() => import('./panels/Interrupt.tsx')),
  trouble: lazy(() => import('./panels/Troubles.tsx')),
  happened: lazy(() => import('./panels/WhatHappened.tsx')),
  timer: lazy(() => import('./panels/OwnTimer.tsx')),
  photos: lazy(() => import('./panels/Photos.tsx')),
  card: lazy(() => import('./panels/Card.tsx')),
} as const
type Panel = keyof typeof panels

/** Left and right look along the steps; what is done stays done. */
function useLooking(steps: readonly PlannedStep[], current: PlannedStep) {
  // A look lasts as long as the step it was taken from.
  const [look, setLook] = useState<{ readonly from: string; readonly at: string } | null>(null)
  const shown = (look?.from === current.id && steps.find(({ id }) => id === look.at)) || current
  const lookAt = (step: PlannedStep) => setLook(step.id === current.id ? null : { from: current.id, at: step.id })
  const lookBy = (by: number) => {
    const next = steps[steps.findIndex(({ id }) => id === shown.id) + by]
    if (next) lookAt(next)
  }
  useKeys({ left: () => lookBy(-1), right: () => lookBy(1) })
  return { shown, lookAt, live: shown.id === current.id, back: () => setLook(null) }
}

/** The steps as marks along a line: done, now, to come. */
function StepLine({
  steps,
  done,
  current,
  shown,
  onLook,
}: {
  steps: readonly PlannedStep[]
  done: readonly string[]
  current: PlannedStep
  shown: PlannedStep
  onLook: (step: PlannedStep) => void
}) {
  return (
    <ol aria-label="Steps" className="mb-3 flex shrink-0 overflow-x-auto border-b border-ink">
      {steps.map((step) => {
        const [isDone, isNow] = [done.includes(step.id), step.id === current.id]
        return (
          <li key={step.id} className="min-w-4.5 flex-1">
            <button
              type="button"
              aria-current={isNow ? 'step' : undefined}
              aria-label={`${stepName(step)}${isDone ? ', done' : isNow ? ', now' : ''}`}
              className={`relative flex h-9.5 w-full items-center justify-center px-1 text-label whitespace-nowrap ${
                isNow ? 'font-semibold text-ink' : 'text-second'
              } ${step.id === shown.id ? 'border-b-5 border-ink' : ''}`}
              onClick={() => onLook(step)}
            >
              <span className={`hidden md:inline ${isDone ? 'line-through decoration-1' : ''}`}>{stepName(step)}</span>
              <span
                aria-hidden="true"
                className={`md:hidden ${isNow ? 'h-4 w-4 bg-ink' : isDone ? 'h-2 w-3 bg-ink' : 'h-4 w-0.5 bg-second'}`}
              />
            </button>
          </li>
        )
      })}
    </ol>
  )
}

/** What is here now: once some of it has gone its own way, no longer what was planned. */
function planLine(plan: Plan, state: BenchState, { mass }: Worded): string {
  const { target } = plan.sheet
  const isWhole = state.split === null && Object.keys(state.weighedG).length === 0
  const much =
    isWhole && target.by === 'portions'
      ? `${target.count} × ${mass(target.gramsEach)}`
      : isWhole || state.shapedPieces === null
        ? `${mass(isWhole ? plan.doughG : doughG(plan, state), plan.scaleStepG)} of dough`
        : mass(madeG(plan, state), plan.scaleStepG)
  return `${much}, ${plan.shape.name}`
}

/** Something to know before the step: another tab holds the bench, or another pair of hands should take the batch on. */
function Banner({ words, label, onPress }: { words: string; label: string; onPress: () => void }) {
  return (
    <p className="mb-2 flex flex-wrap items-center gap-x-5 gap-y-1 border-l-5 border-ink bg-ground px-3 py-2">
      <span className="min-w-0">{words}</span>
      <button type="button" className="box min-h-10 px-4 font-semibold" onClick={onPress}>
        {label}
      </button>
    </p>
  )
}

function Banners({ running: { batch, state } }: { running: RunningBatch }) {
  const elsewhere = useBenchHold() === 'elsewhere'
  const { hands } = state
  return (
    <>
      {elsewhere && (
        <Banner
          words="Another tab holds the bench. Here it is followed as it happens."
          label="Take the bench over"
          onPress={() => void takeBenchOver()}
        />
      )}
      {hands && !hands.taken && (
        <Banner
          words={`For ${hands.who}, handed over at ${format(hands.at, 'HH:mm')}${hands.word ? `: “${hands.word}”` : '.'}`}
          label="I have it"
          onPress={() => void recordTap(batch, { type: 'taken-on' })}
        />
      )}
    </>
  )
}

function BenchFoot({ running, onOpen }: { running: RunningBatch; onOpen: (panel: Panel) => void }) {
  const { batch, state } = running
  const worded = useUnits()
  const dispatch = useAppDispatch()
  const big = useApp((app) => app.preferences.big)
  const phone = usePhone()
  const link = (label: string, run: () => void, key?: string) => (
    <button type="button" className="quiet min-h-11 lg:min-h-9" onClick={run}>
      {label} {key && <span className="key">{key}</span>}
    </button>
  )
  return (
    <footer className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-t border-line pt-2 text-label">
      {!phone && link('Undo', () => void takeBack('batch', batch.id, 'back'), 'Ctrl Z')}
      {link('Redo', () => void takeBack('batch', batch.id, 'forth'))}
      {link('What happened', () => onOpen('happened'))}
      {!phone && link('Something is wrong', () => onOpen('trouble'))}
      {link('A timer', () => onOpen('timer'))}
      {link('Photos', () => onOpen('photos'))}
      {link('Card', () => onOpen('card'))}
      {link('Pause, hand over or stop', () => onOpen('interrupt'))}
      <span className="small ml-auto hidden min-w-0 flex-1 truncate text-right lg:inline">
        {state.hands?.taken ? `${state.hands.who} · ` : ''}
        {planLine(batch.plan, state, worded)}
      </span>
      <button
        type="button"
        className="quiet min-h-9"
        aria-pressed={big}
        onClick={() => dispatch(preferred({ big: !big }))}
      >
        {big ? 'Smaller type' : 'Bigger type'}
      </button>
    </footer>
  )
}

function RunningSheet({ running, step }: { running: RunningBatch; step: PlannedStep }) {
  const { batch, state } = running
  const steps = useMemo(() => stepsOf(batch.plan, state), [batch.plan, state])
  const { shown, lookAt, live, back } = useLooking(steps, step)
  const [panel, setPanel] = useState<Panel | null>(null)
  const keyIsTaken = useKeyIsTaken()
  const view = useMemo(
    () => ({ running, step: shown, live, back, keyIsTaken, onTrouble: () => setPanel('trouble') }),
    [running, shown, live, back, keyIsTaken],
  )
  const Sheet = stepSheets[shown.kind]
  const Open = panel && panels[panel]
  useEffect(() => {
    document.getElementById('work')?.scrollTo(0, 0)
  }, [shown.id])
  return (
    <BenchViewContext value={view}>
      <Banners running={running} />
      <StepLine steps={steps} done={state.done} current={step} shown={shown} onLook={lookAt} />
      {state.paused && live ? <SetAside paused={state.paused} /> : <Sheet key={shown.id} />}
      <BenchFoot running={running} onOpen={setPanel} />
      {Open && (
        <Suspense>
          <Open onClose={() => setPanel(null)} />
        </Suspense>
      )}
    </BenchViewContext>
  )
}

function EmptyBench() {
  const kept = useKept().length
  return (
    <div className="m-auto max-w-md text-center">
      <h1 className="head mb-3 text-4xl">The bench is clear</h1>
      <p className="mb-6">
        A batch runs here step by step: weigh, pour, feel, knead, rest, shape, cook. Take a sheet to the bench to begin.
      </p>
      <Link to="/formula" className="action inline-block">
        To the formula
      </Link>
      {kept > 0 && (
        <p className="mt-6">
          <Link to="/log" className="quiet font-semibold">
            {kept === 1 ? 'One batch is kept' : `${kept} batches are kept`}, in the log
          </Link>
        </p>
      )}
    </div>
  )
}

const ALL = 'all'

export default function BenchStation() {
  const { batchId } = useParams()
  const navigate = useNavigate()
  const open = useRunningBatches()
  const batches = useAtBench()
  const big = useApp((state) => state.preferences.big)
  const doughs = useKitchen()?.doughs
  const running = open.find((candidate) => candidate.batch.id === batchId)
  const ink = familyInk[(running && doughs?.get(running.batch.plan.sheet.dough)?.family) ?? 'semolina']
  const gone = batchId !== undefined && batchId !== ALL && !running
  // A batch that has just ended goes to the log by itself; an address that never was one leads back to the bench.
  useEffect(() => {
    if (!gone) return
    const wait = setTimeout(() => void navigate('/bench', { replace: true }), 1500)
    return () => clearTimeout(wait)
  }, [gone, navigate])

  const [only] = batches
  if (batchId === undefined && only)
    return <Navigate to={batches.length === 1 ? `/bench/${only.batch.id}` : `/bench/${ALL}`} replace />
  return (
    <>
      <BatchStrip>
        <FindButton />
      </BatchStrip>
      <main
        id="work"
        data-big={big}
        style={{ '--family': ink } as CSSProperties}
        className="relative flex min-h-0 flex-1 flex-col overflow-y-auto bg-sheet px-4 pt-1 pb-2 md:px-6.5"
      >
        {running?.step ? (
          <RunningSheet key={running.batch.id} running={running} step={running.step} />
        ) : batchId === ALL && only ? (
          <Lanes batches={batches} />
        ) : (
          !gone && <EmptyBench />
        )}
      </main>
    </>
  )
}
