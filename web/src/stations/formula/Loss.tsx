import { formatNumber, type Worked } from '@harina/core'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useSheet } from './useSheet.ts'

/** What stays on the board, in the die or in the bowl. */
export function Loss({ worked }: { worked: Worked }) {
  const { edit, done } = useSheet()
  return (
    <span className="small whitespace-nowrap">
      left on bowl and board{' '}
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
