import {
  formatLength,
  formatNumber,
  formatPercent,
  rankShapes,
  setPoured,
  toPoured,
  type Kitchen,
  type ShapeMatch,
  type Worked,
} from '@harina/core'
import { useMemo, type ReactNode } from 'react'
import { Link } from 'react-router'
import { BatchStrip } from '../../ui/BatchStrip.tsx'
import { sheetEdited } from '../../state/draftSlice.ts'
import { FindButton } from '../../ui/FindButton.tsx'
import { useAppDispatch } from '../../state/store.ts'
import { useKitchen, useWorked } from '../../ui/kitchen.tsx'
import { RopeAndCut } from '../../ui/RopeAndCut.tsx'
import { ShapeEngraving } from '../../ui/ShapeEngraving.tsx'
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
        fill="var(--semolina)"
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
                ? 'border-l-[5px] border-l-semolina bg-ground'
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
  const { match, paper14, poured, lot } = worked
  if (match.grade === 'in') return null
  const to = toPoured(poured, paper14 - match.outsideBy + lot.shift)
  return (
    <button
      type="button"
      className="quiet font-semibold"
      onClick={() => dispatch(sheetEdited({ sheet: setPoured(worked, to) }))}
    >
      Bring the water to {formatPercent(to)} %
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

function ChosenShape({ worked }: { worked: Worked }) {
  const { shape, rope, match, dough } = worked
  const minutes = Math.ceil(rope.pieces / shape.piecesPerMin.practised)
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
          {matchWords(match)} <BringIn worked={worked} />
        </p>
      </div>
      <div className="grid items-end gap-x-8 gap-y-3 border-y border-line py-3 md:grid-cols-[minmax(0,380px)_minmax(0,1fr)]">
        <ShapeEngraving shape={shape} width={370} height={218} withScale />
        <div className="flex flex-col gap-3">
          <RopeAndCut diameterMm={shape.blank.diameterMm} cutMm={shape.blank.cutMm} family={dough.family} width={340} />
          <p className="small leading-snug">
            {shape.blank.drawn
              ? `Rope and cut, to scale; then rolled out to ${formatLength(shape.blank.drawn.diameterMm)}, ${formatLength(shape.blank.drawn.lengthMm)} long.`
              : 'Rope and cut, to scale.'}{' '}
            {shape.board}
          </p>
        </div>
      </div>
      <div className="grid grid-cols-2 gap-x-6 gap-y-3 md:grid-cols-5">
        <Figure
          label="pieces"
          figure={formatNumber(rope.pieces, 0)}
          note={`${formatNumber(rope.leftoverG, 1)} g left over`}
        />
        <Figure
          label="each"
          figure={formatNumber(rope.pieceG, 2)}
          unit="g"
          note={worked.portionG === null ? '' : `${formatNumber(worked.portionG / rope.pieceG, 0)} in a portion`}
        />
        <Figure
          label="rope in all"
          figure={formatLength(rope.ropeMm)}
          note={`${formatLength(shape.blank.diameterMm)} thick`}
        />
        <Figure
          label="board lengths"
          figure={formatNumber(rope.ropes, 0)}
          note={`${rope.piecesPerBoard} pieces from one`}
        />
        <Figure
          label="one pair of hands"
          figure={formatNumber(minutes, 0)}
          unit="min"
          note={`${shape.piecesPerMin.practised} a minute; ${shape.piecesPerMin.learner} while learning`}
        />
      </div>
      <div className="grid gap-x-8 gap-y-3 border-t border-line pt-3 text-[16px] leading-snug md:grid-cols-[1.5fr_1fr_1fr]">
        <Making title="How">
          <ol className="list-decimal pl-5">
            {shape.steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
        </Making>
        <Making title="Look for">
          <ul>
            {shape.checks.map((check) => (
              <li key={check}>{check}</li>
            ))}
          </ul>
        </Making>
        <Making title="With">
          <ul>
            {shape.tools.map((tool) => (
              <li key={tool}>{tool}</li>
            ))}
          </ul>
        </Making>
      </div>
    </div>
  )
}

function Shapes({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const dispatch = useAppDispatch()
  const matches = useMemo(
    () => rankShapes([...kitchen.shapes.values()], worked.dough, worked.paper14),
    [kitchen.shapes, worked.dough, worked.paper14],
  )
  return (
    <div className="grid min-h-0 gap-x-8 gap-y-4 lg:grid-cols-[350px_minmax(0,1fr)]">
      <section aria-label="Which shapes suit">
        <p className="mb-1 leading-snug">
          <span className="head text-[19px]">What suits {worked.sheet.name}</span>
          <span className="small block">at {formatPercent(worked.paper14)} % on 14 % flour; best suited first</span>
        </p>
        <ShapeList
          matches={matches}
          chosen={worked.shape.id}
          hydration={worked.paper14}
          onChoose={(id) => dispatch(sheetEdited({ sheet: { ...worked.sheet, shape: id } }))}
        />
      </section>
      <ChosenShape worked={worked} />
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
      <main id="work" className="min-h-0 flex-1 overflow-y-auto bg-sheet px-4 py-3 md:px-[26px]">
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
