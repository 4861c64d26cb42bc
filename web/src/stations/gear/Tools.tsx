import type { Gear } from '@harina/core'
import { KNEADING_WARMS_C, kneadBy } from '@harina/core/heat'
import { changeGear, setGear } from '../../state/gear.ts'
import { heatFields } from '../../ui/heatFields.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { Segments } from '../../ui/Segments.tsx'
import { useUnits } from '../../ui/units.ts'
import { Section } from './Section.tsx'

const STEPS = [0.1, 0.5, 1, 2, 5] as const

export function Tools({ gear }: { gear: Gear }) {
  const { lengthFigure, units } = useUnits()
  return (
    <Section title="Scale and board">
      <p className="small mb-1" aria-hidden="true">
        The scale reads to
      </p>
      <Segments
        label="The scale reads to"
        className="figure mb-3 text-lg"
        options={STEPS.map((step) => [step, `${step} g`] as const)}
        value={gear.scaleStepG}
        onChange={(scaleStepG) => void setGear({ scaleStepG })}
      />
      <label className="mb-2 flex items-center gap-2">
        <input
          type="checkbox"
          checked={!gear.hasScale}
          onChange={(event) => void setGear({ hasScale: !event.target.checked })}
        />
        No scale: call everything in cups, spoons and eggs
      </label>
      {!gear.hasScale && (
        <p className="small mb-3">
          Cups of flour differ by a tenth, so more of the water waits for the feel. Alkali is never measured by the
          spoon: borrow a scale for it.
        </p>
      )}
      <p>
        Board, along which ropes are rolled{' '}
        <QuantityField
          label="Board length, millimetres"
          shown={lengthFigure(gear.boardMm)}
          unit="mm"
          min={100}
          max={3000}
          widthCh={5.5}
          className="text-2xl font-semibold"
          onChange={(boardMm) => void setGear({ boardMm })}
        />{' '}
        {units.length}
      </p>
    </Section>
  )
}

/** What the water is reckoned with: the tap, the hand or machine, the height above the sea. */
export function Heat({ gear }: { gear: Gear }) {
  const words = useUnits()
  const { tap, friction, height, heightUnit } = heatFields(gear, words)
  const { low, high } = KNEADING_WARMS_C[gear.kneads]
  const figure = 'text-2xl font-semibold'
  return (
    <Section title="Tap, kneading and height">
      <p className="mb-1">
        Water from the tap <QuantityField {...tap} className={figure} /> {words.units.temperature}
      </p>
      <p className="small mt-2" aria-hidden="true">
        Kneaded
      </p>
      <Segments
        label="Who kneads"
        className="mb-2"
        options={[
          ['hand', 'By hand'],
          ['mixer', 'Mixer'],
          ['processor', 'Processor'],
        ]}
        value={gear.kneads}
        onChange={(kneads) => void changeGear((now) => kneadBy(now, kneads))}
      />
      <p className="mb-1">
        Kneading warms a dough by <QuantityField {...friction} className={figure} /> {words.units.temperature}
        <span className="small block">
          {words.degrees(low)} to {words.degrees(high)} is usual: measure the dough once, before and after.
        </span>
      </p>
      <p>
        Height above the sea <QuantityField {...height} className={figure} /> {heightUnit}
      </p>
    </Section>
  )
}
