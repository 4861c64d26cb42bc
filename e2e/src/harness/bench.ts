/** Hands for the scale the server plays, and what the browser has kept of its batches. */
import type { BenchEvent, ScaleAct } from '@harina/core'
import type { Page } from 'puppeteer-core'

/** Does something to the played scale; throws where it is refused. */
export async function actOnScale(siteUrl: string, act: ScaleAct): Promise<void> {
  const { status } = await fetch(new URL('/instruments/scale', siteUrl), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(act),
  })
  if (status !== 204) throw new Error(`the scale answered ${status}`)
}

/** The display in the page has come to rest within a gram of it. */
export async function scaleRestsAt(page: Page, grams: number): Promise<void> {
  await page.waitForFunction(
    (wanted) => {
      const shown = document.querySelector('[data-steady=true]')?.textContent ?? ''
      return Math.abs(Number(/-?[\d.]+/.exec(shown)?.[0]) - wanted) <= 1
    },
    { timeout: 20_000 },
    grams,
  )
}

/** Every event of the open batches in this browser, by batch. */
export function keptEvents(page: Page): Promise<Readonly<Record<string, readonly BenchEvent[]>>> {
  return page.evaluate(
    () =>
      new Promise<Record<string, BenchEvent[]>>((resolve, reject) => {
        const opening = indexedDB.open('harina')
        opening.onerror = () => reject(new Error('no store'))
        opening.onsuccess = () => {
          const rows = opening.result.transaction('events').objectStore('events').getAll()
          rows.onsuccess = () => {
            const byBatch: Record<string, BenchEvent[]> = {}
            for (const { batch, event } of rows.result as { batch: string; event: BenchEvent }[])
              (byBatch[batch] ??= []).push(event)
            resolve(byBatch)
          }
        }
      }),
  )
}
