/** Weigh a piece now and then: are they even, does the hand drift, what the pot makes of the spread. */
import { formatNumber, PIECE_TOLERANCE_PERCENT, sampleReport, type SampleReport } from '@harina/core'
import { useMemo, useState } from 'react'
import { recordTap } from '#web/state/bench.ts'
import { Chart } from '#web/ui/chart/Chart.tsx'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useUnits } from '#web/ui/units.ts'
import { ScaleStrip } from '#web/ui/scale/ScaleStrip.tsx'
import { useBench } from '../view.tsx'
import { counted } from '#web/words/index.ts'

const HEIGHT = 92
/** Of the last pieces. */
const SHOWN = 30

/** Pieces as dots, the hand as a line, the reference between its tolerances. */
function Pieces({ report }: { report: SampleReport }) {
  const { mass, massFigure } = useUnits()
  const { grams, ewma, targetG, driftFrom, drift } = report
  const first = Math.max(0, grams.length - SHOWN)
  const shown = grams.slice(first)
  const reach = Math.max(targetG * 0.2, ...shown.map((each) => Math.abs(each - targetG))) * 1.1
  const within = (targetG * PIECE_TOLERANCE_PERCENT) / 100
  const drifted = (index: number) => driftFrom !== null && first + index >= driftFrom
  const table = useMemo(
    () => ({
      caption: `${counted(grams.length, 'piece')} weighed round ${mass(targetG, 0.01)}${drift === 'none' ? '' : `, drifting ${drift}`}`,
      head: ['piece', 'weighed', 'where the hand stands'],
      rows: grams.map((each, n) => [String(n + 1), mass(each, 0.01), mass(ewma[n] ?? targetG, 0.01)]),
    }),
    [grams, ewma, targetG, drift, mass],
  )
  return (
    <Chart
      table={table}
      height={HEIGHT}
      option={(inks) => ({
        grid: { left: 44, right: 8, top: 6, bottom: 6 },
        xAxis: { type: 'value', min: 0.5, max: Math.max(10, shown.length) + 0.5, show: false },
        yAxis: {
          type: 'value',
          min: targetG - reach,
          max: targetG + reach,
          splitLine: { show: false },
          axisLine: { show: false },
          axisTick: { show: false },
          axisLabel: { show: false },
        },
        series: [
          {
            type: 'line',
            data: ewma.slice(first).map((each, index) => [index + 1, each]),
            symbol: 'none',
            lineStyle: { color: inks.ink, width: 2.5 },
            markArea: {
              silent: true,
              itemStyle: { color: inks.line, opacity: 0.5 },
              data: [[{ yAxis: targetG - within }, { yAxis: targetG + within }]],
            },
            markLine: {
              silent: true,
              symbol: 'none',
              lineStyle: { color: inks.ink, type: 'solid', width: 1 },
              label: {
                position: 'start',
                color: inks.second,
                fontFamily: 'Barlow Semi Condensed',
                fontSize: 15,
                formatter: massFigure(targetG, 0.01),
              },
              data: [{ yAxis: targetG }],
            },
          },
          {
            type: 'scatter',
            symbolSize: 10,
            data: shown.map((each, index) => ({
              value: [index + 1, each],
              itemStyle: {
                color: drifted(index) ? inks.danger : inks.sheet,
                borderColor: inks.ink,
                borderWidth: 1.6,
              },
            })),
          },
        ],
      })}
    />
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
      <Pieces report={report} />
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
