/** What nobody knew: its maker says what it is, once. */
import type { Ingredient } from '@harina/core'
import { IngredientField } from './IngredientField.tsx'

export interface Settling {
  readonly usable: readonly Ingredient[]
  /** Null is nothing of the dough. */
  readonly onSettle: (name: string, is: Ingredient | null) => void
}

export function WhatIsIt({ name, usable, onSettle }: Settling & { name: string }) {
  return (
    <span className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
      <IngredientField
        label={`What ${name} is`}
        placeholder="what is it?"
        usable={usable}
        className="w-44 text-base"
        onTake={(ingredient) => onSettle(name, ingredient)}
      />
      <NotOfTheDough name={name} onSettle={onSettle} />
    </span>
  )
}

export function NotOfTheDough({ name, onSettle }: Pick<Settling, 'onSettle'> & { name: string }) {
  return (
    <button type="button" className="quiet" onClick={() => onSettle(name, null)}>
      not of the dough
    </button>
  )
}
