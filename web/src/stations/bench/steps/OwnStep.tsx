import { formatNumber } from '@harina/core'
import { useState } from 'react'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { whatWords } from '#web/words/index.ts'
import { useBench } from '../view.tsx'

/** A correction of the maker's own size. */
export function OwnStep({ onAdd }: { onAdd: (what: 'water' | 'flour', grams: number) => void }) {
  const { plan } = useBench().running.batch
  const [grams, setGrams] = useState(0)
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-2 text-md text-second">
      another amount
      <span>
        <QuantityField
          label="Grams of your own step"
          shown={formatNumber(grams, grams % 1 === 0 ? 0 : 1)}
          unit="g"
          min={0}
          max={5000}
          className="text-3xl font-semibold text-ink"
          widthCh={5}
          onChange={setGrams}
        />{' '}
        g
      </span>
      {(['water', 'flour'] as const).map((what) => (
        <button
          key={what}
          type="button"
          className="press min-h-13 text-ink disabled:border-dashed disabled:text-second"
          disabled={grams <= 0}
          onClick={() => onAdd(what, grams)}
        >
          add as {whatWords(what, plan)}
        </button>
      ))}
    </p>
  )
}
