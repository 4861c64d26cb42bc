/** A browser that will not keep data cannot keep a log; say so instead of losing one. */
export function NoStore({ error }: { error: unknown }) {
  return (
    <main className="mx-auto max-w-xl p-8">
      <h1 className="head mb-4 text-3xl">This browser will not keep your work</h1>
      <p className="mb-4">
        Harina stores formulas and batches in the browser, and the browser refused. Leave private browsing, allow this
        address to store data, or free some space; then load the page again.
      </p>
      <p className="small">{error instanceof Error ? `${error.name}: ${error.message}` : String(error)}</p>
    </main>
  )
}
