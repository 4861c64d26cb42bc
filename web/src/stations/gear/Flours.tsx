import { formatNumber, formatPoints, lotFromHistory, plainTextFrom, type Kitchen, type Lot } from '@harina/core'
import { nanoid } from 'nanoid'
import { repository } from '../../storage/index.ts'
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

function LotRow({ lot, kitchen }: { lot: Lot; kitchen: Kitchen }) {
  const points = kitchen.thirst.get(lot.id) ?? []
  return (
    <li className="border-b border-line py-2">
      <input
        className="field head w-full text-[18px]"
        aria-label="Name of the lot"
        value={lot.name}
        maxLength={120}
        onChange={(event) => put({ ...lot, name: plainTextFrom(event.target.value, 120) || 'Lot' })}
      />
      <p className="small">{kitchen.ingredients.get(lot.ingredient)?.name ?? lot.ingredient}</p>
      <textarea
        className="field mt-1 block w-full resize-none text-[15px]"
        rows={2}
        aria-label={`Notes on ${lot.name}`}
        placeholder="notes"
        value={lot.note}
        onChange={(event) => put({ ...lot, note: plainTextFrom(event.target.value, 4000) })}
      />
      {points.length > 0 ? (
        <div className="mt-1">
          <Thirst points={points} />
        </div>
      ) : (
        <p className="small mt-1">No batch of this lot alone has been called right yet.</p>
      )}
    </li>
  )
}

export function Flours({ kitchen }: { kitchen: Kitchen }) {
  const flours = [...kitchen.ingredients.values()].filter(
    (ingredient) => ingredient.basis === 'flour' && ingredient.grain,
  )
  const add = (ingredient: string) => {
    const name = kitchen.ingredients.get(ingredient)?.name ?? 'Flour'
    put({ id: nanoid(), name, ingredient, note: '' })
  }
  return (
    <Section title="Flour lots" lead="What each sack wants against paper, as its batches were called right.">
      {kitchen.lots.length === 0 && (
        <p className="py-2">Your sacks would stand here. Add one, and Harina learns what it drinks.</p>
      )}
      <ul>
        {kitchen.lots.map((lot) => (
          <LotRow key={lot.id} lot={lot} kitchen={kitchen} />
        ))}
      </ul>
      <label className="mt-3 flex items-center gap-2">
        <span className="small whitespace-nowrap">Add a sack of</span>
        <select
          className="box min-w-0 flex-1"
          value=""
          onChange={(event) => event.target.value && add(event.target.value)}
        >
          <option value="">choose a flour</option>
          {flours.map((flour) => (
            <option key={flour.id} value={flour.id}>
              {flour.name}
            </option>
          ))}
        </select>
      </label>
    </Section>
  )
}
