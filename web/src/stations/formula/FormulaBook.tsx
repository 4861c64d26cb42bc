/** The formula book: found by words, family, shape or tag; opened, copied, tagged, put away and brought back. */
import {
  computeSheet,
  copiedFormula,
  FAMILIES,
  findFormulas,
  formatPercent,
  MAX_TAGS,
  plainTextFrom,
  starterBook,
  type BookQuery,
  type Formula,
  type Kitchen,
  type Sheet,
} from '@harina/core'
import { formatDistanceToNowStrict } from 'date-fns'
import { nanoid } from 'nanoid'
import { useMemo, useState } from 'react'
import { draftOpened } from '../../state/draftSlice.ts'
import { exportFormula } from '../../state/files.ts'
import { familyOf, selectEnded, selectFormulas } from '../../state/select.ts'
import { useApp, useAppDispatch } from '../../state/store.ts'
import { change, put, say, together } from '../../state/workspace.ts'
import { FamilyMark, familyName } from '../../ui/family.tsx'
import { SidePanel } from '../../ui/SidePanel.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { useToBench } from '../../ui/ToBench.tsx'
import { counted } from '#web/words/index.ts'

/** The figure a formula is known by: its water, or its flour on the base. */
function figureOf(sheet: Sheet): string {
  const water = sheet.rows.find((row) => row.amount.by === 'hydration')?.amount
  if (water) return `${formatPercent(water.percent)} %`
  const flour = sheet.rows.reduce((sum, row) => sum + (row.flour ? row.amount.percent : 0), 0)
  return `${formatPercent(flour)} on 100`
}

/** Keeps a change, and offers the way back. */
const keep = ({ id }: Formula, edit: (formula: Formula) => Formula, words: string) =>
  void say(words, change('formula', id, edit))

function copy(formula: Formula, all: readonly Formula[]): void {
  const names = all.map((each) => each.sheet.name)
  const made = copiedFormula(formula, names, new Date().toISOString(), nanoid)
  void say(`${made.sheet.name} is in the book`, put('formula', made))
}

function Tags({ formula }: { formula: Formula }) {
  const [typed, setTyped] = useState('')
  const add = () => {
    const tag = plainTextFrom(typed.trim(), 40)
    setTyped('')
    if (tag === '' || formula.tags.includes(tag) || formula.tags.length >= MAX_TAGS) return
    keep(formula, (now) => ({ ...now, tags: [...now.tags, tag] }), `Tagged “${tag}”`)
  }
  return (
    <form
      className="mt-1 flex flex-wrap items-baseline gap-x-3 gap-y-1"
      onSubmit={(event) => {
        event.preventDefault()
        add()
      }}
    >
      {formula.tags.map((tag) => (
        <button
          key={tag}
          type="button"
          className="small border border-second px-1.5 hover:line-through"
          aria-label={`Take the tag ${tag} off ${formula.sheet.name}`}
          onClick={() =>
            keep(formula, (now) => ({ ...now, tags: now.tags.filter((each) => each !== tag) }), `“${tag}” taken off`)
          }
        >
          {tag}
        </button>
      ))}
      <input
        className="field small w-20"
        aria-label={`New tag for ${formula.sheet.name}`}
        placeholder="add a tag"
        maxLength={40}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={add}
      />
    </form>
  )
}

interface EntryProps {
  readonly formula: Formula
  readonly all: readonly Formula[]
  readonly kitchen: Kitchen
  readonly lastMade: number | undefined
  readonly onOpen: () => void
}

function Entry({ formula, all, kitchen, lastMade, onOpen }: EntryProps) {
  const { sheet, archived } = formula
  const family = familyOf(kitchen, sheet.dough)
  const { going, go } = useToBench(kitchen)
  /** As it stands in the book; what cannot be worked out is opened, and says why. */
  const toBench = () => {
    const worked = computeSheet(sheet, kitchen)
    if (worked.ok) void go(worked.value, formula.id)
    else onOpen()
  }
  const away = () =>
    keep(
      formula,
      (now) => ({ ...now, archived: !archived }),
      `${sheet.name} ${archived ? 'is back in the book' : 'is archived'}`,
    )
  return (
    <li className="border-b border-line py-2.5">
      <div className="flex items-baseline gap-3">
        <span className="self-center">
          <FamilyMark family={family} size={20} />
        </span>
        <button
          type="button"
          className="head flex-1 py-1 text-left text-xl leading-tight hover:underline"
          onClick={onOpen}
        >
          {sheet.name}
        </button>
        <span className="figure text-xl font-semibold whitespace-nowrap">{figureOf(sheet)}</span>
      </div>
      <p className="small">
        {familyName[family]} · {kitchen.shapes.get(sheet.shape)?.name ?? sheet.shape} ·{' '}
        {lastMade ? `made ${formatDistanceToNowStrict(lastMade, { addSuffix: true })}` : 'not made yet'}
        {formula.versions.length > 0 && ` · version ${formula.versions.length + 1}`}
      </p>
      {sheet.note && <p className="mt-1 text-label leading-snug">{sheet.note}</p>}
      <Tags formula={formula} />
      <p className="mt-1.5 flex gap-4 text-sm">
        <button
          type="button"
          className="quiet font-semibold"
          aria-label={`Take ${sheet.name} to the bench`}
          disabled={going}
          onClick={toBench}
        >
          To the bench
        </button>
        <button type="button" className="quiet" aria-label={`Copy ${sheet.name}`} onClick={() => copy(formula, all)}>
          Copy
        </button>
        <button
          type="button"
          className="quiet"
          aria-label={`${archived ? 'Bring back' : 'Archive'} ${sheet.name}`}
          onClick={away}
        >
          {archived ? 'Bring back' : 'Archive'}
        </button>
        <button
          type="button"
          className="quiet"
          aria-label={`Export ${sheet.name}`}
          onClick={() => exportFormula(formula)}
        >
          Export
        </button>
      </p>
    </li>
  )
}

const everything: BookQuery = { words: '', family: null, shape: null, tag: null, archived: false }

function Filters({
  query,
  onChange,
  formulas,
  kitchen,
}: {
  query: BookQuery
  onChange: (query: BookQuery) => void
  formulas: readonly Formula[]
  kitchen: Kitchen
}) {
  const shapes = [...new Set(formulas.map((formula) => formula.sheet.shape))].flatMap(
    (id) => kitchen.shapes.get(id) ?? [],
  )
  const tags = [...new Set(formulas.flatMap((formula) => formula.tags))].sort()
  const select = (
    label: string,
    value: string | null,
    options: readonly (readonly [string, string])[],
    set: (value: string | null) => void,
  ) => (
    <Choice
      label={label}
      className="box min-h-10 min-w-0 flex-1 text-label"
      value={value ?? ''}
      none={label}
      options={options.map(([id, name]) => [id, name] as const)}
      onChange={(chosen) => set(chosen || null)}
    />
  )
  return (
    <div role="search" className="mb-2">
      <input
        type="search"
        className="box mb-2 min-h-11 w-full text-md"
        aria-label="Search the book"
        placeholder="name, flour, shape, note …"
        value={query.words}
        onChange={(event) => onChange({ ...query, words: event.target.value })}
      />
      <div className="flex gap-2">
        {select(
          'any family',
          query.family,
          FAMILIES.map((family) => [family, familyName[family]]),
          (family) => onChange({ ...query, family }),
        )}
        {select(
          'any shape',
          query.shape,
          shapes.map(({ id, name }) => [id, name]),
          (shape) => onChange({ ...query, shape }),
        )}
        {select(
          'any tag',
          query.tag,
          tags.map((tag) => [tag, tag]),
          (tag) => onChange({ ...query, tag }),
        )}
      </div>
      <label className="small mt-2 flex items-center gap-2">
        <input
          type="checkbox"
          className="size-6 accent-(--ink)"
          checked={query.archived}
          onChange={(event) => onChange({ ...query, archived: event.target.checked })}
        />
        Show archived
      </label>
    </div>
  )
}

/** Everything a formula may be looked up by. */
const namesIn = (kitchen: Kitchen) => ({
  familyOf: (sheet: Sheet) => familyOf(kitchen, sheet.dough),
  namesOf: ({ dough, shape, rows }: Sheet) =>
    [
      kitchen.doughs.get(dough)?.name,
      kitchen.shapes.get(shape)?.name,
      ...rows.flatMap((row) => [
        kitchen.ingredients.get(row.ingredient)?.name,
        kitchen.lots.find((lot) => lot.id === row.lot)?.name,
      ]),
    ].join(' '),
})

/** When each formula was last made, ms. */
function useLastMade(): ReadonlyMap<string, number> {
  const ended = useApp(selectEnded)
  return useMemo(() => {
    const last = new Map<string, number>()
    for (const { formula, atMs } of ended ?? [])
      if (formula !== null) last.set(formula, Math.max(atMs, last.get(formula) ?? 0))
    return last
  }, [ended])
}

/** For whoever has nothing yet: they are formulas like any, to change or to archive. */
function StarterBook({ kitchen }: { kitchen: Kitchen }) {
  const bring = () => {
    const changes = starterBook(kitchen, new Date().toISOString(), nanoid).map((formula) => put('formula', formula))
    void say(`${changes.length} formulas are in the book`, together(changes))
  }
  return (
    <button type="button" className="action" onClick={bring}>
      Put a starter book in
    </button>
  )
}

export default function FormulaBook({ kitchen, onClose }: { kitchen: Kitchen; onClose: () => void }) {
  const dispatch = useAppDispatch()
  const formulas = useApp(selectFormulas)
  const lastMade = useLastMade()
  const [query, setQuery] = useState(everything)
  const found = useMemo(() => findFormulas(formulas, query, namesIn(kitchen)), [formulas, query, kitchen])
  const open = (formula: Formula) => {
    dispatch(draftOpened({ id: 'draft', formula: formula.id, sheet: formula.sheet }))
    onClose()
  }
  return (
    <SidePanel title="Formula book" onClose={onClose}>
      {formulas.length > 0 && <Filters query={query} onChange={setQuery} formulas={formulas} kitchen={kitchen} />}
      {formulas.length === 0 && (
        <>
          <p className="mb-4">
            Your formulas would stand here. Start a new one and keep it: it is in the book from then on. Or begin with a
            dozen of ours, one or more a family.
          </p>
          <StarterBook kitchen={kitchen} />
        </>
      )}
      {formulas.length > 0 && found.length === 0 && (
        <p className="py-4">
          Nothing in the book answers to that.{' '}
          <button type="button" className="quiet" onClick={() => setQuery(everything)}>
            Show all
          </button>
        </p>
      )}
      <p className="sr-only" role="status">
        {counted(found.length, 'formula')}
      </p>
      <ul>
        {found.map((formula) => (
          <Entry
            key={formula.id}
            formula={formula}
            all={formulas}
            kitchen={kitchen}
            lastMade={lastMade.get(formula.id)}
            onOpen={() => open(formula)}
          />
        ))}
      </ul>
    </SidePanel>
  )
}
