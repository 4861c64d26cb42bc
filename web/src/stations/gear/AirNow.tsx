/** The air sensor beside the places: what its probes say, and taking it as a place's climate. */
import { AIR_PROBES, formatNumber, type AirAct, type AirProbe, type Place } from '@harina/core'
import { playedAir } from '../../devices/air.ts'
import { notify } from '../../state/notify.ts'
import { preferred } from '../../state/preferencesSlice.ts'
import { useApp, useAppDispatch } from '../../state/store.ts'
import { useUnits } from '../../ui/units.ts'
import type { LiveAir } from '../../ui/useAir.ts'

const probeWords: Readonly<Record<AirProbe, string>> = { store: 'store probe', room: 'room probe' }

/** For one place: the probes' readings, each a press away from being its own. */
export function TakeAir({
  air,
  place,
  onTake,
}: {
  air: LiveAir
  place: Place
  onTake: (air: Pick<Place, 'temperatureC' | 'rhPercent'>) => void
}) {
  const { temperature } = useUnits()
  const { reading } = air
  if (air.line !== 'live' || reading?.shows !== 'air') return null
  return (
    <p className="small mt-1 flex flex-wrap gap-x-4">
      {AIR_PROBES.map((probe) => {
        const { temperatureC, rhPercent } = reading[probe]
        return (
          <button
            key={probe}
            type="button"
            className="quiet"
            aria-label={`${place.name}: take the ${probeWords[probe]}`}
            onClick={() => onTake({ temperatureC, rhPercent })}
          >
            {probeWords[probe]} {temperature(temperatureC, 1)}, {formatNumber(rhPercent, 0)} %
          </button>
        )
      })}
    </p>
  )
}

const acts: readonly (readonly [string, AirAct])[] = [
  ['A pot boils in the room', { act: 'steam', probe: 'room' }],
  ['The store’s door stands open', { act: 'door', probe: 'store' }],
  ['A stove in the store', { act: 'stove', probe: 'store' }],
  ['Lose the line for 10 s', { act: 'drop', seconds: 10 }],
]

export function AirNow({ air }: { air: LiveAir }) {
  const dispatch = useAppDispatch()
  const wanted = useApp((state) => state.preferences.air)
  const act = (what: AirAct) =>
    void playedAir
      .act(what)
      .catch(() => notify('The air sensor does not answer', { description: 'Type what you read.' }))
  if (!wanted)
    return (
      <button type="button" className="quiet" onClick={() => dispatch(preferred({ air: true }))}>
        Read the air sensor
      </button>
    )
  return (
    <div className="border-l-2 border-second pl-3">
      <p className="small leading-snug" role="status">
        {air.line === 'lost'
          ? 'The air sensor is gone. Type instead; it is looked for again.'
          : air.reading?.shows === 'off'
            ? 'The air sensor is off.'
            : air.reading
              ? 'It has one probe in the store and one in the room. Take a reading for a place above. None is at hand, so this Harina plays one; this is what can happen to it:'
              : 'Looking for the air sensor…'}
      </p>
      <p className="small mt-1 flex flex-wrap gap-x-4 gap-y-1">
        {acts.map(([words, what]) => (
          <button key={words} type="button" className="quiet" onClick={() => act(what)}>
            {words}
          </button>
        ))}
        <button type="button" className="quiet" onClick={() => dispatch(preferred({ air: false }))}>
          Without it
        </button>
      </p>
    </div>
  )
}
