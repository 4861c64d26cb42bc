/** Two formulas side by side, line against line. */
import { computeSheet, formatNumber, formatPercent, onRule, type Kitchen, type Worked } from '@harina/core'
import { useState } from 'react'
import { selectFormulas } from '#web/state/select.ts'
import { useApp } from '#web/state/store.ts'
import { FamilyMark } from '#web/ui/family.tsx'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { problemTold, useUnits } from '#web/ui/units.ts'
import type { DrawerProps } from '../drawerProps.ts'
import { restWords, type Worded } from '#web/words/index.ts'
import { Choice } from '#web/ui/Choice.tsx'

interface Pair {
  readonly name: string
  readonly left: string
  readonly right: string
}

const dash = '–'

/** Rows by ingredient: the same flour stands in one line, whatever its sack. */
function rowPairs(a: Worked, b: Worked): Pair[] {
  const names = [...new Set([...a.rows, ...b.rows].map((row) => row.ingredient.name))]
  const of = ({ rows }: Worked, name: string) => {
    const found = rows.filter((row) => row.ingredient.name === name)
    const sum = found.reduce((total, row) => total + row.percent, 0)
    return found.length === 0 ? dash : formatNumber(sum, sum < 2 && sum > 0 ? 2 : 1)
  }
  return names.map((name) => ({ name, left: of(a, name), right: of(b, name) }))
}

function factPairs(a: Worked, b: Worked, { temperature, mass }: Worded): Pair[] {
  const pair = (name: string, of: (worked: Worked) => string): Pair => ({ name, left: of(a), right: of(b) })
  const optional = (value: number | null, say: (value: number) => string) => (value === null ? dash : say(value))
  return [
    pair('shape', ({ shape }) => shape.name),
    pair('on its rule', (worked) => `${formatPercent(onRule(worked))} %`),
    pair('water in the dough', ({ batch }) => `${formatPercent(100 * batch.doughMoisture)} %`),
    pair('salt on flour', ({ batch }) => `${formatNumber(batch.saltPercent, 2)} %`),
    pair('alkali on flour', ({ batch }) => `${formatNumber(batch.carbonatePercent, 2)} %`),
    pair('heat of the water', ({ practice }) => optional(practice.waterC, (c) => temperature(c))),
    pair('rest', ({ practice }) => restWords(practice)),
    pair('a piece', ({ cut }) => mass(cut.pieceG, 0.01)),
    pair('energy in 100 g', ({ balance }) => `${formatNumber(balance.kJPer100G, 0)} kJ`),
    pair('cost of 1 kg', ({ balance, batch }) =>
      optional(balance.cost?.total ?? null, (total) => formatNumber((1000 * total) / batch.doughG, 2)),
    ),
    pair('allergens', ({ balance }) => balance.allergens.join(', ') || dash),
  ]
}

function Table({ a, b }: { a: Worked; b: Worked }) {
  const words = useUnits()
  const head = (worked: Worked) => (
    <th scope="col" className="w-[28%] pb-1 text-left align-bottom font-normal">
      <FamilyMark family={worked.dough.family} /> <span className="head text-md">{worked.sheet.name}</span>
    </th>
  )
  const lines = (pairs: readonly Pair[]) =>
    pairs.map(({ name, left, right }) => (
      <tr key={name} className="border-b border-line align-baseline">
        <th scope="row" className="py-1 pr-2 text-left text-label leading-tight font-normal">
          {name}
        </th>
        <td className={`figure text-md ${left === right ? 'text-second' : 'font-semibold'}`}>{left}</td>
        <td className={`figure text-md ${left === right ? 'text-second' : 'font-semibold'}`}>{right}</td>
      </tr>
    ))
  return (
    <table className="w-full table-fixed">
      <thead>
        <tr>
          <th scope="col">
            <span className="sr-only">What</span>
          </th>
          {head(a)}
          {head(b)}
        </tr>
      </thead>
      <tbody>{lines(rowPairs(a, b))}</tbody>
      <tbody className="border-t-2 border-ink">{lines(factPairs(a, b, words))}</tbody>
    </table>
  )
}

function Other({ worked, kitchen, id }: { worked: Worked; kitchen: Kitchen; id: string }) {
  const formula = useApp(selectFormulas).find((each) => each.id === id)
  if (!formula) return null
  const other = computeSheet(formula.sheet, kitchen)
  return other.ok ? <Table a={worked} b={other.value} /> : <p role="alert">{problemTold(other.problem)}</p>
}

export default function Compare({ worked, kitchen, onClose }: DrawerProps) {
  const formulas = useApp(selectFormulas)
  const [id, setId] = useState('')
  return (
    <SidePanel title="Compare" onClose={onClose} wide>
      <label className="mb-4 block">
        <span className="small block">The draft, beside</span>
        <Choice
          label="The draft, beside"
          className="box min-h-11 w-full"
          value={id}
          none={'choose from the book'}
          options={formulas.map((formula) => [formula.id, formula.sheet.name] as const)}
          onChange={(chosen) => setId(chosen)}
        />
      </label>
      {id === '' ? (
        <p className="small">Differences stand in bold. Rows count per 100 of flour, or of the base.</p>
      ) : (
        <Other worked={worked} kitchen={kitchen} id={id} />
      )}
    </SidePanel>
  )
}
