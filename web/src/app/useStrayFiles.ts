/** A file let go of where nothing reads it would take the browser away from the page. */
import { useEffect } from 'react'

function refuse(event: DragEvent): void {
  if (event.defaultPrevented || !event.dataTransfer?.types.includes('Files')) return
  event.preventDefault()
  event.dataTransfer.dropEffect = 'none'
}

export function useStrayFiles(): void {
  useEffect(() => {
    addEventListener('dragover', refuse)
    return () => removeEventListener('dragover', refuse)
  }, [])
}
