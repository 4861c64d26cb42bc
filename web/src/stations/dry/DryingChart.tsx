/** What the scale will show: the forecast with its band, the weighings on it, the weight to pack at, and the hour of it. */
import type { RackTray } from '@harina/core'
import { useMemo } from 'react'
import { Chart, type ChartTable } from '#web/ui/chart/Chart.tsx'
import { usePhone } from '#web/ui/usePhone.ts'
import { useUnits } from '#web/ui/units.ts'
import { hourOf, type Worded } from '#web/words/index.ts'
import type { TrayForecast } from '#web/workers/dryingJobs.ts'
import { dryingOption, weightsOf, type Weights } from './dryingOption.ts'

interface Props {
  readonly tray: RackTray
  readonly forecast: TrayForecast
  readonly stepG: number
}

/** Read aloud: every eighth of the forecast's hours. */
const TOLD_EVERY = 8

const tableOf = (
  { tray, forecast, stepG }: Props,
  { weighed }: Weights,
  { mass }: Pick<Worded, 'mass'>,
): ChartTable => ({
  caption: `${tray.name}: what the scale shows, tray and all, and what is expected`,
  head: ['when', 'weighed', 'expected', 'between'],
  rows: [
    ...weighed.map(([h, grams]) => [hourOf(tray, h), mass(grams, stepG), '', '']),
    ...forecast.band
      .filter((_, n) => n % TOLD_EVERY === 0)
      .map(({ h, grams, low, high }) => [
        hourOf(tray, h),
        '',
        mass(grams + tray.trayG, stepG),
        `${mass(Math.min(low, high) + tray.trayG, stepG)} to ${mass(Math.max(low, high) + tray.trayG, stepG)}`,
      ]),
  ],
})

export function DryingChart({ tray, forecast, stepG }: Props) {
  const units = useUnits()
  const narrow = usePhone()
  const weights = useMemo(() => weightsOf(tray, forecast), [tray, forecast])
  const table = useMemo(
    () => tableOf({ tray, forecast, stepG }, weights, units),
    [tray, forecast, stepG, weights, units],
  )
  return (
    <Chart
      table={table}
      height={narrow ? 250 : 268}
      option={(inks) => dryingOption({ tray, forecast, weights, stepG, units, narrow }, inks)}
    />
  )
}
