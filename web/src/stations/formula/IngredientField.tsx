/** An ingredient by its name: type a few letters, choose with the arrows. */
import { isWaterByHeat, plainWaterAt, type Ingredient, type Kitchen } from '@harina/core'
import { useMemo, useRef, useState, type ChangeEvent, type RefObject } from 'react'
import { useControls } from '../../ui/controls/controls.ts'

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
  readonly field?: RefObject<HTMLInputElement | null>
  readonly typed?: string
  readonly onTyped?: (typed: string) => void
  readonly className?: string
}

export function IngredientField(props: Props) {
  const { label, placeholder, usable, onTake, className = 'w-full max-w-88 text-base' } = props
  const { controls, touched, atRest } = useControls()
  const ownField = useRef<HTMLInputElement>(null)
  const at = props.field ?? ownField
  const [own, setOwn] = useState('')
  const typed = props.typed ?? own
  const setTyped = props.onTyped ?? setOwn
  const found = useMemo(() => findIngredients(usable, typed), [usable, typed])
  const take = (ingredient: Ingredient) => {
    setTyped('')
    onTake(ingredient)
  }
  const field = {
    className: `field ${className}`,
    'aria-label': label,
    placeholder,
    autoComplete: 'off',
    value: typed,
    onChange: ({ target }: ChangeEvent<HTMLInputElement>) => setTyped(target.value),
    onBlur: () => setTyped(''),
  }
  if (controls) return <controls.SearchList {...{ field, at, found, touched }} onTake={take} />
  return (
    <input
      {...field}
      ref={at}
      type="text"
      role="combobox"
      aria-expanded="false"
      aria-autocomplete="list"
      data-at-rest
      onFocus={atRest.onFocus}
      onBlur={() => {
        atRest.onBlur()
        field.onBlur()
      }}
    />
  )
}
