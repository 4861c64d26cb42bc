/** How the water goes in: how much core is left, minute by minute, and where firm and done lie. */
import { formatNumber } from '@harina/core'
import { useMemo } from 'react'
import { Chart } from '#web/ui/chart/Chart.tsx'
import { minuteSpan } from '#web/words/index.ts'
import type { Basket } from './baskets.ts'

const FONT = 'Barlow Semi Condensed'

export function Inside({ basket }: { basket: Basket }) {
  const { cooking, span } = basket
  const curve = cooking?.model.heatOnly ? null : cooking?.model.curve
  // The table's times are the anchor: where the model has a tenth of raw core left, it is firm by the table.
  const firm = curve?.find(({ coreFraction }) => coreFraction <= 0.1)
  const scale = firm && firm.min > 0 ? span[0] / firm.min : 1
  const table = useMemo(
    () => ({
      caption: `${basket.name}: what is still raw inside, and the water in it`,
      head: ['minutes', 'core, of the thickness', 'water'],
      rows: (curve ?? [])
        .filter((_, n) => n % 7 === 0)
        .map(({ min, moisture, coreFraction }) => [
          formatNumber(min * scale, 1),
          `${formatNumber(100 * coreFraction, 0)} %`,
          `${formatNumber(100 * moisture, 0)} %`,
        ]),
    }),
    [basket.name, curve, scale],
  )
  if (!cooking) return null
  if (!curve)
    return (
      <p className="small max-w-[60ch]">
        {basket.name} holds its water already: it is done when its middle is hot, {minuteSpan(span)}
        {basket.afterFloatMin !== null && ', and a little after it floats'}.
      </p>
    )
  return (
    <section aria-label={`Inside ${basket.name}`}>
      <h2 className="head text-lg">
        Inside {basket.name}{' '}
        <span className="small font-normal">still raw, of its thickness; done where the bar stands</span>
      </h2>
      <Chart
        table={table}
        height={170}
        option={(inks) => ({
          grid: { left: 46, right: 16, top: 14, bottom: 26 },
          xAxis: {
            type: 'value',
            min: 0,
            max: Math.ceil(span[1] * 1.15),
            axisLine: { lineStyle: { color: inks.second } },
            axisTick: { show: false },
            splitLine: { show: false },
            axisLabel: { color: inks.second, fontFamily: FONT, fontSize: 14, formatter: '{value} min' },
          },
          yAxis: {
            type: 'value',
            min: 0,
            max: 100,
            interval: 50,
            axisLabel: { color: inks.second, fontFamily: FONT, fontSize: 14, formatter: '{value} %' },
            splitLine: { lineStyle: { color: inks.line } },
          },
          series: [
            {
              type: 'line',
              data: curve.map(({ min, coreFraction }) => [min * scale, 100 * coreFraction]),
              symbol: 'none',
              lineStyle: { color: inks.family, width: 3 },
              areaStyle: { color: inks.family, opacity: 0.2 },
              markArea: {
                silent: true,
                itemStyle: { color: inks.ink, opacity: 0.14 },
                data: [[{ xAxis: span[0] }, { xAxis: span[1] }]],
              },
            },
          ],
        })}
      />
    </section>
  )
}
