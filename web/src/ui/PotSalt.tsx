import { formatNumber, potNow } from '@harina/core'
import { recordTap } from '../state/bench.ts'
import type { RunningBatch } from '../state/select.ts'
import { QuantityField } from './QuantityField.tsx'

/** Fine salt as it is spooned. */
const SALT_G_PER_ML = 1.2
const MOST_G_PER_L = 100

/** Salt in a batch's water today, by the gram or the spoon. */
export function PotSalt({ running: { batch, state } }: { running: RunningBatch }) {
  const { saltGPerL } = potNow(batch.plan, state)
  return (
    <span className="whitespace-nowrap">
      <QuantityField
        label={`Salt in the water for ${batch.plan.sheet.name}, grams a litre`}
        shown={formatNumber(saltGPerL, saltGPerL % 1 === 0 ? 0 : 1)}
        unit="g"
        min={0}
        max={MOST_G_PER_L}
        densityGPerMl={SALT_G_PER_ML}
        className="text-2xl font-semibold"
        widthCh={5}
        onChange={(gPerL) => void recordTap(batch, { type: 'pot-salted', gPerL })}
      />{' '}
      g a litre
    </span>
  )
}
