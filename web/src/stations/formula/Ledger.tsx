import {
  calledG,
  countedIn,
  formatNumber,
  formatPoints,
  lockedLine,
  lockRow,
  removeRow,
  retarget,
  setRowGrams,
  setRowPercent,
  rawBase,
  type EggSize,
  type Kitchen,
  type Worked,
  type WorkedRow,
} from '@harina/core'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useUnits } from '../../ui/units.ts'
import { Loss } from './Loss.tsx'
import { AddRow } from './AddRow.tsx'
import { useSheet } from './useSheet.ts'
import { Choice } from '../../ui/Choice.tsx'
import type { ReactNode } from 'react'
import { Term } from '../../ui/Term.tsx'
import { eggsWords, roughG } from '../../words/index.ts'

interface Props {
  readonly worked: Worked
  readonly kitchen: Kitchen
}

const word = 'min-h-8 px-1 text-sm'

function Lock({ on, name, onPress }: { on: boolean; name: string; onPress: () => void }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      aria-label={
        on
          ? `${name} is held at this amount; everything scales from it. Let go`
          : `Hold ${name} at this amount and scale everything from it`
      }
      className={`${word} ${on ? 'font-semibold text-ink underline decoration-2 underline-offset-4' : 'text-second hover:text-ink hover:underline'}`}
      onClick={onPress}
    >
      {on ? 'held' : 'hold'}
    </button>
  )
}

/** Which sack or jar it comes from: a flour's own batches tell how much it drinks. */
function Sack({ row, kitchen }: { row: WorkedRow; kitchen: Kitchen }) {
  const { edit } = useSheet()
  const lots = kitchen.lots.filter((lot) => lot.ingredient === row.ingredient.id)
  if (lots.length === 0) return row.ingredient.name
  const choose = (lot: string) =>
    edit((sheet) => ({
      ...sheet,
      rows: sheet.rows.map(({ lot: old, ...rest }) =>
        rest.key !== row.key ? { ...rest, ...(old && { lot: old }) } : { ...rest, ...(lot && { lot }) },
      ),
    }))
  return (
    <Choice
      label={`Sack of ${row.ingredient.name}`}
      className="field -ml-1 w-full [field-sizing:content] max-w-full cursor-pointer border-b-transparent max-md:text-label md:w-auto"
      value={row.lot ?? ''}
      none={`${row.ingredient.name}, no sack named`}
      options={lots.map((lot) => [lot.id, lot.name] as const)}
      onChange={(chosen) => choose(chosen)}
    />
  )
}

const isSolved = ({ key }: WorkedRow, { sheet }: Worked): boolean =>
  sheet.rows.some((row) => row.key === key && row.amount.by === 'hydration')

/** How a row stands to the others, where that is not plain. */
function standingOf(
  row: WorkedRow,
  worked: Worked,
  mass: (grams: number) => string,
  about: (grams: number) => string,
  egg: EggSize,
): ReactNode {
  const eggs = eggsWords(row.ingredient.id, row.grams, egg)
  const { startG, holdBackG } = worked.water
  const unsure = worked.sheet.rows.find(({ key }) => key === row.key)?.unsure
  if (unsure)
    return `${eggs ? `${eggs}; ` : ''}read: ${mass(unsure.low * row.grams)} to ${mass(unsure.high * row.grams)}`
  if (isSolved(row, worked))
    return (
      <>
        <Term of="solved">solved</Term>
        {holdBackG > 0 && `, pour ${mass(startG)} first`}
      </>
    )
  if (row.percent === 0) return 'out'
  if (eggs) return eggs
  if (row.part === 'base') {
    const raw = rawBase(worked)
    const bought =
      raw && raw.rawG > raw.readyG
        ? `, from about ${about(raw.rawG)} ${raw.from.by === 'drain' ? 'undrained' : 'raw'}`
        : ''
    return `${formatNumber(100 * row.water, 0)} % water${bought}`
  }
  return null
}

export const rowName = (row: WorkedRow, kitchen: Kitchen): string =>
  kitchen.lots.find((lot) => lot.id === row.lot)?.name ?? row.ingredient.name

/** Alkali and colour are told to a hundredth: a tenth of a per cent is a good part of them. */
const percentDecimals = (percent: number): number => (percent > 0 && percent < 2 && (percent * 10) % 1 !== 0 ? 2 : 1)

function LedgerRow({ row, worked, kitchen }: Props & { row: WorkedRow }) {
  const { edit, attempt, done } = useSheet()
  const { mass, massFigure, units } = useUnits()
  const step = kitchen.gear.scaleStepG
  const name = rowName(row, kitchen)
  const locked = lockedLine(worked) === row.key
  const standing = standingOf(
    row,
    worked,
    (grams) => mass(grams, step),
    (grams) => mass(roughG(grams)),
    units.egg,
  )
  const without = removeRow(worked, row.key, kitchen)
  const shown = massFigure(row.weighedG, step)
  return (
    <tr className="border-b border-line">
      <th scope="row" className="text-left text-md leading-tight font-normal">
        <Sack row={row} kitchen={kitchen} />
        {standing && (
          <span
            className={`small ${row.part === 'base' ? 'block pl-0.5' : 'max-md:block max-md:pl-0.5 md:whitespace-nowrap'}`}
          >
            {row.part !== 'base' && <span className="max-md:hidden"> · </span>}
            {standing}
          </span>
        )}
      </th>
      <td className="text-right">
        <QuantityField
          label={`${name}, percent of ${worked.control.by === 'base' ? 'base' : 'flour'}`}
          shown={formatNumber(row.percent, percentDecimals(row.percent))}
          unit="%"
          min={0}
          max={1000}
          className={`text-xl leading-tight ${isSolved(row, worked) ? 'text-family' : ''}`}
          widthCh={5.5}
          onChange={(percent) => attempt(setRowPercent(worked, row.key, percent), `percent-${row.key}`)}
          onDone={done}
        />
      </td>
      <td className="text-right">
        <QuantityField
          label={`${name}, grams`}
          densityGPerMl={row.ingredient.densityGPerMl}
          each={countedIn(row.ingredient.id, row.ingredient.group, units.egg)}
          shown={shown}
          unit="g"
          min={0}
          max={1_000_000}
          className={massClass(shown)}
          widthCh={massWidth(shown)}
          onChange={(grams) => attempt(setRowGrams(worked, row.key, grams, kitchen), `grams-${row.key}`)}
          onDone={done}
        />
      </td>
      <td className="text-right whitespace-nowrap">
        {without.ok && (
          <button
            type="button"
            aria-label={`Remove ${name}`}
            className={`${word} text-second hover:text-ink hover:underline`}
            onClick={() => edit(() => without.value)}
          >
            remove
          </button>
        )}
        <Lock
          on={locked}
          name={name}
          onPress={() =>
            edit(() => (locked ? retarget(worked, 'portions') : lockRow(worked, row.key, calledG(row.grams, step))))
          }
        />
      </td>
    </tr>
  )
}

/** Masses of a thousand kilograms fit their column too. */
const massClass = (shown: string): string => `font-semibold leading-tight ${shown.length > 6 ? 'text-lg' : 'text-3xl'}`
const massWidth = (shown: string): number => Math.max(6.5, shown.length + 0.5)

/** What weighing on this scale does to the water. */
function roundingWords(points: number | null, stepG: number): string {
  if (points === null) return 'too little for this scale'
  return `rounded to ${stepG} g: ${formatPoints(points)} points`
}

function DoughRow({ worked, kitchen }: Props) {
  const { edit, done } = useSheet()
  const { massFigure } = useUnits()
  const { batch, rows, control } = worked
  const step = kitchen.gear.scaleStepG
  const shown = massFigure(
    rows.reduce((sum, row) => sum + row.weighedG, 0),
    step,
  )
  const locked = lockedLine(worked) === 'dough'
  return (
    <tr className="border-t-2 border-ink">
      <th scope="row" className="text-left text-md">
        Dough{' '}
        {control.by === 'hydration' && (
          <span className="small block font-normal md:inline md:whitespace-nowrap">
            {roundingWords(batch.rounding.hydrationPoints, step)}
          </span>
        )}
      </th>
      <td className="figure pr-[0.15em] text-right text-xl">
        {formatNumber(
          rows.reduce((sum, row) => sum + row.percent, 0),
          1,
        )}
      </td>
      <td className="text-right">
        <QuantityField
          label="Dough, grams"
          shown={shown}
          unit="g"
          min={1}
          max={1_000_000}
          className={massClass(shown)}
          widthCh={massWidth(shown)}
          onChange={(grams) => edit((current) => ({ ...current, target: { by: 'dough', grams } }), 'dough')}
          onDone={done}
        />
      </td>
      <td className="text-right">
        <Lock
          on={locked}
          name="the dough"
          onPress={() => edit(() => retarget(worked, locked ? 'portions' : 'dough'))}
        />
      </td>
    </tr>
  )
}

/** The ledger: percent and grams, either drives the other; one line may be locked and scale the rest. */
export function Ledger({ worked, kitchen }: Props) {
  const { units } = useUnits()
  const counted = worked.control.by === 'base' ? worked.control.base.split(' ').at(-1) : 'flour'
  return (
    <div>
      <h2 className="sr-only">Ledger</h2>
      <table className="w-full table-fixed border-collapse">
        <caption className="sr-only">Ledger of ingredients</caption>
        <colgroup>
          <col />
          <col className="w-16 md:w-24" />
          <col className="w-23 md:w-26" />
          <col className="w-21 md:w-23" />
        </colgroup>
        <thead>
          <tr className="small border-b border-line">
            <th scope="col" className="text-left font-normal">
              Ledger
            </th>
            <th scope="col" className="text-right font-normal whitespace-nowrap">
              per 100 {counted}
            </th>
            <th scope="col" className="text-right font-normal">
              {units.mass === 'g' ? 'grams' : units.mass}
            </th>
            <th scope="col">
              <span className="sr-only">Remove or hold</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {worked.rows.map((row) => (
            <LedgerRow key={row.key} row={row} worked={worked} kitchen={kitchen} />
          ))}
        </tbody>
        <tfoot>
          <DoughRow worked={worked} kitchen={kitchen} />
        </tfoot>
      </table>
      <div className="flex items-baseline justify-between gap-4 pt-0.5">
        <AddRow worked={worked} kitchen={kitchen} />
        <Loss worked={worked} />
      </div>
    </div>
  )
}
