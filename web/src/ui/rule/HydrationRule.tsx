/** The hydration rule: water per 100 of flour, drawn like a printed ruler, with the windows over it and the marks under it. */
import { formatPercent } from '@harina/core'
import { useId, useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { familyInk, HatchPattern, type Family } from '../family.tsx'
import { useWidth } from '../useWidth.ts'
import {
  rulePercent,
  ruleLayout,
  ruleX,
  type Bar,
  type RuleLayout,
  type RuleMark,
  type RuleWindow,
} from './ruleLayout.ts'

export interface HydrationRuleProps {
  readonly family: Family
  readonly from: number
  readonly to: number
  readonly value: number
  readonly shape: RuleWindow | null
  readonly methods: readonly RuleWindow[]
  readonly marks: readonly RuleMark[]
  readonly label: string
  /** Absent: the rule is read, not moved. */
  readonly onChange?: (percent: number) => void
  readonly onDone?: () => void
}

const STEP = 0.5
const FINE_STEP = 0.1

function ShapeBar({ bar, ink }: { bar: Bar; ink: string }) {
  return (
    <g>
      <text x={bar.labelX} y={bar.y - 5} className="fill-ink text-sm font-semibold">
        {bar.label}
      </text>
      <rect x={bar.x} y={bar.y} width={bar.width} height={bar.height} fill={ink} />
      <path d={`M${bar.bestX - 6} ${bar.y + bar.height + 8}h12l-6 -7z`} fill={ink} />
    </g>
  )
}

function MethodBar({ bar, ink, hatch }: { bar: Bar; ink: string; hatch: string }) {
  return (
    <g>
      <rect
        x={bar.x}
        y={bar.y}
        width={bar.width}
        height={bar.height}
        fill={`url(#${hatch})`}
        stroke={ink}
        strokeWidth="1"
      />
      <text x={bar.labelX} y={bar.y + bar.height - 2} textAnchor={bar.labelAnchor} className="fill-second text-sm">
        {bar.label}
      </text>
    </g>
  )
}

function Mark({ mark, lineY }: { mark: RuleLayout['marks'][number]; lineY: number }) {
  const open = mark.kind === 'open'
  return (
    <g>
      <path
        d={`M${mark.x} ${lineY + 3}V${mark.y + 2}`}
        stroke="var(--second)"
        strokeDasharray={mark.kind === 'dashed' ? '3 3' : undefined}
      />
      {mark.kind !== 'dashed' && (
        <path d={`M${mark.x} ${lineY + 1}l-5 9h10z`} fill={open ? 'var(--sheet)' : 'var(--ink)'} stroke="var(--ink)" />
      )}
      <text x={mark.labelX} y={mark.y} textAnchor={mark.anchor} className="fill-second text-sm">
        {mark.label}
      </text>
    </g>
  )
}

function Ticks({ ticks, lineY }: Pick<RuleLayout, 'ticks' | 'lineY'>) {
  return ticks.map((tick) => (
    <g key={tick.x}>
      <path
        d={`M${tick.x} ${lineY}v${tick.length}`}
        stroke="var(--ink)"
        strokeWidth={tick.length === 20 ? 1.6 : 0.8}
        opacity={tick.length === 6 ? 0.55 : 1}
      />
      {tick.label && (
        <text x={tick.x} y={lineY + 38} textAnchor="middle" className="figure fill-ink text-lg">
          {tick.label}
        </text>
      )}
    </g>
  ))
}

function Pointer({ x, layout }: { x: number; layout: RuleLayout }) {
  const top = layout.shape ? layout.shape.y + layout.shape.height - 18 : 0
  return (
    <g className="glide" style={{ transform: `translateX(${x}px)` }}>
      <path d={`M0 ${Math.max(0, top)}V${layout.lineY + 30}`} stroke="var(--ink)" strokeWidth="2.5" />
      <path d={`M-9 ${layout.lineY - 15}h18l-9 15z`} fill="var(--ink)" />
    </g>
  )
}

const tenth = (percent: number): number => Math.round(percent * 10) / 10

/** Sideways so far, a finger means the rule; before that it may be scrolling the page. px */
const A_DRAG = 8
/** On the handle less is enough. px */
const A_DRAG_ON_HANDLE = 2
const HANDLE = 24

/** Drag and keys: both end in a percentage on the rule, to a tenth. */
function useMoves({ from, to, value, onChange, onDone }: HydrationRuleProps, width: number) {
  const move = (percent: number) => onChange?.(tenth(Math.min(to, Math.max(from, percent))))
  /** Where a finger came down that has not said yet what it means. */
  const waiting = useRef<{ readonly x: number; readonly needs: number } | null>(null)
  const drag = (event: PointerEvent<SVGSVGElement>) => {
    const { left } = event.currentTarget.getBoundingClientRect()
    move(rulePercent({ width, from, to }, event.clientX - left))
  }
  const pointer = {
    onPointerDown: (event: PointerEvent<SVGSVGElement>) => {
      if (event.button !== 0) return
      if (event.pointerType === 'touch') {
        const { left } = event.currentTarget.getBoundingClientRect()
        const onHandle = Math.abs(event.clientX - left - ruleX({ width, from, to }, value)) < HANDLE
        waiting.current = { x: event.clientX, needs: onHandle ? A_DRAG_ON_HANDLE : A_DRAG }
        return
      }
      event.currentTarget.setPointerCapture(event.pointerId)
      drag(event)
    },
    onPointerMove: (event: PointerEvent<SVGSVGElement>) => {
      if (waiting.current && Math.abs(event.clientX - waiting.current.x) >= waiting.current.needs) {
        waiting.current = null
        event.currentTarget.setPointerCapture(event.pointerId)
      }
      if (!waiting.current && event.currentTarget.hasPointerCapture(event.pointerId)) drag(event)
    },
    // The browser takes a finger that goes up or down, and scrolls by it.
    onPointerCancel: () => {
      waiting.current = null
      onDone?.()
    },
    onPointerUp: () => {
      waiting.current = null
      onDone?.()
    },
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.shiftKey ? FINE_STEP : STEP
    const steps: Readonly<Record<string, number>> = {
      ArrowRight: step,
      ArrowUp: step,
      ArrowLeft: -step,
      ArrowDown: -step,
      PageUp: 5,
      PageDown: -5,
    }
    const ends: Readonly<Record<string, number>> = { Home: from, End: to }
    const by = steps[event.key]
    const next = by === undefined ? ends[event.key] : value + by
    if (next === undefined) return
    event.preventDefault()
    move(next)
  }
  return { pointer, onKeyDown }
}

/** @example 45.4 %, inside Cavatelli 43.5 to 50.3, best 46.4 */
function whereWords(value: number, shape: RuleWindow | null): string {
  const at = `${formatPercent(value)} %`
  if (!shape) return at
  const { low, best, high } = shape.window
  const side = tenth(value) < tenth(low) ? 'below' : tenth(value) > tenth(high) ? 'above' : 'inside'
  return `${at}, ${side} ${shape.label} ${formatPercent(low)} to ${formatPercent(high)}, best ${formatPercent(best)}`
}

export function HydrationRule(props: HydrationRuleProps) {
  const { family, from, to, value, shape, methods, marks, label, onChange, onDone } = props
  const [measure, width] = useWidth(1000)
  const hatch = useId()
  const ink = familyInk[family]
  const layout = useMemo(
    () => ruleLayout({ width, from, to, shape, methods, marks }),
    [width, from, to, shape, methods, marks],
  )
  const { pointer, onKeyDown } = useMoves(props, width)
  const x = (percent: number) => ruleX({ width, from, to }, Math.min(to, Math.max(from, percent)))
  const handle = <Pointer x={x(value)} layout={layout} />
  const slider = {
    role: 'slider',
    tabIndex: 0,
    'aria-label': label,
    'aria-valuemin': from,
    'aria-valuemax': to,
    'aria-valuenow': tenth(value),
    'aria-valuetext': whereWords(value, shape),
    onKeyDown,
    onBlur: () => onDone?.(),
  }
  return (
    <div ref={measure} className="w-full">
      <svg
        width={width}
        height={layout.height}
        viewBox={`0 0 ${width} ${layout.height}`}
        className={`block h-auto max-w-full select-none ${onChange ? 'cursor-ew-resize touch-pan-y' : ''}`}
        {...(onChange ? pointer : { role: 'img', 'aria-label': `${label}: ${formatPercent(value)} %` })}
      >
        <HatchPattern id={hatch} family={family} />
        {layout.methods.map((bar) => (
          <MethodBar key={bar.label} bar={bar} ink={ink} hatch={hatch} />
        ))}
        {layout.shape && <ShapeBar bar={layout.shape} ink={ink} />}
        <path d={`M${x(from)} ${layout.lineY}H${x(to)}`} stroke="var(--ink)" strokeWidth="2" />
        <Ticks ticks={layout.ticks} lineY={layout.lineY} />
        {layout.marks.map((mark) => (
          <Mark key={mark.id} mark={mark} lineY={layout.lineY} />
        ))}
        {onChange ? <g {...slider}>{handle}</g> : handle}
      </svg>
    </div>
  )
}
