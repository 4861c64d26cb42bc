/** Batter into the pot: how much at once, and how to tell that it is thick enough. */
import { dropped, formatNumber, largestPotL, USUAL_POT_L, waterOfPot, type ShapeShare, type Worked } from '@harina/core'
import { useState } from 'react'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useKitchen } from '#web/state/select.ts'
import { useUnits } from '#web/ui/units.ts'
import { Titled } from '../Titled.tsx'
import { counted, dropTestWords, dropWords } from '#web/words/index.ts'

export function Dropping({ part: { shape, cut, doughG }, worked }: { part: ShapeShare; worked: Worked }) {
  const { mass } = useUnits()
  const kitchen = useKitchen()
  const [typedL, setPotL] = useState<number | null>(null)
  const potL = typedL ?? waterOfPot((kitchen && largestPotL(kitchen.gear)) ?? USUAL_POT_L)
  const { blank } = shape
  if (blank.type !== 'drop') return null
  const { potfuls, eachG } = dropped({ doughG, potL, litresPer100G: worked.dough.pot.litresPer100G })
  return (
    <Titled title="Into the pot">
      <p className="leading-snug">
        Dropped {dropWords[blank.by]}. With{' '}
        <QuantityField
          label="Water in the pot"
          shown={formatNumber(potL, 1)}
          unit="count"
          min={0.5}
          max={200}
          widthCh={4}
          className="figure text-xl font-semibold"
          onChange={setPotL}
        />{' '}
        litres at the boil: {potfuls === 1 ? 'all in one potful' : `${counted(potfuls, 'potful')} of ${mass(eachG, 1)}`}
        , about {counted(cut.pieces / potfuls, 'drop')} each. They float when they are done or nearly: {shape.doneSign}.
      </p>
      <p className="leading-snug">
        <span className="font-semibold">Thick enough?</span> {dropTestWords[blank.by]} Steam and splashes burn: drop
        close to the water, away from you.
      </p>
    </Titled>
  )
}
