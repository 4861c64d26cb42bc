/** The rooms and covers that have a tray dry soonest without cracking it, beside what it does as it is. */
import type { RackTray, Spot } from '@harina/core'
import { GROWTH_H, type Programme as Found } from '@harina/core/rack'
import { ownTimers, recordTap } from '#web/state/bench.ts'
import { notify } from '#web/state/notify.ts'
import { useKitchen, type RunningBatch } from '#web/state/select.ts'
import { hoursShort, spotWords } from '#web/words/index.ts'
import type { TrayForecast } from '#web/workers/dryingJobs.ts'
import { Ribbon } from './Ribbon.tsx'
import { useProgramme } from './useProgramme.ts'

const SOONEST_MIN = 0.1

interface Props {
  readonly running: RunningBatch
  readonly tray: RackTray
  readonly forecast: TrayForecast
}

const sooner = (found: Found, { hoursToTarget: asItIsH, reaches }: TrayForecast): string => {
  if (asItIsH === null)
    return reaches === 'never' ? 'Left as it is, it never dries.' : 'Left as it is, it takes more than two weeks.'
  const gained = asItIsH - found.hours
  if (gained > 0.25) return `${hoursShort(gained)} sooner than as it is.`
  if (gained < -0.25) return `${hoursShort(-gained)} later than as it is, and whole.`
  return 'As soon as it is now, and whole.'
}

const sameSpot = (a: Spot, b: Spot): boolean =>
  a.place === b.place && a.air === b.air && a.cover?.name === b.cover?.name

const staysPut = ({ legs }: Found, tray: RackTray): boolean =>
  legs.length === 1 && sameSpot(legs[0]!.spot, tray.spots.at(-1)!.spot)

/** Its first room at once, and a call for each of the others; whether it is stored. */
async function follow({ legs }: Found, { running, tray, forecast }: Props): Promise<boolean> {
  const [first, ...later] = legs
  const here = tray.spots.at(-1)!.spot
  const isStored = await recordTap(
    running.batch,
    ...(first && !sameSpot(first.spot, here) ? [{ type: 'tray-moved', tray: tray.id, spot: first.spot } as const] : []),
    ...ownTimers(
      running.state,
      later.map(({ fromH, spot }) => ({
        name: `${tray.name}: ${spotWords(spot)}`,
        // A way found a while ago may have a move that is due by now.
        minutes: Math.max(SOONEST_MIN, ((fromH - forecast.nowH) * 60) / tray.pace),
      })),
    ),
  )
  if (isStored) notify(later.length > 0 ? 'You will be called for each move' : 'Nothing more to move')
  return isStored
}

interface BetterProps extends Props {
  readonly best: Found
  readonly onDone: () => void
}

/** Both from now on, on one scale. */
function Better({ best, onDone, ...props }: BetterProps) {
  const { tray, forecast } = props
  const { nowH, hoursToTarget: asItIsH } = forecast
  const longestH = Math.max(best.hours, asItIsH ?? best.hours * 1.1)
  const asItIs = [{ fromH: nowH, spot: tray.spots.at(-1)!.spot }]
  return (
    <>
      <Ribbon name="Better" legs={best.legs} toH={best.hours} {...{ longestH, nowH, tray }} />
      <Ribbon name="As it is" legs={asItIs} toH={asItIsH ?? longestH} {...{ longestH, nowH, tray }} />
      <p className="mt-1 leading-snug">
        Dry after {hoursShort(best.hours - nowH)}. {sooner(best, forecast)} Dried this way it seldom cracks.
      </p>
      <p className="mt-2 flex flex-wrap gap-4">
        <button
          type="button"
          className="box min-h-11 font-semibold"
          onClick={() => void follow(best, props).then((isStored) => isStored && onDone())}
        >
          Follow it, and call me
        </button>
        <button type="button" className="quiet" onClick={onDone}>
          As it is
        </button>
      </p>
    </>
  )
}

/** Why none was found: what has been is past mending, or thick pieces in these rooms. */
const noWay = ({ coreWetNowH, growthH }: TrayForecast): string =>
  growthH > GROWTH_H
    ? `${coreWetNowH > 1 ? `The middle has been damp for ${hoursShort(coreWetNowH)}. ` : ''}Wherever you move them, they crack or stay damp inside for too long. Freeze them. Throw away what is sour, slimy or spotted.`
    : 'Wherever you move them in these rooms, they may crack. Find a drier room, cut them thinner, or freeze them.'

export function Programme(props: Props) {
  const { tray, forecast } = props
  const gear = useKitchen()?.gear
  const { search, look, stop, forget } = useProgramme(tray, forecast)
  if (!gear || tray.end) return null
  return (
    <section aria-label="Programme" data-screen-only={search.is !== 'found' || undefined}>
      <h2 className="head mb-1 text-lg">Programme</h2>
      {search.is === 'failed' && <p role="alert">That did not work. Look again.</p>}
      {(search.is === 'idle' || search.is === 'failed') && (
        <p>
          <button type="button" className="box min-h-11" onClick={() => void look(gear)}>
            Look for a better way
          </button>{' '}
          <span className="small">through the rooms of Gear, open or covered, without cracks</span>
        </p>
      )}
      {search.is === 'looking' && (
        <p className="flex flex-wrap items-center gap-4" role="status">
          <progress value={search.done} max={search.of} aria-label="Looking" />
          <button type="button" className="quiet" onClick={stop}>
            Stop looking
          </button>
        </p>
      )}
      {search.is === 'found' &&
        (search.found.best && staysPut(search.found.best, tray) ? (
          <p role="status">It already stands in the best place you have.</p>
        ) : search.found.best ? (
          <Better {...props} best={search.found.best} onDone={forget} />
        ) : (
          <p role="status">{noWay(forecast)}</p>
        ))}
    </section>
  )
}
