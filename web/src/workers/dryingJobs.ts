import type { RackTray, TrayLayout } from '@harina/core'
import {
  airsThrough,
  endsAt,
  forecastTray,
  learntDrying,
  type LearntDrying,
  LONGEST_H,
  programmes,
  requestOf,
  risksOf,
  trayIn,
  type Forecast,
  type ProgrammeRequest,
  type Reaches,
  type Risks,
} from '@harina/core/rack'
import { remembered } from './jobs.ts'
import { cookingOf, type Piece, type PieceCooking } from '@harina/core/stove'
import { courseIn, profilesIn, type DryingModel, type Profiles, type World } from '@harina/core/transport'

export interface ForecastInput {
  readonly tray: RackTray
  readonly nowMs: number
  readonly scaleSdG: number
  /** Earlier trays of this shape in this room, the latest last; empty to go by the table. */
  readonly past: readonly RackTray[]
}

export interface TrayForecast extends Forecast {
  /** Through one piece: at the start, on the way, now, and at the end. */
  readonly profiles: Profiles
  readonly learnt: Pick<LearntDrying, 'factor' | 'n'>
  /** As learnt: for what is compared with it, in the world of the forecast. */
  readonly model: DryingModel
}

/** A tray laid out so, at this hour of the day. */
export interface WayToDry {
  readonly layout: TrayLayout
  readonly startsAt: number
  readonly model: DryingModel
  readonly world: World
}

/** Of one way to dry a tray, what a maker compares. */
export interface Tried extends Risks {
  readonly hours: number | null
  readonly reaches: Reaches
  readonly endsAt: number
}

const SECTIONS = [0, 0.08, 0.2, 0.4, 0.7, 1]

function profilesFor(tray: RackTray, { hoursToTarget, nowH, world }: Forecast, model: DryingModel): Profiles {
  const end = hoursToTarget ?? Math.min(LONGEST_H, Math.max(nowH, 1) * 2)
  const hours = [...new Set([...SECTIONS.map((share) => share * end), Math.min(nowH, LONGEST_H)])]
  return profilesIn(
    requestOf(tray, model),
    world,
    hours.sort((a, b) => a - b),
  )
}

const LEARNT_KEPT = 20
/** What earlier trays teach changes with them, and not with the hour. */
const learntFrom = remembered(
  async ({ past, scaleSdG }: Pick<ForecastInput, 'past' | 'scaleSdG'>) => learntDrying(past, scaleSdG),
  ({ past, scaleSdG }) => JSON.stringify([past, scaleSdG]),
  LEARNT_KEPT,
)

export const dryingJobs = {
  forecast: async (input: ForecastInput): Promise<TrayForecast> => {
    const { tray, nowMs, scaleSdG, past } = input
    const { model, factor, n } = await learntFrom({ past, scaleSdG })
    const forecast = forecastTray(tray, nowMs, scaleSdG, model)
    return { ...forecast, profiles: profilesFor(tray, forecast, model), learnt: { factor, n }, model }
  },
  cooking: (piece: Piece): PieceCooking => cookingOf(piece),
  programme: (request: ProgrammeRequest, tell: (done: number, of: number) => void) => programmes(request, tell),
  compare: (ways: readonly WayToDry[]): readonly Tried[] =>
    ways.map(({ layout, startsAt, model, world }) => {
      const tray = trayIn(layout, airsThrough([{ fromH: 0, spot: layout.spot }], startsAt), model)
      const course = courseIn(tray, world, 0, LONGEST_H)
      const { moisture, reaches } = endsAt(layout.spot, layout.target)
      const hours = course.hoursToTarget
      return { hours, reaches, ...risksOf(tray, course), endsAt: moisture }
    }),
}
export type DryingJobs = typeof dryingJobs
