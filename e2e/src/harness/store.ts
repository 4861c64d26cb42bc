/** What the browser has kept, and what can go wrong with it. */
import type { Page } from 'puppeteer-core'

/** Every row of a table of the store, as it lies there. */
export const storedIn = <T>(page: Page, table: string): Promise<readonly T[]> =>
  page.evaluate(
    (name) =>
      new Promise<never>((resolve, reject) => {
        const opening = indexedDB.open('harina')
        opening.onerror = () => reject(new Error('no store'))
        opening.onsuccess = () => {
          const rows = opening.result.transaction(name).objectStore(name).getAll()
          rows.onsuccess = () => resolve(rows.result as never)
        }
      }),
    table,
  )

/** From its next load on the page has a disk that can be filled and freed. */
export async function withDisk(page: Page): Promise<(full: boolean) => Promise<void>> {
  await page.evaluateOnNewDocument(() => {
    const disk = globalThis as { diskIsFull?: boolean }
    const { prototype } = IDBObjectStore
    for (const name of ['put', 'add', 'delete'] as const) {
      const asEver = prototype[name] as (this: IDBObjectStore, ...row: unknown[]) => unknown
      const unlessFull = function (this: IDBObjectStore, ...row: unknown[]) {
        if (disk.diskIsFull) throw new DOMException('The disk is full.', 'QuotaExceededError')
        return asEver.apply(this, row)
      }
      Object.assign(prototype, { [name]: unlessFull })
    }
  })
  return (full) =>
    page.evaluate((isFull) => {
      ;(globalThis as { diskIsFull?: boolean }).diskIsFull = isFull
    }, full)
}
