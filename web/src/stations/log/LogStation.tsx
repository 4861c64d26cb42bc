import { madeG, formatPercent, formatPoints, type BatchSummary } from '@harina/core'
import { useVirtualizer } from '@tanstack/react-virtual'
import { format } from 'date-fns'
import { useMemo, useRef, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { usePageTitle } from '../../ui/pageTitle.ts'
import { BatchStrip } from '../../ui/BatchStrip.tsx'
import { FindButton } from '../../ui/FindButton.tsx'
import { CannotBeShown, Guarded } from '../../ui/Guarded.tsx'
import { FamilyMark } from '../../ui/family.tsx'
import { familyOf, selectEnded, useKept, useKitchen, type RunningBatch } from '../../state/select.ts'
import { useApp } from '../../state/store.ts'
import { useWholeBatch } from '../../state/useStored.ts'
import { useUnits } from '../../ui/units.ts'
import { BatchPage, StartNext } from './BatchPage.tsx'
import { findBatches } from './findBatches.ts'
import { batchTitle, keptWhere, verdictWords } from '../../words/index.ts'
import { underTheirDough, type InList } from './parts.ts'
import { keptUntilWords } from './kept.ts'

const countWords = (found: number, all: number): string => {
  const batches = all === 1 ? 'one batch' : `${all} batches`
  return found === all ? batches : `${found} of ${batches}`
}

function endWords({ batch: { end, unreadable }, verdict }: InList): string {
  if (unreadable) return 'cannot be read'
  if (end === 'abandoned') return 'given up'
  return verdict ? verdictWords[verdict] : 'no verdict'
}

/** What the batch says of its flour; a dough on a base says nothing, its water comes with the base. */
function thirstWords({ onBase, thirst, unreadable, wasRight }: BatchSummary): string {
  if (onBase || unreadable || (thirst === null && wasRight)) return ''
  return thirst === null ? 'never right · ' : `${formatPoints(thirst)} points · `
}

const ROW = 72

function List({ batches, chosen }: { batches: readonly InList[]; chosen: string | undefined }) {
  const kitchen = useKitchen()
  const { mass } = useUnits()
  const frame = useRef<HTMLDivElement>(null)
  const rows = useVirtualizer({
    count: batches.length,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW,
    overscan: 8,
  })
  return (
    <div ref={frame} tabIndex={0} role="region" aria-label="Batches" className="min-h-40 flex-1 overflow-y-auto">
      <ul className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const row = batches[index]
          if (!row) return null
          const { batch, under } = row
          return (
            <li key={batch.id} className="absolute inset-x-0" style={{ top: start, height: ROW }}>
              <Link
                to={`/log/${batch.id}`}
                aria-current={batch.id === chosen ? 'true' : undefined}
                className={`flex h-full items-center gap-3 border-b border-l-5 border-b-line pr-2 ${under ? 'pl-10' : 'pl-2'} ${batch.id === chosen ? 'border-l-semolina bg-ground' : 'border-l-transparent hover:bg-ground'}`}
              >
                {!under && <FamilyMark family={familyOf(kitchen, batch.dough)} size={18} />}
                <span className="min-w-0 flex-1 leading-tight">
                  <span className="head block truncate text-md">
                    {under ? (batch.part?.for ? `for ${batch.part.for}` : batch.shape) : batch.name}
                  </span>
                  <span className="small block truncate">
                    {under ? 'a part of it' : format(batch.atMs, 'EEE d MMM')} · {batch.shape}
                  </span>
                </span>
                <span className="text-right leading-tight">
                  <span className="figure block text-md font-semibold">
                    {batch.unreadable
                      ? ''
                      : batch.part
                        ? mass(batch.part.grams, batch.scaleStepG)
                        : batch.onBase
                          ? `${formatPercent(batch.onRule)} flour`
                          : `${mass(batch.pouredG, batch.scaleStepG)} poured`}
                  </span>
                  <span className="small">
                    {batch.part ? '' : thirstWords(batch)}
                    {endWords(row)}
                  </span>
                </span>
              </Link>
            </li>
          )
        })}
      </ul>
    </div>
  )
}

/** What waits in the fridge, in the freezer or on the rack, the soonest to be used first. */
function Kept({ batches }: { batches: readonly RunningBatch[] }) {
  const { mass } = useUnits()
  if (batches.length === 0) return null
  return (
    <section aria-label="Kept" className="mb-3 border-b border-ink pb-2">
      <h2 className="head mb-1 text-lg">Kept</h2>
      <ul>
        {batches.map(({ batch, state, step }) => (
          <li key={batch.id}>
            <Link
              to={`/bench/${batch.id}`}
              className="flex min-h-12 items-center gap-3 border-t border-line py-1 pr-2 hover:bg-ground"
            >
              <span className="min-w-0 flex-1 leading-tight">
                <span className="head block truncate text-md">{batchTitle(batch)}</span>
                <span className="small block truncate">
                  {batch.plan.shape.name} · {step && keptWhere(step)}
                </span>
              </span>
              <span className="text-right leading-tight">
                <span className="figure block text-md font-semibold">{mass(madeG(batch.plan, state))}</span>
                <span className="small">{keptUntilWords(batch)}</span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

function useBatches(): readonly BatchSummary[] | null {
  const ended = useApp(selectEnded)
  return useMemo(() => ended && [...ended].sort((a, b) => b.atMs - a.atMs), [ended])
}

export default function LogStation() {
  const { batchId } = useParams()
  const navigate = useNavigate()
  const batches = useBatches()
  const kept = useKept()
  const [query, setQuery] = useState('')
  const found = useMemo(() => (batches ? findBatches(batches, query) : []), [batches, query])
  const listed = useMemo(() => underTheirDough(found, batches ?? []), [found, batches])
  const chosen = batchId ?? listed[0]?.batch.id
  const opened = useWholeBatch(chosen)
  usePageTitle(opened?.is === 'whole' ? opened.batch.plan.sheet.name : undefined, 'Log')
  return (
    <>
      <BatchStrip>
        <FindButton />
        {opened?.is === 'whole' && <StartNext batch={opened.batch} />}
      </BatchStrip>
      <main
        id="work"
        className="relative flex min-h-0 flex-1 flex-col overflow-y-auto bg-sheet px-4 py-3 md:px-6.5 lg:overflow-hidden"
      >
        {batches && batches.length === 0 && kept.length === 0 ? (
          <div className="m-auto max-w-md text-center">
            <h1 className="head mb-3 text-4xl">No batch in the log yet</h1>
            <p className="mb-6">
              Every batch would stand here with its trail: what was planned and poured, how it felt, how it ate. Run one
              at the bench, or bring a file in at Gear.
            </p>
            <Link to="/formula" className="quiet font-semibold">
              To the formula
            </Link>
          </div>
        ) : (
          <div className="grid min-h-0 flex-1 gap-x-8 gap-y-4 lg:grid-cols-[370px_minmax(0,1fr)] lg:grid-rows-[minmax(0,1fr)]">
            <section
              aria-label="The log"
              className={`flex min-h-0 flex-col ${batchId === undefined ? '' : 'hidden lg:flex'}`}
            >
              <Kept batches={kept} />
              <label className="mb-2 flex items-center gap-2">
                <span className="small">Search</span>
                <input
                  type="search"
                  className="box min-w-0 flex-1"
                  placeholder="dough, flour, shape, word, month"
                  value={query}
                  onChange={(event) => {
                    setQuery(event.target.value)
                    if (batchId !== undefined) void navigate('/log', { replace: true })
                  }}
                />
              </label>
              {batches && found.length === 0 && (
                <p className="py-6">No batch has all of these words. Try fewer, or a month.</p>
              )}
              <List batches={listed} chosen={chosen} />
              {batches && <p className="small border-t border-line pt-1">{countWords(found.length, batches.length)}</p>}
            </section>
            <div
              className={`min-h-0 lg:overflow-y-auto ${batchId === undefined ? 'hidden lg:block' : ''}`}
              // The keys scroll a long story; where it fits they pass over it.
              tabIndex={opened ? 0 : -1}
              role="region"
              aria-label="The batch"
            >
              {opened?.is === 'whole' && (
                <>
                  <Link to="/log" className="quiet mb-2 inline-block lg:hidden">
                    All batches
                  </Link>
                  <Guarded key={opened.of} what={{ kind: 'batch', id: opened.of }}>
                    <BatchPage batch={opened.batch} />
                  </Guarded>
                </>
              )}
              {opened?.is === 'unreadable' && <CannotBeShown what={{ kind: 'batch', id: opened.of }} />}
              {opened?.is === 'nowhere' && (
                <p className="py-6">This batch is not in the log. It may be at the bench still.</p>
              )}
            </div>
          </div>
        )}
      </main>
    </>
  )
}
