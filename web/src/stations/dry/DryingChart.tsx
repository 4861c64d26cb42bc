/** What the scale will show: the forecast with its band, the weighings on it, the weight to pack at, and the hour of it. */
import { formatPercent, DRIED_MOISTURE, GRAMS_IN, trayHours, trayTimeMs, type RackTray } from '@harina/core'
import { useMemo } from 'react'
import { Chart, type Inks } from '#web/ui/chart/Chart.tsx'
import { usePhone } from '#web/ui/usePhone.ts'
import { useUnits } from '#web/ui/units.ts'
import { hourOf, hourOnAxis } from '#web/words/index.ts'
import type { TrayForecast } from '#web/workers/dryingJobs.ts'

const FONT = 'Barlow Semi Condensed'

interface Props {
  readonly tray: RackTray
  readonly forecast: TrayForecast
  readonly stepG: number
}

/** Grams as the scale has them, tray and all, from hour to hour. */
function useSeries(tray: RackTray, forecast: TrayForecast) {
  return useMemo(() => {
    const { trayG, startG } = tray
    return {
      curve: forecast.band.map(({ h, grams }): [number, number] => [h, grams + trayG]),
      low: forecast.band.map(({ h, low, high }): [number, number] => [h, Math.min(low, high) + trayG]),
      width: forecast.band.map(({ h, low, high }): [number, number] => [h, Math.abs(high - low)]),
      weighed: [
        [0, startG + trayG] as [number, number],
        ...tray.weighed.map(({ at, grams }): [number, number] => [trayHours(tray, Date.parse(at)), grams + trayG]),
      ],
    }
  }, [tray, forecast])
}

export function DryingChart({ tray, forecast, stepG }: Props) {
  const { mass, massFigure, units } = useUnits()
  const phone = usePhone()
  const { curve, low, width, weighed } = useSeries(tray, forecast)
  const { hoursToTarget, targetG, weighNextH, nowH } = forecast
  const table = useMemo(
    () => ({
      caption: `${tray.name}: what the scale shows, tray and all, and what is expected`,
      head: ['when', 'weighed', 'expected', 'between'],
      rows: [
        ...weighed.map(([h, grams]) => [hourOf(tray, h), mass(grams, stepG), '', '']),
        ...forecast.band
          .filter((_, n) => n % 8 === 0)
          .map(({ h, grams, low: least, high: most }) => [
            hourOf(tray, h),
            '',
            mass(grams + tray.trayG, stepG),
            `${mass(Math.min(least, most) + tray.trayG, stepG)} to ${mass(Math.max(least, most) + tray.trayG, stepG)}`,
          ]),
      ],
    }),
    [tray, forecast, weighed, mass, stepG],
  )
  const toH = Math.max(curve.at(-1)?.[0] ?? 1, nowH)
  const lowest = Math.min(targetG + tray.trayG, ...curve.map(([, grams]) => grams))
  const highest = Math.max(...weighed.map(([, grams]) => grams))
  const room = Math.max(1, (highest - lowest) * 0.14)
  /** By the clock; of a tray to practise with, its own hours. */
  const x = (h: number) => (tray.pace === 1 ? trayTimeMs(tray, h) : h)
  /** In the maker's unit, so that the lines across stand at round figures of it. */
  const y = (grams: number) => grams / GRAMS_IN[units.mass]
  const placed = (points: readonly (readonly [number, number])[]) => points.map(([h, grams]) => [x(h), y(grams)])
  const figure = (shown: number, step: number) => massFigure(shown * GRAMS_IN[units.mass], step)
  const top = y(highest + room)
  const nextG = weighNextH === null ? null : (curve.find(([h]) => h >= weighNextH) ?? curve.at(-1))?.[1]
  const words = (inks: Inks) => ({ color: inks.ink, fontFamily: FONT, fontSize: 15 })
  return (
    <Chart
      table={table}
      height={phone ? 250 : 268}
      option={(inks) => ({
        grid: { left: 52, right: 18, top: 26, bottom: 30 },
        xAxis: {
          type: tray.pace === 1 ? 'time' : 'value',
          min: x(0),
          max: x(toH),
          splitNumber: phone ? 3 : 6,
          axisLine: { lineStyle: { color: inks.second } },
          axisTick: { show: false },
          splitLine: { show: false },
          axisLabel: {
            color: inks.second,
            fontFamily: FONT,
            fontSize: 14,
            hideOverlap: true,
            formatter: (at: number) => hourOnAxis(tray, at),
          },
        },
        yAxis: {
          type: 'value',
          min: y(lowest - room),
          max: top,
          splitNumber: 4,
          axisLine: { show: true, lineStyle: { color: inks.second } },
          axisTick: { show: false },
          splitLine: { lineStyle: { color: inks.line } },
          axisLabel: {
            color: inks.second,
            fontFamily: FONT,
            fontSize: 14,
            showMinLabel: false,
            showMaxLabel: false,
            formatter: (shown: number) => figure(shown, 1),
          },
        },
        series: [
          {
            type: 'line',
            data: placed(low),
            stack: 'band',
            stackStrategy: 'all',
            symbol: 'none',
            lineStyle: { opacity: 0 },
          },
          {
            type: 'line',
            data: placed(width),
            stack: 'band',
            stackStrategy: 'all',
            symbol: 'none',
            lineStyle: { opacity: 0 },
            areaStyle: { color: inks.family, opacity: 0.28 },
          },
          {
            type: 'line',
            data: placed(curve),
            symbol: 'none',
            lineStyle: { color: inks.family, width: 3 },
            markLine: {
              symbol: 'none',
              silent: true,
              animation: false,
              label: { ...words(inks), fontSize: 15 },
              data: [
                {
                  yAxis: y(targetG + tray.trayG),
                  lineStyle: { color: inks.ink, type: 'dashed', width: 1.2 },
                  label: {
                    // Under the line, where the curve never comes.
                    position: 'insideStartBottom',
                    formatter: `${mass(targetG + tray.trayG, stepG)}: dry enough to pack, ${formatPercent(100 * DRIED_MOISTURE)} %`,
                  },
                },
                ...(hoursToTarget !== null && hoursToTarget > 0
                  ? [
                      {
                        xAxis: x(hoursToTarget),
                        lineStyle: { color: inks.family, type: 'solid', width: 2.5 },
                        label: {
                          position: 'end',
                          formatter: hourOf(tray, hoursToTarget),
                          fontSize: 17,
                          fontWeight: 600,
                        },
                      },
                    ]
                  : []),
                // Down to the curve, and not through the words below it.
                ...(weighNextH !== null && nextG
                  ? [
                      [
                        {
                          coord: [x(weighNextH), top],
                          lineStyle: { color: inks.second, type: 'dotted', width: 1.5 },
                          label: { position: 'start', formatter: 'weigh next', color: inks.second },
                        },
                        { coord: [x(weighNextH), y(nextG)] },
                      ],
                    ]
                  : []),
              ],
            },
          },
          {
            type: 'scatter',
            data: placed(weighed),
            symbolSize: 12,
            itemStyle: { color: inks.sheet, borderColor: inks.ink, borderWidth: 2 },
            label: {
              show: weighed.length < 8,
              position: 'right',
              ...words(inks),
              formatter: ({ value }: { value: [number, number] }) => figure(value[1], stepG),
            },
          },
        ],
      })}
    />
  )
}
