/** What the sheets of the bench stand on: the batch and step shown, large figures and notes. */
import type { PlannedStep, StepKind, StepOf } from '@harina/core'
import { createContext, useContext, type ReactNode } from 'react'
import type { RunningBatch } from '../../state/select.ts'
import { useUnits } from '../../ui/units.ts'

export interface BenchView {
  readonly running: RunningBatch
  /** The one shown. */
  readonly step: PlannedStep
  /** False while a step is only looked at. */
  readonly live: boolean
  readonly back: () => void
  /** The panel of signs and what to do about them. */
  readonly onTrouble: () => void
  /** Whether a key is for what has the focus. */
  readonly keyIsTaken: (target: EventTarget | null) => boolean
}

export const BenchViewContext = createContext<BenchView | null>(null)

export function useBench(): BenchView {
  const view = useContext(BenchViewContext)
  if (!view) throw new Error('a bench step outside the bench')
  return view
}

/** The step shown, where a sheet is only ever shown for one kind. */
export function useStep<K extends StepKind>(kind: K): StepOf<K> {
  const { step } = useBench()
  if (step.kind !== kind) throw new Error(`a ${kind} sheet for a ${step.kind} step`)
  return step as StepOf<K>
}

/** A figure one can read from across the kitchen. */
export function Big({ label, figure, unit, small }: { label: string; figure: string; unit: string; small?: boolean }) {
  return (
    <div>
      <p className="text-md text-second">{label}</p>
      <p className="figure leading-[0.95] font-semibold whitespace-nowrap">
        <span className={small ? 'text-6xl' : 'text-7xl md:text-8xl'}>{figure}</span>
        <span className={small ? 'text-4xl' : 'text-5xl'}> {unit}</span>
      </p>
    </div>
  )
}

export function Note({
  title,
  grade = 'note',
  children,
}: {
  title: string
  grade?: 'note' | 'caution'
  children: ReactNode
}) {
  return (
    <div className={`pl-3 ${grade === 'caution' ? 'border-l-5 border-danger' : 'border-l-2 border-second'}`}>
      <h2 className="head text-lg leading-tight">{title}</h2>
      <p className="text-label leading-snug text-second">{children}</p>
    </div>
  )
}

/** A length, in the unit one would say it in. */
export function BigLength({ label, mm, small }: { label: string; mm: number; small?: boolean }) {
  const { figure, unit } = useUnits().lengthShown(mm)
  return <Big label={label} figure={figure} unit={unit} small={small ?? false} />
}
