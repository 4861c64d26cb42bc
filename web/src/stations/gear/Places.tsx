/** Rooms, each with its air by day and by night: flour drifts towards it, trays dry in it. */
import { airFigures, asRead, type Gear, type Place } from '@harina/core'
import { setGear } from '../../state/gear.ts'
import { useApp } from '../../state/store.ts'
import { Choice } from '../../ui/Choice.tsx'
import { useAir } from '../../ui/useAir.ts'
import { airWords } from '../../words/index.ts'
import { AirNow, TakeAir } from './AirNow.tsx'
import { PartFigure, PartList } from './PartList.tsx'

type Change = (edit: (place: Place) => Place) => void

function Night({ place: { name, night }, change }: { place: Place; change: Change }) {
  if (!night) return null
  const figure = (label: string, of: keyof typeof airFigures) => (
    <PartFigure
      label={`${name}, ${label} at night`}
      figure={airFigures[of]}
      value={night[of]}
      large
      onChange={(value) => change((now) => ({ ...now, night: now.night && { ...now.night, [of]: value } }))}
    />
  )
  return (
    <p className="small">
      from eight in the evening to eight {figure('temperature', 'temperatureC')} and {figure('humidity', 'rhPercent')}{' '}
      humidity, for what dries on a rack
    </p>
  )
}

/** How the air moves there, and whether the night has another. */
function slotsOf({ name, air, night, temperatureC, rhPercent }: Place, change: Change) {
  const isNightWords = night ? 'same at night' : 'other at night'
  return {
    air: (
      <Choice
        label={`${name}, how the air moves at a rack`}
        className="field min-h-6 text-base text-ink"
        value={air}
        options={Object.entries(airWords) as [Place['air'], string][]}
        onChange={(moves) => moves && change((now) => ({ ...now, air: moves }))}
      />
    ),
    night: (
      <button
        type="button"
        className="quiet min-h-6"
        aria-label={`${name}: ${isNightWords}`}
        onClick={() => change((now) => ({ ...now, night: night ? null : { temperatureC, rhPercent } }))}
      >
        {isNightWords}
      </button>
    ),
  }
}

export function Places({ gear }: { gear: Gear }) {
  const air = useAir(useApp((state) => state.preferences.air))
  const { places } = gear
  const bench = places.find(({ id }) => id === gear.benchPlace) ?? places[0]
  return (
    <PartList
      part="place"
      gear={gear}
      large
      follows={(now, before) =>
        now.temperatureC === before.temperatureC && now.rhPercent === before.rhPercent ? now : asRead(now, now)
      }
      slots={slotsOf}
      under={(place, change) => (
        <>
          <Night place={place} change={change} />
          <TakeAir air={air} place={place} onTake={(taken) => change((now) => asRead(now, taken))} />
        </>
      )}
    >
      {bench && places.length > 1 && (
        <p className="mt-2">
          The bench stands in{' '}
          <Choice
            label="The bench stands in"
            className="field text-md font-semibold"
            value={bench.id}
            options={places.map(({ id, name }) => [id, name] as const)}
            onChange={(id) => id && void setGear({ benchPlace: id })}
          />
        </p>
      )}
      <div className="mt-3">
        <AirNow air={air} />
      </div>
    </PartList>
  )
}
