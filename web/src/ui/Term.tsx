/** A word of the craft that says what it means when it is pressed. */
import type { ReactNode } from 'react'
import type { Term as TermName } from '../words/index.ts'
import { OPEN_HELP } from './keys.ts'

export function Term({ of, children }: { of: TermName; children: ReactNode }) {
  return (
    <button
      type="button"
      // On paper it stands in its sentence.
      data-printed
      className="print:no-underline min-h-6 cursor-help text-left underline decoration-dotted underline-offset-3"
      onClick={() => dispatchEvent(new CustomEvent(OPEN_HELP, { detail: of }))}
    >
      {children}
    </button>
  )
}
