/** The steps before the bowl: flour on the scale, water in the jug. */
import { asWeighed, formatGrams, formatNumber, waterTargets, type BenchAction, type PlannedRow } from '@harina/core'
import { useState } from 'react'
import { finishStep } from '../../state/recordTap.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useKitchen } from '../../ui/kitchen.tsx'
import { Jug } from './Jug.tsx'
import { Big, Note, StepSheet, useBench } from './StepSheet.tsx'

/** What the maker says went on the scale; the plan's figure until something else is typed. */
function useWeighing(rows: readonly PlannedRow[]) {
  const { running } = useBench()
  const [typed, setTyped] = useState<Readonly<Record<string, number>>>({})
  const gramsOf = (row: PlannedRow) => typed[row.key] ?? asWeighed(running.state, row)
  const actions = rows.map((row): BenchAction => ({ type: 'weighed', row: row.key, grams: gramsOf(row) }))
  return { gramsOf, set: (key: string, grams: number) => setTyped((all) => ({ ...all, [key]: grams })), actions, typed }
}

function RealWeight({
  row,
  grams,
  stepG,
  onChange,
}: {
  row: PlannedRow
  grams: number
  stepG: number
  onChange: (grams: number) => void
}) {
  return (
    <p className="text-[17px] text-second">
      on the scale{' '}
      <QuantityField
        label={`${row.name}, grams on the scale`}
        shown={formatGrams(grams, stepG)}
        unit="g"
        min={0}
        max={1_000_000}
        className="text-[30px] font-semibold text-ink"
        widthCh={6}
        onChange={onChange}
      />{' '}
      g
    </p>
  )
}

export function FlourStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const rows = plan.rows.filter((row) => row.part === 'flour')
  const weighing = useWeighing(rows)
  const off = rows.some((row) => weighing.gramsOf(row) !== row.weighedG)
  const empty = rows.every((row) => weighing.gramsOf(row) <= 0)
  const weighedG = Object.fromEntries(rows.map((row) => [row.key, weighing.gramsOf(row)]))
  const water = waterTargets(plan, { weighedG })
  return (
    <StepSheet
      title="Weigh the flour"
      lead={
        plan.store
          ? `From ${plan.store.name.toLowerCase()}, ${plan.store.temperatureC} °C and ${plan.store.rhPercent} % damp. Tare the bowl first.`
          : 'Tare the bowl first.'
      }
      action={{
        label: 'Weighed, go on',
        run: () => void finishStep(running.batch, ...weighing.actions),
        disabled: empty,
      }}
      aside={
        <>
          <Note title="Raw flour" grade="caution">
            It is not a ready-to-eat food: do not taste raw dough, wash hands and board, pour low to keep the dust down.
          </Note>
          {off && !empty && (
            <Note title="The water follows">
              With this flour the jug holds {formatGrams(water.totalG, plan.scaleStepG)} g, first stop at{' '}
              {formatGrams(water.startG, plan.scaleStepG)} g.
            </Note>
          )}
        </>
      }
    >
      <div className={`grid gap-6 ${rows.length > 1 ? 'sm:grid-cols-2' : ''}`}>
        {rows.map((row) => (
          <div key={row.key}>
            <Big
              label={row.name}
              figure={formatGrams(row.weighedG, plan.scaleStepG)}
              unit="g"
              small={rows.length > 1}
            />
            <div className="mt-2">
              <RealWeight
                row={row}
                grams={weighing.gramsOf(row)}
                stepG={plan.scaleStepG}
                onChange={(grams) => weighing.set(row.key, grams)}
              />
            </div>
          </div>
        ))}
      </div>
    </StepSheet>
  )
}

export function WaterStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const dough = useKitchen()?.doughs.get(plan.sheet.dough)
  const rows = plan.rows.filter((row) => row.part === 'salt' || row.part === 'other')
  const weighing = useWeighing(rows)
  const water = waterTargets(plan, running.state)
  const warm = dough?.waterC[0]
  const held = water.holdBackG
  return (
    <StepSheet
      title="Make the water"
      lead={warm ? `${warm.fromC} to ${warm.toC} °C: ${warm.why}.` : 'At the temperature you always use.'}
      action={{ label: 'Made, go on', run: () => void finishStep(running.batch, ...weighing.actions) }}
      aside={
        <>
          <Note title={`Keep ${formatGrams(held, plan.scaleStepG)} g in the jug`}>
            Flour, store and day differ.{' '}
            {plan.water.batches === 0
              ? 'No batch of this flour is in the log yet'
              : `${plan.water.batches} of this flour's batches are in the log`}
            , so the answer may lie {formatNumber(2 * plan.water.predictiveSd, 1)} points to either side. Pour to the
            first stop, then feel.
          </Note>
          {warm && warm.toC > 50 && (
            <Note title="Hot water" grade="caution">
              Stir with a stick until the dough is below 50 °C.
            </Note>
          )}
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-x-10 gap-y-4">
        <Big label="in the jug" figure={formatGrams(water.totalG, plan.scaleStepG)} unit="g" />
        <Jug totalG={water.totalG} startG={water.startG} pouredG={0} stepG={plan.scaleStepG} />
      </div>
      <div className="flex flex-wrap gap-x-12 gap-y-4 border-t border-line pt-4">
        {rows
          .filter((row) => row.weighedG > 0)
          .map((row) => (
            <div key={row.key}>
              <Big
                small
                label={row.part === 'salt' ? `${row.name}, dissolved in it` : `${row.name}, with it`}
                figure={formatGrams(row.weighedG, plan.scaleStepG)}
                unit="g"
              />
              <RealWeight
                row={row}
                grams={weighing.gramsOf(row)}
                stepG={plan.scaleStepG}
                onChange={(grams) => weighing.set(row.key, grams)}
              />
            </div>
          ))}
      </div>
    </StepSheet>
  )
}
