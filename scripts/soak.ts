/**
 * `npm run soak`: two hundred batches, and one with two thousand events in it, brought into the built client through its own
 * import and storage; then how long the bench and the log take to open, as median over several openings.
 */
import { goTo, openBrowser, openPage, press, sees, serveSite } from '@harina/e2e/harness'
import { generateWorkspace } from '@harina/demo'
import { isEnded, type Batch, type BenchEvent } from '@harina/core'
import { mkdtemp, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const BATCHES = 200
const LONG = 2000
const OPENINGS = 15
const LIMIT_MS = 200

const start = generateWorkspace(Date.now())
const closed = start.batches.filter(isEnded)
const running = start.batches.find((batch) => batch.id === 'demo-running')
if (!running) throw new Error('the demo has no running batch')

const copied = (batch: Batch, n: number): Batch => ({ ...batch, id: `soak-${n}` })
const lastMs = Date.parse(running.events.at(-1)?.at ?? running.plan.at)
/** Pieces weighed all day long, every twentieth taken back. */
const many = Array.from({ length: LONG }, (_, n): BenchEvent => {
  const at = new Date(lastMs + n).toISOString()
  return n % 20 === 19
    ? { id: `soak-e${n}`, at, type: 'undone', events: [`soak-e${n - 1}`] }
    : { id: `soak-e${n}`, at, type: 'sampled', grams: 0.9 + (n % 20) / 100 }
})
const file = {
  ...start,
  batches: [
    ...Array.from({ length: BATCHES }, (_, n) => copied(closed[n % closed.length]!, n)),
    { ...running, id: 'soak-running', events: [...running.events, ...many] },
  ],
}
const path = join(await mkdtemp(join(tmpdir(), 'harina-soak-')), 'soak.harina.json')
await writeFile(path, JSON.stringify(file))

const site = await serveSite({ clientDir: fileURLToPath(new URL('../web/dist', import.meta.url)), demo: false })
const visit = await openBrowser()
const page = await openPage(visit, site.url)
const go = (to: string) => goTo(page, new URL(to, site.url).href)

await go('/gear/files')
const input = (await page.$('input[type=file]')) as { uploadFile(path: string): Promise<void> } | null
if (!input) throw new Error('no place to bring a file in')
await input.uploadFile(path)
await sees(page, `${file.batches.length} batches`)
await press(page, 'Bring it in')
await page.waitForFunction(() => document.body.innerText.includes('Brought in'), { timeout: 120_000 })

/** From the press on the index until the words stand there and are laid out. */
async function opening(link: string, words: string): Promise<number> {
  return page.evaluate(
    async (href, wanted) => {
      const target = document.querySelector<HTMLElement>(`nav a[href="${href}"]`)
      if (!target) throw new Error(`no way to ${href}`)
      const started = performance.now()
      target.click()
      while (!document.body.innerText.includes(wanted)) {
        if (performance.now() - started > 10_000) throw new Error(`${wanted} did not come`)
        await new Promise((resolve) => setTimeout(resolve))
      }
      document.body.getBoundingClientRect()
      return performance.now() - started
    },
    link,
    words,
  )
}

async function measured(what: string, link: string, words: string): Promise<void> {
  const taken: number[] = []
  for (let n = 0; n < OPENINGS; n += 1) {
    await go('/gear')
    taken.push(await opening(link, words))
  }
  taken.sort((a, b) => a - b)
  const at = (share: number) => taken[Math.min(taken.length - 1, Math.floor(share * taken.length))] ?? Number.NaN
  process.stdout.write(
    `${what}: median ${at(0.5).toFixed(0)} ms, slowest ${at(1).toFixed(0)} ms, with ${BATCHES} batches and one of ${LONG} events (wanted under ${LIMIT_MS} ms)\n`,
  )
}
await measured('opening the bench', '/bench', 'Rest, wrapped')
await measured('opening the log', '/log', `${BATCHES} batches`)

await visit.close()
await site.close()
