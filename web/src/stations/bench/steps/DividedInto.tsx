/** Into how many pieces the dough is divided for the roller or the pin: as long as the board, or as many as the maker likes. */
import { formatNumber, type RolledSheet } from '@harina/core'
import { recordTap } from '#web/state/bench.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useUnits } from '#web/ui/units.ts'
import { useBench } from '../view.tsx'

export function DividedInto({ sheet: { sheets, sheetLengthMm } }: { sheet: RolledSheet }) {
  const { running, step } = useBench()
  const { length } = useUnits()
  const { boardMm } = running.batch.plan
  return (
    <p className="text-md text-second">
      {step.kind === 'divide' ? 'or into' : 'rolled out in'}{' '}
      <QuantityField
        key={step.id}
        label="Pieces to divide into"
        shown={formatNumber(sheets, 0)}
        unit="count"
        min={1}
        max={1000}
        widthCh={4}
        className="text-3xl font-semibold text-ink"
        onChange={(pieces) => void recordTap(running.batch, { type: 'divided', pieces: Math.round(pieces) })}
      />{' '}
      {sheets === 1 ? 'sheet' : 'sheets, each'} {length(sheetLengthMm)} long
      {sheetLengthMm > boardMm * 1.001 && `, and longer than your board of ${length(boardMm)}`}.
    </p>
  )
}
