/** Another line in the ledger: type a few letters, choose with the arrows. */
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react'
import {
  addRow,
  isWaterByHeat,
  plainWaterAt,
  usualPercent,
  type Ingredient,
  type Kitchen,
  type Worked,
} from '@harina/core'
import { useMemo, useRef, useState } from 'react'
import { notifyTrouble } from '../../state/notify.ts'
import { useOpening } from '../../ui/opening.ts'
import { useSheet } from './useSheet.ts'
import { problemTold } from '#web/ui/units.ts'

const MOST_SHOWN = 40
const ROOM_WATER = plainWaterAt(20)

/** Names that begin with the words come before names that hold them. */
export function findIngredients(all: readonly Ingredient[], typed: string): readonly Ingredient[] {
  const words = typed.trim().toLowerCase().split(/\s+/).filter(Boolean)
  const rank = ({ name }: Ingredient) => {
    const lower = name.toLowerCase()
    if (!words.every((word) => lower.includes(word))) return -1
    return lower.startsWith(words[0] ?? '') ? 0 : 1
  }
  return all
    .map((ingredient) => ({ ingredient, rank: rank(ingredient) }))
    .filter((each) => each.rank >= 0)
    .sort((a, b) => a.rank - b.rank)
    .slice(0, MOST_SHOWN)
    .map((each) => each.ingredient)
}

export function AddRow({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const { attempt, done } = useSheet()
  const [typed, setTyped] = useState('')
  const field = useRef<HTMLInputElement>(null)
  // Asked for by Find: it stands in the field, and the list is open.
  useOpening((asked) => {
    if (asked.open !== 'add') return
    field.current?.focus()
    setTyped(asked.with ?? '')
  })
  const usable = useMemo(
    // Plain water stands once: how warm it is belongs to the sheet.
    () =>
      [...kitchen.ingredients.values()].filter(
        ({ id, basis }) => basis !== 'dusting' && (!isWaterByHeat(id) || id === ROOM_WATER),
      ),
    [kitchen.ingredients],
  )
  const found = useMemo(() => findIngredients(usable, typed), [usable, typed])
  const take = (ingredient: Ingredient | null) => {
    if (!ingredient) return
    const next = attempt(addRow(worked, ingredient.id, usualPercent(ingredient), kitchen), `add-${ingredient.id}`)
    done()
    setTyped('')
    if (!next.ok) notifyTrouble('Not added', problemTold(next.problem))
  }
  return (
    <Combobox<Ingredient | null> value={null} onChange={take} immediate={false}>
      <ComboboxInput
        ref={field}
        className="field w-full max-w-88 text-base"
        aria-label="Add to the ledger"
        placeholder="add flour, salt, oil, colour …"
        autoComplete="off"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => setTyped('')}
      />
      <ComboboxOptions
        anchor="bottom start"
        className="z-40 max-h-72 w-80 overflow-y-auto border-2 border-ink bg-sheet [--anchor-gap:4px] empty:hidden"
      >
        {found.map((ingredient) => (
          <ComboboxOption
            key={ingredient.id}
            value={ingredient}
            className="cursor-pointer px-3 py-2 data-focus:bg-ink data-focus:text-sheet"
          >
            {ingredient.name}
          </ComboboxOption>
        ))}
      </ComboboxOptions>
    </Combobox>
  )
}
