/** The hydration rule: water per 100 of flour, drawn like a printed ruler, with the windows over it and the marks under it. */
import { formatPercent } from '@harina/core'
import { useId, useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { familyInk, HatchPattern, type Family } from '../family.tsx'
import { useWidth } from '../useWidth.ts'
import { rulePercent, ruleLayout, ruleX, type Bar, type RuleMark, type RuleWindow } from './ruleLayout.ts'

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
      <text x={bar.x} y={bar.y - 5} className="fill-ink text-[14px] font-semibold">
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
      <text x={bar.labelX} y={bar.y + bar.height - 2} textAnchor={bar.labelAnchor} className="fill-second text-[14px]">
        {bar.label}
      </text>
    </g>
  )
}

function Mark({ mark, lineY }: { mark: ReturnType<typeof ruleLayout>['marks'][number]; lineY: number }) {
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
      <text x={mark.labelX} y={mark.y} textAnchor={mark.anchor} className="fill-second text-[14px]">
        {mark.label}
      </text>
    </g>
  )
}

export function HydrationRule(props: HydrationRuleProps) {
  const { family, from, to, value, shape, methods, marks, label, onChange, onDone } = props
  const [measure, width] = useWidth(1000)
  const svg = useRef<SVGSVGElement>(null)
  const hatch = useId()
  const ink = familyInk[family]
  const layout = useMemo(
    () => ruleLayout({ width, from, to, shape, methods, marks }),
    [width, from, to, shape, methods, marks],
  )
  const x = ruleX({ width, from, to }, Math.min(to, Math.max(from, value)))

  const moveTo = (event: PointerEvent) => {
    const left = svg.current?.getBoundingClientRect().left ?? 0
    const percent = rulePercent({ width, from, to }, event.clientX - left)
    onChange?.(Math.round(Math.min(to, Math.max(from, percent)) * 10) / 10)
  }
  const key = (event: KeyboardEvent) => {
    const step = event.shiftKey ? FINE_STEP : STEP
    const steps: Record<string, number> = {
      ArrowRight: step,
      ArrowUp: step,
      ArrowLeft: -step,
      ArrowDown: -step,
      PageUp: 5,
      PageDown: -5,
    }
    const by = steps[event.key]
    if (by === undefined) return
    event.preventDefault()
    onChange?.(Math.round(Math.min(to, Math.max(from, value + by)) * 10) / 10)
  }

  const top = layout.shape ? layout.shape.y + layout.shape.height - 4 : 0
  const pointer = (
    <g className="glide" style={{ transform: `translateX(${x}px)` }}>
      <path d={`M0 ${Math.max(0, top - 14)}V${layout.lineY + 30}`} stroke="var(--ink)" strokeWidth="2.5" />
      <path d={`M-9 ${layout.lineY - 15}h18l-9 15z`} fill="var(--ink)" />
    </g>
  )

  return (
    <div ref={measure} className="w-full">
      <svg
        ref={svg}
        width={width}
        height={layout.height}
        className={`block max-w-full select-none ${onChange ? 'cursor-ew-resize touch-pan-y' : ''}`}
        role={onChange ? undefined : 'img'}
        aria-label={onChange ? undefined : `${label}: ${formatPercent(value)} %`}
        onPointerDown={(event) => {
          if (!onChange || event.button !== 0) return
          event.currentTarget.setPointerCapture(event.pointerId)
          moveTo(event)
        }}
        onPointerMove={(event) => event.currentTarget.hasPointerCapture(event.pointerId) && moveTo(event)}
        onPointerUp={() => onDone?.()}
      >
        <HatchPattern id={hatch} family={family} />
        {layout.methods.map((bar) => (
          <MethodBar key={bar.label} bar={bar} ink={ink} hatch={hatch} />
        ))}
        {layout.shape && <ShapeBar bar={layout.shape} ink={ink} />}
        <path
          d={`M${ruleX({ width, from, to }, from)} ${layout.lineY}H${ruleX({ width, from, to }, to)}`}
          stroke="var(--ink)"
          strokeWidth="2"
        />
        {layout.ticks.map((tick) => (
          <g key={tick.x}>
            <path
              d={`M${tick.x} ${layout.lineY}v${tick.length}`}
              stroke="var(--ink)"
              strokeWidth={tick.length === 20 ? 1.6 : 0.8}
              opacity={tick.length === 6 ? 0.55 : 1}
            />
            {tick.label && (
              <text x={tick.x} y={layout.lineY + 38} textAnchor="middle" className="figure fill-ink text-[18px]">
                {tick.label}
              </text>
            )}
          </g>
        ))}
        {layout.marks.map((mark) => (
          <Mark key={mark.id} mark={mark} lineY={layout.lineY} />
        ))}
        {onChange ? (
          <g
            role="slider"
            tabIndex={0}
            aria-label={label}
            aria-valuemin={from}
            aria-valuemax={to}
            aria-valuenow={Math.round(value * 10) / 10}
            aria-valuetext={`${formatPercent(value)} %`}
            onKeyDown={key}
            onBlur={() => onDone?.()}
          >
            {pointer}
          </g>
        ) : (
          pointer
        )}
      </svg>
    </div>
  )
}
