import type { RackTray } from '@harina/core'
import { useMemo } from 'react'
import { useAnswer } from '#web/ui/useAnswer.ts'
import { forecastOf } from '#web/workers/drying.ts'
import type { ForecastInput, TrayForecast } from '#web/workers/dryingJobs.ts'

/** A quarter of an hour of the tray: as fine as anything is said of it. */
const STEP_H = 0.25

/** The forecast of a tray, worked out away from the page; while a newer one is on its way the one before stands. */
export function useForecast(
  tray: RackTray,
  past: readonly RackTray[],
  nowMs: number,
  scaleStepG: number,
): TrayForecast | null {
  const stepMs = (STEP_H * 3_600_000) / tray.pace
  // Right after a weighing the forecast is that of the weighing.
  const atMs = Math.max(Math.floor(nowMs / stepMs) * stepMs, Date.parse(tray.weighed.at(-1)?.at ?? tray.laidAt))
  const question = useMemo(
    (): ForecastInput => ({ tray, past, nowMs: atMs, scaleSdG: scaleStepG }),
    [tray, past, atMs, scaleStepG],
  )
  const { last } = useAnswer(question, forecastOf)
  return last?.question.tray.id === tray.id ? last.answer : null
}
