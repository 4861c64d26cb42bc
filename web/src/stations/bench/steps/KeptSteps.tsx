/** A batch that waits: in the fridge, in the freezer or on the rack, until it is taken out, in whole or in part. */
import { format } from 'date-fns'
import {
  countedOf,
  driedTo,
  driedG,
  formatNumber,
  formatPercent,
  keptSince,
  keptUntil,
  madeG,
  type StepOf,
} from '@harina/core'
import { nanoid } from 'nanoid'
import { useState, type ReactNode } from 'react'
import { Link, useNavigate } from 'react-router'
import { recordTap, takeOut } from '#web/state/bench.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { ShapeEngraving } from '#web/ui/ShapeEngraving.tsx'
import { useNow } from '#web/ui/useNow.ts'
import { useUnits } from '#web/ui/units.ts'
import { capital, counted, hoursWords, driedWords, monthsWords } from '#web/words/index.ts'
import { useMadeShape } from '../useMadeShape.ts'
import { StepPage } from '../StepPage.tsx'
import { Big, Note, useBench, useStep } from '../view.tsx'

/** Such a step stands only where something was put away. */
function useKeptSince() {
  const { running } = useBench()
  const { plan, events } = running.batch
  const kept = keptSince(plan, events)
  if (!kept) throw new Error('kept, and never put away')
  return { since: new Date(kept.atMs), keeps: kept.keeps }
}

interface KeptProps {
  readonly title: string
  readonly lead: string
  readonly out: string
  readonly aside: ReactNode
  readonly children: ReactNode
}

/** All of it goes on, or so many pieces while the rest stays. */
function Kept({ title, lead, out, aside, children }: KeptProps) {
  const { running } = useBench()
  const { batch, state } = running
  const navigate = useNavigate()
  const { unit, count: whole } = countedOf(batch.plan, state)
  const pieces = Math.max(1, whole)
  const [some, setSome] = useState<number | null>(null)
  // One part, however often the same press comes.
  const [other] = useState(() => nanoid())
  const take = async (share: number) => {
    const id = await takeOut(batch, share, other)
    if (id !== null) void navigate(`/bench/${id}`)
  }
  const count = some ?? Math.max(1, Math.round(pieces / 2))
  return (
    <StepPage title={title} lead={lead} action={{ label: out, run: () => void take(1) }} aside={aside}>
      {children}
      {pieces > 1 && (
        <p className="flex flex-wrap items-baseline gap-x-3 gap-y-2 border-t border-line pt-3 text-md">
          <span>
            Or only{' '}
            <QuantityField
              label={`${capital(unit)}s to take out`}
              shown={formatNumber(count, 0)}
              unit="count"
              min={1}
              max={pieces - 1}
              widthCh={5}
              className="text-3xl font-semibold"
              onChange={(value) => setSome(Math.round(value))}
            />{' '}
            of {counted(pieces, unit)}; the rest stays where it is.
          </span>
          <button type="button" className="press min-h-11" onClick={() => void take(count / pieces)}>
            Take these out
          </button>
        </p>
      )}
    </StepPage>
  )
}

const sinceWords = (since: Date) => `Since ${format(since, 'EEEE d MMM, HH:mm')}.`

function UseBy({ words, past }: { words: string; past: string }) {
  const { running } = useBench()
  const { batch } = running
  const { since } = useKeptSince()
  const shape = useMadeShape(batch.plan)
  const untilMs = keptUntil(batch.plan, batch.events)
  const isPast = useNow(60_000) > (untilMs ?? Infinity)
  return (
    <>
      {isPast && (
        <p role="alert" className="border-l-5 border-danger pl-3 text-lg font-semibold">
          {past}
        </p>
      )}
      {untilMs !== null && (
        <Big label="use until" figure={format(untilMs, 'EEE d MMM')} unit={format(untilMs, 'HH:mm')} small />
      )}
      <p className="text-lg">
        {words} at most. Write it on the tray: {batch.plan.shape.name}, {format(since, 'd MMM, HH:mm')}.
      </p>
      {shape && <ShapeEngraving shape={shape} width={320} height={200} withScale />}
    </>
  )
}

/** Skins put away empty: how many, and that they go on to be filled. */
function KeptSkins({ step }: { step: StepOf<'hold'> | StepOf<'freeze'> }) {
  const { running } = useBench()
  const { batch, state } = running
  const { since, keeps } = useKeptSince()
  const { mass, temperature } = useUnits()
  const frozen = step.kind === 'freeze'
  const { count } = countedOf(batch.plan, state)
  return (
    <Kept
      title={frozen ? 'Skins in the freezer' : 'Skins in the fridge'}
      lead={`${sinceWords(since)} Dusted with starch on both sides, stacked, and wrapped tight.`}
      out={frozen ? 'Out, to thaw' : 'Out, to be filled'}
      aside={
        <>
          <Note title={frozen ? 'Thaw them wrapped' : 'Fill them cold'}>
            {frozen
              ? 'Frozen they snap, and unwrapped they sweat and stick together.'
              : 'Take out a few at a time, and keep the rest wrapped.'}
          </Note>
          <Note title="Keeping" grade="caution">
            {frozen
              ? `At ${temperature(-18)} or below. Skins that have thawed are filled and cooked, not frozen again.`
              : `At ${temperature(5)} or below. Grey, sour or slimy skins are thrown away.`}{' '}
            A shorter limit of your code wins.
          </Note>
        </>
      }
    >
      <p className="figure text-3xl">
        {counted(count, 'skin')}, {mass(madeG(batch.plan, state), batch.plan.scaleStepG)}
      </p>
      <UseBy
        words={frozen ? monthsWords(keeps.freezerMonths) : `${hoursWords(keeps.fridgeH)} from mixing on`}
        past={
          frozen
            ? 'They are past their best. They are still safe if they stayed frozen.'
            : 'Their time in the fridge is over. Throw them away; do not cook or freeze them.'
        }
      />
    </Kept>
  )
}

export function HoldStep() {
  const step = useStep('hold')
  return step.of === 'skins' ? <KeptSkins step={step} /> : <HeldPieces />
}

function HeldPieces() {
  const { since, keeps } = useKeptSince()
  const { temperature } = useUnits()
  return (
    <Kept
      title="Kept in the fridge"
      lead={`${sinceWords(since)} Open for the first hour, then covered; turned once, so that none sticks.`}
      out="Out, to the pot"
      aside={
        <>
          <Note title="Straight into the boil">
            From the fridge they need no warming; half a minute longer in the pot.
          </Note>
          <Note title="Keeping" grade="caution">
            At {temperature(5)} or below, away from raw meat. Sour, grey or slimy is thrown away. A shorter limit of
            your code or your filling wins.
          </Note>
        </>
      }
    >
      <UseBy
        words={`${hoursWords(keeps.fridgeH)} from mixing on`}
        past="Its time in the fridge is over. Throw it away; do not cook or freeze it."
      />
    </Kept>
  )
}

export function FreezeStep() {
  const step = useStep('freeze')
  return step.of === 'skins' ? <KeptSkins step={step} /> : <FrozenPieces />
}

function FrozenPieces() {
  const { since, keeps } = useKeptSince()
  const { temperature } = useUnits()
  return (
    <Kept
      title="In the freezer"
      lead={`${sinceWords(since)} Flat on a tray until hard, two hours or so; then bagged, without air, and named.`}
      out="Out, to the pot"
      aside={
        <>
          <Note title="Straight from frozen">
            They go into the boil as they are, a few at a time; a minute or two longer. Thawed, they stick and split.
          </Note>
          <Note title="Keeping" grade="caution">
            At {temperature(-18)} or below. What has thawed is cooked, not frozen again. A shorter limit of your code or
            your filling wins.
          </Note>
        </>
      }
    >
      <UseBy
        words={monthsWords(keeps.freezerMonths)}
        past="It is past its best. It is still safe if it stayed frozen."
      />
    </Kept>
  )
}

/** What the tray weighed once it was dry. */
function DriedWeight() {
  const { running } = useBench()
  const { batch, state } = running
  const { massFigure, units } = useUnits()
  const [typed, setTyped] = useState<number | null>(null)
  const shown = typed ?? state.driedG
  return (
    <p className="text-md text-second">
      dry on the scale{' '}
      <QuantityField
        label="Grams once dry"
        shown={shown === null ? '' : massFigure(shown, batch.plan.scaleStepG)}
        unit="g"
        min={0.1}
        max={1_000_000}
        widthCh={6}
        className="text-3xl font-semibold text-ink"
        onChange={setTyped}
      />{' '}
      {units.mass}
      {typed !== null && typed !== state.driedG && (
        <button
          type="button"
          className="press ml-3 min-h-11 px-4 text-base text-ink"
          onClick={() => void recordTap(batch, { type: 'dried', grams: typed })}
        >
          Write it down
        </button>
      )}
    </p>
  )
}

export function DryStep() {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const { since, keeps } = useKeptSince()
  const { massFigure, mass, units } = useUnits()
  const shape = useMadeShape(plan)
  const freshG = madeG(plan, state)
  return (
    <Kept
      title="On the rack"
      lead={`${sinceWords(since)} One layer, none touching, air from all sides. Weigh one tray empty and full: its weight says when it is dry.`}
      out="Dry, to the pot"
      aside={
        <>
          <Note title="Slow outside, then the middle">
            A fan straight at them cracks them days later. Damp air above 57 % never dries them through: move the rack.
          </Note>
          <Note title="Packed damp, it moulds" grade="caution">
            Warm and wet is where moulds and worse grow: sour, slimy or spotted at any time, it is thrown away. Thick
            pieces stay soft inside for a day or two; the weight of the tray says how far they are. A dried piece snaps
            with a glassy break. Your local code decides what may be sold dried.
          </Note>
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        <Big label="fresh" figure={massFigure(freshG, plan.scaleStepG)} unit={units.mass} />
        <Big
          label={`dry, at ${formatPercent(100 * driedTo(state))} %`}
          figure={massFigure(driedG(plan, state, freshG), plan.scaleStepG)}
          unit={units.mass}
          small
        />
        {state.trays.length === 0 && <DriedWeight />}
      </div>
      <p className="max-w-184 text-lg leading-snug">
        Of every {mass(100)} on the tray, {mass(driedG(plan, state, 100), 0.1)} are left when it is dry enough to keep.
        {keeps.driedMonths !== null && ` Dry and dark it keeps about ${driedWords(keeps)}.`}
      </p>
      <Link
        to={state.trays[0] ? `/dry/${state.trays[0].id}` : `/dry/new-${running.batch.id}`}
        className="quiet self-start text-lg font-semibold"
      >
        {state.trays.length > 0
          ? `Its ${counted(state.trays.length, 'tray')} on the rack`
          : 'Lay it out on trays, and see when it is dry'}
      </Link>
      {shape && <ShapeEngraving shape={shape} width={360} height={220} withScale />}
    </Kept>
  )
}
