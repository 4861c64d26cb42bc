/** Rooms, each with its air by day and by night: flour drifts towards it, trays dry in it. */
import { formatNumber, ROOM_FOR, type Gear, type Place } from '@harina/core'
import { nanoid } from 'nanoid'
import { addPart, changePart, removePart, setGear } from '../../state/gear.ts'
import { useApp } from '../../state/store.ts'
import { Choice } from '../../ui/Choice.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { useUnits } from '../../ui/units.ts'
import { useAir, type LiveAir } from '../../ui/useAir.ts'
import { airWords } from '../../words/index.ts'
import { AirNow, TakeAir } from './AirNow.tsx'
import { Section } from './Section.tsx'

interface AirProps {
  readonly of: Pick<Place, 'temperatureC' | 'rhPercent'>
  readonly temperatureLabel: string
  readonly humidityLabel: string
  readonly onChange: (part: Partial<Pick<Place, 'temperatureC' | 'rhPercent'>>) => void
}

function AirFigures({ of, temperatureLabel, humidityLabel, onChange }: AirProps) {
  const { temperatureFigure, units } = useUnits()
  const figure = 'text-2xl font-semibold text-ink'
  return (
    <>
      <QuantityField
        label={temperatureLabel}
        shown={temperatureFigure(of.temperatureC)}
        unit="°C"
        min={-20}
        max={60}
        widthCh={4}
        className={figure}
        onChange={(temperatureC) => onChange({ temperatureC })}
      />{' '}
      {units.temperature} and{' '}
      <QuantityField
        label={humidityLabel}
        shown={formatNumber(of.rhPercent, 0)}
        unit="%"
        min={5}
        max={95}
        widthCh={4}
        className={figure}
        onChange={(rhPercent) => onChange({ rhPercent })}
      />{' '}
      % humidity
    </>
  )
}

interface PlaceRowProps {
  readonly place: Place
  readonly air: LiveAir
  readonly onChange: (part: Partial<Place>) => void
  readonly onRemove: (() => void) | null
}

function PlaceRow({ place, air, onChange, onRemove }: PlaceRowProps) {
  const { name, night, temperatureC, rhPercent } = place
  const isNightWords = night ? 'same at night' : 'other at night'
  return (
    <li className="border-b border-line py-2">
      <div className="flex items-baseline gap-3">
        <TextField
          className="head min-w-0 flex-1 text-lg"
          label="Name of the place"
          value={name}
          max={120}
          required
          onChange={(next) => onChange({ name: next })}
        />
        {onRemove && (
          <button type="button" className="quiet text-sm" aria-label={`Remove ${name}`} onClick={onRemove}>
            Remove
          </button>
        )}
      </div>
      <p className="small mt-1 flex flex-wrap items-baseline gap-x-4">
        <span>
          <AirFigures
            of={place}
            temperatureLabel={`${name}, temperature`}
            humidityLabel={`${name}, humidity`}
            onChange={onChange}
          />
          ,{' '}
          <Choice
            label={`${name}, how the air moves at a rack`}
            className="field min-h-6 text-base text-ink"
            value={place.air}
            options={Object.entries(airWords) as [Place['air'], string][]}
            onChange={(moves) => moves && onChange({ air: moves })}
          />
        </span>
        <button
          type="button"
          className="quiet min-h-6"
          aria-label={`${name}: ${isNightWords}`}
          onClick={() => onChange({ night: night ? null : { temperatureC, rhPercent } })}
        >
          {isNightWords}
        </button>
      </p>
      {night && (
        <p className="small">
          from eight in the evening to eight{' '}
          <AirFigures
            of={night}
            temperatureLabel={`${name}, temperature at night`}
            humidityLabel={`${name}, humidity at night`}
            onChange={(part) => onChange({ night: { ...night, ...part } })}
          />
          , for what dries on a rack
        </p>
      )}
      <TakeAir air={air} place={place} onTake={onChange} />
    </li>
  )
}

export function Places({ gear }: { gear: Gear }) {
  const air = useAir(useApp((state) => state.preferences.air))
  const { places } = gear
  const bench = places.find(({ id }) => id === gear.benchPlace) ?? places[0]
  const change = (id: string, part: Partial<Place>) => changePart('place', id, (place) => ({ ...place, ...part }))
  const add = () =>
    addPart('place', { id: nanoid(), name: 'New place', temperatureC: 20, rhPercent: 55, air: 'still', night: null })
  return (
    <Section title="Where flour stands" lead="Flour drifts towards its air, trays dry in it.">
      <ul>
        {places.map((place) => (
          <PlaceRow
            key={place.id}
            place={place}
            air={air}
            onChange={(part) => void change(place.id, part)}
            onRemove={places.length > 1 ? () => removePart('place', place) : null}
          />
        ))}
      </ul>
      {places.length < ROOM_FOR && (
        <button type="button" className="quiet mt-2" onClick={add}>
          Add a place
        </button>
      )}
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
    </Section>
  )
}
