import {
  formatNumber,
  formatPoints,
  lotFromHistory,
  plainTextFrom,
  type Ingredient,
  type Kitchen,
  type Lot,
} from '@harina/core'
import { nanoid } from 'nanoid'
import { useState } from 'react'
import { notify } from '../../state/notify.ts'
import { repository } from '../../storage/index.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useUnits } from '../../ui/units.ts'
import { Section } from './Section.tsx'

const put = (lot: Lot) => void repository.putLot(lot)

/** What a lot's own batches say: each observation as a tick, the belief and its band over them. */
function Thirst({ points }: { points: readonly number[] }) {
  const lot = lotFromHistory(points)
  const x = (value: number) => 130 + value * 26
  const clamp = (value: number) => Math.min(256, Math.max(4, x(value)))
  return (
    <svg
      width="262"
      height="44"
      role="img"
      aria-label={`${points.length} batches; wants ${formatPoints(lot.shift)} points against paper, give or take ${formatNumber(2 * lot.sd, 1)}`}
    >
      <rect
        x={clamp(lot.shift - 2 * lot.sd)}
        y="4"
        width={clamp(lot.shift + 2 * lot.sd) - clamp(lot.shift - 2 * lot.sd)}
        height="10"
        fill="var(--semolina)"
        opacity="0.3"
      />
      <path d={`M${clamp(lot.shift)} 1v16`} stroke="var(--semolina)" strokeWidth="3" />
      <path d="M4 20H256" stroke="var(--ink)" />
      {[-4, -2, 0, 2, 4].map((tick) => (
        <g key={tick}>
          <path d={`M${x(tick)} 20v5`} stroke="var(--ink)" />
          <text x={x(tick)} y="40" textAnchor="middle" className="figure fill-second text-[14px]">
            {tick === 0 ? 'paper' : formatPoints(tick).replace('.0', '')}
          </text>
        </g>
      ))}
      {points.map((point, index) => (
        <path key={index} d={`M${clamp(point)} 14v9`} stroke="var(--ink)" strokeWidth="1.6" />
      ))}
    </svg>
  )
}

/** Left out when it is nothing: a price of 0 is a price, an empty field is none. */
const withPart = (lot: Lot, part: Partial<Pick<Lot, 'pricePerKg' | 'stockG' | 'protein'>>): Lot => ({ ...lot, ...part })

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
          className="text-[19px] font-semibold text-ink"
          onChange={(stockG) => put(withPart(lot, { stockG }))}
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
          className="text-[19px] font-semibold text-ink"
          onChange={(pricePerKg) => put(withPart(lot, { pricePerKg }))}
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
            className="text-[19px] font-semibold text-ink"
            onChange={(percent) => put(withPart(lot, { protein: percent / 100 }))}
          />{' '}
          %
        </span>
      )}
    </p>
  )
}

const byName = (lots: readonly Lot[]) => [...lots].sort((a, b) => a.name.localeCompare(b.name))

function remove(lot: Lot) {
  void repository.deleteLot(lot.id)
  notify(`${lot.name} is removed`, { action: { label: 'Undo', onClick: () => put(lot) } })
}

function LotRow({ lot, kitchen }: { lot: Lot; kitchen: Kitchen }) {
  const points = kitchen.thirst.get(lot.id) ?? []
  const ingredient = kitchen.ingredients.get(lot.ingredient)
  return (
    <li className="border-b border-line py-2">
      <div className="flex items-baseline gap-3">
        <input
          className="field head min-w-0 flex-1 text-[18px]"
          aria-label="Name of the lot"
          value={lot.name}
          maxLength={120}
          onChange={(event) => put({ ...lot, name: plainTextFrom(event.target.value, 120) || 'Lot' })}
        />
        <button
          type="button"
          className="quiet text-[14px]"
          aria-label={`Remove ${lot.name}`}
          onClick={() => remove(lot)}
        >
          Remove
        </button>
      </div>
      <p className="small">{ingredient?.name ?? lot.ingredient}</p>
      <div>
        <div>
          <LotFigures lot={lot} ingredient={ingredient} />
          <textarea
            className="field mt-1 block w-full resize-none [field-sizing:content] text-[15px]"
            rows={1}
            aria-label={`Notes on ${lot.name}`}
            placeholder="notes"
            value={lot.note}
            onChange={(event) => put({ ...lot, note: plainTextFrom(event.target.value, 4000) })}
          />
        </div>
        {points.length > 0 && <Thirst points={points} />}
      </div>
    </li>
  )
}

export function Lots({ kitchen }: { kitchen: Kitchen }) {
  const [chosen, setChosen] = useState('')
  const all = [...kitchen.ingredients.values()].filter(
    (ingredient) => ingredient.basis !== 'dusting' && ingredient.water < 1,
  )
  const add = (ingredient: string) => {
    const name = kitchen.ingredients.get(ingredient)?.name ?? 'Sack'
    put({ id: nanoid(), name, ingredient, note: '' })
    setChosen('')
  }
  return (
    <Section
      title="Sacks and jars"
      lead="Each lot with what is left, what it cost, and what it has wanted against paper as its batches were called right."
    >
      <label className="flex items-center gap-2">
        <span className="small whitespace-nowrap">Add a lot of</span>
        <select
          className="box min-w-0 flex-1"
          value={chosen}
          onChange={(event) => event.target.value && add(event.target.value)}
        >
          <option value="">choose an ingredient</option>
          {all.map((ingredient) => (
            <option key={ingredient.id} value={ingredient.id}>
              {ingredient.name}
            </option>
          ))}
        </select>
      </label>
      {kitchen.lots.length === 0 && (
        <p className="py-2">Your sacks would stand here. Add one, and Harina learns what it drinks.</p>
      )}
      <ul className="grid gap-x-8 md:grid-cols-2">
        {byName(kitchen.lots).map((lot) => (
          <LotRow key={lot.id} lot={lot} kitchen={kitchen} />
        ))}
      </ul>
    </Section>
  )
}
