import {
  formatNumber,
  ROOM_FOR,
  type Cover,
  type Gear,
  type Place,
  type Pot,
  type Vessel,
  USUAL_POT_L,
} from '@harina/core'
import { KNEADING_WARMS_C, kneadBy } from '@harina/core/heat'
import { nanoid } from 'nanoid'
import type { ReactNode } from 'react'
import { addPart, changeGear, changePart, removePart, setGear } from '../../state/gear.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { heatFields } from '../../ui/heatFields.ts'
import { TextField } from '../../ui/TextField.tsx'
import { useUnits } from '../../ui/units.ts'
import { useAir, type LiveAir } from '../../ui/useAir.ts'
import { useApp } from '../../state/store.ts'
import { AirNow, TakeAir } from './AirNow.tsx'
import { Section } from './Section.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Segments } from '../../ui/Segments.tsx'
import { airWords } from '../../words/index.ts'

const STEPS = [0.1, 0.5, 1, 2, 5] as const

export function Tools({ gear }: { gear: Gear }) {
  const { lengthFigure, units } = useUnits()
  return (
    <Section title="Scale and board">
      <p className="small mb-1" aria-hidden="true">
        The scale reads to
      </p>
      <Segments
        label="The scale reads to"
        className="figure mb-3 text-lg"
        options={STEPS.map((step) => [step, `${step} g`] as const)}
        value={gear.scaleStepG}
        onChange={(scaleStepG) => void setGear({ scaleStepG })}
      />
      <p>
        Board, along which ropes are rolled{' '}
        <QuantityField
          label="Board length, millimetres"
          shown={lengthFigure(gear.boardMm)}
          unit="mm"
          min={100}
          max={3000}
          widthCh={5.5}
          className="text-2xl font-semibold"
          onChange={(boardMm) => void setGear({ boardMm })}
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
  readonly onChange: (part: Partial<Place>) => void
  readonly onRemove: (() => void) | null
}

function PlaceRow({ place, air, bench, onBench, onChange, onRemove }: PlaceRowProps) {
  const { temperatureFigure, units } = useUnits()
  const { night, temperatureC, rhPercent } = place
  return (
    <li className="border-b border-line py-2">
      <div className="flex items-baseline gap-3">
        <TextField
          className="head min-w-0 flex-1 text-lg"
          label="Name of the place"
          value={place.name}
          max={120}
          required
          onChange={(name) => onChange({ name })}
        />
        {onRemove && (
          <button type="button" className="quiet text-sm" aria-label={`Remove ${place.name}`} onClick={onRemove}>
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
          className="text-2xl font-semibold text-ink"
          onChange={(temperatureC) => onChange({ temperatureC })}
        />{' '}
        {units.temperature} and{' '}
        <QuantityField
          label={`${place.name}, humidity`}
          shown={formatNumber(place.rhPercent, 0)}
          unit="%"
          min={5}
          max={95}
          widthCh={4}
          className="text-2xl font-semibold text-ink"
          onChange={(rhPercent) => onChange({ rhPercent })}
        />{' '}
        % humidity,{' '}
        <Choice
          label={`${place.name}, how the air moves at a rack`}
          className="field min-h-6 text-base text-ink"
          value={place.air}
          options={Object.entries(airWords) as [Place['air'], string][]}
          onChange={(moves) => moves && onChange({ air: moves })}
        />
        <button
          type="button"
          className="quiet ml-4 min-h-6"
          aria-label={`${place.name}: ${place.night ? 'same at night' : 'other at night'}`}
          onClick={() => onChange({ night: place.night ? null : { temperatureC, rhPercent } })}
        >
          {place.night ? 'same at night' : 'other at night'}
        </button>
        <label className="ml-4 inline-flex min-h-9 items-center gap-2">
          <input
            type="radio"
            name="bench-place"
            className="size-6 accent-(--ink)"
            aria-label={`The bench stands in ${place.name}`}
            checked={bench}
            onChange={onBench}
          />
          the bench
        </label>
      </p>
      {night && (
        <p className="small">
          from eight in the evening to eight{' '}
          <QuantityField
            label={`${place.name}, temperature at night`}
            shown={temperatureFigure(night.temperatureC)}
            unit="°C"
            min={-20}
            max={60}
            widthCh={4}
            className="text-2xl font-semibold text-ink"
            onChange={(celsius) => onChange({ night: { ...night, temperatureC: celsius } })}
          />{' '}
          {units.temperature} and{' '}
          <QuantityField
            label={`${place.name}, humidity at night`}
            shown={formatNumber(night.rhPercent, 0)}
            unit="%"
            min={5}
            max={95}
            widthCh={4}
            className="text-2xl font-semibold text-ink"
            onChange={(rh) => onChange({ night: { ...night, rhPercent: rh } })}
          />{' '}
          % humidity, for what dries on a rack
        </p>
      )}
      <TakeAir air={air} place={place} onTake={onChange} />
    </li>
  )
}

export function Places({ gear }: { gear: Gear }) {
  const air = useAir(useApp((state) => state.preferences.air))
  const benchPlace = gear.places.find(({ id }) => id === gear.benchPlace) ?? gear.places[0]
  const change = (id: string, part: Partial<Place>) => changePart('place', id, (place) => ({ ...place, ...part }))
  const add = () =>
    addPart('place', { id: nanoid(), name: 'New place', temperatureC: 20, rhPercent: 55, air: 'still', night: null })
  return (
    <Section title="Where flour stands" lead="Flour drifts towards its air, trays dry in it.">
      <ul>
        {gear.places.map((place) => (
          <PlaceRow
            key={place.id}
            place={place}
            air={air}
            bench={place === benchPlace}
            onBench={() => void setGear({ benchPlace: place.id })}
            onChange={(part) => void change(place.id, part)}
            onRemove={gear.places.length > 1 ? () => removePart('place', place) : null}
          />
        ))}
      </ul>
      {gear.places.length < ROOM_FOR && (
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
  const { tap, friction, height, heightUnit } = heatFields(gear, words)
  const { low, high } = KNEADING_WARMS_C[gear.kneads]
  const figure = 'text-2xl font-semibold'
  return (
    <Section title="Tap, kneading and height">
      <p className="mb-1">
        Water from the tap <QuantityField {...tap} className={figure} /> {words.units.temperature}
      </p>
      <p className="small mt-2" aria-hidden="true">
        Kneaded
      </p>
      <Segments
        label="Who kneads"
        className="mb-2"
        options={[
          ['hand', 'By hand'],
          ['mixer', 'Mixer'],
          ['processor', 'Processor'],
        ]}
        value={gear.kneads}
        onChange={(kneads) => void changeGear((now) => kneadBy(now, kneads))}
      />
      <p className="mb-1">
        Kneading warms a dough by <QuantityField {...friction} className={figure} /> {words.units.temperature}
        <span className="small block">
          {words.degrees(low)} to {words.degrees(high)} is usual: measure the dough once, before and after.
        </span>
      </p>
      <p>
        Height above the sea <QuantityField {...height} className={figure} /> {heightUnit}
      </p>
    </Section>
  )
}

/** Something with a name and what it takes. */
function Holds({
  name,
  kind,
  onName,
  onRemove,
  children,
}: {
  name: string
  kind: string
  onName: (name: string) => void
  onRemove: () => void
  children: ReactNode
}) {
  return (
    <li className="border-b border-line py-2">
      <div className="flex items-baseline gap-3">
        <TextField
          className="head min-w-0 flex-1 text-lg"
          label={`Name of the ${kind}`}
          value={name}
          max={120}
          required
          onChange={onName}
        />
        <button type="button" className="quiet text-sm" aria-label={`Remove ${name}`} onClick={onRemove}>
          Remove
        </button>
      </div>
      <p className="small mt-1">{children}</p>
    </li>
  )
}

export function Vessels({ gear }: { gear: Gear }) {
  const { massFigure, units } = useUnits()
  const change = (id: string, part: Partial<Vessel>) =>
    void changePart('vessel', id, (vessel) => ({ ...vessel, ...part }))
  const add = () => addPart('vessel', { id: nanoid(), name: 'New bowl', maxDoughG: 1500 })
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
          <Holds
            key={vessel.id}
            kind="vessel"
            name={vessel.name}
            onName={(name) => change(vessel.id, { name })}
            onRemove={() => removePart('vessel', vessel)}
          >
            takes{' '}
            <QuantityField
              label={`${vessel.name}, most dough`}
              shown={massFigure(vessel.maxDoughG)}
              unit="g"
              min={10}
              max={1_000_000}
              widthCh={7}
              className="text-2xl font-semibold text-ink"
              onChange={(maxDoughG) => change(vessel.id, { maxDoughG })}
            />{' '}
            {units.mass} of dough
          </Holds>
        ))}
      </ul>
      {gear.vessels.length < ROOM_FOR && (
        <button type="button" className="quiet mt-2" onClick={add}>
          Add a vessel
        </button>
      )}
    </Section>
  )
}

export function Pots({ gear }: { gear: Gear }) {
  const change = (id: string, part: Partial<Pot>) => void changePart('pot', id, (pot) => ({ ...pot, ...part }))
  const add = () => addPart('pot', { id: nanoid(), name: 'New pot', holdsL: USUAL_POT_L, ringKW: null })
  return (
    <Section title="Pots" lead="Filled three quarters at the most.">
      {gear.pots.length === 0 && <p className="py-2">Until one stands here, a pot of {USUAL_POT_L} litres is meant.</p>}
      <ul>
        {gear.pots.map((pot) => (
          <Holds
            key={pot.id}
            kind="pot"
            name={pot.name}
            onName={(name) => change(pot.id, { name })}
            onRemove={() => removePart('pot', pot)}
          >
            holds{' '}
            <QuantityField
              label={`${pot.name}, litres it holds`}
              shown={formatNumber(pot.holdsL, pot.holdsL % 1 === 0 ? 0 : 1)}
              unit="count"
              min={0.1}
              max={1000}
              widthCh={5}
              className="text-2xl font-semibold text-ink"
              onChange={(holdsL) => change(pot.id, { holdsL })}
            />{' '}
            L to the brim, ring{' '}
            <QuantityField
              label={`${pot.name}, kilowatts of its ring`}
              shown={pot.ringKW === null ? '' : formatNumber(pot.ringKW, 1)}
              unit="count"
              min={0.1}
              max={100}
              widthCh={4}
              className="text-2xl font-semibold text-ink"
              onChange={(ringKW) => change(pot.id, { ringKW })}
            />{' '}
            kW
          </Holds>
        ))}
      </ul>
      {gear.pots.length < ROOM_FOR && (
        <button type="button" className="quiet mt-2" onClick={add}>
          Add a pot
        </button>
      )}
    </Section>
  )
}

/** What lies over a tray. What is tight lets hardly anything through. */
export function Covers({ gear }: { gear: Gear }) {
  const change = (id: string, part: Partial<Cover>) => void changePart('cover', id, (cover) => ({ ...cover, ...part }))
  const add = () => addPart('cover', { id: nanoid(), name: 'a net', open: 0.6 })
  return (
    <Section title="Covers for the rack" lead="A cover slows the outside, so that the middle can catch up.">
      {gear.covers.length === 0 && <p className="py-2">Cloths, nets, lids and boxes would stand here.</p>}
      <ul>
        {gear.covers.map((cover) => (
          <Holds
            key={cover.id}
            kind="cover"
            name={cover.name}
            onName={(name) => change(cover.id, { name })}
            onRemove={() => removePart('cover', cover)}
          >
            lets{' '}
            <QuantityField
              label={`${cover.name}, share of the air it lets through`}
              shown={formatNumber(100 * cover.open, cover.open < 0.095 ? 1 : 0)}
              unit="%"
              min={0.5}
              max={100}
              widthCh={4}
              className="text-2xl font-semibold text-ink"
              onChange={(percent) => change(cover.id, { open: percent / 100 })}
            />{' '}
            % through
          </Holds>
        ))}
      </ul>
      <p className="small mt-1">A net about 60, a cloth 15, a lid 3: estimates, until weighings put them right.</p>
      {gear.covers.length < ROOM_FOR && (
        <button type="button" className="quiet mt-2" onClick={add}>
          Add a cover
        </button>
      )}
    </Section>
  )
}
