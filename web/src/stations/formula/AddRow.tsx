/** Another line in the ledger. */
import { addRow, usualPercent, type Ingredient, type Kitchen, type Worked } from '@harina/core'
import { useMemo, useRef, useState } from 'react'
import { notifyTrouble } from '../../state/notify.ts'
import { useOpening } from '../../ui/opening.ts'
import { IngredientField, usableIngredients } from './IngredientField.tsx'
import { useSheet } from './useSheet.ts'
import { problemTold } from '#web/ui/units.ts'

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
  const usable = useMemo(() => usableIngredients(kitchen), [kitchen])
  const take = (ingredient: Ingredient) => {
    const next = attempt(addRow(worked, ingredient.id, usualPercent(ingredient), kitchen), `add-${ingredient.id}`)
    done()
    if (!next.ok) notifyTrouble('Not added', problemTold(next.problem))
  }
  return (
    <IngredientField
      label="Add to the ledger"
      placeholder="add flour, salt, oil, colour …"
      usable={usable}
      onTake={take}
      field={field}
      typed={typed}
      onTyped={setTyped}
    />
  )
}
