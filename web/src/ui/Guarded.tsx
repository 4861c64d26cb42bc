/** One record that cannot be shown costs its own place and nothing beside it; it is offered as a file. */
import { Component, type ReactNode } from 'react'
import type { Unreadable } from '../state/documentsSlice.ts'
import { discard, exportRaw } from '../state/files.ts'

export function CannotBeShown({ what }: { what: Unreadable }) {
  return (
    <div role="alert" className="my-2 border-l-5 border-danger p-2 pl-3 leading-snug">
      <p>This cannot be shown as it is stored. Everything else is as it was.</p>
      <p className="flex gap-6">
        <button type="button" className="quiet" onClick={() => void exportRaw(what)}>
          Save it as a file
        </button>
        <button type="button" className="quiet" onClick={() => void discard(what)}>
          Remove it
        </button>
      </p>
    </div>
  )
}

interface Props {
  readonly what: Unreadable
  readonly children: ReactNode
}

export class Guarded extends Component<Props, { readonly stumbled: boolean }> {
  override state = { stumbled: false }

  static getDerivedStateFromError() {
    return { stumbled: true }
  }

  override render() {
    return this.state.stumbled ? <CannotBeShown what={this.props.what} /> : this.props.children
  }
}
