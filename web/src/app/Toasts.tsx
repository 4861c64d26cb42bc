import type { CSSProperties } from 'react'
import { Toaster } from 'sonner'

/** Above what is pressed at the foot: the links of a desk, the actions and stations of a phone. */
const OVER_THE_FOOT = { bottom: 64 }
const OVER_THE_ACTIONS = { bottom: 164 }

/** Square, inked; loaded after the station. */
export default function Toasts() {
  return (
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
  )
}
