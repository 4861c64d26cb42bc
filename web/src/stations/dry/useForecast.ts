import type { RackTray } from '@harina/core'
import { useEffect, useRef, useState } from 'react'
import { forecastOf } from '#web/workers/drying.ts'
import type { ForecastInput, TrayForecast } from '#web/workers/dryingJobs.ts'

/** A quarter of an hour of the tray: as fine as anything is said of it. */
const STEP_H = 0.25

/**
 * The forecast of a tray, worked out away from the page; while a newer one is on its way the one before stands. One is asked for
 * at a time, and the latest question next: a slow device falls behind the clock, and never silent.
 */
export function useForecast(
  tray: RackTray,
  past: readonly RackTray[],
  nowMs: number,
  scaleStepG: number,
): TrayForecast | null {
  const [known, setKnown] = useState<{ of: string; forecast: TrayForecast } | null>(null)
  const wanted = useRef<ForecastInput | null>(null)
  const isBusy = useRef(false)
  const isGone = useRef(false)
  const stepMs = (STEP_H * 3_600_000) / tray.pace
  // Right after a weighing the forecast is that of the weighing.
  const atMs = Math.max(Math.floor(nowMs / stepMs) * stepMs, Date.parse(tray.weighed.at(-1)?.at ?? tray.laidAt))
  useEffect(() => {
    isGone.current = false
    return () => {
      isGone.current = true
    }
  }, [])
  useEffect(() => {
    const ask = async () => {
      if (isBusy.current) return
      isBusy.current = true
      for (let input = wanted.current; input && !isGone.current; input = wanted.current) {
        wanted.current = null
        const forecast = await forecastOf(input).catch(() => null)
        if (forecast && !isGone.current) setKnown({ of: input.tray.id, forecast })
      }
      isBusy.current = false
    }
    wanted.current = { tray, past, nowMs: atMs, scaleSdG: scaleStepG }
    void ask()
  }, [tray, past, atMs, scaleStepG])
  return known?.of === tray.id ? known.forecast : null
}
