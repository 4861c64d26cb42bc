import { Toaster } from 'sonner'

/** Square, inked, at the foot of the sheet; loaded after the station. */
export default function Toasts() {
  return (
    <Toaster
      position="bottom-center"
      toastOptions={{
        unstyled: true,
        classNames: {
          toast: 'flex w-[22rem] items-start gap-3 border-2 border-ink bg-sheet p-3 text-ink',
          title: 'font-semibold',
          description: 'text-sm text-second',
          actionButton: 'quiet ml-auto shrink-0 font-semibold',
        },
      }}
    />
  )
}
