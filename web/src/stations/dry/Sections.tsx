/** One piece cut across as it dries: each layer as wet as the numbers have it, the fuller its colour the wetter. */
import { formatNumber, type RackTray } from '@harina/core'
import { useUnits } from '#web/ui/units.ts'
import { hoursShort } from '#web/words/index.ts'
import type { TrayForecast } from '#web/workers/dryingJobs.ts'

const SIZE = 62
const DRIEST = 0.08
/** Rings or bands that a piece is drawn in: more than the eye tells apart. */
const LAYERS = 16

interface OneProps {
  readonly moisture: readonly number[]
  readonly depths: readonly number[]
  readonly wettest: number
  readonly round: boolean
}

/** The moisture at a depth, as a share of the half thickness. */
const wetAt = (depths: readonly number[], moisture: readonly number[], depth: number): number =>
  moisture[depths.findIndex((each) => each >= depth)] ?? moisture.at(-1) ?? 0

function One({ moisture, depths, wettest, round }: OneProps) {
  const middle = SIZE / 2
  const shade = (wet: number) => 0.08 + 0.92 * Math.min(1, Math.max(0, (wet - DRIEST) / (wettest - DRIEST)))
  const thick = (middle - 1) / LAYERS
  return (
    <svg viewBox={`0 0 ${SIZE} ${SIZE}`} width={SIZE} height={SIZE} aria-hidden="true">
      {Array.from({ length: LAYERS }, (_, n) => {
        const opacity = shade(wetAt(depths, moisture, (n + 0.5) / LAYERS))
        if (round)
          return (
            <circle
              key={n}
              cx={middle}
              cy={middle}
              r={(n + 0.5) * thick}
              fill="none"
              stroke="var(--family)"
              strokeWidth={thick}
              opacity={opacity}
            />
          )
        // Whole pixels, so that no seam shows between two bands.
        const [from, to] = [Math.round(n * thick), Math.round((n + 1) * thick)]
        return (
          <g key={n} fill="var(--family)" opacity={opacity}>
            <rect x={middle + from} y="1" width={to - from} height={SIZE - 2} />
            <rect x={middle - to} y="1" width={to - from} height={SIZE - 2} />
          </g>
        )
      })}
      {round ? (
        <circle cx={middle} cy={middle} r={middle - 1} fill="none" stroke="var(--second)" />
      ) : (
        <rect x="1" y="1" width={SIZE - 2} height={SIZE - 2} fill="none" stroke="var(--second)" />
      )}
    </svg>
  )
}

export function Sections({ tray, forecast }: { tray: RackTray; forecast: TrayForecast }) {
  const { length } = useUnits()
  const { depths, at } = forecast.profiles
  const { body, moisture: start } = tray.layout
  const round = body.geometry !== 'slab'
  return (
    <section aria-label="Through one piece">
      <h2 className="head mb-1 text-lg">
        Through one {round ? 'strand' : 'wall'}, {length(2 * body.halfThicknessMm)}{' '}
        <span className="small font-normal">water, middle to surface; the fuller the colour, the wetter</span>
      </h2>
      <ul className="flex flex-wrap gap-x-3 gap-y-2">
        {at.map(({ h, moisture }) => {
          const isNow = Math.abs(h - forecast.nowH) < 0.01
          return (
            <li key={h} className={`border-t-4 pt-1 ${isNow ? 'border-ink' : 'border-transparent'}`}>
              <One moisture={moisture} depths={depths} wettest={start} round={round} />
              <p className="figure text-label leading-tight">
                {isNow ? 'now' : h === 0 ? 'at first' : hoursShort(h)}
                <span className="small block">
                  {formatNumber(100 * (moisture[0] ?? 0), 0)} to {formatNumber(100 * (moisture.at(-1) ?? 0), 0)} %
                </span>
              </p>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
