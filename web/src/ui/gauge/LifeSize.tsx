/** A blank at life size on a measured screen: dough is held against it. With `onChange` its sizes can be dragged. */
import type { Blank } from '@harina/core'
import { useId, useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react'
import { HatchPattern, type Family } from '../family.tsx'
import { useUnits } from '../units.ts'
import { useWidth } from '../useWidth.ts'

export type SizeKey = 'diameterMm' | 'cutMm' | 'thicknessMm' | 'widthMm' | 'holeMm' | 'lengthMm' | 'drawnMm'

interface HandleProps {
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
function Handle({ label, mm, axis, pxPerMm, left, top, onChange }: HandleProps) {
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

interface Props {
  readonly blank: Blank
  readonly wallMm: number
  readonly pxPerMm: number
  readonly family: Family
  readonly onChange?: (key: SizeKey, mm: number) => void
}

const line = { stroke: 'var(--ink)', strokeWidth: 1.2 } as const

interface DrawingProps {
  readonly label: string
  readonly high: number
  readonly wide: number
  readonly children: ReactNode
  readonly handles?: ReactNode
}

function Drawing({ label, high, wide, children, handles }: DrawingProps) {
  return (
    <figure className="relative" style={{ width: Math.max(130, wide + 40), minHeight: high + 26 }}>
      <svg width={wide + 26} height={high + 26} role="img" aria-label={`${label}, at life size`} className="block">
        <g transform="translate(2 4)">{children}</g>
      </svg>
      {handles}
      <figcaption className="figure text-base">{label}</figcaption>
    </figure>
  )
}

export function LifeSize({ blank, wallMm, pxPerMm, family, onChange }: Props) {
  const hatch = useId()
  const [measure, room] = useWidth(640)
  const { length } = useUnits()
  const px = (mm: number) => mm * pxPerMm
  const fill = `url(#${hatch})`
  const knob = (key: SizeKey, label: string, mm: number, axis: 'x' | 'y', left: number, top: number) =>
    onChange && (
      <Handle
        key={key}
        label={label}
        mm={mm}
        axis={axis}
        pxPerMm={pxPerMm}
        left={left + 2}
        top={top + 4}
        onChange={(next) => onChange(key, next)}
      />
    )
  /** Two edges as far apart as the dough is thick. */
  const slot = (key: SizeKey, name: string, mm: number) => {
    const wide = Math.min(room - 30, 240)
    return (
      <Drawing
        key={key}
        label={`${name} ${length(mm)}`}
        high={px(mm) + (onChange ? 40 : 20)}
        wide={wide}
        handles={knob(key, name, mm, 'y', wide - 40, px(mm) + 26)}
      >
        <rect x="0" y="10" width={wide} height={px(mm)} fill={fill} {...line} />
      </Drawing>
    )
  }
  const bar = (key: SizeKey, name: string, mm: number) => (
    <Drawing
      key={key}
      label={px(mm) > room - 30 ? `${name} ${length(mm)}, shown in part` : `${name} ${length(mm)}`}
      high={24}
      wide={Math.min(room - 30, px(mm))}
      handles={knob(key, name, mm, 'x', Math.min(room - 30, px(mm)), 12)}
    >
      <path d={`M0 4v16m0-8H${Math.min(room - 30, px(mm))}m0-8v16`} fill="none" {...line} strokeWidth="1.6" />
    </Drawing>
  )
  const circle = (key: SizeKey, name: string, mm: number) => (
    <Drawing
      key={key}
      label={`${name} ${length(mm)}`}
      high={px(mm)}
      wide={px(mm)}
      handles={knob(key, name, mm, 'x', px(mm) + 18, px(mm) / 2)}
    >
      <circle cx={px(mm) / 2} cy={px(mm) / 2} r={px(mm) / 2} fill={fill} {...line} />
    </Drawing>
  )

  const drawings = (): ReactNode => {
    switch (blank.type) {
      case 'rope': {
        const { diameterMm, cutMm, drawn } = blank
        const cuts = Math.max(1, Math.floor((room - 30) / px(cutMm)))
        const wide = Math.min(room - 30, Math.max(1, cuts) * px(cutMm))
        return (
          <>
            <Drawing
              label={`rope ${length(diameterMm)} thick, cut at ${length(cutMm)}${px(cutMm) > room - 30 ? ', shown in part' : ''}`}
              high={px(diameterMm) + (onChange ? 38 : 14)}
              wide={wide}
              handles={
                <>
                  {knob('diameterMm', 'Thickness of the rope', diameterMm, 'y', wide * 0.62, px(diameterMm) + 22)}
                  {knob('cutMm', 'Length of the cut', cutMm, 'x', Math.min(wide, px(cutMm)), 2)}
                </>
              }
            >
              <rect x="0" y="7" width={wide} height={px(diameterMm)} fill={fill} {...line} />
              {Array.from({ length: Math.max(0, cuts - 1) }, (_, k) => (
                <path key={k} d={`M${(k + 1) * px(cutMm)} 0v${px(diameterMm) + 14}`} {...line} />
              ))}
            </Drawing>
            {drawn && slot('drawnMm', 'drawn out to', drawn.diameterMm)}
          </>
        )
      }
      case 'sheet':
        return (
          <>
            {px(blank.widthMm) < room - 30
              ? slot('widthMm', 'as wide as', blank.widthMm)
              : bar('widthMm', 'as wide as', blank.widthMm)}
            {slot('thicknessMm', 'as thick as', blank.thicknessMm)}
          </>
        )
      case 'disc':
        return (
          <>
            {circle('diameterMm', 'round of', blank.diameterMm)}
            {slot('thicknessMm', 'as thick as', blank.thicknessMm)}
          </>
        )
      case 'die':
        return (
          <>
            {bar('cutMm', 'cut at', blank.cutMm)}
            {slot('thicknessMm', 'wall of', wallMm)}
          </>
        )
      case 'drop':
        return (
          <>
            {circle('holeMm', 'hole of', blank.holeMm)}
            {bar('lengthMm', 'about', blank.lengthMm)}
          </>
        )
    }
  }
  return (
    <div ref={measure} className="min-w-0">
      <svg width="0" height="0" className="absolute" aria-hidden="true">
        <HatchPattern id={hatch} family={family} />
      </svg>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">{drawings()}</div>
    </div>
  )
}

/** The same blank with one size changed; sizes it has not are left. */
export function resized(blank: Blank, key: SizeKey, mm: number): Blank {
  if (key === 'drawnMm')
    return blank.type === 'rope' && blank.drawn ? { ...blank, drawn: { ...blank.drawn, diameterMm: mm } } : blank
  return key in blank ? ({ ...blank, [key]: mm } as Blank) : blank
}
