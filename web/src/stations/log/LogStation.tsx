import { formatPercent, formatPoints, type Batch, type BatchSummary } from '@harina/core'
import { useVirtualizer } from '@tanstack/react-virtual'
import { format } from 'date-fns'
import { useLiveQuery } from 'dexie-react-hooks'
import { useMemo, useRef, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { BatchStrip } from '../../ui/BatchStrip.tsx'
import { FindButton } from '../../ui/FindButton.tsx'
import { repository } from '../../storage/index.ts'
import { FamilyMark } from '../../ui/family.tsx'
import { summaryOf, useKitchen } from '../../ui/kitchen.tsx'
import { useUnits } from '../../ui/units.ts'
import { verdictWords } from '../../ui/words.ts'
import { BatchPage, StartNext } from './BatchPage.tsx'
import { findBatches } from './findBatches.ts'

const countWords = (found: number, all: number): string => {
  const batches = all === 1 ? 'one batch' : `${all} batches`
  return found === all ? batches : `${found} of ${batches}`
}

function endWords({ state }: BatchSummary): string {
  if (state.end?.how === 'abandoned') return 'given up'
  return state.verdict ? verdictWords[state.verdict] : 'no verdict'
}

/** What the batch says of its flour; a dough on a base says nothing, its water comes with the base. */
function thirstWords({ plan, thirst }: BatchSummary): string {
  if (plan.control.by === 'base') return ''
  return thirst === null ? 'never right · ' : `${formatPoints(thirst)} points · `
}

const ROW = 72

function List({ batches, chosen }: { batches: readonly BatchSummary[]; chosen: string | undefined }) {
  const kitchen = useKitchen()
  const { mass } = useUnits()
  const frame = useRef<HTMLDivElement>(null)
  // eslint-disable-next-line react-hooks/incompatible-library -- a hint for the React compiler, which is not used here
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
          const batch = batches[index]
          if (!batch) return null
          const { plan, state } = batch
          return (
            <li key={batch.id} className="absolute inset-x-0" style={{ top: start, height: ROW }}>
              <Link
                to={`/log/${batch.id}`}
                aria-current={batch.id === chosen ? 'true' : undefined}
                className={`flex h-full items-center gap-3 border-b border-l-[5px] border-b-line pr-2 pl-2 ${batch.id === chosen ? 'border-l-semolina bg-ground' : 'border-l-transparent hover:bg-ground'}`}
              >
                <FamilyMark family={kitchen?.doughs.get(plan.sheet.dough)?.family ?? 'semolina'} size={18} />
                <span className="min-w-0 flex-1 leading-tight">
                  <span className="head block truncate text-[17px]">{plan.sheet.name}</span>
                  <span className="small block truncate">
                    {format(plan.at, 'EEE d MMM')} · {plan.shape.name}
                  </span>
                </span>
                <span className="text-right leading-tight">
                  <span className="figure block text-[17px] font-semibold">
                    {plan.control.by === 'base'
                      ? `${formatPercent(batch.onRule)} flour`
                      : `${mass(state.pouredG, plan.scaleStepG)} water`}
                  </span>
                  <span className="small">
                    {thirstWords(batch)}
                    {endWords(batch)}
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

function useBatches(): readonly BatchSummary[] | null {
  const closed = useLiveQuery(() => repository.closedBatches())
  return useMemo(() => {
    if (!closed) return null
    return closed.map((batch: Batch) => summaryOf(batch)).sort((a, b) => Date.parse(b.plan.at) - Date.parse(a.plan.at))
  }, [closed])
}

export default function LogStation() {
  const { batchId } = useParams()
  const navigate = useNavigate()
  const batches = useBatches()
  const [query, setQuery] = useState('')
  const found = useMemo(() => (batches ? findBatches(batches, query) : []), [batches, query])
  const opened = batches?.find((batch) => batch.id === batchId) ?? (batchId === undefined ? found[0] : undefined)
  return (
    <>
      <BatchStrip>
        <FindButton />
        {opened && <StartNext batch={opened} />}
      </BatchStrip>
      <main
        id="work"
        className="relative flex min-h-0 flex-1 flex-col overflow-y-auto bg-sheet px-4 py-3 md:px-[26px] lg:overflow-hidden"
      >
        {batches && batches.length === 0 ? (
          <div className="m-auto max-w-md text-center">
            <h1 className="head mb-3 text-3xl">No batch in the log yet</h1>
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
              <List batches={found} chosen={opened?.id} />
              {batches && <p className="small border-t border-line pt-1">{countWords(found.length, batches.length)}</p>}
            </section>
            <div
              className={`min-h-0 lg:overflow-y-auto ${batchId === undefined ? 'hidden lg:block' : ''}`}
              // The keys scroll a long story; where it fits they pass over it.
              tabIndex={opened ? 0 : -1}
              role="region"
              aria-label="The batch"
            >
              {opened && (
                <>
                  <Link to="/log" className="quiet mb-2 inline-block lg:hidden">
                    All batches
                  </Link>
                  <BatchPage key={opened.id} batch={opened} />
                </>
              )}
              {!opened && batches && batchId !== undefined && (
                <p className="py-6">This batch is not in the log. It may be at the bench still.</p>
              )}
            </div>
          </div>
        )}
      </main>
    </>
  )
}
