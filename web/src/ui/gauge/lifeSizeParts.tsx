/** The single measures of a blank, each drawn as wide as it is; with a knob at its edge where it can be dragged. */
import type { SizeKey } from '@harina/core'
import type { ReactNode } from 'react'
import { useUnits } from '../units.ts'
import { SizeKnob } from './SizeKnob.tsx'

/** What they are drawn on. */
export interface Screen {
  readonly pxPerMm: number
  /** Pixels to the right, so many at most. */
  readonly widest: number
  readonly fill: string
  readonly onChange?: ((key: SizeKey, mm: number) => void) | undefined
}

export interface Measure {
  readonly on: Screen
  readonly name: string
  readonly mm: number
  /** The size of the blank that this is; null for what follows from others. */
  readonly size: SizeKey | null
}

export const line = { stroke: 'var(--ink)', strokeWidth: 1.2 } as const

interface FigureProps {
  readonly label: string
  readonly high: number
  readonly wide: number
  readonly children: ReactNode
  readonly knobs?: ReactNode
}

export function LifeFigure({ label, high, wide, children, knobs }: FigureProps) {
  return (
    <figure className="relative" style={{ width: Math.max(130, wide + 40), minHeight: high + 26 }}>
      <svg width={wide + 26} height={high + 26} role="img" aria-label={`${label}, at life size`} className="block">
        <g transform="translate(2 4)">{children}</g>
      </svg>
      {knobs}
      <figcaption className="figure text-base">{label}</figcaption>
    </figure>
  )
}

interface KnobProps extends Measure {
  readonly axis: 'x' | 'y'
  readonly left: number
  readonly top: number
}

/** In the coordinates of the drawing it stands on. */
export function Knob({ on: { pxPerMm, onChange }, name, mm, size, axis, left, top }: KnobProps) {
  if (!onChange || size === null) return null
  const place = { left: left + 2, top: top + 4 }
  return <SizeKnob label={name} {...{ mm, axis, pxPerMm, ...place }} onChange={(next) => onChange(size, next)} />
}

/** Two edges as far apart as the dough is thick. */
export function Slot(measure: Measure) {
  const { on, name, mm } = measure
  const { length } = useUnits()
  const high = mm * on.pxPerMm
  const wide = Math.min(on.widest, 240)
  return (
    <LifeFigure
      label={`${name} ${length(mm)}`}
      high={high + (on.onChange ? 40 : 20)}
      wide={wide}
      knobs={<Knob {...measure} axis="y" left={wide - 40} top={high + 26} />}
    >
      <rect x="0" y="10" width={wide} height={high} fill={on.fill} {...line} />
    </LifeFigure>
  )
}

/** A length, as much of it as there is room for. */
export function Bar(measure: Measure) {
  const { on, name, mm } = measure
  const { length } = useUnits()
  const px = mm * on.pxPerMm
  const wide = Math.min(on.widest, px)
  return (
    <LifeFigure
      label={`${name} ${length(mm)}${px > on.widest ? ', shown in part' : ''}`}
      high={24}
      wide={wide}
      knobs={<Knob {...measure} axis="x" left={wide} top={12} />}
    >
      <path d={`M0 4v16m0-8H${wide}m0-8v16`} fill="none" {...line} strokeWidth="1.6" />
    </LifeFigure>
  )
}

export function Round(measure: Measure) {
  const { on, name, mm } = measure
  const { length } = useUnits()
  const px = mm * on.pxPerMm
  return (
    <LifeFigure
      label={`${name} ${length(mm)}`}
      high={px}
      wide={px}
      knobs={<Knob {...measure} axis="x" left={px + 18} top={px / 2} />}
    >
      <circle cx={px / 2} cy={px / 2} r={px / 2} fill={on.fill} {...line} />
    </LifeFigure>
  )
}
