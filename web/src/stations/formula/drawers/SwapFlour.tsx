/** What another flour would do: to the water, the strength, the colour and the feel; and the formula put right. */
import {
  computeSheet,
  formatPercent,
  formatPoints,
  onRule,
  swapIngredient,
  type Ingredient,
  type Kitchen,
  type Worked,
  type WorkedRow,
} from '@harina/core'
import { useMemo, useState } from 'react'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { Term } from '#web/ui/Term.tsx'
import { rowName } from '../Ledger.tsx'
import { useSheet } from '../useSheet.ts'
import type { DrawerProps } from '../drawerProps.ts'
import { Line, DrawerSection } from './parts.tsx'

import { Choice } from '#web/ui/Choice.tsx'
import { problemTold } from '#web/ui/units.ts'

const strengthWords: Readonly<Record<Ingredient['gluten'], string>> = {
  strong: 'strong gluten, springs back',
  medium: 'gluten enough for sheets',
  weak: 'weak gluten, tears when pulled',
  none: 'no gluten of its own',
}

/** What one sees and feels of a flour, from its grain. */
function handWords({ particle, allergens, name, protein }: Ingredient): string {
  const dark = /whole|buckwheat|rye|toasted|teff|chestnut/i.test(name)
  const yellow = /durum|khorasan|maize|chickpea|lupin/i.test(name)
  return [
    particle === 'coarse' ? 'a coarse grain that drinks slowly' : 'fine',
    dark ? 'darkens the dough' : yellow ? 'yellows the dough' : 'pale',
    `${formatPercent(100 * protein)} % protein`,
    ...(allergens.length > 0 ? [`allergen: ${allergens.join(', ')}`] : []),
  ].join('; ')
}

function FromTo({ row, to, worked, kitchen }: { row: WorkedRow; to: string; worked: Worked; kitchen: Kitchen }) {
  const { edit } = useSheet()
  const swap = swapIngredient(worked, row.key, to, kitchen)
  const computed = swap.ok ? computeSheet(swap.value.sheet, kitchen) : swap
  if (!swap.ok || !computed.ok) return <p role="alert">{computed.ok ? '' : problemTold(computed.problem)}</p>
  const { from, to: next, points } = swap.value
  const after = computed.value
  const max = next.usualMaxSharePercent
  return (
    <DrawerSection title={`${from.name} out, ${next.name} in`}>
      <Line name="it drinks">
        {formatPoints(points)} <Term of="point">points</Term>
      </Line>
      <Line name={worked.control.by === 'base' ? 'flour on the base' : 'hydration'}>
        {formatPercent(onRule(worked))} → {formatPercent(onRule(after))} %
      </Line>
      <Line name="protein of the flour">
        {formatPercent(100 * worked.balance.flourProtein)} → {formatPercent(100 * after.balance.flourProtein)} %
      </Line>
      <p className="mt-2 leading-snug">
        <strong>Strength.</strong> {strengthWords[next.gluten]}; before it was {strengthWords[from.gluten]}.
      </p>
      <p className="mt-1 leading-snug">
        <strong>In the hand.</strong> {handWords(next)}.
      </p>
      {max !== undefined && max < row.onFlour && (
        <p className="mt-2 border-l-5 border-danger pl-3 leading-snug">
          Up to {max} % of the flour is usual for it without a method of its own; here it would be{' '}
          {formatPercent(row.onFlour)} %.
        </p>
      )}
      <button type="button" className="action mt-4" onClick={() => edit(() => swap.value.sheet)}>
        Swap it, and move the water
      </button>
    </DrawerSection>
  )
}

export default function SwapFlour({ worked, kitchen, onClose }: DrawerProps) {
  const flours = worked.rows.filter((row) => row.part === 'flour')
  const [key, setKey] = useState(flours[0]?.key ?? '')
  const [to, setTo] = useState('')
  const row = flours.find((each) => each.key === key) ?? flours[0]
  const all = useMemo(
    () => [...kitchen.ingredients.values()].filter((ingredient) => ingredient.basis === 'flour'),
    [kitchen.ingredients],
  )
  return (
    <SidePanel title="Swap a flour" onClose={onClose}>
      <label className="mb-3 block">
        <span className="small block">Take out</span>
        <Choice
          label="Take out"
          className="box min-h-11 w-full"
          value={row?.key ?? ''}
          options={flours.map((each) => [each.key, rowName(each, kitchen)] as const)}
          onChange={(chosen) => setKey(chosen)}
        />
      </label>
      <label className="mb-4 block">
        <span className="small block">Put in its place</span>
        <Choice
          label="Put in its place"
          className="box min-h-11 w-full"
          value={to}
          none={'choose a flour'}
          options={all.map((ingredient) => [ingredient.id, ingredient.name] as const)}
          onChange={(chosen) => setTo(chosen)}
        />
      </label>
      {row && to && <FromTo row={row} to={to} worked={worked} kitchen={kitchen} />}
      <p className="small leading-snug">
        Differences come from the flour table and are usual ones: one mill’s flour is not another’s. Hold some water
        back and let the feel decide.
      </p>
    </SidePanel>
  )
}
