/**
 * A workspace of very many batches, brought into the built client through its own import: how long Formula and Log take to
 * stand after the page is loaded, and how much memory they then hold, beside the same with twenty.
 */
import { generateWorkspace } from '@harina/demo'
import type { Batch } from '@harina/core'
import { openBrowser, openPage, press, sees, serveSite } from '@harina/e2e/harness'
import { mkdtemp, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const FEW = 20
const OPENINGS = 9
const DAY_MS = 86_400_000

/** The demo's closed batches over and over, each a day older than the one before. */
function workspaceOf(count: number) {
  const start = generateWorkspace(Date.now())
  const closed = start.batches.filter((batch) => batch.id !== 'demo-running')
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

export interface Opened {
  readonly ms: number
  readonly heapMB: number
}

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN

/** Formula and Log as they open in a browser that holds so many batches: medians over several loads of the page. */
export async function openWith(clientDir: string, count: number): Promise<{ formula: Opened; log: Opened }> {
  const path = join(await mkdtemp(join(tmpdir(), 'harina-many-')), 'many.harina.json')
  await writeFile(path, JSON.stringify(workspaceOf(count)))
  const site = await serveSite({ clientDir, demo: false })
  const visit = await openBrowser()
  const page = await openPage(visit, site.url)
  const go = (to: string) => page.goto(new URL(to, site.url).href, { waitUntil: 'networkidle0' })
  await go('/gear/files')
  const input = (await page.$('input[type=file]')) as { uploadFile(file: string): Promise<void> } | null
  if (!input) throw new Error('no place to bring a file in')
  await input.uploadFile(path)
  await page.waitForFunction((n) => document.body.innerText.includes(`${n} batches`), { timeout: 300_000 }, count)
  await press(page, 'Bring it in')
  await page.waitForFunction(() => document.body.innerText.includes('Brought in'), { timeout: 600_000 })

  const session = await page.createCDPSession()
  const measured = async (to: string, stands: string): Promise<Opened> => {
    const times: number[] = []
    const heaps: number[] = []
    for (let n = 0; n < OPENINGS; n += 1) {
      await page.goto('about:blank')
      await page.goto(new URL(to, site.url).href, { waitUntil: 'domcontentloaded' })
      const shown = await page.waitForFunction(
        (selector) => document.querySelector(selector) && performance.now(),
        { timeout: 120_000 },
        stands,
      )
      times.push((await shown.jsonValue()) as number)
      await sees(page, 'Gear')
      await session.send('HeapProfiler.collectGarbage')
      heaps.push(
        await page.evaluate(
          () => (performance as unknown as { memory: { usedJSHeapSize: number } }).memory.usedJSHeapSize,
        ),
      )
    }
    return { ms: median(times), heapMB: median(heaps) / 1e6 }
  }
  const formula = await measured('/formula', 'input[aria-label="Dough, grams"]')
  const log = await measured('/log', 'main ul a[href^="/log/"]')
  await visit.close()
  await site.close()
  return { formula, log }
}

export async function tellManyBatches(clientDir: string, many: number): Promise<void> {
  const [few, lots] = [await openWith(clientDir, FEW), await openWith(clientDir, many)]
  for (const station of ['formula', 'log'] as const) {
    const [a, b] = [few[station], lots[station]]
    process.stdout.write(
      `opening ${station} with ${many} batches: ${b.ms.toFixed(0)} ms, with ${FEW}: ${a.ms.toFixed(0)} ms, ${(b.ms / a.ms).toFixed(2)} times (wanted under 1.2); ` +
        `memory ${b.heapMB.toFixed(0)} MB, ${(b.heapMB - a.heapMB).toFixed(0)} MB more (wanted under 60)\n`,
    )
  }
}
