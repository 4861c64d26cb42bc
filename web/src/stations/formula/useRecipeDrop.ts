/** A recipe dropped on the sheet, as a file or as marked text. */
import type { DragEvent } from 'react'
import { recipeIn, recipeOf } from './recipeText.ts'

const holdsText = ({ dataTransfer: { types } }: DragEvent): boolean =>
  types.includes('Files') || types.includes('text/plain')

/** A field takes what is dropped on it as text of its own. */
const isField = ({ target }: DragEvent): boolean =>
  target instanceof Element && target.closest('input, textarea, [contenteditable]') !== null

export function useRecipeDrop(onText: (text: string) => void) {
  return {
    onDragOver: (event: DragEvent) => {
      if (holdsText(event) && !isField(event)) event.preventDefault()
    },
    onDrop: (event: DragEvent) => {
      if (!holdsText(event) || isField(event)) return
      event.preventDefault()
      const [file] = event.dataTransfer.files
      if (file) void recipeIn(file).then((text) => text !== null && onText(text))
      else onText(recipeOf(event.dataTransfer.getData('text/plain')))
    },
  }
}
