import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { useUnits } from '../units.ts'

interface Props {
  readonly label: string
  readonly mm: number
  readonly axis: 'x' | 'y'
  readonly pxPerMm: number
  readonly left: number
  readonly top: number
  readonly onChange: (mm: number) => void
}

const [LEAST_MM, MOST_MM] = [0.3, 400]
const STEP_MM = 0.5
const FINE_MM = 0.1

/** A knob at the edge of what it sizes. */
export function SizeKnob({ label, mm, axis, pxPerMm, left, top, onChange }: Props) {
  const start = useRef<{ at: number; mm: number } | null>(null)
  const { length } = useUnits()
  const set = (next: number) => onChange(Number(Math.min(MOST_MM, Math.max(LEAST_MM, next)).toFixed(2)))
  const placeOf = (event: PointerEvent) => (axis === 'x' ? event.clientX : event.clientY)
  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.shiftKey ? FINE_MM : STEP_MM
    const by = { ArrowRight: step, ArrowUp: step, ArrowLeft: -step, ArrowDown: -step }[event.key]
    if (by === undefined) return
    event.preventDefault()
    set(mm + by)
  }
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-orientation={axis === 'x' ? 'horizontal' : 'vertical'}
      aria-valuemin={LEAST_MM}
      aria-valuemax={MOST_MM}
      aria-valuenow={mm}
      aria-valuetext={length(mm)}
      className={`absolute grid h-11 w-11 touch-none place-items-center ${axis === 'x' ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
      style={{ left: left - 22, top: top - 22 }}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        start.current = { at: placeOf(event), mm }
      }}
      onPointerMove={(event) => {
        if (start.current) set(start.current.mm + (placeOf(event) - start.current.at) / pxPerMm)
      }}
      onPointerUp={() => {
        start.current = null
      }}
    >
      <svg width="22" height="22" aria-hidden="true">
        <circle cx="11" cy="11" r="9" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
        <path
          d={axis === 'x' ? 'M5 11h12m-9-3-3 3 3 3m6-6 3 3-3 3' : 'M11 5v12m-3-9 3-3 3 3m-6 6 3 3 3-3'}
          stroke="var(--ink)"
          fill="none"
        />
      </svg>
    </div>
  )
}
