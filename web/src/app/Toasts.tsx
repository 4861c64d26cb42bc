import { useRef, type CSSProperties, type FocusEvent } from 'react'
import { toast, Toaster } from 'sonner'

/** Above what is pressed at the foot: the links of a desk, the actions and stations of a phone. */
const OVER_THE_FOOT = { bottom: 64 }
const OVER_THE_ACTIONS = { bottom: 164 }

/** Once it is left again, a word stays so long. */
const AFTER_FOCUS_MS = 5000

/** A word that has the focus waits for whoever reads it; the package waits for a pointer alone. */
function useHeld() {
  const held = useRef<readonly (string | number)[]>([])
  const set = (duration: number, which: (id: string | number) => boolean) => {
    const found = toast.getToasts().filter((each) => 'title' in each && which(each.id))
    for (const each of found) if ('title' in each) toast(each.title, { ...each, duration })
    return found.map(({ id }) => id)
  }
  const isInside = ({ currentTarget, relatedTarget }: FocusEvent) => currentTarget.contains(relatedTarget)
  return {
    onFocus: (event: FocusEvent) => {
      if (isInside(event)) return
      const stays = new Set(
        toast.getToasts().flatMap((each) => ('title' in each && each.duration === Infinity ? [each.id] : [])),
      )
      held.current = set(Infinity, (id) => !stays.has(id))
    },
    onBlurCapture: (event: FocusEvent) => {
      if (isInside(event)) return
      set(AFTER_FOCUS_MS, (id) => held.current.includes(id))
      // The package would put the focus back where it came from: Tab would never get past a word.
      event.stopPropagation()
    },
  }
}

/** Square, inked; loaded after the station. */
export default function Toasts() {
  return (
    <div {...useHeld()}>
      <Toaster
        position="bottom-center"
        offset={OVER_THE_FOOT}
        mobileOffset={OVER_THE_ACTIONS}
        style={{ '--width': '27rem' } as CSSProperties}
        toastOptions={{
          unstyled: true,
          classNames: {
            toast: 'flex w-full items-start gap-3 border-2 border-ink font-text bg-sheet p-3 text-ink',
            title: 'font-semibold',
            description: 'text-sm text-second',
            actionButton: 'quiet ml-auto shrink-0 font-semibold',
          },
        }}
      />
    </div>
  )
}
