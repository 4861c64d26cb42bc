import { roundHalfUp, waterTargets } from '@harina/core'
import { useState } from 'react'
import { finishStep, recordTap } from '../../state/recordTap.ts'
import { useKitchen } from '../../ui/kitchen.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useUnits } from '../../ui/units.ts'
import { BowlRule } from './BowlRule.tsx'
import { Jug } from './Jug.tsx'
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
  const grams = (value: number) => mass(value, plan.scaleStepG)
  const all = () => {
    void finishStep(batch, ...(nowG > 0 ? [{ type: 'poured', grams: nowG } as const] : []))
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
        poured !== null && poured > 0 && poured < leftG
          ? { label: `Poured ${grams(nowG)}, more to come`, run: some }
          : null
      }
      aside={
        <Note title={`${grams(Math.max(0, water.totalG - state.pouredG - nowG))} stay in the jug`}>
          Give them only if the dough asks, once the flour has had {plan.minutes.drink} minutes to drink.
        </Note>
      }
    >
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
