/** A batch that cannot simply go on: set aside, handed over, put away until tomorrow, split, or given up. */
import {
  backFromFridgeMin,
  benchPieces,
  chilledBefore,
  doughMoisture,
  offeredNightH,
  plainTextFrom,
  stepsOf,
  thawH,
  type BenchAction,
} from '@harina/core'
import { nanoid } from 'nanoid'
import { useState, type ReactNode } from 'react'
import { useNavigate } from 'react-router'
import { notify } from '#web/state/notify.ts'
import { recordTap } from '#web/state/bench.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useRunningBatches, type RunningBatch } from '#web/state/select.ts'
import { useKitchen } from '#web/state/select.ts'
import { useUnits } from '#web/ui/units.ts'
import { counted, hoursWords, PART_FOR } from '#web/words/index.ts'
import { useBench } from '../view.tsx'
import { useDoughLeft } from '../WarmLeft.tsx'

const reasons = ['Too wet to save', 'Too dry to save', 'Ran out of time', 'Not needed after all']

/** There is a dough to put away or to cut in two: water is in it, or it is on its base, and it is not cooked. */
const isMixed = ({ batch: { plan }, state, step }: RunningBatch): boolean =>
  step?.kind !== 'rinse' &&
  step?.kind !== 'verdict' &&
  (state.additions.length > 0 || (plan.control.by === 'base' && state.done.includes('flour')))

function Way({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="border-t border-line py-3">
      <h3 className="head mb-1 text-lg">{title}</h3>
      {children}
    </section>
  )
}

function Words({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
  return (
    <label className="flex min-w-0 flex-1 flex-col gap-1">
      <span className="small">{label}</span>
      <input
        className="box min-h-11"
        value={value}
        maxLength={400}
        onChange={(event) => onChange(plainTextFrom(event.target.value, 400))}
      />
    </label>
  )
}

function Pause({ tap }: { tap: (action: BenchAction) => void }) {
  const [why, setWhy] = useState('')
  return (
    <Way title="Set it aside">
      <div className="flex items-end gap-3">
        <Words label="why, if you like" value={why} onChange={setWhy} />
        <button type="button" className="press min-h-11" onClick={() => tap({ type: 'paused', why: why.trim() })}>
          Set aside
        </button>
      </div>
    </Way>
  )
}

function HandOver({ tap }: { tap: (action: BenchAction) => void }) {
  const known = useRunningBatches().flatMap(({ state }) => (state.hands ? [state.hands.who] : []))
  const [who, setWho] = useState('')
  const [word, setWord] = useState('')
  const names = [...new Set([...known, 'Early bench', 'Late bench'])]
  return (
    <Way title="Hand it over">
      <div className="mb-2 flex flex-wrap gap-2">
        {names.map((name) => (
          <button
            key={name}
            type="button"
            aria-pressed={who === name}
            className="press min-h-11 px-4"
            onClick={() => setWho(name)}
          >
            {name}
          </button>
        ))}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <Words label="to" value={who} onChange={(value) => setWho(value.slice(0, 60))} />
        <Words label="what they must know" value={word} onChange={setWord} />
        <button
          type="button"
          className="press min-h-11"
          disabled={who.trim() === ''}
          onClick={() => tap({ type: 'handed-over', to: who.trim(), word: word.trim() })}
        >
          Hand over
        </button>
      </div>
    </Way>
  )
}

/** Too soft to be worked: half an hour in the cold firms it, and it goes straight on. */
const SHORT_CHILL = [20, 40] as const

function ShortChill({ onDone }: { onDone: () => void }) {
  const { running } = useBench()
  const [low, high] = SHORT_CHILL
  if (!isMixed(running) || isAway(running)) return null
  const chill = async () => {
    const isSet = await recordTap(running.batch, {
      type: 'timer-started',
      timer: nanoid(),
      minutes: low,
      name: 'out of the fridge',
    })
    if (isSet) onDone()
  }
  return (
    <Way title="A short chill">
      <p className="mb-2 leading-snug">
        Soft and sticky in the warm: wrapped flat, {low} to {high} minutes in the fridge firm it. It goes on as it comes
        out, with no wait.
      </p>
      <button type="button" className="press min-h-11" onClick={() => void chill()}>
        Time {low} min of cold
      </button>
    </Way>
  )
}

function Tomorrow({ tap }: { tap: (action: BenchAction) => void }) {
  const { running } = useBench()
  const { plan } = running.batch
  const dough = useKitchen()?.doughs.get(plan.sheet.dough)
  const hours = offeredNightH(dough?.restColdH.high ?? 24, useDoughLeft())
  const what = chilledBefore(stepsOf(plan, running.state), running.step)
  const minutes = backFromFridgeMin(what, plan.roomC, doughMoisture(plan, running.state))
  if (hours === null || !isMixed(running) || isAway(running)) return null
  return (
    <Way title="Tomorrow, from the fridge">
      <p className="mb-2 leading-snug">
        Wrapped flat. This dough stands {hoursWords(hours)} cold at the most,{' '}
        {minutes > 0 ? `and takes about ${counted(minutes, 'minute')} to come back.` : 'and is used cold.'}
      </p>
      <button
        type="button"
        className="press min-h-11"
        onClick={() => tap({ type: 'chilled', minutes: Math.max(1, minutes) })}
      >
        Into the fridge
      </button>
    </Way>
  )
}

/** Stiff and bound, a dough freezes well; a batter parts, and what is shaped has a way of its own. */
function AnotherDay({ tap }: { tap: (action: BenchAction) => void }) {
  const { running } = useBench()
  const { plan } = running.batch
  const { roomLeftMin } = useDoughLeft()
  const what = chilledBefore(stepsOf(plan, running.state), running.step)
  const freezes = (plan.body === 'gluten' || plan.body === 'starch') && what === 'lump' && roomLeftMin > 0
  if (!freezes || !isMixed(running) || isAway(running)) return null
  const moisture = doughMoisture(plan, running.state)
  const hours = thawH(moisture)
  const minutes = backFromFridgeMin(what, plan.roomC, moisture)
  return (
    <Way title="Another day, from the freezer">
      <p className="mb-2 leading-snug">
        Press it flat and wrap it tight. It keeps two months, thaws in the fridge in about {hoursWords(hours)}, and
        takes {counted(minutes, 'minute')} more to come back.
      </p>
      <button type="button" className="press min-h-11" onClick={() => tap({ type: 'chilled', minutes, thawH: hours })}>
        Into the freezer
      </button>
    </Way>
  )
}

/** It lies in the cold already. */
const isAway = ({ step }: RunningBatch): boolean => step?.kind === 'temper' || step?.kind === 'thaw'

function SplitOff({ onDone }: { onDone: () => void }) {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const { mass, massFigure, units } = useUnits()
  const wholeG = benchPieces(plan, state).usableG
  const [grams, setGrams] = useState<number | null>(null)
  const keeps = grams === null ? 0 : 1 - grams / wholeG
  const [what, setWhat] = useState('')
  // One part, however often the same press comes.
  const [other] = useState(() => nanoid())
  const possible = grams !== null && keeps > 0.01 && keeps < 0.99
  if (!isMixed(running)) return null
  const split = async () => {
    const split = { type: 'split', keeps, other, part: 'kept', ...(what.trim() ? { for: what.trim() } : {}) } as const
    if (!(await recordTap(batch, split))) return
    notify('It is in two parts now', {
      description: 'Both parts are in the strip above, each with all that happened before.',
    })
    onDone()
  }
  return (
    <Way title="Split it">
      <div className="mb-2 flex flex-wrap items-end gap-2">
        {PART_FOR.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={what === each}
            className="press min-h-11"
            onClick={() => setWhat(what === each ? '' : each)}
          >
            {each}
          </button>
        ))}
        <Words label="what for, if you like" value={what} onChange={(value) => setWhat(value.slice(0, 60))} />
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <span className="flex-1 leading-snug">
          Of {mass(wholeG, plan.scaleStepG)} carve off{' '}
          <QuantityField
            label="Grams to carve off"
            shown={grams === null ? '' : massFigure(grams, plan.scaleStepG)}
            unit="g"
            min={1}
            max={Math.max(1, Math.floor(wholeG * 0.99))}
            widthCh={6}
            className="text-3xl font-semibold"
            onChange={setGrams}
          />{' '}
          {units.mass} as a part of its own.
        </span>
        <button type="button" className="press min-h-11" disabled={!possible} onClick={() => void split()}>
          Split
        </button>
      </div>
    </Way>
  )
}

function GiveUp({ onDone }: { onDone: () => void }) {
  const { running } = useBench()
  const [reason, setReason] = useState('')
  const navigate = useNavigate()
  const giveUp = async () => {
    if (!(await recordTap(running.batch, { type: 'abandoned', reason: reason.trim() || 'No reason given' }))) return
    onDone()
    void navigate(`/log/${running.batch.id}`)
  }
  return (
    <Way title="Give it up">
      <p className="mb-2 leading-snug">It leaves the bench and stays in the log, with everything recorded so far.</p>
      <div className="mb-2 grid grid-cols-2 gap-2">
        {reasons.map((words) => (
          <button
            key={words}
            type="button"
            aria-pressed={reason === words}
            className="press min-h-11"
            onClick={() => setReason(words)}
          >
            {words}
          </button>
        ))}
      </div>
      <div className="flex items-end gap-3">
        <Words label="or in your own words" value={reason} onChange={setReason} />
        <button type="button" className="action min-h-11" onClick={() => void giveUp()}>
          Give it up
        </button>
      </div>
    </Way>
  )
}

/** A batch given up is kept in the log with its reason; it teaches its flour nothing. */
export default function Interrupt({ onClose }: { onClose: () => void }) {
  const { running } = useBench()
  // What was typed here stays until it is stored.
  const tap = async (action: BenchAction) => {
    if (await recordTap(running.batch, action)) onClose()
  }
  return (
    <SidePanel title="Pause, hand over or stop" onClose={onClose}>
      {!running.state.paused && <Pause tap={(action) => void tap(action)} />}
      <HandOver tap={(action) => void tap(action)} />
      <ShortChill onDone={onClose} />
      <Tomorrow tap={(action) => void tap(action)} />
      <AnotherDay tap={(action) => void tap(action)} />
      <SplitOff onDone={onClose} />
      <GiveUp onDone={onClose} />
    </SidePanel>
  )
}
