/** The scale at the bench: what it shows, what remains to the target, and taking it. Without one, everything is typed. */
import { formatNumber, pouring } from '@harina/core'
import { lazy, Suspense, useEffect, useRef, useState } from 'react'
import { preferred } from '#web/state/preferencesSlice.ts'
import { useApp, useAppDispatch } from '#web/state/store.ts'
import { useUnits } from '#web/ui/units.ts'
import { actOrSay } from './actOrSay.ts'
import { useScale, type LiveScale } from './useScale.ts'

const ScalePanel = lazy(async () => ({ default: (await import('./ScalePanel.tsx')).ScalePanel }))

export interface ScaleTarget {
  /** What is being weighed or poured. */
  readonly label: string
  /** Null where any mass will do, as for a piece. */
  readonly targetG: number | null
  readonly take: (grams: number) => void
  /** What lies on it never rests, as a tray that dries at six hundred times the speed: taken as it stands. */
  readonly moving?: boolean
}

/** What the scale says of the target, in words; empty before anything is on it. */
function Standing({ grams, stepG, target }: { grams: number; stepG: number; target: ScaleTarget }) {
  const { mass } = useUnits()
  if (target.targetG === null || Math.abs(grams) < 0.05) return null
  const { leftG, stands } = pouring(grams, target.targetG, stepG)
  const words =
    stands === 'there' ? 'there' : stands === 'under' ? `${mass(leftG, stepG)} to go` : `${mass(-leftG, stepG)} over`
  return (
    <span className={`head text-3xl ${stands === 'over' ? 'text-danger' : ''}`} role="status">
      {words}
    </span>
  )
}

function Shown({ scale, target }: { scale: LiveScale; target: ScaleTarget }) {
  const { massFigure, units } = useUnits()
  const { line, reading } = scale
  if (line === 'lost')
    return (
      <p role="alert" className="text-md">
        The scale is gone. Type instead: nothing is lost, and it is looked for again.
      </p>
    )
  if (line === 'looking' || !reading) return <p className="text-second">Looking for the scale…</p>
  if (reading.shows === 'off') return <p className="text-md">The scale is off. Switch it on, or type.</p>
  if (reading.shows === 'overload')
    return (
      <p role="alert" className="text-md">
        Too much for this scale: it ends at {formatNumber(reading.maxG, 0)} g. Weigh in two goes, or on the coarser one.
      </p>
    )
  return (
    <>
      <span
        className="figure text-5xl leading-none font-semibold whitespace-nowrap"
        data-steady={scale.steadyG !== null}
      >
        {massFigure(reading.grams, reading.stepG)} <span className="text-2xl">{units.mass}</span>
      </span>
      <span className="small w-16">{scale.steadyG === null ? 'moving' : 'at rest'}</span>
      <Standing grams={reading.grams} stepG={reading.stepG} target={target} />
    </>
  )
}

/** A display at rest near its target is taken once, and not again until it has moved away. */
function useTakingItself(scale: LiveScale, target: ScaleTarget, wanted: boolean) {
  const armed = useRef(true)
  useEffect(() => {
    if (!wanted || target.targetG === null) return
    const { steadyG, reading } = scale
    const stepG = reading?.shows === 'mass' ? reading.stepG : 1
    const there = steadyG !== null && pouring(steadyG, target.targetG, stepG).stands === 'there'
    if (steadyG !== null && !there) armed.current = true
    if (steadyG !== null && there && armed.current) {
      armed.current = false
      target.take(steadyG)
    }
  }, [scale, target, wanted])
}

function Connected({ target }: { target: ScaleTarget }) {
  const dispatch = useAppDispatch()
  const takesItself = useApp((state) => state.preferences.takesItself)
  const scale = useScale(true)
  const { mass } = useUnits()
  const [panel, setPanel] = useState(false)
  useTakingItself(scale, target, takesItself)
  const { steadyG, reading } = scale
  const stepG = reading?.shows === 'mass' ? reading.stepG : 1
  const takenG = target.moving && reading?.shows === 'mass' ? reading.grams : steadyG
  const ready = takenG !== null && takenG > 0
  return (
    <section aria-label="The scale" className="mb-3 border-y border-ink py-2">
      <div className="flex min-h-13 flex-wrap items-center gap-x-6 gap-y-2">
        <span className="small w-27.5 leading-tight">{target.label}</span>
        <Shown scale={scale} target={target} />
        <span className="ml-auto flex flex-wrap items-center gap-3">
          <button type="button" className="box min-h-12 px-4" onClick={() => void actOrSay({ act: 'tare' })}>
            Tare
          </button>
          <button
            type="button"
            className="box min-h-12 px-4 font-semibold"
            disabled={!ready}
            onClick={() => ready && target.take(takenG)}
          >
            {ready ? `Take ${mass(takenG, stepG)}` : 'Take it'}
          </button>
        </span>
      </div>
      <p className="small mt-1 flex flex-wrap gap-x-5">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={takesItself}
            onChange={(event) => dispatch(preferred({ takesItself: event.target.checked }))}
          />
          take it by itself once it rests on the target
        </label>
        <button type="button" className="quiet" onClick={() => setPanel(true)}>
          The scale to practise with
        </button>
        <button type="button" className="quiet" onClick={() => dispatch(preferred({ scale: false }))}>
          Without a scale
        </button>
      </p>
      {panel && (
        <Suspense>
          <ScalePanel onClose={() => setPanel(false)} />
        </Suspense>
      )}
    </section>
  )
}

export function ScaleStrip({ target }: { target: ScaleTarget }) {
  const dispatch = useAppDispatch()
  const wanted = useApp((state) => state.preferences.scale)
  if (wanted) return <Connected target={target} />
  return (
    <button
      type="button"
      className="quiet mb-2 self-start text-label"
      onClick={() => dispatch(preferred({ scale: true }))}
    >
      Read a scale
    </button>
  )
}
