/** A tray's weights as they are drawn: the band, the curve and the weighings, the weight to pack at, and the hours that matter. */
import { formatPercent, GRAMS_IN, trayHours, trayTimeMs, type RackTray } from '@harina/core'
import type { Inks } from '#web/ui/chart/Chart.tsx'
import type { Option } from '#web/ui/chart/draw.ts'
import { hourOf, hourOnAxis, type Worded } from '#web/words/index.ts'
import type { TrayForecast } from '#web/workers/dryingJobs.ts'

type Points = readonly (readonly [h: number, grams: number])[]

/** Grams as the scale has them, tray and all, from hour to hour. */
export interface Weights {
  readonly curve: Points
  readonly low: Points
  /** Of the band over `low`. */
  readonly width: Points
  readonly weighed: Points
}

export function weightsOf(tray: RackTray, { band }: TrayForecast): Weights {
  const { trayG, startG } = tray
  return {
    curve: band.map(({ h, grams }) => [h, grams + trayG]),
    low: band.map(({ h, low, high }) => [h, Math.min(low, high) + trayG]),
    width: band.map(({ h, low, high }) => [h, Math.abs(high - low)]),
    weighed: [
      [0, startG + trayG],
      ...tray.weighed.map(({ at, grams }) => [trayHours(tray, Date.parse(at)), grams + trayG] as const),
    ],
  }
}

const FONT = 'Barlow Semi Condensed'
const words = (inks: Inks) => ({ color: inks.ink, fontFamily: FONT, fontSize: 15 })
const onAxis = (inks: Inks) => ({ color: inks.second, fontFamily: FONT, fontSize: 14 })
const stacked = {
  type: 'line',
  stack: 'band',
  stackStrategy: 'all',
  symbol: 'none',
  lineStyle: { opacity: 0 },
}

interface Drawn {
  readonly tray: RackTray
  readonly forecast: TrayForecast
  readonly weights: Weights
  readonly stepG: number
  readonly units: Worded
  readonly narrow: boolean
}

/** Where hours and grams stand. In the maker's unit, so that the lines across stand at round figures of it. */
function scalesOf({ tray, forecast: { targetG, nowH }, weights: { curve, weighed }, units }: Drawn) {
  const perUnit = GRAMS_IN[units.units.mass]
  // By the clock; of a tray to practise with, its own hours.
  const x = (h: number) => (tray.pace === 1 ? trayTimeMs(tray, h) : h)
  const y = (grams: number) => grams / perUnit
  const lowest = Math.min(targetG + tray.trayG, ...curve.map(([, grams]) => grams))
  const highest = Math.max(...weighed.map(([, grams]) => grams))
  const room = Math.max(1, (highest - lowest) * 0.14)
  return {
    x,
    y,
    placed: (points: Points) => points.map(([h, grams]) => [x(h), y(grams)]),
    figure: (shown: number, stepG: number) => units.massFigure(shown * perUnit, stepG),
    toH: Math.max(curve.at(-1)?.[0] ?? 1, nowH),
    bottom: y(lowest - room),
    top: y(highest + room),
  }
}
type Scales = ReturnType<typeof scalesOf>

/** The weight to pack at, the hour of it, and when to weigh next. */
function marks({ tray, forecast, weights: { curve }, stepG, units }: Drawn, { x, y, top }: Scales, inks: Inks) {
  const { hoursToTarget, targetG, weighNextH } = forecast
  const packed = {
    yAxis: y(targetG + tray.trayG),
    lineStyle: { color: inks.ink, type: 'dashed', width: 1.2 },
    label: {
      // Under the line, where the curve never comes.
      position: 'insideStartBottom',
      formatter: `${units.mass(targetG + tray.trayG, stepG)}: dry enough to pack, ${formatPercent(100 * tray.layout.target)} %`,
    },
  }
  const dry = hoursToTarget !== null &&
    hoursToTarget > 0 && {
      xAxis: x(hoursToTarget),
      lineStyle: { color: inks.family, type: 'solid', width: 2.5 },
      label: { position: 'end', formatter: hourOf(tray, hoursToTarget), fontSize: 17, fontWeight: 600 },
    }
  const next = weighNextH !== null && (curve.find(([h]) => h >= weighNextH) ?? curve.at(-1))
  // Down to the curve, and not through the words below it.
  const weigh = next && [
    {
      coord: [x(weighNextH), top],
      lineStyle: { color: inks.second, type: 'dotted', width: 1.5 },
      label: { position: 'start', formatter: 'weigh next', color: inks.second },
    },
    { coord: [x(weighNextH), y(next[1])] },
  ]
  return [packed, dry, weigh].filter(Boolean)
}

export function dryingOption(drawn: Drawn, inks: Inks): Option {
  const { tray, weights, stepG, narrow } = drawn
  const scales = scalesOf(drawn)
  const { x, placed, figure, toH, bottom, top } = scales
  return {
    grid: { left: 52, right: 18, top: 26, bottom: 30 },
    xAxis: {
      type: tray.pace === 1 ? 'time' : 'value',
      min: x(0),
      max: x(toH),
      splitNumber: narrow ? 3 : 6,
      axisLine: { lineStyle: { color: inks.second } },
      axisTick: { show: false },
      splitLine: { show: false },
      axisLabel: { ...onAxis(inks), hideOverlap: true, formatter: (at: number) => hourOnAxis(tray, at) },
    },
    yAxis: {
      type: 'value',
      min: bottom,
      max: top,
      splitNumber: 4,
      axisLine: { show: true, lineStyle: { color: inks.second } },
      axisTick: { show: false },
      splitLine: { lineStyle: { color: inks.line } },
      axisLabel: {
        ...onAxis(inks),
        showMinLabel: false,
        showMaxLabel: false,
        formatter: (shown: number) => figure(shown, 1),
      },
    },
    series: [
      { ...stacked, data: placed(weights.low) },
      { ...stacked, data: placed(weights.width), areaStyle: { color: inks.family, opacity: 0.28 } },
      {
        type: 'line',
        data: placed(weights.curve),
        symbol: 'none',
        lineStyle: { color: inks.family, width: 3 },
        markLine: {
          symbol: 'none',
          silent: true,
          animation: false,
          label: words(inks),
          data: marks(drawn, scales, inks),
        },
      },
      {
        type: 'scatter',
        data: placed(weights.weighed),
        symbolSize: 12,
        itemStyle: { color: inks.sheet, borderColor: inks.ink, borderWidth: 2 },
        label: {
          show: weights.weighed.length < 8,
          position: 'right',
          ...words(inks),
          formatter: ({ value }: { value: [number, number] }) => figure(value[1], stepG),
        },
      },
    ],
  }
}
