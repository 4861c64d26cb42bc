/** One dough cut into several shapes, by share, count or grams; the first takes what is left. */
import {
  amountOf,
  formatNumber,
  givenBy,
  shapesBeside,
  withAmount,
  type AlsoShape,
  type Kitchen,
  type ShapeShare,
  type Worked,
} from '@harina/core'
import { sheetEdited } from '#web/state/draftSlice.ts'
import { useAppDispatch } from '#web/state/store.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useUnits } from '#web/ui/units.ts'
import { Choice } from '#web/ui/Choice.tsx'
import { PART_FOR } from '#web/words/index.ts'

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
        {name}{' '}
        <Choice
          label={`${name} is for`}
          className="field small"
          value={also.for ?? ''}
          none="for now"
          options={PART_FOR.map((each) => [each, `for ${each}`] as const)}
          onChange={(what) => {
            const { for: _, ...rest } = also
            onChange(what ? { ...rest, for: what } : rest)
          }}
        />
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
          onChange={(by) => by && onChange(part ? givenBy(part, by, usableG) : withAmount({ ...also, by }, 1))}
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

/** All of the further shapes, as they are from now on. */
type Put = (next: readonly AlsoShape[], gesture?: string | null) => void

interface Props {
  readonly worked: Worked
  readonly parts: readonly ShapeShare[]
  readonly kitchen: Kitchen
}

/** The sheet's own shape with what is left, the others with theirs, and the sum. */
function Shares({ worked, parts, kitchen, put }: Props & { put: Put }) {
  const { mass } = useUnits()
  const { alsoShapes } = worked.sheet
  const [main] = parts
  const togetherG = parts.reduce((sum, { doughG }) => sum + doughG, 0)
  return (
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
        {alsoShapes.map((also) => {
          if (also.shape === worked.shape.id) return null
          return (
            <OneMore
              key={also.shape}
              also={also}
              name={kitchen.shapes.get(also.shape)?.name ?? also.shape}
              part={parts.find(({ shape }) => shape.id === also.shape)}
              usableG={worked.usableG}
              onChange={(next, gesture) =>
                put(
                  alsoShapes.map((each) => (each === also ? next : each)),
                  gesture,
                )
              }
              onOut={() => put(alsoShapes.filter((each) => each !== also))}
            />
          )
        })}
        <tr>
          <td colSpan={2} className="small">
            together
          </td>
          <td className="figure text-right text-lg font-semibold">{mass(togetherG, 1)}</td>
          <td colSpan={2} />
        </tr>
      </tbody>
    </table>
  )
}

export function SeveralShapes({ worked, parts, kitchen }: Props) {
  const dispatch = useAppDispatch()
  const { alsoShapes } = worked.sheet
  const put: Put = (next, gesture = null) =>
    dispatch(sheetEdited({ sheet: { ...worked.sheet, alsoShapes: [...next] }, gesture }))
  const { usual, unusual } = shapesBeside(worked, kitchen)
  const others = [
    ...usual.map(({ id, name }) => [id, name] as const),
    ...unusual.map(({ id, name }) => [id, `${name} (not usual)`] as const),
  ]
  return (
    <section aria-label="Shapes of this dough" className="mb-3 border-b border-line pb-2">
      {alsoShapes.length > 0 && <Shares {...{ worked, parts, kitchen, put }} />}
      {others.length > 0 && (
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
