/** Ingredients of the maker's own, and the table's put right: water, fat, salt, density, price and allergens. */
import { formatNumber, plainTextFrom, type Ingredient, type Kitchen, type OwnIngredient } from '@harina/core'
import { ownIngredientSchema } from '@harina/core/model'
import { nanoid } from 'nanoid'
import { useState } from 'react'
import { notify } from '../../state/notify.ts'
import { selectIngredients } from '../../state/select.ts'
import { useApp } from '../../state/store.ts'
import { tables } from '../../state/tables.ts'
import { usersOfKept } from '../../state/users.ts'
import { put, say, sayRemoved } from '../../state/workspace.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { SidePanel } from '../../ui/SidePanel.tsx'
import { Section } from './Section.tsx'
import { inUse } from '../../words/index.ts'
import { Choice } from '../../ui/Choice.tsx'

const blank = (): OwnIngredient => ({
  id: nanoid(),
  name: 'New ingredient',
  group: 'flour',
  basis: 'flour',
  water: 0.14,
  protein: 0.11,
  fat: 0.012,
  salt: 0,
  densityGPerMl: 0.55,
  availableWater: 0,
  absorptionShift: 0,
  gluten: 'medium',
  allergens: ['gluten'],
})

/** What it counts as, and what that makes of it in a sheet. */
const kinds: readonly {
  readonly name: string
  readonly part: Pick<Ingredient, 'group' | 'basis' | 'availableWater' | 'absorptionShift' | 'gluten'>
}[] = [
  {
    name: 'a flour',
    part: { group: 'flour', basis: 'flour', availableWater: 0, absorptionShift: 0, gluten: 'medium' },
  },
  {
    name: 'a starch or a flour without gluten',
    part: { group: 'starch', basis: 'flour', availableWater: 0, absorptionShift: 0, gluten: 'none' },
  },
  {
    name: 'a liquid',
    part: { group: 'liquid', basis: 'liquid', availableWater: 1, absorptionShift: null, gluten: 'none' },
  },
  {
    name: 'milk, curd or cheese',
    part: { group: 'dairy', basis: 'liquid', availableWater: 0.6, absorptionShift: null, gluten: 'none' },
  },
  {
    name: 'a vegetable or purée',
    part: { group: 'vegetable', basis: 'liquid', availableWater: 0.5, absorptionShift: null, gluten: 'none' },
  },
  {
    name: 'a fat',
    part: { group: 'fat', basis: 'additive', availableWater: 0, absorptionShift: null, gluten: 'none' },
  },
  {
    name: 'a salt',
    part: { group: 'salt', basis: 'additive', availableWater: 0, absorptionShift: null, gluten: 'none' },
  },
  {
    name: 'a spice or colour',
    part: { group: 'seasoning', basis: 'additive', availableWater: 0, absorptionShift: null, gluten: 'none' },
  },
]

const kindOf = ({ group }: Ingredient): number => {
  const found = kinds.findIndex((kind) => kind.part.group === group)
  return found < 0 ? kinds.length - 1 : found
}

interface FigureProps {
  readonly name: string
  readonly value: number | undefined
  readonly unit: string
  readonly max: number
  readonly min?: number
  readonly decimals?: number
  readonly onChange: (value: number) => void
}

function Figure({ name, value, unit, max, min = 0, decimals = 1, onChange }: FigureProps) {
  return (
    <p className="flex items-baseline justify-between border-b border-line py-1">
      <span>{name}</span>
      <span>
        <QuantityField
          label={name}
          shown={value === undefined ? '' : formatNumber(value, decimals)}
          unit="count"
          min={min}
          max={max}
          widthCh={7}
          className="text-lg font-semibold"
          onChange={onChange}
        />{' '}
        <span className="inline-block w-10 text-left">{unit}</span>
      </span>
    </p>
  )
}

function Composition({ row, onChange }: { row: OwnIngredient; onChange: (row: OwnIngredient) => void }) {
  const share = (name: string, key: 'water' | 'fat' | 'salt' | 'protein') => (
    <Figure
      name={name}
      value={100 * row[key]}
      unit="%"
      max={100}
      decimals={2}
      onChange={(percent) => onChange({ ...row, [key]: percent / 100 })}
    />
  )
  return (
    <>
      {share('Water', 'water')}
      {share('Fat', 'fat')}
      {share('Salt', 'salt')}
      {share('Protein', 'protein')}
      <Figure
        name="Density, as filled"
        value={row.densityGPerMl}
        unit="g/ml"
        min={0.05}
        max={3}
        decimals={2}
        onChange={(densityGPerMl) => onChange({ ...row, densityGPerMl })}
      />
      {row.absorptionShift !== null && (
        <Figure
          name="Drinks against plain wheat flour"
          value={row.absorptionShift}
          unit="points"
          min={-50}
          max={900}
          onChange={(absorptionShift) => onChange({ ...row, absorptionShift })}
        />
      )}
      <Figure
        name="1 kg costs"
        value={row.pricePerKg}
        unit=""
        max={100_000}
        decimals={2}
        onChange={(pricePerKg) => onChange({ ...row, pricePerKg })}
      />
    </>
  )
}

function Editor({ start, isNew, onClose }: { start: OwnIngredient; isNew: boolean; onClose: () => void }) {
  const [row, setRow] = useState(start)
  const read = ownIngredientSchema.safeParse(row)
  const over = row.water + row.fat + row.salt > 1 + 1e-9
  const keep = async () => {
    if (!read.success) return
    const kept = put('ingredient', read.data)
    void say(`${row.name} is kept`, kept)
    if (await kept.stored) onClose()
  }
  return (
    <SidePanel title={isNew ? 'An ingredient of your own' : start.name} onClose={onClose}>
      <label className="mb-3 block">
        <span className="small block">Name</span>
        <input
          className="box min-h-11 w-full text-md"
          value={row.name}
          maxLength={120}
          onChange={(event) => setRow({ ...row, name: plainTextFrom(event.target.value, 120) })}
        />
      </label>
      <label className="mb-3 block">
        <span className="small block">It is</span>
        <Choice
          label="It is"
          className="box min-h-11 w-full"
          value={String(kindOf(row))}
          options={kinds.map((kind, index) => [String(index), kind.name] as const)}
          onChange={(chosen) => setRow({ ...row, ...kinds[Number(chosen)]?.part })}
        />
      </label>
      <Composition row={row} onChange={setRow} />
      <label className="my-3 block">
        <span className="small block">Allergens, with commas between</span>
        <input
          className="box min-h-11 w-full"
          defaultValue={row.allergens.join(', ')}
          onChange={(event) =>
            setRow({
              ...row,
              allergens: plainTextFrom(event.target.value, 400)
                .split(',')
                .map((word) => word.trim().slice(0, 60))
                .filter(Boolean)
                .slice(0, 30),
            })
          }
        />
      </label>
      {over && (
        <p role="alert" className="mb-3 border-l-5 border-danger pl-3">
          Water, fat and salt together are more than the whole of it. Put one of them right.
        </p>
      )}
      <p className="small mb-3 leading-snug">
        Take the figures from the pack; the label rules, above all for allergens.
      </p>
      <button type="button" className="action" disabled={!read.success} onClick={() => void keep()}>
        Keep it
      </button>
    </SidePanel>
  )
}

export function Ingredients({ kitchen }: { kitchen: Kitchen }) {
  const own = useApp(selectIngredients)
  const [editing, setEditing] = useState<{ readonly row: OwnIngredient; readonly isNew: boolean } | null>(null)
  const remove = (row: OwnIngredient) => {
    const users = tables().ingredientRows.some((each) => each.id === row.id) ? [] : usersOfKept('ingredient', row.id)
    if (users.length > 0) return notify(`${row.name} is in use`, { description: inUse(users) })
    return sayRemoved('ingredient', row)
  }
  const edit = (id: string) => {
    const row = kitchen.ingredients.get(id)
    const read = ownIngredientSchema.safeParse(row)
    if (read.success) setEditing({ row: read.data, isNew: !own.some((each) => each.id === id) })
  }
  return (
    <Section
      title="Ingredients of your own"
      lead="What the table lacks, or has wrong for what you buy. A figure of yours stands in place of the table’s everywhere."
    >
      {own.length === 0 && <p className="py-2">Your own flours, cheeses and powders would stand here.</p>}
      <ul>
        {own.map((row) => (
          <li key={row.id} className="flex items-baseline gap-3 border-b border-line py-2">
            <span className="min-w-0 flex-1">
              {row.name}
              <span className="small block">
                {formatNumber(100 * row.water, 1)} % water{row.allergens.length > 0 && `; ${row.allergens.join(', ')}`}
              </span>
            </span>
            <button
              type="button"
              className="quiet text-sm"
              aria-label={`Change ${row.name}`}
              onClick={() => edit(row.id)}
            >
              Change
            </button>
            <button
              type="button"
              className="quiet text-sm"
              aria-label={`Remove ${row.name}`}
              onClick={() => remove(row)}
            >
              Remove
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-col items-start gap-3">
        <button type="button" className="quiet" onClick={() => setEditing({ row: blank(), isNew: true })}>
          Add an ingredient
        </button>
        <label className="flex w-full items-center gap-2">
          <span className="small whitespace-nowrap">Put right</span>
          <Choice
            label="Put right"
            className="box min-w-0 flex-1"
            value=""
            none={'one of the table'}
            options={[...kitchen.ingredients.values()].map((ingredient) => [ingredient.id, ingredient.name] as const)}
            onChange={(chosen) => chosen && edit(chosen)}
          />
        </label>
      </div>
      {editing && (
        <Editor key={editing.row.id} start={editing.row} isNew={editing.isNew} onClose={() => setEditing(null)} />
      )}
    </Section>
  )
}
