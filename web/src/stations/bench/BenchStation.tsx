import { stepsOf, type Plan, type StepId } from '@harina/core'
import { lazy, Suspense, useEffect, useMemo, useState, type ComponentType } from 'react'
import { Link, Navigate, useNavigate, useParams } from 'react-router'
import { BatchStrip } from '../../ui/BatchStrip.tsx'
import { FindButton } from '../../ui/FindButton.tsx'
import { takeBenchOver, useBenchHold } from '../../state/benchLock.ts'
import { redoTap, undoTap } from '../../state/recordTap.ts'
import { isTyping } from '../../ui/keys.ts'
import { useRunningBatches, type RunningBatch } from '../../ui/batches.ts'
import { useUnits, type Worded } from '../../ui/units.ts'
import { useNow } from '../../ui/useNow.ts'
import { stepWords } from '../../ui/words.ts'
import { DivideStep, ShapeStep } from './HandSteps.tsx'
import { FeelStep } from './FeelStep.tsx'
import { PourStep } from './PourStep.tsx'
import { BenchViewContext } from './StepSheet.tsx'
import { CookStep, KneadStep, RestStep } from './TimedSteps.tsx'
import { VerdictStep } from './VerdictStep.tsx'
import { FlourStep, WaterStep } from './WeighSteps.tsx'

const GiveUp = lazy(() => import('./GiveUp.tsx'))
const Troubles = lazy(() => import('./Troubles.tsx'))

const sheets: Readonly<Record<StepId, ComponentType>> = {
  flour: FlourStep,
  water: WaterStep,
  pour: PourStep,
  feel: FeelStep,
  knead: KneadStep,
  rest: RestStep,
  divide: DivideStep,
  shape: ShapeStep,
  cook: CookStep,
  verdict: VerdictStep,
}

/** Left and right look along the steps; what is done stays done. */
function useLooking(steps: readonly StepId[], current: StepId) {
  // A look lasts as long as the step it was taken from.
  const [look, setLook] = useState<{ readonly from: StepId; readonly at: StepId } | null>(null)
  const shown = look?.from === current ? look.at : current
  const lookAt = (step: StepId) => setLook(step === current ? null : { from: current, at: step })
  const lookBy = (by: number) => {
    const next = steps[steps.indexOf(shown) + by]
    if (next) lookAt(next)
  }
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
      if (event.key === 'ArrowLeft') lookBy(-1)
      if (event.key === 'ArrowRight') lookBy(1)
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  })
  return { shown, lookAt, live: shown === current, back: () => setLook(null) }
}

/** The steps as marks along a line: done, now, to come. */
function StepLine({
  steps,
  done,
  current,
  shown,
  onLook,
}: {
  steps: readonly StepId[]
  done: readonly StepId[]
  current: StepId
  shown: StepId
  onLook: (step: StepId) => void
}) {
  return (
    <ol aria-label="Steps" className="mb-3 flex shrink-0 overflow-x-auto border-b border-ink">
      {steps.map((step) => (
        <li key={step} className="min-w-[30px] flex-1">
          <button
            type="button"
            aria-current={step === current ? 'step' : undefined}
            aria-label={`${stepWords[step]}${done.includes(step) ? ', done' : step === current ? ', now' : ''}`}
            className={`relative flex h-[38px] w-full items-center justify-center px-1 text-[15px] whitespace-nowrap ${
              step === current ? 'font-semibold text-ink' : 'text-second'
            } ${step === shown ? 'border-b-[5px] border-ink' : ''}`}
            onClick={() => onLook(step)}
          >
            <span className={`hidden md:inline ${done.includes(step) ? 'line-through decoration-1' : ''}`}>
              {stepWords[step]}
            </span>
            <span
              aria-hidden="true"
              className={`md:hidden ${step === current ? 'h-4 w-4 bg-ink' : done.includes(step) ? 'h-2 w-4 bg-ink' : 'h-4 w-[2px] bg-second'}`}
            />
          </button>
        </li>
      ))}
    </ol>
  )
}

function planLine(plan: Plan, { mass }: Worded): string {
  const { target } = plan.sheet
  const much =
    target.by === 'portions' ? `${target.count} × ${mass(target.gramsEach)}` : `${mass(plan.doughG)} of dough`
  return `${much}, ${plan.shape.name}`
}

function RunningSheet({ running, step }: { running: RunningBatch; step: StepId }) {
  const nowMs = useNow(500)
  const worded = useUnits()
  const { batch, state } = running
  const steps = useMemo(() => stepsOf(batch.plan), [batch.plan])
  const { shown, lookAt, live, back } = useLooking(steps, step)
  const [givingUp, setGivingUp] = useState(false)
  const [trouble, setTrouble] = useState(false)
  const elsewhere = useBenchHold() === 'elsewhere'
  const view = useMemo(() => ({ running, live, back, nowMs }), [running, live, back, nowMs])
  const Sheet = sheets[shown]
  useEffect(() => {
    document.getElementById('work')?.scrollTo(0, 0)
  }, [shown])
  return (
    <BenchViewContext value={view}>
      {elsewhere && (
        <p className="mb-2 flex flex-wrap items-center gap-x-5 gap-y-1 border-l-[5px] border-ink bg-ground px-3 py-2">
          <span>Another tab holds the bench. Here it is followed as it happens.</span>
          <button type="button" className="box min-h-10 px-4 font-semibold" onClick={() => void takeBenchOver()}>
            Take the bench over
          </button>
        </p>
      )}
      <StepLine steps={steps} done={state.done} current={step} shown={shown} onLook={lookAt} />
      <Sheet key={shown} />
      <footer className="flex flex-wrap items-baseline gap-x-6 gap-y-1 border-t border-line pt-2 text-[15px]">
        <button type="button" className="quiet min-h-9" onClick={() => void undoTap(batch)}>
          Undo <span className="key">Ctrl Z</span>
        </button>
        <button type="button" className="quiet min-h-9" onClick={() => void redoTap(batch)}>
          Redo
        </button>
        <button type="button" className="quiet min-h-9" onClick={() => setTrouble(true)}>
          Something is wrong
        </button>
        <span className="small hidden md:inline">{planLine(batch.plan, worded)}</span>
        <button type="button" className="quiet ml-auto min-h-9" onClick={() => setGivingUp(true)}>
          Give this batch up
        </button>
      </footer>
      {trouble && (
        <Suspense>
          <Troubles onClose={() => setTrouble(false)} />
        </Suspense>
      )}
      {givingUp && (
        <Suspense>
          <GiveUp batch={batch} onClose={() => setGivingUp(false)} />
        </Suspense>
      )}
    </BenchViewContext>
  )
}

function EmptyBench() {
  return (
    <div className="m-auto max-w-md text-center">
      <h1 className="head mb-3 text-3xl">The bench is clear</h1>
      <p className="mb-6">
        A batch runs here step by step: weigh, pour, feel, knead, rest, shape, cook. Take a sheet to the bench to begin.
      </p>
      <Link to="/formula" className="action inline-block">
        To the formula
      </Link>
    </div>
  )
}

export default function BenchStation() {
  const { batchId } = useParams()
  const navigate = useNavigate()
  const batches = useRunningBatches()
  const running = batches.find((candidate) => candidate.batch.id === batchId)
  const gone = batchId !== undefined && !running
  // A batch that has just ended goes to the log by itself; an address that never was one leads back to the bench.
  useEffect(() => {
    if (!gone) return
    const wait = setTimeout(() => void navigate('/bench', { replace: true }), 1500)
    return () => clearTimeout(wait)
  }, [gone, navigate])

  if (batchId === undefined && batches[0]) return <Navigate to={`/bench/${batches[0].batch.id}`} replace />
  return (
    <>
      <BatchStrip>
        <FindButton />
      </BatchStrip>
      <main
        id="work"
        className="relative flex min-h-0 flex-1 flex-col overflow-y-auto bg-sheet px-4 pt-1 pb-2 md:px-[26px]"
      >
        {running?.step ? (
          <RunningSheet key={running.batch.id} running={running} step={running.step} />
        ) : (
          !gone && <EmptyBench />
        )}
      </main>
    </>
  )
}
