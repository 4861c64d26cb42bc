import {
  asWeighed,
  beforeParts,
  cookNow,
  countedOf,
  madeG,
  partOfBatch,
  firstG,
  heldFlourG,
  formatNumber,
  formatPercent,
  formatPoints,
  lotKey,
  nextSheet,
  plainTextFrom,
  plannedOnRule,
  replay,
  sampleReport,
  storyOf,
  unlike,
  VERDICTS,
  waterNowC,
  type Batch,
  type BatchStory,
  type BenchAction,
  type BenchEvent,
  type Finish,
  type PlannedRow,
} from '@harina/core'
import { format } from 'date-fns'
import { useMemo, useState, type ReactNode } from 'react'
import { Link, useNavigate } from 'react-router'
import { recordTap, undoEnded } from '../../state/bench.ts'
import { draftOpened } from '../../state/draftSlice.ts'
import { notify } from '../../state/notify.ts'
import { useAppDispatch } from '../../state/store.ts'
import { PlanRule } from '../../ui/rule/PlanRule.tsx'
import type { RuleMark } from '../../ui/rule/ruleLayout.ts'
import { ruleLabel } from '../../ui/rule/ruleLabel.ts'
import { useKitchen } from '../../state/select.ts'
import { usePhotos } from '../../state/useStored.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { PhotoRow } from '../../ui/PhotoRow.tsx'
import { useEntryWords } from '../../ui/useEntryWords.ts'
import { UnlikeBatch } from '../../ui/UnlikeBatch.tsx'
import { useUnits } from '../../ui/units.ts'
import { batchTitle, liquidName, spanOfMinutes, verdictWords, type Worded } from '../../words/index.ts'
import { useParts } from './parts.ts'
import { Term } from '#web/ui/Term.tsx'

/** The batch's sheet on paper again, from what was accepted. */
export function StartNext({ batch }: { batch: Batch }) {
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const kitchen = useKitchen()
  const start = () => {
    if (!kitchen) return
    const { plan, events } = batch
    const sheet = nextSheet(plan, replay(plan, events), kitchen)
    dispatch(draftOpened({ id: 'draft', formula: plan.formula, sheet }))
    void navigate('/formula')
  }
  return (
    <button type="button" className="action" onClick={start}>
      Start the next from it
    </button>
  )
}

/** The rule as a trail: each pour and each spoon of flour where it took the dough. */
function TrailRule({ batch }: { batch: BatchStory }) {
  const { plan, state, onRule } = batch
  const onBase = plan.control.by === 'base'
  const planned = plannedOnRule(plan)
  const stops = state.additions.map((addition) => addition.to)
  const marks: readonly RuleMark[] = [
    {
      id: 'planned',
      at: planned,
      kind: 'open',
      label: `${formatPercent(planned)} planned`,
    },
    ...stops
      .slice(0, -1)
      .map((stop, index): RuleMark => ({ id: String(index), at: stop, kind: 'dashed', label: formatPercent(stop) })),
    { id: 'end', at: onRule, kind: 'triangle', label: `${formatPercent(onRule)} ${onBase ? 'at the end' : 'poured'}` },
  ]
  return (
    <PlanRule
      plan={plan}
      value={onRule}
      marks={marks}
      room={[...stops, onRule]}
      label={ruleLabel(plan, 'at the end')}
    />
  )
}

function PlannedRows({ batch: { plan, state } }: { batch: BatchStory }) {
  const heldG = heldFlourG(plan, { weighedG: {} })
  const real = (row: PlannedRow) => (row.part === 'water' ? state.pouredG : asWeighed(plan, state, row))
  const { massFigure, units } = useUnits()
  const grams = (value: number) => massFigure(value, plan.scaleStepG)
  const off = (value: number) => `${value > 0 ? '+' : value < 0 ? '−' : ''}${grams(Math.abs(value))}`
  return (
    <table className="w-full border-collapse">
      <caption className="sr-only">Planned against poured</caption>
      <thead>
        <tr className="small border-b border-line text-right">
          <th scope="col" className="text-left font-normal">
            Ledger
          </th>
          <th scope="col" className="font-normal">
            planned, {units.mass}
          </th>
          <th scope="col" className="pl-3 font-normal whitespace-nowrap">
            went in
          </th>
          <th scope="col" className="pl-3 font-normal">
            off by
          </th>
        </tr>
      </thead>
      <tbody>
        {plan.rows
          .filter((row) => row.weighedG > 0)
          .map((row) => (
            <tr key={row.key} className="figure border-b border-line text-right text-lg">
              <th scope="row" className="py-0.5 text-left font-text text-base font-normal">
                {row.name}
              </th>
              <td>{grams(firstG(row))}</td>
              <td className="font-semibold">{grams(real(row))}</td>
              <td className="text-second">{off(real(row) - firstG(row))}</td>
            </tr>
          ))}
        {state.addedFlourG + heldG > 0 && (
          <tr className="figure border-b border-line text-right text-lg">
            <th scope="row" className="py-0.5 text-left font-text text-base font-normal">
              {heldG > 0 ? 'Flour, held back and to correct' : 'Flour, to correct'}
            </th>
            <td>{grams(heldG)}</td>
            <td className="font-semibold">{grams(state.addedFlourG)}</td>
            <td className="text-second">{off(state.addedFlourG - heldG)}</td>
          </tr>
        )}
      </tbody>
    </table>
  )
}

/** Told elsewhere on the page, or only of use at the bench. */
const UNTOLD: ReadonlySet<BenchEvent['type']> = new Set([
  'weighed',
  'step-done',
  'sampled',
  'lumped',
  'noted',
  'judged',
])

function Story({ batch: { plan, state, entries } }: { batch: BatchStory }) {
  const wordsOf = useEntryWords(plan, state)
  const told = entries.flatMap((event) => {
    const words = UNTOLD.has(event.type) ? null : wordsOf(event)
    return words === null ? [] : [{ event, words }]
  })
  return (
    <ol aria-label="What happened" className="text-base leading-snug">
      <Moment at={plan.at} words="taken to the bench" />
      {told.map(({ event, words }) => (
        <Moment key={event.id} at={event.at} words={words} strong={event.type === 'felt'} />
      ))}
    </ol>
  )
}

function Moment({ at, words, strong = false }: { at: string; words: string; strong?: boolean }) {
  return (
    <li className="flex gap-3 py-0.5">
      <span className="figure w-12 shrink-0 text-second">{format(at, 'HH:mm')}</span>
      <span className={strong ? 'head' : ''}>{words}</span>
    </li>
  )
}

function Fact({ label, figure, note }: { label: ReactNode; figure: string; note?: ReactNode }) {
  return (
    <div>
      <p className="small">{label}</p>
      <p className="figure text-3xl leading-tight font-semibold">{figure}</p>
      {note && <p className="small">{note}</p>}
    </div>
  )
}

/** What is said of a batch after it was closed: how it ate a week later, what the tray weighed dry. */
function OneLineMore({ batch }: { batch: Batch }) {
  const [text, setText] = useState('')
  const [driedG, setDriedG] = useState<number | null>(null)
  const { massFigure, units } = useUnits()
  const write = async (...actions: BenchAction[]) => {
    if (!(await recordTap(batch, ...actions))) return
    setText('')
    setDriedG(null)
    notify('Written under the batch', { action: { label: 'Undo', onClick: () => void undoEnded(batch.id) } })
  }
  const note = text.trim()
  return (
    <section aria-label="A line more" data-screen-only className="flex flex-col gap-3 border-t border-line pt-3">
      <h2 className="head text-lg">A line more</h2>
      <div className="flex flex-wrap items-end gap-3">
        <label className="flex min-w-60 flex-1 flex-col gap-1">
          <span className="small">how it ate, days later</span>
          <input
            className="box min-h-11"
            value={text}
            maxLength={4000}
            onChange={(event) => setText(plainTextFrom(event.target.value, 4000))}
          />
        </label>
        <span className="small pb-3">
          dry it weighed{' '}
          <QuantityField
            label="Grams once dry"
            shown={driedG === null ? '' : massFigure(driedG, batch.plan.scaleStepG)}
            unit="g"
            min={0.1}
            max={1_000_000}
            widthCh={6}
            className="text-xl font-semibold text-ink"
            onChange={setDriedG}
          />{' '}
          {units.mass}
        </span>
        <button
          type="button"
          className="press min-h-11 px-5"
          disabled={note === '' && driedG === null}
          onClick={() =>
            void write(
              ...(note === '' ? [] : [{ type: 'noted', text: note } as const]),
              ...(driedG === null ? [] : [{ type: 'dried', grams: driedG } as const]),
            )
          }
        >
          Write it
        </button>
      </div>
      <div role="group" aria-label="Verdict, again" className="flex flex-wrap items-baseline gap-2">
        <span className="small mr-1">judged again:</span>
        {VERDICTS.map((verdict) => (
          <button
            key={verdict}
            type="button"
            className="press min-h-11 px-4"
            onClick={() => void write({ type: 'judged', verdict })}
          >
            {verdictWords[verdict]}
          </button>
        ))}
      </div>
    </section>
  )
}

/** What a piece was to weigh, and what those did that were laid on the scale. */
function piecesWeighed({ plan, state }: BatchStory, { mass }: Worded): string {
  const planned = `${mass(plan.shape.pieceG, 0.01)} each`
  const weighed = sampleReport(plan, state)
  return weighed
    ? `${planned} planned; ${formatNumber(weighed.grams.length, 0)} weighed, ${mass(weighed.mean, 0.01)} on average`
    : planned
}

/** What became of each part, one story: what stayed first. */
function Parts({ batch: { id, plan, state } }: { batch: BatchStory }) {
  const parts = useParts(id)
  const { mass } = useUnits()
  if (parts.length === 0) return null
  return (
    <section aria-label="Parts">
      <h2 className="head mb-1 text-lg">In parts</h2>
      <ul>
        <PartLine
          name={plan.shape.name}
          figures={[mass(madeG(plan, state), plan.scaleStepG), finishWords(state.finish ?? state.skins)]}
          verdict={state.verdict ? verdictWords[state.verdict] : ''}
        />
        {parts.map((part) => (
          <PartLine
            key={part.id}
            to={part.isOpen ? `/bench/${part.id}` : `/log/${part.id}`}
            name={part.for ? `${part.shape}, for ${part.for}` : part.shape}
            figures={[mass(part.grams, plan.scaleStepG), finishWords(part.finish)]}
            verdict={part.isOpen ? 'still at hand' : part.verdict ? verdictWords[part.verdict] : 'as the dough'}
          />
        ))}
      </ul>
    </section>
  )
}

const finishWords = (finish: Finish | null): string =>
  finish ? { cook: 'cooked', hold: 'chilled', freeze: 'frozen', dry: 'dried' }[finish] : ''

function PartLine({
  to,
  name,
  figures,
  verdict,
}: {
  to?: string
  name: string
  figures: readonly string[]
  verdict: string
}) {
  return (
    <li className="flex min-h-10 items-baseline gap-4 border-b border-line py-1">
      <span className="min-w-0 flex-1">
        {to ? (
          <Link to={to} className="underline">
            {name}
          </Link>
        ) : (
          name
        )}
      </span>
      <span className="figure">{figures.filter(Boolean).join(', ')}</span>
      <span className="small w-28 text-right">{verdict}</span>
    </li>
  )
}

export function BatchPage({ batch: whole }: { batch: Batch }) {
  const batch = useMemo(() => storyOf(whole), [whole])
  const part = partOfBatch(batch.entries)
  /** Planned against poured is the dough's, once: as it was before a part was taken off. */
  const ofDough = useMemo(() => ({ ...batch, state: replay(batch.plan, beforeParts(batch.entries)) }), [batch])
  const { plan, state, thirst, corrections, onRule, basis14 } = batch
  const made = countedOf(plan, state)
  const worded = useUnits()
  const waterC = waterNowC(plan, state)
  const photos = usePhotos(batch.id)
  const ofFlour = useKitchen()?.thirst.get(lotKey(plan.sheet.rows))
  const far = useMemo(() => unlike(ofFlour ?? []).find((each) => each.batch === batch.id), [ofFlour, batch.id])
  return (
    <article className="flex flex-col gap-4">
      <header>
        <h1 className="head text-4xl leading-tight">{batchTitle(whole)}</h1>
        {part && (
          <p className="mb-1">
            A part of{' '}
            <Link to={`/log/${part.batch}`} className="underline">
              {plan.sheet.name}
            </Link>
            : what went in stands there.
          </p>
        )}
        <p className="text-second">
          {format(plan.at, 'EEEE d MMMM yyyy, HH:mm')} · {plan.shape.name}
          {plan.store &&
            ` · ${plan.store.name}, ${worded.temperature(plan.store.temperatureC)}, ${plan.store.rhPercent} % damp`}
          {waterC !== null && state.pouredG > 0 && ` · ${liquidName(plan)} at ${worded.temperature(waterC)}`}
        </p>
      </header>
      {state.notes.map((note) => (
        <blockquote key={note.at} className="border-l-2 border-second pl-3 text-lg leading-snug">
          {note.text}
        </blockquote>
      ))}
      <TrailRule batch={batch} />
      <div className="grid grid-cols-2 gap-x-6 gap-y-3 border-y border-line py-3 md:grid-cols-5">
        <Fact
          label="Verdict"
          figure={
            state.verdict
              ? verdictWords[state.verdict]
              : state.end?.how === 'abandoned'
                ? 'given up'
                : part
                  ? 'as the dough'
                  : 'none'
          }
        />
        {plan.control.by === 'base' ? (
          <Fact
            label="Flour"
            figure={`${formatPercent(onRule)} %`}
            note={`on ${plan.control.base}; ${formatPercent(plannedOnRule(plan))} planned`}
          />
        ) : (
          <Fact
            label={<Term of="include past batches">This flour</Term>}
            figure={part ? 'its dough' : thirst === null ? 'not said' : `${formatPoints(thirst)} points`}
            note={
              part ? 'tells of the flour' : thirst === null ? 'says nothing of it' : 'against the table, 14 % flour'
            }
          />
        )}
        <Fact
          label="Corrections"
          figure={String(corrections)}
          note={
            plan.control.by === 'base' ? undefined : (
              <>
                at the end {formatPercent(basis14)} at{' '}
                <Term of="at standard 14 % flour moisture">standard 14 % flour moisture</Term>
              </>
            )
          }
        />
        <Fact
          label={made.unit === 'piece' ? 'Pieces' : 'Portions'}
          figure={`${formatNumber(made.count, 0)}${state.shapedPieces === null ? ' planned' : ''}`}
          note={piecesWeighed(batch, worded)}
        />
        <Fact
          label="In the pot"
          figure={
            state.cookedMin === null
              ? 'not said'
              : `${formatNumber(state.cookedMin, state.cookedMin % 1 === 0 ? 0 : 1)} min`
          }
          note={
            state.driedG === null
              ? `table: ${spanOfMinutes(...cookNow(plan, state))}`
              : `${worded.mass(state.driedG)} once dry`
          }
        />
      </div>
      <Parts batch={batch} />
      {far && <UnlikeBatch taught={far} />}
      {photos.length > 0 && <PhotoRow photos={photos} plan={plan} />}
      <div className={`grid items-start gap-x-8 gap-y-4 ${part ? '' : 'md:grid-cols-2'}`}>
        {!part && <PlannedRows batch={ofDough} />}
        <Story batch={batch} />
      </div>
      {state.end?.how === 'closed' && <OneLineMore batch={whole} />}
    </article>
  )
}
