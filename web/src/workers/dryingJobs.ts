import type { RackTray } from '@harina/core'
import {
  forecastTray,
  LONGEST_H,
  programmes,
  requestOf,
  trayIn,
  type Forecast,
  type ProgrammeRequest,
} from '@harina/core/rack'
import { dry, DRYING_MODEL, profilesOf, type Profiles, type Tray } from '@harina/core/transport'

export interface ForecastInput {
  readonly tray: RackTray
  readonly nowMs: number
  readonly scaleSdG: number
}

export interface TrayForecast extends Forecast {
  /** Through one piece: at the start, on the way, now, and at the end. */
  readonly profiles: Profiles
}

/** Of one way to dry a tray, what a maker compares. */
export interface Tried {
  readonly hours: number | null
  readonly never: boolean
  readonly lagAt18: number | null
  readonly warmWetH: number
  readonly endsAt: number
}

const SECTIONS = [0, 0.08, 0.2, 0.4, 0.7, 1]

function profilesFor(tray: RackTray, forecast: Forecast): Profiles {
  const { fit, hoursToTarget, nowH } = forecast
  const request = requestOf(tray)
  const fitted: Tray = fit
    ? { ...request, model: { ...DRYING_MODEL, scaleD: fit.scaleD, scaleK: fit.scaleK } }
    : request
  const end = hoursToTarget ?? Math.min(LONGEST_H, Math.max(nowH, 1) * 2)
  const hours = [...new Set([...SECTIONS.map((share) => share * end), Math.min(nowH, LONGEST_H)])]
  return profilesOf(
    fitted,
    hours.sort((a, b) => a - b),
  )
}

export const dryingJobs = {
  forecast: (input: ForecastInput): TrayForecast => {
    const forecast = forecastTray(input.tray, input.nowMs, input.scaleSdG)
    return { ...forecast, profiles: profilesFor(input.tray, forecast) }
  },
  programme: (request: ProgrammeRequest, tell: (done: number, of: number) => void) => programmes(request, tell),
  compare: (trays: readonly Parameters<typeof trayIn>[]): readonly Tried[] =>
    trays.map((each) => {
      const { hoursToTarget, never, coreLagAt18, warmWetH, equilibriumMoisture } = dry(trayIn(...each), {
        maxH: LONGEST_H,
        onlyTarget: true,
      })
      return { hours: hoursToTarget, never, lagAt18: coreLagAt18, warmWetH, endsAt: equilibriumMoisture }
    }),
}
export type DryingJobs = typeof dryingJobs
