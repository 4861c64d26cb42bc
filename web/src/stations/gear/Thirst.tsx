/** How a lot was got to know: what each batch wanted against the table, and the belief that grew of it, with its band. */
import { beliefsOver, formatNumber, formatPoints, giveOrTake, lotFromHistory, unlike, type Taught } from '@harina/core'
import { useMemo } from 'react'
import { Chart, type Inks } from '../../ui/chart/Chart.tsx'
import { Term } from '#web/ui/Term.tsx'
import { UnlikeBatch } from '#web/ui/UnlikeBatch.tsx'

const HEIGHT = 132

const axis = ({ second, line }: Inks) => ({
  axisLine: { lineStyle: { color: second } },
  axisTick: { show: false },
  axisLabel: { color: second, fontFamily: 'Barlow Semi Condensed', fontSize: 14 },
  splitLine: { lineStyle: { color: line } },
})

export function Thirst({ lot, taught }: { lot: string; taught: readonly Taught[] }) {
  const beliefs = useMemo(() => beliefsOver(taught), [taught])
  const points = useMemo(() => taught.map((each) => each.points), [taught])
  const last = lotFromHistory(taught)
  const told = useMemo(() => unlike(taught), [taught])
  const table = useMemo(
    () => ({
      caption: `${lot}: what its batches wanted against the table, points of water on flour`,
      head: ['batch', 'wanted', 'believed after it', 'give or take'],
      rows: points.map((wanted, n) => {
        const belief = beliefs[n + 1]!
        return [String(n + 1), formatPoints(wanted), formatPoints(belief.shift), formatNumber(giveOrTake(belief), 1)]
      }),
    }),
    [lot, points, beliefs],
  )
  const reach = Math.max(
    2,
    ...points.map(Math.abs),
    ...beliefs.slice(1).map((belief) => Math.abs(belief.shift) + giveOrTake(belief)),
  )
  return (
    <div>
      <p className="small">
        wants <strong className="text-ink">{formatPoints(last.shift)} points</strong> against the table,{' '}
        <Term of="give or take">give or take</Term> {formatNumber(giveOrTake(last), 1)}
      </p>
      {told.map((each) => (
        <UnlikeBatch key={each.batch} taught={each} />
      ))}
      <Chart
        table={table}
        height={HEIGHT}
        option={(inks) => ({
          grid: { left: 34, right: 10, top: 10, bottom: 22 },
          xAxis: {
            ...axis(inks),
            type: 'category',
            data: points.map((_, n) => String(n + 1)),
            boundaryGap: points.length === 1,
            splitLine: { show: false },
          },
          yAxis: {
            ...axis(inks),
            type: 'value',
            min: -Math.ceil(reach),
            max: Math.ceil(reach),
            interval: Math.ceil(reach),
            axisLabel: {
              ...axis(inks).axisLabel,
              formatter: (value: number) => (value === 0 ? 'table' : formatPoints(value).replace('.0', '')),
            },
          },
          series: [
            {
              type: 'line',
              data: beliefs.slice(1).map((belief) => belief.shift - giveOrTake(belief)),
              stack: 'band',
              stackStrategy: 'all',
              symbol: 'none',
              lineStyle: { opacity: 0 },
            },
            {
              type: 'line',
              data: beliefs.slice(1).map((belief) => 2 * giveOrTake(belief)),
              stack: 'band',
              stackStrategy: 'all',
              symbol: 'none',
              lineStyle: { opacity: 0 },
              areaStyle: { color: inks.semolina, opacity: 0.28 },
            },
            {
              type: 'line',
              data: beliefs.slice(1).map(({ shift }) => shift),
              symbol: 'none',
              lineStyle: { color: inks.semolina, width: 3 },
            },
            {
              type: 'scatter',
              data: [...points],
              symbolSize: 9,
              itemStyle: { color: inks.sheet, borderColor: inks.ink, borderWidth: 1.6 },
            },
          ],
        })}
      />
    </div>
  )
}
