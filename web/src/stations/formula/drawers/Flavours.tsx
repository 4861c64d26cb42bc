/** Colour and taste: what each brings and drinks, so that the water follows and the dough feels the same. */
import { addRow, computeSheet, formatNumber, formatPercent, pouredG, removeRow, type Flavour } from '@harina/core'
import { flavours } from '@harina/facts'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useUnits } from '#web/ui/units.ts'
import { useSheet } from '../useSheet.ts'
import type { DrawerProps } from '../drawerProps.ts'

function FlavourLine({ flavour, worked, kitchen }: Omit<DrawerProps, 'onClose'> & { flavour: Flavour }) {
  const { edit } = useSheet()
  const { mass } = useUnits()
  const ingredient = kitchen.ingredients.get(flavour.ingredient)
  const row = worked.rows.find((each) => each.ingredient.id === flavour.ingredient)
  const next = row
    ? removeRow(worked, row.key, kitchen)
    : addRow(worked, flavour.ingredient, flavour.percent.best, kitchen)
  const computed = next.ok ? computeSheet(next.value, kitchen) : next
  if (!ingredient) return null
  const { low, best } = flavour.percent
  const { usualMaxSharePercent: high = best } = ingredient
  const putIn = `Put in ${formatNumber(best, best < 1 ? 1 : 0)} %`
  const moves = computed.ok ? pouredG(computed.value) - pouredG(worked) : 0
  return (
    <li className="border-b border-line py-2.5">
      <div className="flex items-baseline gap-3">
        <h3 className="flex-1 leading-tight font-semibold">{ingredient.name}</h3>
        <button
          type="button"
          className="quiet shrink-0"
          disabled={!next.ok || !computed.ok}
          aria-label={`${row ? 'Take out' : putIn} ${ingredient.name}`}
          onClick={() => next.ok && edit(() => next.value)}
        >
          {row ? 'Take out' : putIn}
        </button>
      </div>
      <p className="small leading-snug">
        {flavour.colour}, {flavour.strength}; {formatNumber(low, low < 1 ? 1 : 0)} to{' '}
        {formatNumber(high, high < 1 ? 1 : 0)} % of the flour.{' '}
        {computed.ok && Math.abs(moves) >= 0.5 && (
          <strong className="text-ink">
            {moves < 0 ? `Pour ${mass(-moves)} less water.` : `Pour ${mass(moves)} more water.`}
          </strong>
        )}
        {!computed.ok && <strong className="text-ink">It brings more water than this dough takes.</strong>}
        {row && ` In it now at ${formatPercent(row.percent)} %.`} {flavour.handling}
        {ingredient.allergens.length > 0 && ` Allergen: ${ingredient.allergens.join(', ')}.`}
      </p>
    </li>
  )
}

export default function Flavours({ worked, kitchen, onClose }: DrawerProps) {
  return (
    <SidePanel title="Colour and taste" onClose={onClose}>
      <p className="mb-2 leading-snug">
        The water in spinach, beet or ink counts, so less is poured; cocoa and dry powders drink, so more is.
      </p>
      <ul>
        {flavours.map((flavour) => (
          <FlavourLine key={flavour.ingredient} flavour={flavour} worked={worked} kitchen={kitchen} />
        ))}
      </ul>
    </SidePanel>
  )
}
