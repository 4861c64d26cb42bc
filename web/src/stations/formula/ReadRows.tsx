/** The rows of a recipe: what, how much and between what, by which words, and why it is not surer. */
import { isOpen, type Decoded, type DecodedRow } from '@harina/core/recipe'
import { useState } from 'react'
import { useKitchen } from '../../state/select.ts'
import { useUnits } from '../../ui/units.ts'
import { whyWords } from '../../words/index.ts'
import { WhatIsIt, type Settling } from './WhatIsIt.tsx'

interface Props extends Settling {
  readonly decoded: Decoded
}

function Row({ row, usable, onSettle }: { row: DecodedRow } & Settling) {
  const kitchen = useKitchen()
  const { mass } = useUnits()
  const [asked, setAsked] = useState(false)
  const known = row.id === null ? undefined : kitchen?.ingredients.get(row.id)
  const step = row.grams < 10 ? 0.1 : 1
  return (
    <tr className="border-b border-line align-baseline">
      <th scope="row" className="py-1.5 pr-3 text-left leading-tight font-normal">
        {known ? (
          <button
            type="button"
            className="text-left hover:underline"
            aria-label={`${known.name}: say it is something else`}
            onClick={() => setAsked(!asked)}
          >
            {known.name}
          </button>
        ) : (
          <span className="font-semibold text-danger">{row.name}: not known</span>
        )}
        <q className="small block leading-snug">{row.read}</q>
        {(!known || asked) && <WhatIsIt name={row.name} usable={usable} onSettle={onSettle} />}
      </th>
      <td className="figure text-right text-2xl font-semibold whitespace-nowrap">{mass(row.grams, step)}</td>
      <td className="small pl-3 leading-tight">
        {isOpen(row) && (
          <span className="figure block text-base whitespace-nowrap">
            {mass(row.low, step)} to {mass(row.high, step)}
          </span>
        )}
        {row.why.map((why) => whyWords[why]).join(', ')}
      </td>
    </tr>
  )
}

export function ReadRows({ decoded, usable, onSettle }: Props) {
  if (decoded.rows.length === 0) return null
  return (
    <table className="w-full border-collapse">
      <caption className="sr-only">What was read</caption>
      <thead className="small">
        <tr className="border-b border-ink">
          <th scope="col" className="text-left font-normal">
            read, and by which words
          </th>
          <th scope="col" className="text-right font-normal">
            mostly
          </th>
          <th scope="col" className="pl-3 text-left font-normal">
            or between, and why
          </th>
        </tr>
      </thead>
      <tbody>
        {decoded.rows.map((row, n) => (
          <Row key={`${n}-${row.read}`} row={row} usable={usable} onSettle={onSettle} />
        ))}
      </tbody>
    </table>
  )
}
