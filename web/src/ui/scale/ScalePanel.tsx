/** The scale to practise with: hands for the one the server plays. */
import { useState } from 'react'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useUnits } from '#web/ui/units.ts'
import { actOrSay } from './actOrSay.ts'

const portions: readonly (readonly [string, number])[] = [
  ['Pour 100 g', 100],
  ['Pour 10 g', 10],
  ['A teaspoon of water, 5 g', 5],
  ['A tablespoon of flour, 8 g', 8],
  ['One spray, 0.7 g', 0.7],
  ['Take out 10 g', -10],
]

export function ScalePanel({ onClose }: { onClose: () => void }) {
  const { massFigure, units } = useUnits()
  const [grams, setGrams] = useState(250)
  const put = (amount: number) => void actOrSay({ act: 'put', grams: amount })
  const button = (name: string, run: () => void) => (
    <button key={name} type="button" className="box min-h-12 px-3 text-left" onClick={run}>
      {name}
    </button>
  )
  return (
    <SidePanel title="The scale to practise with" onClose={onClose}>
      <p className="mb-4 leading-snug">
        No scale is at hand, so this Harina plays one: it settles, trembles, drifts and can be lost like a real one. Put
        something on it.
      </p>
      <div className="grid grid-cols-2 gap-2">{portions.map(([name, amount]) => button(name, () => put(amount)))}</div>
      <p className="mt-3 flex items-center gap-3">
        <QuantityField
          label="Grams to put on"
          shown={massFigure(grams, 0.1)}
          unit="g"
          min={0.1}
          max={20_000}
          widthCh={7}
          className="figure text-3xl font-semibold"
          onChange={setGrams}
        />
        <span>{units.mass}</span>
        {button('Put on', () => put(grams))}
      </p>
      <h3 className="head mt-5 mb-1 text-lg">Itself</h3>
      <div className="grid grid-cols-2 gap-2">
        {button('Empty it', () => void actOrSay({ act: 'clear' }))}
        {button('Tare', () => void actOrSay({ act: 'tare' }))}
        {button('1 g, to 5 kg', () => void actOrSay({ act: 'range', stepG: 1 }))}
        {button('0.1 g, to 500 g', () => void actOrSay({ act: 'range', stepG: 0.1 }))}
        {button('Switch off', () => void actOrSay({ act: 'power', on: false }))}
        {button('Switch on', () => void actOrSay({ act: 'power', on: true }))}
        {button('Lose the line for 10 s', () => void actOrSay({ act: 'drop', seconds: 10 }))}
      </div>
    </SidePanel>
  )
}
