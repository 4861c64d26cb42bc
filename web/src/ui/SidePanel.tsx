import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react'
import type { ReactNode } from 'react'

interface Props {
  readonly title: string
  readonly onClose: () => void
  readonly children: ReactNode
  /** From the side for something to read from, in the middle for something to decide. */
  readonly at?: 'side' | 'middle'
  /** For two things side by side; `whole` for two that each want room. */
  readonly wide?: boolean | 'whole'
}

/** A sheet laid over the board: Escape or a press beside it puts it away. */
export function SidePanel({ title, onClose, children, at = 'side', wide = false }: Props) {
  const place =
    at === 'side'
      ? `ml-auto h-full w-full border-l-2 ${wide === 'whole' ? 'max-w-275' : wide ? 'max-w-160' : 'max-w-115'}`
      : 'm-auto max-h-[90vh] w-full max-w-140 border-2'
  return (
    <Dialog open onClose={onClose} className="relative z-30">
      <DialogBackdrop className="fixed inset-0 bg-ink/30" />
      <div className="fixed inset-0 flex">
        <DialogPanel className={`flex flex-col overflow-y-auto border-ink bg-sheet p-6 ${place}`}>
          <div className="mb-4 flex items-baseline gap-4">
            <DialogTitle className="head flex-1 text-3xl">{title}</DialogTitle>
            <button type="button" className="quiet" onClick={onClose}>
              Close <span className="key">Esc</span>
            </button>
          </div>
          {children}
        </DialogPanel>
      </div>
    </Dialog>
  )
}
