import {
  formatNumber,
  formatPercent,
  rankShapes,
  setOnRule,
  tableReading,
  toPoured,
  type Kitchen,
  type ShapeMatch,
  type Worked,
} from '@harina/core'
import { useMemo, useState, type CSSProperties, type ReactNode } from 'react'
import { Link } from 'react-router'
import { BatchStrip } from '../../ui/BatchStrip.tsx'
import { sheetEdited } from '../../state/draftSlice.ts'
import { FindButton } from '../../ui/FindButton.tsx'
import { useAppDispatch } from '../../state/store.ts'
import { useKitchen, useWorked } from '../../ui/kitchen.tsx'
import { BlankDrawing, blankWords, drawnWords } from '../../ui/BlankDrawing.tsx'
import { familyInk } from '../../ui/family.tsx'
import { useUnits } from '../../ui/units.ts'
import { ShapeEngraving } from '../../ui/ShapeEngraving.tsx'
import { ThroughRoller } from './ThroughRoller.tsx'
import { gradeWords, matchWords, problemWords } from '../../ui/words.ts'

/** A small window with the dough's place in it: in, near or out at a glance, and in words beside it. */
function WindowGlance({ match, hydration }: { match: ShapeMatch; hydration: number }) {
  const { low, high } = match.window
  const [from, to] = [low - 4, high + 4]
  const x = (value: number) => 4 + (92 * (Math.min(to, Math.max(from, value)) - from)) / (to - from)
  return (
    <svg width="100" height="20" aria-hidden="true" className="shrink-0">
      <path d="M4 16H96" stroke="var(--second)" />
      <rect
        x={x(low)}
        y="7"
        width={x(high) - x(low)}
        height="6"
        fill="var(--family)"
        opacity={match.listed ? 1 : 0.4}
      />
      <path d={`M${x(hydration) - 5} 1h10l-5 8z`} fill="var(--ink)" />
    </svg>
  )
}

function ShapeList({
  matches,
  chosen,
  hydration,
  onChoose,
}: {
  matches: readonly ShapeMatch[]
  chosen: string
  hydration: number
  onChoose: (id: string) => void
}) {
  return (
    <ol aria-label="Shapes, best suited first">
      {matches.map((match) => (
        <li key={match.shape.id}>
          <button
            type="button"
            aria-pressed={match.shape.id === chosen}
            className={`flex min-h-[88px] w-full items-center gap-3 border-b border-line px-2 text-left ${
              match.shape.id === chosen
                ? 'border-l-[5px] border-l-family bg-ground'
                : 'border-l-[5px] border-l-transparent hover:bg-ground'
            }`}
            onClick={() => onChoose(match.shape.id)}
          >
            <ShapeEngraving shape={match.shape} width={92} height={64} />
            <span className="min-w-0 flex-1">
              <span className="flex items-center gap-2">
                <span className="head flex-1 text-[19px]">{match.shape.name}</span>
                <span className="small">{match.listed ? gradeWords[match.grade] : 'untried'}</span>
              </span>
              <span className="flex items-center gap-2">
                <WindowGlance match={match} hydration={hydration} />
                <span className="small truncate">{match.shape.otherNames[0]}</span>
              </span>
            </span>
          </button>
        </li>
      ))}
    </ol>
  )
}

function Figure({ label, figure, unit, note }: { label: string; figure: string; unit?: string; note?: string }) {
  return (
    <div>
      <p className="small">{label}</p>
      <p className="figure text-[30px] leading-tight font-semibold whitespace-nowrap">
        {figure}
        {unit && <span className="text-[20px]"> {unit}</span>}
      </p>
      {note && <p className="small leading-snug">{note}</p>}
    </div>
  )
}

/** The smallest change that brings the dough to where the shape likes it. */
function BringIn({ worked }: { worked: Worked }) {
  const dispatch = useAppDispatch()
  const { match, poured, lot, flourShift, control } = worked
  if (match.grade === 'in') return null
  const wanted = tableReading(worked) - match.outsideBy
  const to = control.by === 'base' ? wanted : toPoured(poured, wanted + lot.shift + flourShift)
  const next = setOnRule(worked, to)
  return (
    <button
      type="button"
      className="quiet font-semibold"
      disabled={!next.ok}
      onClick={() => next.ok && dispatch(sheetEdited({ sheet: next.value }))}
    >
      Bring the {control.by === 'base' ? 'flour' : 'water'} to {formatPercent(to)} %
    </button>
  )
}

function Making({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section>
      <h2 className="head mb-1 text-[18px]">{title}</h2>
      {children}
    </section>
  )
}

/** The figures of the pieces at hand; those of ropes and boards only where there are any. */
function PieceFigures({ worked }: { worked: Worked }) {
  const { shape, cut, portionG } = worked
  const { mass, massFigure, units, length } = useUnits()
  const made = shape.paceOf === 'portions' ? worked.batch.doughG / (portionG ?? cut.pieceG) : cut.pieces
  const minutes = Math.ceil(made / shape.piecesPerMin.practised)
  return (
    <div className="grid grid-cols-2 gap-x-6 gap-y-3 md:grid-cols-5">
      <Figure
        label={shape.paceOf === 'strands' ? 'strands' : 'pieces'}
        figure={formatNumber(cut.pieces, 0)}
        note={`${mass(cut.leftoverG, 0.1)} left over`}
      />
      <Figure
        label="each"
        figure={massFigure(cut.pieceG, 0.01)}
        unit={units.mass}
        note={portionG === null ? '' : `${formatNumber(portionG / cut.pieceG, 0)} in a portion`}
      />
      {cut.rope && (
        <Figure label="rope in all" figure={length(cut.rope.ropeMm)} note={blankWords(shape.blank, { length })} />
      )}
      {cut.rope && (
        <Figure
          label="board lengths"
          figure={formatNumber(cut.rope.ropes, 0)}
          note={`${cut.rope.piecesPerBoard} pieces from one`}
        />
      )}
      <Figure
        label="one pair of hands"
        figure={formatNumber(minutes, 0)}
        unit="min"
        note={`${shape.piecesPerMin.practised} ${shape.paceOf} a minute; ${shape.piecesPerMin.learner} while learning`}
      />
    </div>
  )
}

function HowTo({ shape }: Pick<Worked, 'shape'>) {
  const list = (title: string, items: readonly string[]) => (
    <Making title={title}>
      <ul>
        {items.map((item) => (
          <li key={item}>{item}</li>
        ))}
      </ul>
    </Making>
  )
  return (
    <div className="grid gap-x-8 gap-y-3 border-t border-line pt-3 text-[16px] leading-snug md:grid-cols-[1.5fr_1fr_1fr]">
      <Making title="How">
        <ol className="list-decimal pl-5">
          {shape.steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </Making>
      {list('Look for', shape.checks)}
      {list(
        'With',
        shape.tools.map(({ tool, instead }) => `${tool}; or: ${instead.toLowerCase()}`),
      )}
    </div>
  )
}

function ChosenShape({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const { shape, match, dough, control } = worked
  const units = useUnits()
  return (
    <div className="flex min-w-0 flex-col gap-4">
      <div>
        <div className="flex flex-wrap items-baseline gap-x-4">
          <h1 className="head text-[30px] leading-tight">{shape.name}</h1>
          <p className="small">
            {shape.otherNames.join(', ')}; {shape.origin}
          </p>
        </div>
        <p className="text-[17px]" role="status">
          {matchWords(match, control.by === 'base')} <BringIn worked={worked} />
        </p>
      </div>
      <div className="grid items-center gap-x-8 gap-y-3 border-y border-line py-3 md:grid-cols-[minmax(0,380px)_minmax(0,1fr)]">
        <ShapeEngraving shape={shape} width={370} height={218} withScale />
        <div className="flex flex-col gap-3">
          <BlankDrawing blank={shape.blank} family={dough.family} width={340} />
          <p className="small leading-snug">
            To scale. {drawnWords(shape.blank, units)} {shape.board}
          </p>
          <ThroughRoller worked={worked} kitchen={kitchen} />
        </div>
      </div>
      <PieceFigures worked={worked} />
      <HowTo shape={shape} />
    </div>
  )
}

/** What the shapes are held against, in words. */
const readingWords = (worked: Worked): string =>
  worked.control.by === 'base'
    ? `at ${formatPercent(worked.control.flourOnBase)} of flour on ${worked.control.base}`
    : `at ${formatPercent(tableReading(worked))} % on 14 % flour`

function Shapes({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const dispatch = useAppDispatch()
  const [all, setAll] = useState(false)
  const reading = tableReading(worked)
  const matches = useMemo(
    () => rankShapes([...kitchen.shapes.values()], worked.dough, reading),
    [kitchen.shapes, worked.dough, reading],
  )
  const known = matches.filter((match) => match.listed || match.shape.id === worked.shape.id)
  const rest = matches.length - known.length
  return (
    <div
      className="grid min-h-0 gap-x-8 gap-y-4 lg:grid-cols-[350px_minmax(0,1fr)]"
      style={{ '--family': familyInk[worked.dough.family] } as CSSProperties}
    >
      <section aria-label="Which shapes suit">
        <p className="mb-1 leading-snug">
          <span className="head text-[19px]">What suits {worked.sheet.name}</span>
          <span className="small block">{readingWords(worked)}; best suited first</span>
        </p>
        <ShapeList
          matches={all ? matches : known}
          chosen={worked.shape.id}
          hydration={reading}
          onChoose={(id) => dispatch(sheetEdited({ sheet: { ...worked.sheet, shape: id } }))}
        />
        {rest > 0 && (
          <button type="button" className="quiet mt-3" aria-expanded={all} onClick={() => setAll(!all)}>
            {all ? 'Only what this dough is known for' : `${rest} more, not usual for this dough`}
          </button>
        )}
      </section>
      <ChosenShape worked={worked} kitchen={kitchen} />
    </div>
  )
}

export default function ShapeStation() {
  const kitchen = useKitchen()
  const worked = useWorked()
  return (
    <>
      <BatchStrip>
        <FindButton />
        <Link to="/formula" className="action">
          Back to the formula
        </Link>
      </BatchStrip>
      <main id="work" className="relative min-h-0 flex-1 overflow-y-auto bg-sheet px-4 py-3 md:px-[26px]">
        {worked?.ok && kitchen && <Shapes worked={worked.value} kitchen={kitchen} />}
        {worked && !worked.ok && (
          <p role="alert" className="border-l-[5px] border-danger p-3 text-lg">
            {problemWords(worked.problem)}
          </p>
        )}
        {!worked && kitchen && (
          <div className="m-auto max-w-md py-20 text-center">
            <h1 className="head mb-3 text-3xl">No dough to shape yet</h1>
            <p>Here stand the shapes that suit the dough on paper. Take a formula from the book first.</p>
          </div>
        )}
      </main>
    </>
  )
}
