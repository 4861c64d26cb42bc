/** The whole balance of the dough: every way its water is counted, what it feeds, what it costs, and its cautions. */
import { cautionsOf, formatNumber, formatPercent, type Worked } from '@harina/core'
import { hazards } from '@harina/facts'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useUnits } from '#web/ui/units.ts'
import type { DrawerProps } from '../drawerProps.ts'
import { Line, DrawerSection } from './parts.tsx'
import { Term } from '#web/ui/Term.tsx'

function Water({ worked }: { worked: Worked }) {
  const { batch, balance, expected14 } = worked
  return (
    <DrawerSection title="Water" lead="On 100 of flour, four ways, and of the whole dough.">
      <Line name={<Term of="poured, effective">plain water</Term>}>{formatPercent(batch.hydration.nominal)} %</Line>
      <Line name={<Term of="poured, effective">effective: all that is not flour brings</Term>}>
        {formatPercent(batch.hydration.effective)} %
      </Line>
      <Line name={<Term of="free at once">of that, free at once</Term>}>
        {formatPercent(balance.availablePercent)} %
      </Line>
      <Line name={<Term of="at standard 14 % flour moisture">on flour at 14 %</Term>}>
        {formatPercent(expected14)} %
      </Line>
      <Line name="in the whole dough">{formatPercent(100 * batch.doughMoisture)} %</Line>
    </DrawerSection>
  )
}

function Feeds({ worked }: { worked: Worked }) {
  const { balance, portionG, usableG } = worked
  const { mass } = useUnits()
  const each = portionG ?? 100
  const of = (per100: number) => (per100 * each) / 100
  return (
    <DrawerSection title={portionG === null ? 'In 100 g, uncooked' : `In a portion of ${mass(portionG)}, uncooked`}>
      <Line name="energy">
        {formatNumber(of(balance.kJPer100G), 0)} kJ, {formatNumber(of(balance.kJPer100G) / 4.184, 0)} kcal
      </Line>
      <Line name="salt in the dough (sodium × 2.5)">{formatNumber(of(balance.saltGPer100G), 2)} g</Line>
      {balance.potassiumMgPer100G > 1 && (
        <Line name="potassium, from its alkali">{formatNumber(of(balance.potassiumMgPer100G), 0)} mg</Line>
      )}
      {balance.cost ? (
        <Line name="costs">{formatNumber((balance.cost.total * each) / usableG, 2)}</Line>
      ) : (
        <p className="small">Give a sack its price in Gear, and the cost stands here.</p>
      )}
      {balance.cost && balance.cost.unpriced.length > 0 && (
        <p className="small">Without {balance.cost.unpriced.join(', ')}: no price known.</p>
      )}
      <p className="small mt-1 leading-snug">
        Fibre is counted as starch, so the energy runs a little high. Salt from the pot comes on top, and some of the
        dough’s own washes out.
      </p>
    </DrawerSection>
  )
}

export default function Brings({ worked, onClose }: DrawerProps) {
  const { batch, balance, made } = worked
  const cautions = cautionsOf(worked).flatMap((id) => hazards.find((hazard) => hazard.id === id) ?? [])
  return (
    <SidePanel title="Nutrition, allergens, cost" onClose={onClose}>
      <p className="mb-3">
        Allergens:{' '}
        <strong>
          {balance.allergens.length > 0 ? balance.allergens.join(', ') : 'none in the table for these rows'}
        </strong>
        .{balance.mayContain.length > 0 && <span className="block">May contain: {balance.mayContain.join(', ')}.</span>}
        <span className="small block">
          Traces and dusting come on top; the pack’s label rules. Wooden boards, pins, sieves and dies are not washed
          free of gluten.
        </span>
      </p>
      <Water worked={worked} />
      <DrawerSection title="The rest">
        <Line name="salt, on flour">{formatNumber(batch.saltPercent, 2)} %</Line>
        <Line name="fat, on flour, the flour’s own included">{formatNumber(batch.fatPercent, 2)} %</Line>
        <Line name="alkali, as sodium carbonate">{formatNumber(batch.carbonatePercent, 2)} %</Line>
        <Line name="protein of the flour">{formatPercent(100 * balance.flourProtein)} %</Line>
        <Line name="density">{formatNumber(batch.densityGPerCm3, 3)} g/cm³</Line>
      </DrawerSection>
      <Feeds worked={worked} />
      <DrawerSection title="How it is mixed">
        <ol className="list-decimal pl-5 leading-snug">
          {made.mixing.map((step) => (
            <li key={step}>{step}.</li>
          ))}
        </ol>
        <p className="small mt-2">
          Kneaded {made.kneadMin[0]} to {made.kneadMin[1]} min by hand, {made.mixerMin[0]} to {made.mixerMin[1]} by
          machine. Right: {made.feel.right}.
        </p>
      </DrawerSection>
      <DrawerSection
        title="Take care"
        lead="The usual cautions; product labels, local codes and licensed practice come first."
      >
        <ul>
          {cautions.map((hazard) => (
            <li key={hazard.id} className="mb-2">
              <strong>{hazard.title}.</strong> <span className="text-label leading-snug">{hazard.text}</span>
            </li>
          ))}
        </ul>
      </DrawerSection>
    </SidePanel>
  )
}
