import { formatNumber, type Worked } from '@harina/core'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useSheet } from './useSheet.ts'
import { Term } from '../../ui/Term.tsx'

/** What stays on the board, in the die or in the bowl. */
export function Loss({ worked }: { worked: Worked }) {
  const { edit, done } = useSheet()
  return (
    <span className="small whitespace-nowrap">
      <Term of="left on bowl and board">left on bowl and board</Term>{' '}
      <QuantityField
        label="Loss, percent of the dough"
        shown={formatNumber(worked.sheet.lossPercent, 1)}
        unit="%"
        min={0}
        max={50}
        widthCh={4.5}
        onChange={(loss) => edit((sheet) => ({ ...sheet, lossPercent: loss }), 'loss')}
        onDone={done}
      />{' '}
      %
    </span>
  )
}
