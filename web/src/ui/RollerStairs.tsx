/** A roller's settings as a staircase. */
import type { Pass } from '@harina/core'
import { useUnits } from './units.ts'

const SMALL = { pxPerMm: 13, stepPx: 52 }
const LARGE = { pxPerMm: 46, stepPx: 128 }

/** Thickness pass by pass, to scale with itself; the setting stands under each. */
interface Props {
  readonly steps: readonly Pass[]
  /** The one to come, at the bench; those before it are done. */
  readonly now?: number
}

export function RollerStairs({ steps, now }: Props) {
  const { length } = useUnits()
  const { pxPerMm, stepPx } = now === undefined ? SMALL : LARGE
  const high = Math.max(...steps.map((step) => step.outMm)) * pxPerMm
  return (
    <svg
      width={steps.length * stepPx + 4}
      height={high + 50}
      className="max-w-full"
      role="img"
      aria-label={steps.map((step) => `setting ${step.setting}: ${length(step.outMm)}`).join(', ')}
    >
      {steps.map((step, index) => {
        const thick = Math.max(2, step.outMm * pxPerMm)
        return (
          <g key={step.setting}>
            <rect
              x={index * stepPx + 2}
              y={high - thick + 20}
              width={stepPx - 6}
              height={thick}
              fill={now === undefined || index < now ? 'var(--family)' : 'none'}
              stroke="var(--ink)"
              strokeWidth={index === now ? 4 : 1.5}
            />
            <text x={index * stepPx + 2} y={high - thick + 14} className="figure fill-second text-sm">
              {length(step.outMm)}
            </text>
            <text x={index * stepPx + 2} y={high + 44} className="figure fill-ink text-3xl font-semibold">
              {step.setting}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
