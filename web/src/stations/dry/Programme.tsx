/** The rooms and covers that have a tray dry soonest without cracking it, beside what it does as it is. */
import { formatNumber, type RackTray, type Spot } from '@harina/core'
import {
  clockHour,
  CRACKS_OVER,
  HYGIENE_H,
  legsOf,
  spotsOf,
  turnsOf,
  USUAL_LIMITS,
  type Leg,
  type Programme as Found,
  type Programmes,
} from '@harina/core/rack'
import { useEffect, useRef, useState } from 'react'
import { ownTimers, recordTap } from '#web/state/bench.ts'
import { notify } from '#web/state/notify.ts'
import { useKitchen, type RunningBatch } from '#web/state/select.ts'
import { hourOf, hoursShort, spotWords } from '#web/words/index.ts'
import { findProgrammes } from '#web/workers/drying.ts'
import { JobCancelled } from '#web/workers/jobs.ts'
import type { TrayForecast } from '#web/workers/dryingJobs.ts'

interface Props {
  readonly running: RunningBatch
  readonly tray: RackTray
  readonly forecast: TrayForecast
}

type Search =
  | { readonly is: 'idle' }
  | { readonly is: 'looking'; readonly done: number; readonly of: number }
  | { readonly is: 'found'; readonly found: Programmes }
  | { readonly is: 'failed' }

interface RibbonProps {
  readonly name: string
  readonly legs: readonly Leg[]
  /** Where it ends, and where the longest of those shown does. */
  readonly toH: number
  readonly longestH: number
  readonly nowH: number
  readonly tray: RackTray
}

/** Legs as a ribbon from now on, to the length of their hours. */
function Ribbon({ name, legs, toH, longestH, nowH, tray }: RibbonProps) {
  const length = Math.max(1e-6, longestH - nowH)
  return (
    <div className="mb-2 grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-3">
      <span className="text-label leading-tight font-semibold">{name}</span>
      <div>
        <div className="flex" aria-hidden="true">
          {legs.map(({ fromH, spot }, n) => (
            <span
              key={fromH}
              className="border-r-2 border-sheet text-sm leading-tight"
              style={{ width: `${(100 * ((legs[n + 1]?.fromH ?? toH) - fromH)) / length}%` }}
            >
              <span className={`block h-5 bg-family ${spot.cover ? 'opacity-50' : ''}`} />
              {legs.length > 1 && n + 1}
            </span>
          ))}
        </div>
        <ol
          className={`leading-snug ${legs.length > 1 ? 'list-decimal pl-5' : ''}`}
          aria-label={`${name}: from room to room`}
        >
          {legs.map(({ fromH, spot }, n) => (
            <li key={fromH}>
              {spotWords(spot)} <span className="small">{n === 0 ? 'from now' : `from ${hourOf(tray, fromH)}`}</span>
            </li>
          ))}
        </ol>
      </div>
    </div>
  )
}

const sooner = (found: Found, asItIsH: number | null): string => {
  if (asItIsH === null) return 'As it is, never.'
  const gained = asItIsH - found.hours
  if (gained > 0.25) return `${hoursShort(gained)} sooner than as it is.`
  if (gained < -0.25) return `${hoursShort(-gained)} later than as it is, and whole.`
  return 'As soon as it is now, and whole.'
}

const sameSpot = (a: Spot, b: Spot): boolean =>
  a.place === b.place && a.air === b.air && a.cover?.name === b.cover?.name

export function Programme({ running, tray, forecast }: Props) {
  const gear = useKitchen()?.gear
  const [search, setSearch] = useState<Search>({ is: 'idle' })
  const stop = useRef<AbortController | null>(null)
  useEffect(() => () => stop.current?.abort(), [])
  if (!gear || tray.end) return null
  const { nowH } = forecast
  const here = tray.spots.at(-1)!.spot

  const look = async () => {
    const control = new AbortController()
    stop.current = control
    setSearch({ is: 'looking', done: 0, of: 1 })
    try {
      const found = await findProgrammes(
        {
          layout: tray.layout,
          spots: spotsOf(gear),
          limits: USUAL_LIMITS,
          model: forecast.model,
          startsAt: clockHour(tray.laidAt),
          soFar: { legs: legsOf(tray), turnsH: turnsOf(tray), nowH },
        },
        { signal: control.signal, onProgress: (done, of) => setSearch({ is: 'looking', done, of }) },
      )
      setSearch({ is: 'found', found })
    } catch (error) {
      setSearch(error instanceof JobCancelled ? { is: 'idle' } : { is: 'failed' })
    }
  }
  /** Its first room at once, and a call for each of the others. */
  const follow = async ({ legs }: Found) => {
    const [first, ...later] = legs
    await recordTap(
      running.batch,
      ...(first && !sameSpot(first.spot, here)
        ? [{ type: 'tray-moved', tray: tray.id, spot: first.spot } as const]
        : []),
      ...ownTimers(
        running.state,
        later.map(({ fromH, spot }) => ({
          name: `${tray.name}: ${spotWords(spot)}`,
          minutes: ((fromH - nowH) * 60) / tray.pace,
        })),
      ),
    )
    notify(later.length > 0 ? 'You will be called for each move' : 'Nothing more to move')
    setSearch({ is: 'idle' })
  }
  const asItIsH = forecast.hoursToTarget
  const longestH = (found: Found) => Math.max(found.hours, asItIsH ?? found.hours * 1.1)
  return (
    <section aria-label="Programme" data-screen-only={search.is !== 'found' || undefined}>
      <h2 className="head mb-1 text-lg">Programme</h2>
      {search.is === 'idle' && (
        <p>
          <button type="button" className="box min-h-11" onClick={() => void look()}>
            Look for a better way
          </button>{' '}
          <span className="small">through the rooms of Gear, open or covered, without cracks</span>
        </p>
      )}
      {search.is === 'looking' && (
        <p className="flex flex-wrap items-center gap-4" role="status">
          <progress value={search.done} max={search.of} aria-label="Looking" />
          <button type="button" className="quiet" onClick={() => stop.current?.abort()}>
            Stop looking
          </button>
        </p>
      )}
      {search.is === 'failed' && <p role="alert">That did not work. Look again.</p>}
      {search.is === 'found' &&
        (search.found.best ? (
          <>
            <Ribbon
              name="Better"
              legs={search.found.best.legs}
              toH={search.found.best.hours}
              longestH={longestH(search.found.best)}
              nowH={nowH}
              tray={tray}
            />
            <Ribbon
              name="As it is"
              legs={[{ fromH: nowH, spot: here }]}
              toH={asItIsH ?? longestH(search.found.best)}
              longestH={longestH(search.found.best)}
              nowH={nowH}
              tray={tray}
            />
            <p className="mt-1 leading-snug">
              Dry after {hoursShort(search.found.best.hours - nowH)}. {sooner(search.found.best, asItIsH)} The middle
              lags by {formatNumber(100 * (search.found.best.lagAt18 ?? 0), 0)} points at the most dangerous moment:
              under {formatNumber(100 * CRACKS_OVER, 0)} it seldom cracks.
            </p>
            <p className="mt-2 flex flex-wrap gap-4">
              <button
                type="button"
                className="box min-h-11 font-semibold"
                onClick={() => void follow(search.found.best!)}
              >
                Follow it, and call me
              </button>
              <button type="button" className="quiet" onClick={() => setSearch({ is: 'idle' })}>
                As it is
              </button>
            </p>
          </>
        ) : (
          <p role="status">
            {forecast.warmWetNowH > HYGIENE_H
              ? `Warm and wet for ${hoursShort(forecast.warmWetNowH)} already, and no way through these rooms dries it without cracks and without more of that. The freezer stops it; what is sour, slimy or spotted is thrown away.`
              : `No way through these rooms dries it without cracks and within ${HYGIENE_H} hours warm and wet. A drier room, a thinner cut, or the freezer.`}
          </p>
        ))}
    </section>
  )
}
