/** Weigh a piece now and then: are they even, does the hand drift, what the pot makes of the spread. */
import { formatNumber, PIECE_TOLERANCE_PERCENT, sampleReport, type SampleReport } from '@harina/core'
import { useState } from 'react'
import { recordTap } from '#web/state/bench.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useUnits } from '#web/ui/units.ts'
import { ScaleStrip } from '../scale/ScaleStrip.tsx'
import { useBench } from '../StepSheet.tsx'

const [WIDE, HIGH] = [420, 104]
/** Of the last pieces. */
const SHOWN = 30

/** Pieces as dots, the hand as a line, the reference between its tolerances; to scale with itself. */
function Chart({ report }: { report: SampleReport }) {
  const { mass } = useUnits()
  const { grams, ewma, targetG, driftFrom, drift } = report
  const first = Math.max(0, grams.length - SHOWN)
  const shown = grams.slice(first)
  const reach = Math.max(targetG * 0.2, ...shown.map((each) => Math.abs(each - targetG))) * 1.1
  const x = (index: number) => 14 + ((index - first) * (WIDE - 28)) / Math.max(9, shown.length - 1)
  const y = (each: number) => HIGH / 2 - ((each - targetG) / reach) * (HIGH / 2 - 6)
  const within = (targetG * PIECE_TOLERANCE_PERCENT) / 100
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      width={WIDE}
      className="h-auto max-w-full"
      role="img"
      aria-label={`${grams.length} pieces weighed round ${mass(targetG, 0.01)}${drift === 'none' ? '' : `, drifting ${drift}`}`}
    >
      <rect
        x="0"
        y={y(targetG + within)}
        width={WIDE}
        height={y(targetG - within) - y(targetG + within)}
        fill="var(--line)"
        opacity="0.5"
      />
      <path d={`M0 ${y(targetG)}H${WIDE}`} stroke="var(--ink)" strokeWidth="1" />
      <path
        d={ewma
          .slice(first)
          .map((each, index) => `${index === 0 ? 'M' : 'L'}${x(first + index)} ${y(each)}`)
          .join('')}
        stroke="var(--ink)"
        strokeWidth="2.5"
        fill="none"
      />
      {shown.map((each, index) => (
        <circle
          key={first + index}
          cx={x(first + index)}
          cy={y(each)}
          r="5"
          fill={driftFrom !== null && first + index >= driftFrom ? 'var(--danger)' : 'var(--sheet)'}
          stroke="var(--ink)"
          strokeWidth="1.6"
        />
      ))}
    </svg>
  )
}

function useWords(report: SampleReport): string {
  const { length } = useUnits()
  const { drift, offPercent, cutMm, cvPercent, outside, grams } = report
  const percent = formatNumber(Math.abs(offPercent), 0)
  if (drift !== 'none')
    return `Pieces are getting ${drift === 'up' ? 'heavier' : 'lighter'}, ${percent} % by now. ${
      cutMm === null
        ? 'Hold the next ones against the reference.'
        : `Cut at ${length(cutMm)} until they match the reference again.`
    }`
  if (cvPercent === null) return 'One is no measure yet. Weigh another in a while.'
  if (cvPercent > PIECE_TOLERANCE_PERCENT)
    return `Uneven: they stray by ${formatNumber(cvPercent, 0)} %. Slow down, and cut against the reference piece.`
  return `Even enough: they stray by ${formatNumber(cvPercent, 0)} %${outside > 0 ? `, ${outside} of ${grams.length} further than ${PIECE_TOLERANCE_PERCENT} %` : ''}.`
}

function Report({ report }: { report: SampleReport }) {
  const words = useWords(report)
  const { potSpreadMin } = report
  return (
    <div className="max-w-107.5">
      <Chart report={report} />
      <p className="text-md leading-snug" role="status">
        {words}
        {potSpreadMin !== null &&
          potSpreadMin >= 0.5 &&
          ` In the pot the heaviest want about ${formatNumber(potSpreadMin, 1)} min longer than the lightest.`}
      </p>
    </div>
  )
}

export function EvenPieces() {
  const { running } = useBench()
  const { batch, state } = running
  const { massFigure, units } = useUnits()
  const report = sampleReport(batch.plan, state)
  const [grams, setGrams] = useState<number | null>(null)
  return (
    <section aria-label="Even pieces" className="border-t border-line pt-2">
      <h2 className="head text-lg">Even pieces</h2>
      <ScaleStrip
        target={{
          label: 'one piece',
          targetG: null,
          take: (weighed) => void recordTap(batch, { type: 'sampled', grams: weighed }),
        }}
      />
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <div className="flex items-center gap-3">
          <QuantityField
            label="A piece weighs"
            shown={grams === null ? '' : massFigure(grams, 0.01)}
            unit="g"
            min={0.01}
            max={10_000}
            widthCh={6}
            className="figure text-4xl font-semibold"
            onChange={setGrams}
          />
          <span>{units.mass}</span>
          <button
            type="button"
            className="box min-h-12 px-4 font-semibold"
            disabled={grams === null}
            onClick={() => {
              if (grams === null) return
              void recordTap(batch, { type: 'sampled', grams })
              setGrams(null)
            }}
          >
            Note this piece
          </button>
        </div>
        {report ? <Report report={report} /> : <p className="text-second">Weigh one every twenty or so.</p>}
      </div>
    </section>
  )
}
