import type { Kitchen, Worked } from '@harina/core'
import { lazy, Suspense, useState } from 'react'
import { useNavigate } from 'react-router'
import { BatchStrip } from '../../ui/BatchStrip.tsx'
import { takeToBench } from '../../state/recordTap.ts'
import { FindButton } from '../../ui/FindButton.tsx'
import { store, useApp } from '../../state/store.ts'
import { useKitchen, useWorked } from '../../ui/kitchen.tsx'
import { problemWords } from '../../ui/words.ts'
import { DoughColumn } from './DoughColumn.tsx'
import { FlourStands } from './FlourStands.tsx'
import { FootFacts } from './FootFacts.tsx'
import { FormulaRule } from './FormulaRule.tsx'
import { HowMuch } from './HowMuch.tsx'
import { KeepersNote } from './KeepersNote.tsx'
import { Ledger } from './Ledger.tsx'
import { MarginNotes } from './MarginNotes.tsx'
import { SheetHead } from './SheetHead.tsx'

const FormulaBook = lazy(() => import('./FormulaBook.tsx'))

function ToBench({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const navigate = useNavigate()
  const [going, setGoing] = useState(false)
  const go = async () => {
    setGoing(true)
    const id = await takeToBench(worked, kitchen, store.getState().draft.present?.formula ?? null)
    void navigate(`/bench/${id}`)
  }
  return (
    <button type="button" className="action" disabled={going} onClick={() => void go()}>
      Take to the bench
    </button>
  )
}

function Sheet({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const step = kitchen.gear.scaleStepG
  return (
    <>
      <FlourStands worked={worked} kitchen={kitchen} />
      <FormulaRule worked={worked} />
      <div className="grid gap-x-9 gap-y-4 lg:grid-cols-[minmax(0,1fr)_250px_262px]">
        <div className="flex flex-col gap-2">
          <Ledger worked={worked} kitchen={kitchen} />
          <HowMuch worked={worked} kitchen={kitchen} />
          <KeepersNote rows={worked.rows.length > 4 ? 1 : 2} />
        </div>
        <DoughColumn worked={worked} scaleStepG={step} />
        <MarginNotes worked={worked} scaleStepG={step} />
      </div>
      <div className="border-t border-line pt-2">
        <FootFacts worked={worked} />
      </div>
    </>
  )
}

export default function FormulaStation() {
  const kitchen = useKitchen()
  const worked = useWorked()
  const hasDraft = useApp((state) => state.draft.present !== null)
  const [bookOpen, setBookOpen] = useState(false)
  const good = worked?.ok ? worked.value : null
  return (
    <>
      <BatchStrip>
        <FindButton />
        {good && kitchen && <ToBench worked={good} kitchen={kitchen} />}
      </BatchStrip>
      <main id="work" className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto bg-sheet px-4 py-3 md:px-[26px]">
        {hasDraft ? (
          <SheetHead worked={good} onOpenBook={() => setBookOpen(true)} />
        ) : (
          <div className="m-auto max-w-md text-center">
            <h1 className="head mb-3 text-3xl">Nothing on paper yet</h1>
            <p className="mb-6">
              Here stands the dough being thought out: its flour, its water and how much of it. Take one from the
              formula book to begin.
            </p>
            <button type="button" className="action" onClick={() => setBookOpen(true)}>
              Open the formula book
            </button>
          </div>
        )}
        {worked && !worked.ok && (
          <p role="alert" className="border-l-[5px] border-danger p-3 text-lg">
            {problemWords(worked.problem)}
          </p>
        )}
        {good && kitchen && <Sheet worked={good} kitchen={kitchen} />}
      </main>
      {bookOpen && kitchen && (
        <Suspense>
          <FormulaBook kitchen={kitchen} onClose={() => setBookOpen(false)} />
        </Suspense>
      )}
    </>
  )
}
