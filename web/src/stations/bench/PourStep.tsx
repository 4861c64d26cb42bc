import { formatNumber, overPour, roundHalfUp, waterTargets } from '@harina/core'
import { useState } from 'react'
import { finishStep, recordTap } from '../../state/recordTap.ts'
import { useKitchen } from '../../ui/kitchen.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useUnits } from '../../ui/units.ts'
import { BowlRule } from './BowlRule.tsx'
import { Jug } from './Jug.tsx'
import { ScaleStrip } from './ScaleStrip.tsx'
import { Big, Note, StepSheet, useBench } from './StepSheet.tsx'

export function PourStep() {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const dough = useKitchen()?.doughs.get(plan.sheet.dough)
  const water = waterTargets(plan, state)
  const leftG = Math.max(0, roundHalfUp(water.startG - state.pouredG, plan.scaleStepG))
  const [poured, setPoured] = useState<number | null>(null)
  const nowG = poured ?? leftG
  const { mass, massFigure, units } = useUnits()
  const over = overPour(plan, state, state.pouredG + nowG)
  const grams = (value: number) => mass(value, plan.scaleStepG)
  const all = () => {
    void finishStep(batch, ...(nowG > 0 ? [{ type: 'poured', grams: nowG } as const] : []))
    setPoured(null)
  }
  /** The rest of the formula follows the water. */
  const withFlour = () => {
    if (!over) return
    const added = { type: 'added-flour', grams: roundHalfUp(over.flourG, plan.scaleStepG), saltG: over.saltG } as const
    void finishStep(batch, { type: 'poured', grams: nowG }, added)
    setPoured(null)
  }
  const some = () => {
    void recordTap(batch, { type: 'poured', grams: nowG })
    setPoured(null)
  }
  return (
    <StepSheet
      title="Pour to the first stop"
      lead={dough ? `${dough.mixing.join('. ')}.` : undefined}
      action={{ label: nowG > 0 ? `Poured ${grams(nowG)}, go on` : 'Go on', run: all }}
      second={
        over
          ? { label: `Poured ${grams(nowG)}, and ${grams(over.flourG)} of flour`, run: withFlour }
          : poured !== null && poured > 0 && poured < leftG
            ? { label: `Poured ${grams(nowG)}, more to come`, run: some }
            : null
      }
      aside={
        over ? (
          <Note title={`${grams(over.overG)} more than all of it`} grade="caution">
            {formatNumber(over.points, 1)} points wetter than the formula. {grams(over.flourG)} of flour
            {over.saltG > 0 && ` with ${mass(over.saltG, 0.1)} of salt`} brings it back, and makes more dough; or go on,
            and feel it first.
          </Note>
        ) : (
          <Note title={`${grams(Math.max(0, water.totalG - state.pouredG - nowG))} stay in the jug`}>
            Give them only if the dough asks, once the flour has had {plan.minutes.drink} minutes to drink.
          </Note>
        )
      }
    >
      <ScaleStrip target={{ label: 'water in the bowl', targetG: leftG, take: setPoured }} />
      <div className="flex flex-wrap items-end gap-x-10 gap-y-3">
        <div>
          <Big label="still to pour" figure={massFigure(leftG, plan.scaleStepG)} unit={units.mass} />
          <p className="mt-2 text-[17px] text-second">
            went in{' '}
            <QuantityField
              label="Grams of water poured"
              shown={massFigure(nowG, plan.scaleStepG)}
              unit="g"
              min={0}
              max={1_000_000}
              className="text-[30px] font-semibold text-ink"
              widthCh={6}
              onChange={setPoured}
            />{' '}
            {units.mass}
          </p>
        </div>
        <Jug totalG={water.totalG} startG={water.startG} pouredG={state.pouredG} stepG={plan.scaleStepG} />
      </div>
      <BowlRule />
    </StepSheet>
  )
}
