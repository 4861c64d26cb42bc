import { Component, type ReactNode } from 'react'

const exportEverything = () => import('../state/files.ts').then((files) => files.exportEverything())

function Stumbled({ error }: { error: unknown }) {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="head mb-4 text-4xl">This station has stumbled</h1>
      <p className="mb-4">
        Everything you entered is stored. Load the page again; if it stumbles again, open another station and export
        your work from Gear.
      </p>
      <p className="small mb-6">{error instanceof Error ? error.message : 'Unknown trouble'}</p>
      <div className="flex flex-wrap gap-4">
        <button type="button" className="action" onClick={() => location.reload()}>
          Load again
        </button>
        <button type="button" className="quiet" onClick={() => void exportEverything()}>
          Export everything
        </button>
      </div>
    </main>
  )
}

/** A station that fails says what to do, and that nothing is lost; the others can still be opened. */
export class Stumble extends Component<{ readonly children: ReactNode }, { readonly error: unknown }> {
  override state = { error: null }

  static getDerivedStateFromError(error: unknown) {
    return { error: error ?? new Error('Unknown trouble') }
  }

  override render() {
    return this.state.error === null ? this.props.children : <Stumbled error={this.state.error} />
  }
}
