/** The book of a batch: every entry in order. A mistaken figure is put right beside it, and stays to be seen. */
import { figureOf, formatNumber, activeEvents, type BenchEvent, type Unit } from '@harina/core'
import { format } from 'date-fns'
import { useState } from 'react'
import { recordTap } from '#web/state/bench.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useEntryWords } from '#web/ui/useEntryWords.ts'
import { useUnits } from '#web/ui/units.ts'
import { useBench } from '../view.tsx'

const unitOf = (event: BenchEvent): Unit => (event.type === 'shaped' ? 'count' : event.type === 'cooked' ? 'min' : 'g')

interface EntryProps {
  readonly event: BenchEvent
  /** Its figure as it now counts. */
  readonly figure: number | null
  readonly words: string
  readonly takenBack: boolean
}

function Entry({ event, figure, words, takenBack }: EntryProps) {
  const { running } = useBench()
  const { massFigure, units } = useUnits()
  const [open, setOpen] = useState(false)
  const [typed, setTyped] = useState<number | null>(null)
  const unit = unitOf(event)
  const written = figureOf(event)
  const shown = (value: number) =>
    unit === 'g'
      ? massFigure(value, value < 10 ? 0.1 : running.batch.plan.scaleStepG)
      : formatNumber(value, value % 1 === 0 ? 0 : 1)
  const amended = figure !== null && written !== null && Math.abs(figure - written) > 1e-9
  const putRight = async () => {
    if (typed === null) return
    if (await recordTap(running.batch, { type: 'amended', of: event.id, figure: typed })) setOpen(false)
  }
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-b border-line py-2">
      <span className="figure w-12 shrink-0 text-second">{format(event.at, 'HH:mm')}</span>
      <span className={`min-w-0 flex-1 leading-snug ${takenBack ? 'text-second line-through' : ''}`}>
        {words}
        {amended && <span className="text-second"> (put right: {shown(figure)})</span>}
      </span>
      {figure !== null && !takenBack && (
        <button
          type="button"
          className="quiet text-label"
          aria-expanded={open}
          aria-label={`Put right: ${words}`}
          onClick={() => setOpen(!open)}
        >
          Put right
        </button>
      )}
      {open && figure !== null && (
        <span className="flex w-full items-baseline gap-3 py-1 pl-14">
          it was{' '}
          <QuantityField
            label={`Right figure of ${words}`}
            shown={shown(typed ?? figure)}
            unit={unit}
            min={0}
            max={1_000_000}
            widthCh={7}
            className="text-3xl font-semibold"
            onChange={setTyped}
          />{' '}
          {unit === 'g' ? units.mass : unit === 'min' ? 'min' : ''}
          <button
            type="button"
            className="press min-h-11 px-4"
            disabled={typed === null}
            onClick={() => void putRight()}
          >
            So it was
          </button>
        </span>
      )}
    </li>
  )
}

export default function WhatHappened({ onClose }: { onClose: () => void }) {
  const { running } = useBench()
  const { events } = running.batch
  const wordsOf = useEntryWords(running.batch.plan, running.state)
  const live = new Map(activeEvents(events).map((event) => [event.id, event]))
  const told = events.flatMap((event) => {
    const words = wordsOf(event)
    return words === null ? [] : [{ event, words }]
  })
  return (
    <SidePanel title="What happened" onClose={onClose}>
      <p className="mb-2 leading-snug text-second">
        Nothing is erased: what was taken back is struck through, and a figure put right keeps what was first written.
      </p>
      {told.length === 0 ? (
        <p>Nothing yet.</p>
      ) : (
        <ol aria-label="Entries">
          {told.reverse().map(({ event, words }) => (
            <Entry
              key={event.id}
              event={event}
              words={words}
              figure={figureOf(live.get(event.id) ?? event)}
              takenBack={!live.has(event.id)}
            />
          ))}
        </ol>
      )}
    </SidePanel>
  )
}
