/** An ingredient by its name: type a few letters, choose with the arrows. */
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react'
import { isWaterByHeat, plainWaterAt, type Ingredient, type Kitchen } from '@harina/core'
import { useMemo, useState, type Ref } from 'react'

const MOST_SHOWN = 40
const ROOM_WATER = plainWaterAt(20)

/** What goes into a dough; plain water once, for how warm it is belongs to the sheet. */
export const usableIngredients = ({ ingredients }: Pick<Kitchen, 'ingredients'>): readonly Ingredient[] =>
  [...ingredients.values()].filter(({ id, basis }) => basis !== 'dusting' && (!isWaterByHeat(id) || id === ROOM_WATER))

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

interface Props {
  readonly label: string
  readonly placeholder: string
  readonly usable: readonly Ingredient[]
  readonly onTake: (ingredient: Ingredient) => void
  readonly field?: Ref<HTMLInputElement>
  readonly typed?: string
  readonly onTyped?: (typed: string) => void
  readonly className?: string
}

export function IngredientField(props: Props) {
  const { label, placeholder, usable, onTake, field, className = 'w-full max-w-88 text-base' } = props
  const [own, setOwn] = useState('')
  const typed = props.typed ?? own
  const setTyped = props.onTyped ?? setOwn
  const found = useMemo(() => findIngredients(usable, typed), [usable, typed])
  const take = (ingredient: Ingredient | null) => {
    if (!ingredient) return
    setTyped('')
    onTake(ingredient)
  }
  return (
    <Combobox<Ingredient | null> value={null} onChange={take} immediate={false}>
      <ComboboxInput
        {...(field ? { ref: field } : {})}
        className={`field ${className}`}
        aria-label={label}
        placeholder={placeholder}
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
