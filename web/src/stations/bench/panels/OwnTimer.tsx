import { formatNumber, plainTextFrom } from '@harina/core'
import { useState } from 'react'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useOwnTimer } from '../steps/useOwnTimer.ts'

const usual: readonly (readonly [string, number])[] = [
  ['Water on', 15],
  ['Turn the trays', 30],
  ['Sauce', 20],
  ['Look again', 5],
]

/** A clock for anything, with a name; it rings like the others. */
export default function OwnTimer({ onClose }: { onClose: () => void }) {
  const { startNamed } = useOwnTimer()
  const [name, setName] = useState('')
  const [minutes, setMinutes] = useState(10)
  const start = (called: string, of: number) => {
    startNamed(called.trim() || 'Timer', of)
    onClose()
  }
  return (
    <SidePanel title="A timer" onClose={onClose} at="middle">
      <div className="mb-5 grid grid-cols-2 gap-2">
        {usual.map(([words, of]) => (
          <button key={words} type="button" className="press min-h-14" onClick={() => start(words, of)}>
            {words}, {of} min
          </button>
        ))}
      </div>
      <form
        className="flex flex-wrap items-end gap-4"
        onSubmit={(event) => {
          event.preventDefault()
          start(name, minutes)
        }}
      >
        <label className="flex flex-1 flex-col gap-1">
          <span className="small">or one of your own</span>
          <input
            className="box min-h-12"
            placeholder="What for"
            value={name}
            maxLength={60}
            onChange={(event) => setName(plainTextFrom(event.target.value, 60))}
          />
        </label>
        <span className="pb-2">
          <QuantityField
            label="Minutes of this timer"
            shown={formatNumber(minutes, minutes % 1 === 0 ? 0 : 1)}
            unit="min"
            min={0.1}
            max={6000}
            widthCh={5}
            className="text-4xl font-semibold"
            onChange={setMinutes}
          />{' '}
          min
        </span>
        <button type="submit" className="action min-h-12">
          Start
        </button>
      </form>
    </SidePanel>
  )
}
