/** What dough, water and trays are put in and under: bowls, pots, covers. */
import { formatNumber, ROOM_FOR, type Cover, type Gear, type Pot, type Vessel, USUAL_POT_L } from '@harina/core'
import { nanoid } from 'nanoid'
import type { ReactNode } from 'react'
import { addPart, changePart, removePart } from '../../state/gear.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { useUnits } from '../../ui/units.ts'
import { Section } from './Section.tsx'

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
