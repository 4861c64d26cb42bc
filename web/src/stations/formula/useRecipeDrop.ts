/** A recipe let go of over the page, as a file or as marked text. */
import { useEffect, useEffectEvent } from 'react'
import { recipeIn, recipeOf } from './recipeText.ts'

/** A field takes marked text as its own; a file dropped on it would only take the page away. */
const isField = ({ target }: DragEvent): boolean =>
  target instanceof Element && target.closest('input, textarea, [contenteditable]') !== null

const isRecipe = (event: DragEvent): boolean => {
  const types = event.dataTransfer?.types ?? []
  return types.includes('Files') || (types.includes('text/plain') && !isField(event))
}

/** Anywhere, not over the sheet alone: a word from the app or a panel may lie over it. */
export function useRecipeDrop(onText: (text: string) => void) {
  const over = useEffectEvent((event: DragEvent) => {
    if (!isRecipe(event)) return
    event.preventDefault()
    event.dataTransfer!.dropEffect = 'copy'
  })
  const drop = useEffectEvent((event: DragEvent) => {
    if (!isRecipe(event)) return
    event.preventDefault()
    const { files } = event.dataTransfer!
    if (files[0]) void recipeIn(files[0]).then((text) => text !== null && onText(text))
    else onText(recipeOf(event.dataTransfer!.getData('text/plain')))
  })
  useEffect(() => {
    const all = new AbortController()
    addEventListener('dragover', over, all)
    addEventListener('drop', drop, all)
    return () => all.abort()
  }, [])
}
