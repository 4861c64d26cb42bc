/** When the browser's store is not there: said before anything is begun over it. */
import type { ReactNode } from 'react'

function Notice({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mx-auto flex max-w-xl flex-col items-start gap-4 p-8">
      <h1 className="head text-4xl">{title}</h1>
      {children}
    </main>
  )
}

/** A browser that will not keep data cannot keep a log; say so instead of losing one. */
export function NoStore({ error }: { error: unknown }) {
  return (
    <Notice title="This browser will not keep your work">
      <p>
        Harina stores formulas and batches in the browser, and the browser refused. Leave private browsing, allow this
        address to store data, or free some space; then load the page again.
      </p>
      <p className="small">{error instanceof Error ? `${error.name}: ${error.message}` : String(error)}</p>
    </Notice>
  )
}

export function SilentStore() {
  return (
    <Notice title="The browser’s store does not answer">
      <p>
        Your work is kept in it, and nothing is begun without it. Close other pages of Harina, above all an older one
        that was never reloaded; the work comes up here as soon as the store answers.
      </p>
      <button type="button" className="action" onClick={() => location.reload()}>
        Load again
      </button>
    </Notice>
  )
}

export function DroppedStore({ onFile, onAnew }: { onFile: () => void; onAnew: () => void }) {
  return (
    <Notice title="The browser has dropped your work">
      <p>
        This browser has held formulas and batches for Harina, and they are gone from it: browsers clear such data when
        space runs short, or when somebody clears it. Nothing has been put in their place.
      </p>
      <button type="button" className="action" onClick={onFile}>
        Bring my exported file in
      </button>
      <button type="button" className="quiet" onClick={onAnew}>
        Begin anew, without it
      </button>
    </Notice>
  )
}
