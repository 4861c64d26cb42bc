import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react'
import { format } from 'date-fns'
import { useDeferredValue, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { selectEnded, selectFormulas, useKitchen } from '../state/select.ts'
import { SidePanel } from '../ui/SidePanel.tsx'
import { draftOpened } from '../state/draftSlice.ts'
import { stations } from './stations.tsx'
import { OPEN_HELP } from '../ui/keys.ts'
import type { Opening } from '../ui/opening.ts'
import { useApp, useAppDispatch } from '../state/store.ts'
import { actions, dayWords, doughSynonyms, ingredientSynonyms, shapeSynonyms } from '../words/index.ts'
import { finder, type Entry } from './findIndex.ts'

interface Found extends Entry {
  readonly kind: string | (() => string)
  readonly go: () => void
}

const MAX_SHOWN = 12
/** What a maker does comes before what there is a lot of. */
const OFTEN = 1.6
const RARELY = 0.7

function useEverything(): readonly Found[] {
  const navigate = useNavigate()
  const dispatch = useAppDispatch()
  const kitchen = useKitchen()
  const running = useApp((state) => state.batches.open)
  const formulas = useApp(selectFormulas)
  const ended = useApp(selectEnded)
  return useMemo(() => {
    const to = (path: string, state?: Opening) => () => void navigate(path, { state })
    return [
      ...stations.map(({ station, name }): Found => ({
        id: station,
        kind: 'station',
        name,
        words: '',
        weight: OFTEN,
        go: to(`/${station}`),
      })),
      ...actions.map(({ name, words, at, open }): Found => ({
        id: name,
        kind: 'do',
        name,
        words,
        weight: OFTEN,
        go: at === null ? () => dispatchEvent(new Event(OPEN_HELP)) : to(at, open === undefined ? undefined : { open }),
      })),
      ...running.map(({ id, plan }): Found => ({
        id: `bench-${id}`,
        kind: 'at the bench',
        name: plan.sheet.name,
        words: `${plan.shape.name} bench`,
        weight: OFTEN,
        go: to(`/bench/${id}`),
      })),
      ...formulas.map((formula): Found => ({
        id: formula.id,
        kind: 'formula',
        name: formula.sheet.name,
        words: formula.sheet.note,
        weight: OFTEN,
        go: () => {
          dispatch(draftOpened({ id: 'draft', formula: formula.id, sheet: formula.sheet }))
          void navigate('/formula')
        },
      })),
      ...[...(kitchen?.shapes.values() ?? [])].map((shape): Found => ({
        id: shape.id,
        kind: 'shape',
        name: shape.name,
        words: [...shape.otherNames, shape.origin, shapeSynonyms[shape.id] ?? ''].join(' '),
        go: to(`/shape/library?look=${encodeURIComponent(shape.id)}`),
      })),
      ...[...(kitchen?.doughs.values() ?? [])].map((dough): Found => ({
        id: `dough-${dough.id}`,
        kind: 'dough, a new formula',
        name: dough.name,
        words: doughSynonyms[dough.id] ?? '',
        go: to('/formula', { open: 'new', with: dough.id }),
      })),
      ...(kitchen?.lots ?? []).map((lot): Found => ({
        id: lot.id,
        kind: 'flour',
        name: lot.name,
        words: lot.note,
        go: to('/gear/sacks'),
      })),
      ...[...(kitchen?.ingredients.values() ?? [])]
        .filter(({ basis }) => basis !== 'dusting')
        .map((ingredient): Found => ({
          id: `ingredient-${ingredient.id}`,
          kind: 'ingredient, into the draft',
          name: ingredient.name,
          words: ingredientSynonyms[ingredient.id] ?? '',
          weight: RARELY,
          go: to('/formula', { open: 'add', with: ingredient.name }),
        })),
      ...[...(ended ?? [])].reverse().map(({ id, name, shape, atMs }): Found => ({
        id,
        // In a word only once it is shown.
        kind: () => format(atMs, 'd MMM'),
        name,
        words: `${shape} ${dayWords(atMs)}`,
        go: to(`/log/${id}`),
      })),
    ]
  }, [navigate, dispatch, kitchen, running, formulas, ended])
}

export default function Find({ onClose }: { onClose: () => void }) {
  const everything = useEverything()
  const ask = useMemo(() => finder(everything), [everything])
  const [query, setQuery] = useState('')
  const asked = useDeferredValue(query)
  const found = useMemo(() => ask(asked).slice(0, MAX_SHOWN), [ask, asked])
  return (
    <SidePanel title="Find" onClose={onClose} at="middle">
      <Combobox
        immediate
        onChange={(entry: Found | null) => {
          if (!entry) return
          onClose()
          entry.go()
        }}
      >
        <ComboboxInput
          autoFocus
          className="box w-full text-xl"
          aria-label="Find a formula, shape, flour, batch, or what to do"
          placeholder="formula, shape, flour, batch, freeze, print …"
          autoComplete="off"
          onChange={(event) => setQuery(event.target.value)}
          // The list is always shown, so Escape puts the whole sheet away at once.
          onKeyDownCapture={(event) => event.key === 'Escape' && onClose()}
        />
        <ComboboxOptions static className="mt-3">
          {found.map((entry) => (
            <ComboboxOption
              key={`${typeof entry.kind === 'string' ? entry.kind : 'ended'}-${entry.id}`}
              value={entry}
              className="flex min-h-11 items-center gap-3 border-b border-line px-2 data-focus:bg-ground"
            >
              <span className="flex-1 text-lg">{entry.name}</span>
              <span className="small">{typeof entry.kind === 'string' ? entry.kind : entry.kind()}</span>
            </ComboboxOption>
          ))}
        </ComboboxOptions>
        {found.length === 0 && <p className="py-4">Nothing here is called that. Try one word of its name.</p>}
      </Combobox>
    </SidePanel>
  )
}
