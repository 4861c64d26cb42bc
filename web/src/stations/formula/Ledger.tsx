import {
  formatGrams,
  formatNumber,
  formatPoints,
  lockedLine,
  lockRow,
  retarget,
  roundHalfUp,
  setRowGrams,
  setRowPercent,
  type Kitchen,
  type Worked,
  type WorkedRow,
} from '@harina/core'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useSheet } from './useSheet.ts'

interface Props {
  readonly worked: Worked
  readonly kitchen: Kitchen
}

function Lock({ on, name, onPress }: { on: boolean; name: string; onPress: () => void }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      aria-label={
        on ? `${name} is locked; everything scales from it. Unlock` : `Lock ${name} and scale everything from it`
      }
      className={`min-h-[32px] w-[3.4rem] md:w-[4.6rem] text-right text-[14px] ${on ? 'font-semibold text-ink underline decoration-2 underline-offset-4' : 'text-second hover:text-ink hover:underline'}`}
      onClick={onPress}
    >
      {on ? 'locked' : 'lock'}
    </button>
  )
}

/** Which sack the flour comes from: its own batches tell how much it drinks. */
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
    <select
      className="field -ml-1 w-full [field-sizing:content] max-w-full cursor-pointer border-b-transparent max-md:text-[15px] md:w-auto"
      aria-label={`Sack of ${row.ingredient.name}`}
      value={row.lot ?? ''}
      onChange={(event) => choose(event.target.value)}
    >
      {lots.map((lot) => (
        <option key={lot.id} value={lot.id}>
          {lot.name}
        </option>
      ))}
      <option value="">{row.ingredient.name}, no sack named</option>
    </select>
  )
}

function LedgerRow({ row, worked, kitchen }: Props & { row: WorkedRow }) {
  const { edit, attempt, done } = useSheet()
  const step = kitchen.gear.scaleStepG
  const lot = kitchen.lots.find((candidate) => candidate.id === row.lot)
  const name = lot?.name ?? row.ingredient.name
  const locked = lockedLine(worked) === row.key
  const solved = row.part === 'water'
  return (
    <tr className="border-b border-line">
      <th scope="row" className="text-left text-[17px] leading-tight font-normal">
        {row.part === 'flour' ? <Sack row={row} kitchen={kitchen} /> : name}
        {solved && <span className="small"> · solved</span>}
      </th>
      <td className="text-right">
        <QuantityField
          label={`${name}, percent of flour`}
          shown={formatNumber(row.percent, 1)}
          unit="%"
          min={0}
          max={1000}
          className={`text-[20px] leading-tight ${solved ? 'text-semolina' : ''}`}
          widthCh={5.5}
          onChange={(percent) => attempt(setRowPercent(worked, row.key, percent), `percent-${row.key}`)}
          onDone={done}
        />
      </td>
      <td className="text-right">
        <QuantityField
          label={`${name}, grams`}
          shown={formatGrams(row.weighedG, step)}
          unit="g"
          min={0}
          max={1_000_000}
          className={massClass(formatGrams(row.weighedG, step))}
          widthCh={massWidth(formatGrams(row.weighedG, step))}
          onChange={(grams) => attempt(setRowGrams(worked, row.key, grams, kitchen), `grams-${row.key}`)}
          onDone={done}
        />
      </td>
      <td className="text-right">
        <Lock
          on={locked}
          name={name}
          onPress={() =>
            edit(() =>
              locked
                ? retarget(worked, 'portions')
                : lockRow(worked, row.key, Math.max(step, roundHalfUp(row.grams, step))),
            )
          }
        />
      </td>
    </tr>
  )
}

/** Masses of a thousand kilograms fit their column too. */
const massClass = (shown: string): string =>
  `font-semibold leading-tight ${shown.length > 6 ? 'text-[19px]' : 'text-[25px]'}`
const massWidth = (shown: string): number => Math.max(6.5, shown.length + 0.5)

/** What weighing on this scale does to the water. */
function roundingWords(points: number | null, stepG: number): string {
  if (points === null) return 'too little for this scale'
  return `rounded to ${stepG} g: ${formatPoints(points)} points`
}

/** The ledger: percent and grams, either drives the other; one line may be locked and scale the rest. */
export function Ledger({ worked, kitchen }: Props) {
  const { edit, done } = useSheet()
  const { batch, rows } = worked
  const step = kitchen.gear.scaleStepG
  const asWeighedG = rows.reduce((sum, row) => sum + row.weighedG, 0)
  const doughLocked = lockedLine(worked) === 'dough'
  return (
    <table className="w-full table-fixed border-collapse">
      <caption className="sr-only">Ledger of ingredients</caption>
      <colgroup>
        <col />
        <col className="w-[64px] md:w-[96px]" />
        <col className="w-[92px] md:w-[104px]" />
        <col className="w-[48px] md:w-[86px]" />
      </colgroup>
      <thead>
        <tr className="small border-b border-line">
          <th scope="col" className="text-left font-normal">
            Ledger
          </th>
          <th scope="col" className="text-right font-normal">
            per 100 flour
          </th>
          <th scope="col" className="text-right font-normal">
            grams
          </th>
          <th scope="col">
            <span className="sr-only">Lock</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <LedgerRow key={row.key} row={row} worked={worked} kitchen={kitchen} />
        ))}
      </tbody>
      <tfoot>
        <tr className="border-t-2 border-ink">
          <th scope="row" className="text-left text-[17px]">
            Dough{' '}
            <span className="small font-normal whitespace-nowrap">
              {roundingWords(batch.rounding.hydrationPoints, step)}
            </span>
          </th>
          <td className="figure pr-[0.15em] text-right text-[21px]">
            {formatNumber((100 * batch.doughG) / batch.flourG, 1)}
          </td>
          <td className="text-right">
            <QuantityField
              label="Dough, grams"
              shown={formatGrams(asWeighedG, step)}
              unit="g"
              min={1}
              max={1_000_000}
              className={massClass(formatGrams(asWeighedG, step))}
              widthCh={massWidth(formatGrams(asWeighedG, step))}
              onChange={(grams) => edit((current) => ({ ...current, target: { by: 'dough', grams } }), 'dough')}
              onDone={done}
            />
          </td>
          <td className="text-right">
            <Lock
              on={doughLocked}
              name="the dough"
              onPress={() => edit(() => retarget(worked, doughLocked ? 'portions' : 'dough'))}
            />
          </td>
        </tr>
      </tfoot>
    </table>
  )
}
