/** The rooms and covers that have a tray dry soonest without cracking it, beside what it does as it is. */
import { COVERS, formatNumber, type RackTray, type Spot } from '@harina/core'
import { HYGIENE_H, USUAL_LIMITS, type Leg, type Programme as Found, type Programmes } from '@harina/core/rack'
import { useEffect, useRef, useState } from 'react'
import { ownTimers, recordTap } from '#web/state/bench.ts'
import { notify } from '#web/state/notify.ts'
import { useKitchen, type RunningBatch } from '#web/state/select.ts'
import { hourOf, hoursShort, spotWords } from '#web/words/index.ts'
import { findProgrammes } from '#web/workers/drying.ts'
import { JobCancelled } from '#web/workers/jobs.ts'
import type { TrayForecast } from '#web/workers/dryingJobs.ts'
import { spotIn } from './LayOut.tsx'

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

/** Legs as a ribbon, to the length of their hours. */
function Ribbon({ legs, hours, tray }: { legs: readonly Leg[]; hours: number; tray: RackTray }) {
  return (
    <ol className="flex flex-wrap md:flex-nowrap" aria-label="From room to room">
      {legs.map(({ fromH, spot }, n) => {
        const toH = legs[n + 1]?.fromH ?? hours
        return (
          <li key={fromH} className="min-w-28" style={{ flexGrow: toH - fromH, flexBasis: 0 }}>
            <span
              className={`block h-4 ${spot.cover === 'open' ? 'bg-family' : 'mt-1 h-2.5 bg-family opacity-50'}`}
              aria-hidden="true"
            />
            <span className="block pr-2 text-label leading-tight">
              {spotWords(spot)}
              <span className="small block">{n === 0 ? 'from now' : `from ${hourOf(tray, fromH)}`}</span>
            </span>
          </li>
        )
      })}
    </ol>
  )
}

const sooner = (found: Found, asItIs: number | null): string => {
  if (asItIs === null) return `Dry after ${hoursShort(found.hours)}; as it is, never.`
  const gained = asItIs - found.hours
  if (gained > 0.25) return `${hoursShort(gained)} sooner than as it is.`
  if (gained < -0.25) return `${hoursShort(-gained)} later than as it is, and whole.`
  return 'As soon as it is now, and whole.'
}

const sameSpot = (a: Spot, b: Spot): boolean => a.place === b.place && a.cover === b.cover

export function Programme({ running, tray, forecast }: Props) {
  const gear = useKitchen()?.gear
  const [search, setSearch] = useState<Search>({ is: 'idle' })
  const stop = useRef<AbortController | null>(null)
  useEffect(() => () => stop.current?.abort(), [])
  if (!gear || tray.end) return null
  const isFresh = forecast.nowH < 1 && tray.weighed.length === 0

  const look = async () => {
    const control = new AbortController()
    stop.current = control
    setSearch({ is: 'looking', done: 0, of: 1 })
    const spots = gear.places.flatMap((place) => COVERS.map((cover) => spotIn(place, cover)))
    const { laid, faces, body } = tray.layout
    const layout = { laid, faces, body, moisture: isFresh ? tray.layout.moisture : forecast.now.moisture }
    try {
      const found = await findProgrammes(
        { layout, spots, limits: USUAL_LIMITS, model: forecast.model },
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
    const here = tray.spots.at(-1)!.spot
    await recordTap(
      running.batch,
      ...(first && !sameSpot(first.spot, here)
        ? [{ type: 'tray-moved', tray: tray.id, spot: first.spot } as const]
        : []),
      ...ownTimers(
        running.state,
        later.map(({ fromH, spot }) => ({
          name: `${tray.name}: ${spotWords(spot)}`,
          minutes: (fromH * 60) / tray.pace,
        })),
      ),
    )
    notify(later.length > 0 ? 'You will be called for each move' : 'Nothing more to move')
    setSearch({ is: 'idle' })
  }
  const asItIs = forecast.hoursToTarget === null ? null : forecast.hoursToTarget - (isFresh ? 0 : forecast.nowH)
  return (
    <section aria-label="Programme">
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
              legs={search.found.best.legs}
              hours={search.found.best.hours}
              tray={isFresh ? tray : from(tray, forecast.nowH)}
            />
            <p className="mt-1 leading-snug">
              {sooner(search.found.best, asItIs)} The middle lags by{' '}
              {formatNumber(100 * (search.found.best.lagAt18 ?? 0), 0)} points at the most dangerous moment: under 15 it
              seldom cracks.
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
            No way through these rooms dries it without cracks and within {HYGIENE_H} hours warm and wet. A drier room,
            a thinner cut, or the freezer.
          </p>
        ))}
    </section>
  )
}

/** A tray whose hours are counted from now. */
const from = (tray: RackTray, nowH: number): Pick<RackTray, 'laidAt' | 'pace'> & RackTray => ({
  ...tray,
  laidAt: new Date(Date.parse(tray.laidAt) + (nowH * 3_600_000) / tray.pace).toISOString(),
})
