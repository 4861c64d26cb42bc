/**
 * A workspace of very many batches, brought into the built client through its own import: how long Formula and Log take to
 * stand after the page is loaded, and how much memory they then hold, beside the same with twenty.
 */
import { generateWorkspace } from '@harina/demo'
import { isEnded, type Batch } from '@harina/core'
import { goTo, openBrowser, openPage, press, sees, serveSite } from '@harina/e2e/harness'
import { mkdtemp, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const FEW = 20
const OPENINGS = 11
const DAY_MS = 86_400_000

/** The demo's closed batches over and over, each a day older than the one before. */
function workspaceOf(count: number) {
  const start = generateWorkspace(Date.now())
  const closed = start.batches.filter(isEnded)
  const earlier = (at: string, days: number) => new Date(Date.parse(at) - days * DAY_MS).toISOString()
  const copy = (n: number): Batch => {
    const batch = closed[n % closed.length]!
    const days = Math.floor(n / closed.length)
    return {
      id: `many-${n}`,
      plan: { ...batch.plan, at: earlier(batch.plan.at, days) },
      events: batch.events.map((event) => ({ ...event, at: earlier(event.at, days) })),
    }
  }
  return { ...start, batches: Array.from({ length: count }, (_, n) => copy(n)) }
}

interface Opening {
  readonly ms: number
  readonly heapMB: number
}

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN

const stations = {
  Formula: ['/formula', 'input[aria-label="Dough, grams"]'],
  Log: ['/log', 'main ul a[href^="/log/"]'],
} as const
type Station = keyof typeof stations

interface Kitchen {
  open(station: Station): Promise<Opening>
  close(): Promise<void>
}

/** A browser of its own that holds so many batches. */
async function kitchenWith(clientDir: string, count: number): Promise<Kitchen> {
  const path = join(await mkdtemp(join(tmpdir(), 'harina-many-')), 'many.harina.json')
  await writeFile(path, JSON.stringify(workspaceOf(count)))
  const site = await serveSite({ clientDir, demo: false })
  const visit = await openBrowser()
  const page = await openPage(visit, site.url)
  await goTo(page, new URL('/gear/files', site.url).href)
  const input = (await page.$('input[type=file]')) as { uploadFile(file: string): Promise<void> } | null
  if (!input) throw new Error('no place to bring a file in')
  await input.uploadFile(path)
  await page.waitForFunction((n) => document.body.innerText.includes(`${n} batches`), { timeout: 300_000 }, count)
  await press(page, 'Bring it in')
  await page.waitForFunction(() => document.body.innerText.includes('Brought in'), { timeout: 600_000 })
  const session = await page.createCDPSession()
  return {
    async open(station) {
      const [to, stands] = stations[station]
      await page.goto('about:blank')
      await page.goto(new URL(to, site.url).href, { waitUntil: 'domcontentloaded' })
      const shown = await page.waitForFunction(
        (selector) => document.querySelector(selector) && performance.now(),
        { timeout: 120_000 },
        stands,
      )
      const ms = (await shown.jsonValue()) as number
      await sees(page, 'Gear')
      await session.send('HeapProfiler.collectGarbage')
      const bytes = await page.evaluate(
        () => (performance as unknown as { memory: { usedJSHeapSize: number } }).memory.usedJSHeapSize,
      )
      return { ms, heapMB: bytes / 1e6 }
    },
    async close() {
      await visit.close()
      await site.close()
    },
  }
}

/** Taken in turns, so that a machine that grows busy is busy for both. */
export async function tellManyBatches(clientDir: string, many: number): Promise<void> {
  const [few, lots] = [await kitchenWith(clientDir, FEW), await kitchenWith(clientDir, many)]
  for (const station of ['Formula', 'Log'] as const) {
    const [a, b]: [Opening[], Opening[]] = [[], []]
    for (let n = 0; n < OPENINGS; n += 1) {
      a.push(await few.open(station))
      b.push(await lots.open(station))
    }
    const ms = [a, b].map((all) => median(all.map((each) => each.ms))) as [number, number]
    const heap = [a, b].map((all) => median(all.map((each) => each.heapMB))) as [number, number]
    process.stdout.write(
      `opening ${station} with ${many} batches: ${ms[1].toFixed(0)} ms, with ${FEW}: ${ms[0].toFixed(0)} ms, ${(ms[1] / ms[0]).toFixed(2)} times (wanted under 1.2); ` +
        `memory ${heap[1].toFixed(0)} MB, ${(heap[1] - heap[0]).toFixed(0)} MB more (wanted under 60)\n`,
    )
  }
  await few.close()
  await lots.close()
}
