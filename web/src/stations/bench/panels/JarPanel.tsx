import { formatPoints, replay, type BenchEvent } from '@harina/core'
import { useState } from 'react'
import { recordTap } from '#web/state/bench.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useUnits } from '#web/ui/units.ts'
import { ScaleStrip } from '#web/ui/scale/ScaleStrip.tsx'
import { useBench } from '../view.tsx'

/** The jar of flour for the board, jar and all: only what it loses counts. */
export default function JarPanel({ onClose }: { onClose: () => void }) {
  const { running } = useBench()
  const { batch, state } = running
  const { mass, massFigure, units } = useUnits()
  const [grams, setGrams] = useState<number | null>(null)
  const takenG = grams !== null && state.jarG !== null ? state.jarG - grams : null
  const at = batch.events.at(-1)?.at ?? batch.plan.at
  const weighed: BenchEvent | null = grams === null ? null : { id: 'jar', at, type: 'jar-weighed', grams }
  const step =
    weighed && takenG !== null && takenG > 0 ? replay(batch.plan, [...batch.events, weighed]).additions.at(-1) : null
  const write = async () => {
    if (grams !== null && (await recordTap(batch, { type: 'jar-weighed', grams }))) onClose()
  }
  return (
    <SidePanel title="The jar of flour for the board" onClose={onClose} at="middle">
      <p className="mb-3 leading-snug">
        {state.jarG === null
          ? 'Weigh it as it is, jar and all, before you dust. Weigh it again when the dough is off the board.'
          : `It stood at ${mass(state.jarG, 0.1)}. What it has lost since is in the dough; brush back first what still lies on the board. More than before is a refill, and counts as a new beginning.`}
      </p>
      <ScaleStrip target={{ label: 'the jar', targetG: null, take: setGrams }} />
      <p className="mb-4 flex items-center gap-3">
        <span>The jar weighs</span>
        <QuantityField
          label="The jar weighs"
          shown={grams === null ? '' : massFigure(grams, 0.1)}
          unit="g"
          min={0}
          max={20_000}
          widthCh={7}
          className="figure text-4xl font-semibold"
          onChange={setGrams}
        />
        <span>{units.mass}</span>
      </p>
      <p className="mb-4 min-h-6" role="status">
        {step && `${mass(step.grams, 0.1)} taken up: ${formatPoints(step.to - step.from)} points.`}
        {takenG !== null && takenG <= 0 && 'It has lost nothing: this is where it starts from now.'}
      </p>
      <button type="button" className="action" disabled={grams === null} onClick={() => void write()}>
        Write it down
      </button>
    </SidePanel>
  )
}
