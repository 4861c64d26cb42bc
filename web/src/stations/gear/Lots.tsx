import {
  formatNumber,
  PACKED_MOISTURE,
  PACKINGS,
  type Ingredient,
  type Kitchen,
  type Lot,
  type Packing,
} from '@harina/core'
import { format, formatISO, parse } from 'date-fns'
import { nanoid } from 'nanoid'
import { useMemo, useState } from 'react'
import { change, put, sayRemoved } from '../../state/workspace.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { useUnits } from '../../ui/units.ts'
import { Section } from './Section.tsx'
import { Thirst } from './Thirst.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { DateField } from '../../ui/DateField.tsx'

const set = (id: string, part: Partial<Lot>) => void change('lot', id, (lot) => ({ ...lot, ...part }))

/** What is left in it, what it cost and, for a flour, its protein: what blends and costs are reckoned from. */
function LotFigures({ lot, ingredient }: { lot: Lot; ingredient: Ingredient | undefined }) {
  const { massFigure, units } = useUnits()
  return (
    <p className="small flex flex-wrap gap-x-4">
      <span className="whitespace-nowrap">
        left{' '}
        <QuantityField
          label={`${lot.name}, what is left`}
          shown={lot.stockG === undefined ? '' : massFigure(lot.stockG)}
          unit="g"
          min={0}
          max={10_000_000}
          widthCh={7}
          className="text-lg font-semibold text-ink"
          onChange={(stockG) => set(lot.id, { stockG })}
        />{' '}
        {units.mass}
      </span>
      <span className="whitespace-nowrap">
        1 kg costs{' '}
        <QuantityField
          label={`${lot.name}, price of a kilogram`}
          shown={lot.pricePerKg === undefined ? '' : formatNumber(lot.pricePerKg, 2)}
          unit="count"
          min={0}
          max={100_000}
          widthCh={6}
          className="text-lg font-semibold text-ink"
          onChange={(pricePerKg) => set(lot.id, { pricePerKg })}
        />
      </span>
      {ingredient?.basis === 'flour' && (
        <span className="whitespace-nowrap">
          protein{' '}
          <QuantityField
            label={`${lot.name}, protein, percent`}
            shown={formatNumber(100 * (lot.protein ?? ingredient.protein), 1)}
            unit="%"
            min={0}
            max={100}
            widthCh={5}
            className="text-lg font-semibold text-ink"
            onChange={(percent) => set(lot.id, { protein: percent / 100 })}
          />{' '}
          %
        </span>
      )}
    </p>
  )
}

const packingNames: Readonly<Record<Packing, string>> = {
  'open-bin': 'an open bin',
  'small-paper': 'a small paper bag',
  'paper-sack': 'a paper sack',
  sealed: 'lined, or under a lid',
}
const isPacking = (value: string): value is Packing => value in packingNames

/** What a wheat flour stands in, and since when: how far it has followed the air of its place. */
function LotKeeping({ lot, ingredient, todayMs }: { lot: Lot; ingredient: Ingredient | undefined; todayMs: number }) {
  if (!ingredient?.grain) return null
  return (
    <p className="small flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <span className="whitespace-nowrap">
        stands in{' '}
        <Choice
          label={`${lot.name}, what it stands in`}
          className="field text-base text-ink"
          value={lot.packing ?? ''}
          options={[['', 'nobody said'], ...PACKINGS.map((packing) => [packing, packingNames[packing]] as const)]}
          onChange={(chosen) =>
            void change('lot', lot.id, ({ packing: _was, ...rest }) =>
              isPacking(chosen) ? { ...rest, packing: chosen } : rest,
            )
          }
        />
      </span>
      <span className="whitespace-nowrap">
        since{' '}
        <DateField
          label={`${lot.name}, since when`}
          className="text-base text-ink"
          value={lot.since ? format(lot.since, 'yyyy-MM-dd') : ''}
          max={format(todayMs, 'yyyy-MM-dd')}
          onChange={(day) =>
            void change('lot', lot.id, ({ since: _was, ...rest }) =>
              day === '' ? rest : { ...rest, since: formatISO(parse(day, 'yyyy-MM-dd', todayMs)) },
            )
          }
        />
      </span>
      <span className="whitespace-nowrap">
        came with{' '}
        <QuantityField
          label={`${lot.name}, water when it came, percent`}
          shown={formatNumber(100 * (lot.startMoisture ?? PACKED_MOISTURE), 1)}
          unit="%"
          min={8}
          max={18}
          widthCh={5}
          className="text-base font-semibold text-ink"
          onChange={(percent) => set(lot.id, { startMoisture: percent / 100 })}
        />{' '}
        % water
      </span>
    </p>
  )
}

/** By name, as they were called when the list was last another: a row does not wander off while its name is being typed. */
function useByName(lots: readonly Lot[]): readonly Lot[] {
  const ids = lots.map(({ id }) => id).join()
  const order = useMemo(
    () => [...lots].sort((a, b) => a.name.localeCompare(b.name)).map(({ id }) => id),
    // oxlint-disable-next-line react/exhaustive-deps
    [ids],
  )
  return order.flatMap((id) => lots.find((lot) => lot.id === id) ?? [])
}

function LotRow({ lot, kitchen }: { lot: Lot; kitchen: Kitchen }) {
  const taught = useMemo(() => kitchen.thirst.get(lot.id) ?? [], [kitchen.thirst, lot.id])
  const ingredient = kitchen.ingredients.get(lot.ingredient)
  return (
    <li className="border-b border-line py-2">
      <div className="flex items-baseline gap-3">
        <TextField
          className="head min-w-0 flex-1 text-lg"
          label="Name of the lot"
          value={lot.name}
          max={120}
          required
          onChange={(name) => set(lot.id, { name })}
        />
        <button
          type="button"
          className="quiet text-sm"
          aria-label={`Remove ${lot.name}`}
          onClick={() => sayRemoved('lot', lot)}
        >
          Remove
        </button>
      </div>
      <p className="small">{ingredient?.name ?? lot.ingredient}</p>
      <div>
        <div>
          <LotFigures lot={lot} ingredient={ingredient} />
          <LotKeeping lot={lot} ingredient={ingredient} todayMs={kitchen.todayMs} />
          <TextField
            className="mt-1 block w-full resize-none [field-sizing:content] text-label"
            rows={1}
            label={`Notes on ${lot.name}`}
            placeholder="notes"
            value={lot.note}
            max={4000}
            onChange={(note) => set(lot.id, { note })}
          />
        </div>
        {taught.length > 0 && <Thirst lot={lot.name} taught={taught} />}
      </div>
    </li>
  )
}

export function Lots({ kitchen }: { kitchen: Kitchen }) {
  const [chosen, setChosen] = useState('')
  const lots = useByName(kitchen.lots)
  const all = [...kitchen.ingredients.values()].filter(
    (ingredient) => ingredient.basis !== 'dusting' && ingredient.water < 1,
  )
  const add = (ingredient: string) => {
    const name = kitchen.ingredients.get(ingredient)?.name ?? 'Sack'
    void put('lot', { id: nanoid(), name, ingredient, note: '' })
    setChosen('')
  }
  return (
    <Section
      title="Sacks and jars"
      lead="Each lot with what is left, what it cost, and how much more or less water it has wanted than the table says."
    >
      <label className="flex items-center gap-2">
        <span className="small whitespace-nowrap">Add a lot of</span>
        <Choice
          label="Add a lot of"
          className="box min-w-0 flex-1"
          value={chosen}
          none={'choose an ingredient'}
          options={all.map((ingredient) => [ingredient.id, ingredient.name] as const)}
          onChange={(chosen) => chosen && add(chosen)}
        />
      </label>
      {kitchen.lots.length === 0 && (
        <p className="py-2">Your sacks would stand here. Add one, and Harina learns what it drinks.</p>
      )}
      <ul className="grid grid-cols-[minmax(0,1fr)] gap-x-8 md:grid-cols-2">
        {lots.map((lot) => (
          <LotRow key={lot.id} lot={lot} kitchen={kitchen} />
        ))}
      </ul>
    </Section>
  )
}
