import { countedIn, type PlannedRow } from '@harina/core'
import { useKitchen } from '#web/state/select.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useUnits } from '#web/ui/units.ts'
import { called } from '#web/words/index.ts'
import { useBench } from '../view.tsx'

interface Props {
  readonly row: Pick<PlannedRow, 'filled' | 'part' | 'ingredient'>
  readonly label: string
  readonly grams: number
  readonly onChange: (grams: number) => void
}

/** What really went in: grams beside a scale, otherwise as it was measured. It is read in grams, cups, spoons or pieces. */
export function WentIn({ row, label, grams, onChange }: Props) {
  const { plan } = useBench().running.batch
  const { massFigure, units } = useUnits()
  const ingredient = useKitchen()?.ingredients.get(row.ingredient)
  const measured = plan.noScale ? called(plan, row, grams, units) : null
  const inMeasures = measured !== null && measured.unit === ''
  const shown = inMeasures ? measured.figure : massFigure(grams, plan.scaleStepG)
  return (
    <>
      <QuantityField
        densityGPerMl={row.filled?.gPerMl ?? ingredient?.densityGPerMl ?? 1}
        beside={plan.noScale ? undefined : 'scale'}
        each={countedIn(row.ingredient, ingredient?.group ?? '', units.egg)}
        label={label}
        shown={shown}
        unit="g"
        min={0}
        max={1_000_000}
        className={`font-semibold text-ink ${inMeasures ? 'text-2xl' : 'text-4xl'}`}
        widthCh={inMeasures ? shown.length + 2 : 6}
        onChange={onChange}
      />{' '}
      {!inMeasures && units.mass}
    </>
  )
}
