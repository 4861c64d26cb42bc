import { formatNumber, plainTextFrom, type Gear, type Place, type Vessel } from '@harina/core'
import { nanoid } from 'nanoid'
import { notify } from '../../state/notify.ts'
import { repository } from '../../storage/index.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { heatFields } from '../../ui/heatFields.ts'
import { useUnits } from '../../ui/units.ts'
import { useAir, type LiveAir } from '../../ui/useAir.ts'
import { useApp } from '../../state/store.ts'
import { AirNow, TakeAir } from './AirNow.tsx'
import { Section } from './Section.tsx'

const put = (gear: Gear) => void repository.putGear(gear)
const STEPS = [0.1, 0.5, 1, 2, 5] as const

export function Tools({ gear }: { gear: Gear }) {
  const { lengthFigure, units } = useUnits()
  return (
    <Section title="Scale and board">
      <div role="group" aria-label="The scale reads to" className="mb-3">
        <p className="small mb-1">The scale reads to</p>
        <div className="flex">
          {STEPS.map((step) => (
            <button
              key={step}
              type="button"
              aria-pressed={gear.scaleStepG === step}
              className="press figure -ml-px min-h-[44px] flex-1 px-2 text-[18px] first:ml-0"
              onClick={() => put({ ...gear, scaleStepG: step })}
            >
              {step} g
            </button>
          ))}
        </div>
      </div>
      <p>
        Board, along which ropes are rolled{' '}
        <QuantityField
          label="Board length, millimetres"
          shown={units.length === 'mm' ? formatNumber(gear.boardMm, 0) : lengthFigure(gear.boardMm)}
          unit="mm"
          min={100}
          max={3000}
          widthCh={5.5}
          className="text-[22px] font-semibold"
          onChange={(boardMm) => put({ ...gear, boardMm })}
        />{' '}
        {units.length}
      </p>
    </Section>
  )
}

interface PlaceRowProps {
  readonly place: Place
  readonly air: LiveAir
  /** The bench stands here. */
  readonly bench: boolean
  readonly onBench: () => void
  readonly onChange: (place: Place) => void
  readonly onRemove: (() => void) | null
}

function PlaceRow({ place, air, bench, onBench, onChange, onRemove }: PlaceRowProps) {
  const { temperatureFigure, units } = useUnits()
  return (
    <li className="border-b border-line py-2">
      <div className="flex items-baseline gap-3">
        <input
          className="field head min-w-0 flex-1 text-[18px]"
          aria-label="Name of the place"
          value={place.name}
          maxLength={120}
          onChange={(event) => onChange({ ...place, name: plainTextFrom(event.target.value, 120) || 'Place' })}
        />
        {onRemove && (
          <button type="button" className="quiet text-[14px]" aria-label={`Remove ${place.name}`} onClick={onRemove}>
            Remove
          </button>
        )}
      </div>
      <p className="small mt-1">
        <QuantityField
          label={`${place.name}, temperature`}
          shown={temperatureFigure(place.temperatureC)}
          unit="°C"
          min={-20}
          max={60}
          widthCh={4}
          className="text-[22px] font-semibold text-ink"
          onChange={(temperatureC) => onChange({ ...place, temperatureC })}
        />{' '}
        {units.temperature} and{' '}
        <QuantityField
          label={`${place.name}, humidity`}
          shown={formatNumber(place.rhPercent, 0)}
          unit="%"
          min={5}
          max={95}
          widthCh={4}
          className="text-[22px] font-semibold text-ink"
          onChange={(rhPercent) => onChange({ ...place, rhPercent })}
        />{' '}
        % humidity
        <label className="ml-4 inline-flex min-h-9 items-center gap-2">
          <input
            type="radio"
            name="bench-place"
            className="size-4 accent-(--ink)"
            aria-label={`The bench stands in ${place.name}`}
            checked={bench}
            onChange={onBench}
          />
          the bench
        </label>
      </p>
      <TakeAir air={air} place={place} onTake={onChange} />
    </li>
  )
}

export function Places({ gear }: { gear: Gear }) {
  const air = useAir(useApp((state) => state.preferences.air))
  const benchPlace = gear.places.find(({ id }) => id === gear.benchPlace) ?? gear.places[0]
  const change = (next: Place) =>
    put({ ...gear, places: gear.places.map((place) => (place.id === next.id ? next : place)) })
  const remove = (gone: Place) => {
    put({ ...gear, places: gear.places.filter((place) => place.id !== gone.id) })
    notify(`${gone.name} is removed`, { action: { label: 'Undo', onClick: () => put(gear) } })
  }
  const add = () =>
    put({ ...gear, places: [...gear.places, { id: nanoid(), name: 'New place', temperatureC: 20, rhPercent: 55 }] })
  return (
    <Section title="Where flour stands" lead="Flour drifts towards the air around it; the formula follows.">
      <ul>
        {gear.places.map((place) => (
          <PlaceRow
            key={place.id}
            place={place}
            air={air}
            bench={place === benchPlace}
            onBench={() => put({ ...gear, benchPlace: place.id })}
            onChange={change}
            onRemove={gear.places.length > 1 ? () => remove(place) : null}
          />
        ))}
      </ul>
      {gear.places.length < 20 && (
        <button type="button" className="quiet mt-2" onClick={add}>
          Add a place
        </button>
      )}
      <div className="mt-3">
        <AirNow air={air} />
      </div>
    </Section>
  )
}

/** What the water is reckoned with: the tap, the hand or machine, the height above the sea. */
export function Heat({ gear }: { gear: Gear }) {
  const words = useUnits()
  const { tap, friction, height } = heatFields(gear, words)
  const figure = 'text-[22px] font-semibold'
  return (
    <Section title="Tap, kneading and height">
      <p className="mb-1">
        Water from the tap <QuantityField {...tap} className={figure} /> {words.units.temperature}
      </p>
      <div role="group" aria-label="Who kneads" className="my-2 flex">
        {(['hand', 'mixer'] as const).map((by) => (
          <button
            key={by}
            type="button"
            aria-pressed={gear.kneads === by}
            className="press -ml-px min-h-[44px] flex-1 px-2 first:ml-0"
            onClick={() => put({ ...gear, kneads: by })}
          >
            {by === 'hand' ? 'Kneaded by hand' : 'In a mixer'}
          </button>
        ))}
      </div>
      <p className="mb-1">
        Kneading warms a dough by <QuantityField {...friction} className={figure} /> °C
        <span className="small block">
          1 to 3 by hand, 4 to 10 in a machine: measure the dough once, before and after.
        </span>
      </p>
      <p>
        Height above the sea <QuantityField {...height} className={figure} /> m
      </p>
    </Section>
  )
}

function VesselRow({
  vessel,
  onChange,
  onRemove,
}: {
  vessel: Vessel
  onChange: (vessel: Vessel) => void
  onRemove: () => void
}) {
  const { massFigure, units } = useUnits()
  return (
    <li className="border-b border-line py-2">
      <div className="flex items-baseline gap-3">
        <input
          className="field head min-w-0 flex-1 text-[18px]"
          aria-label="Name of the vessel"
          value={vessel.name}
          maxLength={120}
          onChange={(event) => onChange({ ...vessel, name: plainTextFrom(event.target.value, 120) || 'Vessel' })}
        />
        <button type="button" className="quiet text-[14px]" aria-label={`Remove ${vessel.name}`} onClick={onRemove}>
          Remove
        </button>
      </div>
      <p className="small mt-1">
        takes{' '}
        <QuantityField
          label={`${vessel.name}, most dough`}
          shown={massFigure(vessel.maxDoughG)}
          unit="g"
          min={10}
          max={1_000_000}
          widthCh={7}
          className="text-[22px] font-semibold text-ink"
          onChange={(maxDoughG) => onChange({ ...vessel, maxDoughG })}
        />{' '}
        {units.mass} of dough
      </p>
    </li>
  )
}

export function Vessels({ gear }: { gear: Gear }) {
  const change = (next: Vessel) =>
    put({ ...gear, vessels: gear.vessels.map((each) => (each.id === next.id ? next : each)) })
  const remove = (gone: Vessel) => {
    put({ ...gear, vessels: gear.vessels.filter((each) => each.id !== gone.id) })
    notify(`${gone.name} is removed`, { action: { label: 'Undo', onClick: () => put(gear) } })
  }
  const add = () => put({ ...gear, vessels: [...gear.vessels, { id: nanoid(), name: 'New bowl', maxDoughG: 1500 }] })
  return (
    <Section
      title="Bowls and hoppers"
      lead="A dough larger than its vessel is made in equal mixes, one bench run each."
    >
      {gear.vessels.length === 0 && (
        <p className="py-2">The bowl, the mixer or the hopper that sets the limit would stand here.</p>
      )}
      <ul>
        {gear.vessels.map((vessel) => (
          <VesselRow key={vessel.id} vessel={vessel} onChange={change} onRemove={() => remove(vessel)} />
        ))}
      </ul>
      {gear.vessels.length < 20 && (
        <button type="button" className="quiet mt-2" onClick={add}>
          Add a vessel
        </button>
      )}
    </Section>
  )
}
