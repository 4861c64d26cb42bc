/** One dough cut into several shapes, by share, count or grams; the first takes what is left. */
import {
  amountOf,
  formatNumber,
  givenBy,
  shapesFor,
  withAmount,
  type AlsoShape,
  type Kitchen,
  type Shape,
  type ShapeShare,
  type Worked,
} from '@harina/core'
import { sheetEdited } from '#web/state/draftSlice.ts'
import { useAppDispatch } from '#web/state/store.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useUnits } from '#web/ui/units.ts'
import { Choice } from '#web/ui/Choice.tsx'

const waysToGive = [
  ['share', '% of the dough'],
  ['count', 'pieces'],
  ['grams', 'by weight'],
] as const satisfies readonly (readonly [AlsoShape['by'], string])[]

interface OneProps {
  readonly also: AlsoShape
  readonly name: string
  readonly part: ShapeShare | undefined
  readonly usableG: number
  readonly onChange: (also: AlsoShape, gesture?: string) => void
  readonly onOut: () => void
}

/** A further shape: how much of the dough, given in one way or another, and what comes of it. */
function OneMore({ also, name, part, usableG, onChange, onOut }: OneProps) {
  const { mass, massFigure } = useUnits()
  const shown =
    also.by === 'grams' ? massFigure(also.grams, 1) : formatNumber(amountOf(also), also.by === 'share' ? 1 : 0)
  return (
    <tr className="border-b border-line">
      <th scope="row" className="py-1 text-left font-semibold">
        {name}
      </th>
      <td>
        <QuantityField
          label={`How much for ${name}`}
          shown={shown}
          unit={also.by === 'share' ? '%' : also.by === 'grams' ? 'g' : 'count'}
          min={also.by === 'share' ? 0.1 : 1}
          max={also.by === 'share' ? 100 : 1_000_000}
          widthCh={6}
          className="figure text-lg font-semibold"
          onChange={(amount) => onChange(withAmount(also, amount), `also-${also.shape}`)}
        />{' '}
        <Choice
          label={`${name} is given in`}
          className="field small"
          value={also.by}
          options={waysToGive}
          onChange={(by) =>
            by && onChange(part ? givenBy(part, by, usableG) : withAmount({ shape: also.shape, by }, 1))
          }
        />
      </td>
      <td className="figure text-right text-lg">{part && mass(part.doughG, 1)}</td>
      <td className="figure text-right text-lg">{part && formatNumber(part.cut.pieces, 0)}</td>
      <td className="pl-3 text-right">
        <button type="button" className="quiet text-sm" aria-label={`Take out ${name}`} onClick={onOut}>
          Take out
        </button>
      </td>
    </tr>
  )
}

export function SeveralShapes({
  worked,
  parts,
  kitchen,
}: {
  worked: Worked
  parts: readonly ShapeShare[]
  kitchen: Kitchen
}) {
  const dispatch = useAppDispatch()
  const { mass } = useUnits()
  const { alsoShapes } = worked.sheet
  const put = (next: readonly AlsoShape[], gesture: string | null = null): void => {
    dispatch(sheetEdited({ sheet: { ...worked.sheet, alsoShapes: [...next] }, gesture }))
  }
  const replace = (index: number, also: AlsoShape, gesture: string | null = null) =>
    put(
      alsoShapes.map((each, place) => (place === index ? also : each)),
      gesture,
    )
  const taken = new Set([worked.shape.id, ...alsoShapes.map(({ shape }) => shape)])
  const all = [...kitchen.shapes.values()]
  const usual = shapesFor(worked.dough, all)
  const free = ({ id }: Shape) => !taken.has(id)
  // Those not usual for this dough come after; what is dropped or pressed needs another dough altogether.
  const unusual = all.filter(
    (shape) => !usual.includes(shape) && (shape.method === 'drop') === (worked.shape.method === 'drop'),
  )
  const others = [
    ...usual.filter(free).map(({ id, name }) => [id, name] as const),
    ...unusual.filter(free).map(({ id, name }) => [id, `${name} (not usual)`] as const),
  ]
  const [main] = parts
  return (
    <section aria-label="Shapes of this dough" className="mb-3 border-b border-line pb-2">
      {alsoShapes.length > 0 && (
        <table className="w-full max-w-160">
          <thead className="sr-only">
            <tr>
              <th>Shape</th>
              <th>How much</th>
              <th>Dough</th>
              <th>Pieces</th>
              <th>Take out</th>
            </tr>
          </thead>
          <tbody>
            <tr className="border-b border-line">
              <th scope="row" className="py-1 text-left font-semibold">
                {worked.shape.name}
              </th>
              <td className="small">what is left</td>
              <td className="figure text-right text-lg">{main && mass(main.doughG, 1)}</td>
              <td className="figure text-right text-lg">{main && formatNumber(main.cut.pieces, 0)}</td>
              <td />
            </tr>
            {alsoShapes.map((also, index) => {
              if (also.shape === worked.shape.id) return null
              return (
                <OneMore
                  key={also.shape}
                  also={also}
                  name={kitchen.shapes.get(also.shape)?.name ?? also.shape}
                  part={parts.find(({ shape }) => shape.id === also.shape)}
                  usableG={worked.usableG}
                  onChange={(next, gesture) => replace(index, next, gesture)}
                  onOut={() => put(alsoShapes.filter((_, place) => place !== index))}
                />
              )
            })}
            <tr>
              <td colSpan={2} className="small">
                together
              </td>
              <td className="figure text-right text-lg font-semibold">
                {mass(
                  parts.reduce((sum, { doughG }) => sum + doughG, 0),
                  1,
                )}
              </td>
              <td colSpan={2} />
            </tr>
          </tbody>
        </table>
      )}
      {others.length > 0 && alsoShapes.length < 8 && (
        <label className="small">
          Cut a part of it into{' '}
          <Choice
            label="Cut a part of it into"
            className="field text-ink"
            value=""
            none={'another shape…'}
            options={others}
            onChange={(chosen) => put([...alsoShapes, { shape: chosen, by: 'share', percent: 20 }])}
          />
        </label>
      )}
    </section>
  )
}
