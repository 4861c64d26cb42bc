import { formatNumber, plainTextFrom, type Gear, type Place } from '@harina/core'
import { nanoid } from 'nanoid'
import { notify } from '../../state/notify.ts'
import { repository } from '../../storage/index.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { Section } from './Section.tsx'

const put = (gear: Gear) => void repository.putGear(gear)
const STEPS = [0.1, 0.5, 1, 2, 5] as const

export function Tools({ gear }: { gear: Gear }) {
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
          shown={formatNumber(gear.boardMm, 0)}
          unit="mm"
          min={100}
          max={3000}
          widthCh={5.5}
          className="text-[22px] font-semibold"
          onChange={(boardMm) => put({ ...gear, boardMm })}
        />{' '}
        mm
      </p>
    </Section>
  )
}

function PlaceRow({
  place,
  onChange,
  onRemove,
}: {
  place: Place
  onChange: (place: Place) => void
  onRemove: (() => void) | null
}) {
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
          shown={formatNumber(place.temperatureC, 0)}
          unit="°C"
          min={-20}
          max={60}
          widthCh={4}
          className="text-[22px] font-semibold text-ink"
          onChange={(temperatureC) => onChange({ ...place, temperatureC })}
        />{' '}
        °C and{' '}
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
      </p>
    </li>
  )
}

export function Places({ gear }: { gear: Gear }) {
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
    </Section>
  )
}
