import type { Kitchen, Worked } from '@harina/core'
import { lazy, startTransition, Suspense, useState, type CSSProperties } from 'react'
import { BatchStrip } from '../../ui/BatchStrip.tsx'
import { FindButton } from '../../ui/FindButton.tsx'
import { ToBench } from '../../ui/ToBench.tsx'
import { useApp } from '../../state/store.ts'
import { familyInk } from '../../ui/family.tsx'
import { selectSheet, useKitchen } from '../../state/select.ts'
import { useWorked } from '../../state/worked.ts'
import { useOpening } from '../../ui/opening.ts'
import { useRecipeDrop } from './useRecipeDrop.ts'
import { usePageTitle } from '../../ui/pageTitle.ts'
import { DoughColumn } from './DoughColumn.tsx'
import { DrawerHandles, isDrawer, OpenDrawer, type DrawerId } from './drawers.tsx'
import { FlourStands } from './FlourStands.tsx'
import { FootFacts } from './FootFacts.tsx'
import { FormulaRule } from './FormulaRule.tsx'
import { HowMuch } from './HowMuch.tsx'
import { KeepersNote } from './KeepersNote.tsx'
import { Ledger } from './Ledger.tsx'
import { MarginNotes } from './MarginNotes.tsx'
import { SheetHead } from './SheetHead.tsx'
import { problemTold } from '#web/ui/units.ts'

const FormulaBook = lazy(() => import('./FormulaBook.tsx'))
const ReadRecipe = lazy(() => import('./ReadRecipe.tsx'))
const NewFormula = lazy(() => import('./NewFormula.tsx'))

function Sheet({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const step = kitchen.gear.scaleStepG
  return (
    <>
      <FlourStands worked={worked} kitchen={kitchen} />
      <h2 className="sr-only">The rule</h2>
      <FormulaRule worked={worked} />
      <div className="grid flex-1 gap-x-9 gap-y-4 lg:grid-cols-[minmax(0,1fr)_262px] xl:grid-cols-[minmax(0,1fr)_250px_262px] xl:grid-rows-[auto_1fr] xl:gap-y-1">
        <div className="flex flex-col gap-1">
          <Ledger worked={worked} kitchen={kitchen} />
          <h2 className="sr-only">How much</h2>
          <HowMuch worked={worked} kitchen={kitchen} />
        </div>
        <div className="flex flex-col gap-3">
          <DoughColumn worked={worked} scaleStepG={step} />
          <KeepersNote />
        </div>
        <div className="lg:col-start-2 xl:col-start-auto xl:row-span-2">
          <MarginNotes worked={worked} scaleStepG={step} />
        </div>
        <div className="self-end border-t border-line pt-1 lg:col-start-1 lg:row-start-2 lg:self-start xl:col-span-2 xl:row-start-auto xl:self-end">
          <h2 className="sr-only">What comes of it</h2>
          <FootFacts worked={worked} />
        </div>
      </div>
    </>
  )
}

interface EmptyProps {
  readonly onOpenBook: () => void
  readonly onNew: () => void
  readonly onRead: () => void
}

function EmptySheet({ onOpenBook, onNew, onRead }: EmptyProps) {
  return (
    <div className="m-auto max-w-md text-center">
      <h1 className="head mb-3 text-4xl">No draft yet</h1>
      <p className="mb-6">
        Here stands the dough being thought out: its flour, its water and how much of it. Start a new one, take one from
        the formula book, or read one from a recipe.
      </p>
      <div className="flex justify-center gap-4">
        <button type="button" className="action" onClick={onNew}>
          A new formula
        </button>
        <button type="button" className="quiet font-semibold" onClick={onOpenBook}>
          Open the formula book
        </button>
        <button type="button" className="quiet font-semibold" onClick={onRead}>
          Read a recipe
        </button>
      </div>
    </div>
  )
}

export default function FormulaStation() {
  const kitchen = useKitchen()
  const worked = useWorked()
  const hasDraft = useApp((state) => state.draft.present !== null)
  usePageTitle(useApp(selectSheet)?.name, 'Formula')
  const [open, setOpen] = useState<'book' | 'new' | 'read' | DrawerId | null>(null)
  // What was open stays until the next is fetched.
  const turnTo = (next: typeof open) => startTransition(() => setOpen(next))
  const [begin, setBegin] = useState<string | undefined>()
  const close = () => setOpen(null)
  useOpening((asked) => {
    setBegin(asked.with)
    if (asked.open === 'book' || asked.open === 'new' || asked.open === 'read' || isDrawer(asked.open))
      turnTo(asked.open)
    else if (asked.open === 'print') setTimeout(() => print())
  })
  const newOne = () => {
    setBegin(undefined)
    turnTo('new')
  }
  const readOne = (text?: string) => {
    setBegin(text)
    turnTo('read')
  }
  useRecipeDrop(readOne)
  const good = worked?.ok ? worked.value : null
  const ink = good ? familyInk[good.dough.family] : 'var(--ink)'
  return (
    <div className="contents" style={{ '--family': ink } as CSSProperties}>
      <BatchStrip>
        <FindButton />
        {good && kitchen && <ToBench worked={good} kitchen={kitchen} />}
      </BatchStrip>
      <main
        id="work"
        className="relative flex min-h-0 flex-1 flex-col gap-1 overflow-y-auto bg-sheet px-4 pt-1.5 pb-1 md:px-6.5"
      >
        {hasDraft ? (
          <SheetHead worked={good} onOpenBook={() => turnTo('book')} onNew={newOne} />
        ) : (
          <EmptySheet onOpenBook={() => turnTo('book')} onNew={newOne} onRead={() => readOne()} />
        )}
        {worked && !worked.ok && (
          <p role="alert" className="border-l-5 border-danger p-3 text-lg">
            {problemTold(worked.problem)}
          </p>
        )}
        {good && kitchen && <Sheet worked={good} kitchen={kitchen} />}
      </main>
      {good && kitchen && <DrawerHandles worked={good} onOpen={turnTo} />}
      {kitchen && (
        <Suspense>
          {open === 'book' && <FormulaBook kitchen={kitchen} onClose={close} />}
          {open === 'new' && (
            <NewFormula key={begin} kitchen={kitchen} begin={begin} onRead={() => readOne()} onClose={close} />
          )}
          {open === 'read' && <ReadRecipe key={begin} kitchen={kitchen} begin={begin} onClose={close} />}
          {good && open !== null && open !== 'book' && open !== 'new' && open !== 'read' && (
            <OpenDrawer id={open} worked={good} kitchen={kitchen} onClose={close} />
          )}
        </Suspense>
      )}
    </div>
  )
}
