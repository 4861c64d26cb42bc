import { useRouteError } from 'react-router'

const exportEverything = () => import('../state/files.ts').then((files) => files.exportEverything())

/** Shown when a station fails: what to do, and that nothing is lost. */
export function Stumble() {
  const error = useRouteError()
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="head mb-4 text-3xl">This station has stumbled</h1>
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
