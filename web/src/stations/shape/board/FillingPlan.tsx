/** A filled shape: filling against dough, whether a rim is left, and how long it waits. */
import {
  faceMm,
  filledPieces,
  fillingOf,
  formatNumber,
  plainTextFrom,
  RIM_MIN_MM,
  type FilledPieces,
  type Filling,
  type Shape,
  type ShapeShare,
  type Worked,
} from '@harina/core'
import { sheetEdited } from '#web/state/draftSlice.ts'
import { useAppDispatch } from '#web/state/store.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useUnits } from '#web/ui/units.ts'
import { Titled } from '../Titled.tsx'
import { counted } from '#web/words/index.ts'

interface FieldsProps {
  readonly filling: Filling
  readonly change: (part: Partial<Filling>) => void
  readonly onKeepEmpty: () => void
}

function FillingFields({ filling, change, onKeepEmpty }: FieldsProps) {
  const { massFigure, units } = useUnits()
  return (
    <p className="leading-relaxed">
      <input
        className="field head w-[14ch] text-lg"
        aria-label="Name of the filling"
        value={filling.name}
        maxLength={120}
        onChange={(event) => change({ name: plainTextFrom(event.target.value, 120) || 'Filling' })}
      />
      ,{' '}
      <QuantityField
        label="Filling in each"
        shown={massFigure(filling.gramsEach, 0.5)}
        unit="g"
        min={0.1}
        max={500}
        widthCh={5}
        className="figure text-xl font-semibold"
        onChange={(gramsEach) => change({ gramsEach })}
      />{' '}
      {units.mass} in each, of{' '}
      <QuantityField
        label="Moisture of the filling"
        shown={formatNumber(filling.moisturePercent, 0)}
        unit="%"
        min={0}
        max={100}
        widthCh={3}
        className="figure text-xl font-semibold"
        onChange={(moisturePercent) => change({ moisturePercent })}
      />{' '}
      % moisture.{' '}
      <button type="button" className="quiet" onClick={onKeepEmpty}>
        Keep the skins empty
      </button>
    </p>
  )
}

/** Whether it closes over the filling. */
function Rim({ rimMm }: Pick<FilledPieces, 'rimMm'>) {
  const { length } = useUnits()
  return rimMm < RIM_MIN_MM ? (
    <p role="alert" className="border-l-5 border-danger pl-3 leading-snug">
      {rimMm <= 0 ? 'The skin does not close over so much' : `Only ${length(rimMm)} of rim would be left`}: give less
      filling, or stamp larger.
    </p>
  ) : (
    <p className="leading-snug">
      {length(rimMm)} of rim is left to seal: brush it with water, press from the filling outwards so that the air goes
      out, then close.
    </p>
  )
}

interface FilledProps {
  readonly plan: FilledPieces
  readonly pieces: number
  readonly shape: Shape
  readonly gramsEach: number
}

function Filled({ plan, pieces, shape, gramsEach }: FilledProps) {
  const { mass, length, temperature } = useUnits()
  const usual = shape.fillingG
  return (
    <>
      <p className="leading-snug">
        {mass(plan.fillingG, 1)} for {counted(pieces, 'piece')} of {mass(plan.pieceG, 0.1)};{' '}
        {formatNumber(plan.ratio, 1)} of filling to 1 of dough. Mounds of {length(plan.moundMm)},{' '}
        {shape.blank.type === 'sheet'
          ? `set ${length(faceMm(shape.blank))} from middle to middle on the sheet`
          : 'one in the middle of each round'}
        .
      </p>
      <Rim rimMm={plan.rimMm} />
      {usual && (gramsEach < usual.low || gramsEach > usual.high) && (
        <p className="small">
          Usual for this shape: {mass(usual.low, 1)} to {mass(usual.high, 1)}.
        </p>
      )}
      <p className="leading-snug">
        <span className="font-semibold">The skin goes soft after about {formatNumber(plan.softAfterMin, 0)} min</span>{' '}
        at room heat: a rule of thumb for this wall and moisture. Boil, steam or freeze before; meat, fish, milk and egg
        fillings stay cold all the while, heat through to {temperature(74)}, and follow your local food rules.
      </p>
    </>
  )
}

export function FillingPlan({ part: { shape, cut }, worked }: { part: ShapeShare; worked: Worked }) {
  const dispatch = useAppDispatch()
  const { sheet } = worked
  const filling = fillingOf(sheet, shape)
  if (!filling) return null
  const keepEmpty = (unfilled: boolean) => dispatch(sheetEdited({ sheet: { ...sheet, unfilled }, gesture: null }))
  const change = (part: Partial<Filling>) =>
    dispatch(sheetEdited({ sheet: { ...sheet, filling: { ...filling, ...part } }, gesture: 'filling' }))
  return (
    <Titled title="Filling">
      {sheet.unfilled ? (
        <p className="leading-relaxed">
          None: {formatNumber(cut.pieces, 0)} skins are cut and kept empty, starched and covered, in the fridge or the
          freezer.{' '}
          <button type="button" className="quiet font-semibold" onClick={() => keepEmpty(false)}>
            Fill them after all
          </button>
        </p>
      ) : (
        <>
          <FillingFields filling={filling} change={change} onKeepEmpty={() => keepEmpty(true)} />
          <Filled
            plan={filledPieces(filling, shape, cut)}
            pieces={cut.pieces}
            shape={shape}
            gramsEach={filling.gramsEach}
          />
        </>
      )}
    </Titled>
  )
}
