import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react'
import { format } from 'date-fns'
import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { selectEnded, selectFormulas, useKitchen } from '../state/select.ts'
import { SidePanel } from '../ui/SidePanel.tsx'
import { draftOpened } from '../state/draftSlice.ts'
import { editDraft } from '../state/editDraft.ts'
import { stations } from './StationIndex.tsx'
import { OPEN_HELP } from '../ui/keys.ts'
import { useApp, useAppDispatch } from '../state/store.ts'
import { dayWords } from '../words/index.ts'

interface Found {
  readonly id: string
  readonly kind: string | (() => string)
  readonly name: string
  readonly words: string
  readonly go: () => void
}

const MAX_SHOWN = 12

function useEverything(): readonly Found[] {
  const navigate = useNavigate()
  const dispatch = useAppDispatch()
  const kitchen = useKitchen()
  const running = useApp((state) => state.batches.open)
  const formulas = useApp(selectFormulas)
  const ended = useApp(selectEnded)
  return useMemo(() => {
    const to = (path: string) => () => void navigate(path)
    return [
      ...stations.map(({ station, name }): Found => ({
        id: station,
        kind: 'station',
        name,
        words: name,
        go: to(`/${station}`),
      })),
      {
        id: 'help',
        kind: 'words, keys',
        name: 'Help',
        words: 'help glossary words keys shortcuts terms',
        go: () => dispatchEvent(new Event(OPEN_HELP)),
      },
      ...running.map(({ id, plan }): Found => ({
        id: `bench-${id}`,
        kind: 'at the bench',
        name: plan.sheet.name,
        words: `${plan.sheet.name} ${plan.shape.name} bench`,
        go: to(`/bench/${id}`),
      })),
      ...formulas.map((formula): Found => ({
        id: formula.id,
        kind: 'formula',
        name: formula.sheet.name,
        words: `${formula.sheet.name} ${formula.sheet.note}`,
        go: () => {
          dispatch(draftOpened({ id: 'draft', formula: formula.id, sheet: formula.sheet }))
          void navigate('/formula')
        },
      })),
      ...[...(kitchen?.shapes.values() ?? [])].map((shape): Found => ({
        id: shape.id,
        kind: 'shape',
        name: shape.name,
        words: [shape.name, ...shape.otherNames, shape.origin].join(' '),
        go: () => {
          editDraft((sheet) => ({ ...sheet, shape: shape.id }))
          void navigate('/shape')
        },
      })),
      ...(kitchen?.lots ?? []).map((lot): Found => ({
        id: lot.id,
        kind: 'flour',
        name: lot.name,
        words: `${lot.name} ${lot.note}`,
        go: to('/gear/sacks'),
      })),
      ...[...(ended ?? [])].reverse().map(({ id, name, shape, atMs }): Found => ({
        id,
        // In a word only once it is shown.
        kind: () => format(atMs, 'd MMM'),
        name,
        words: `${name} ${shape} ${dayWords(atMs)}`,
        go: to(`/log/${id}`),
      })),
    ]
  }, [navigate, dispatch, kitchen, running, formulas, ended])
}

export default function Find({ onClose }: { onClose: () => void }) {
  const everything = useEverything()
  const [query, setQuery] = useState('')
  const words = query.toLowerCase().split(/\s+/).filter(Boolean)
  const found = everything
    .filter((entry) => words.every((word) => entry.words.toLowerCase().includes(word)))
    .slice(0, MAX_SHOWN)
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
          aria-label="Find a formula, shape, flour, batch or station"
          placeholder="formula, shape, flour, batch, station"
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
