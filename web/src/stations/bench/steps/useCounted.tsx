import { benchPieces, countedOf, formatNumber } from '@harina/core'
import { useState, type ReactNode } from 'react'
import { finishStep } from '#web/state/bench.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useBench } from '../view.tsx'

/** The last step of cutting counts the pieces, unless a hand shapes them after. */
export function useCounted(kind: 'cut' | 'stamp' | 'press' | 'pull') {
  const { running } = useBench()
  const { plan } = running.batch
  const made = benchPieces(plan, running.state)
  const [typed, setTyped] = useState<number | null>(null)
  const counted = countedOf(plan, running.state)
  const count = Math.round(typed ?? counted.count)
  const isPortions = counted.unit === 'portion'
  const last = !plan.steps.some((step) => step.kind === 'shape')
  const finish = () => void finishStep(running.batch, ...(last ? [{ type: 'shaped', pieces: count } as const] : []))
  const field: ReactNode = last && (
    <p className="text-md text-second">
      made{' '}
      <QuantityField
        label={isPortions ? 'Portions made' : kind === 'stamp' ? 'Pieces stamped' : 'Pieces made'}
        shown={formatNumber(count, 0)}
        unit="count"
        min={0}
        max={1_000_000}
        className="text-4xl font-semibold text-ink"
        widthCh={7}
        onChange={setTyped}
      />
      {isPortions && (count === 1 ? ' portion' : ' portions')}
    </p>
  )
  return { made, counted, count, field, finish }
}
