/**
 * `npm run bench`: how long the built client takes in Chromium, as median and 95th percentile:
 * an edit on the Formula station until every figure is new, a filter over all shapes, opening a shape, and its drawing.
 * Commit and layout are in it, paint is not. Then the first visit, coming back and typing, on a slow processor too; then
 * Formula and Log as they open with ten thousand batches, beside twenty.
 */
import { goTo, openBrowser, openPage, serveSite } from '@harina/e2e/harness'
import { fileURLToPath } from 'node:url'
import { tellManyBatches } from './bench/manyBatches.ts'
import { tellVisits } from './bench/visits.ts'

const TIMES = 200
const WARM_UP = 20
const FRAME_MS = 16
const MANY = 10_000

const clientDir = fileURLToPath(new URL('../web/dist', import.meta.url))
const site = await serveSite({ clientDir })
const visit = await openBrowser()
const page = await openPage(visit, site.url)
const go = (path: string) => goTo(page, new URL(path, site.url).href)

function tell(what: string, timings: readonly number[], limitMs: number): void {
  const sorted = timings.slice(Math.min(WARM_UP, timings.length >> 2)).sort((a, b) => a - b)
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? Number.NaN
  process.stdout.write(
    `${what}: median ${at(0.5).toFixed(1)} ms, 95th percentile ${at(0.95).toFixed(1)} ms, over ${sorted.length} (wanted under ${limitMs} ms)\n`,
  )
}

/**
 * Sets a field the way a keystroke does, then looks at a place on the page until it is new, so that layout is done too. It looks
 * a task apart: what a key moves is worked out in a task after the key's own.
 */
const typing = (field: string, values: readonly string[], watched: string): Promise<number[]> =>
  page.evaluate(
    async (fieldAt, texts, watchedAt) => {
      const input = document.querySelector<HTMLInputElement>(fieldAt)
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set
      if (!input || !set) throw new Error(`no ${fieldAt}`)
      const taken: number[] = []
      for (const text of texts) {
        const shown = document.querySelector<HTMLElement>(watchedAt)
        const before = shown instanceof HTMLInputElement ? shown.value : shown?.textContent
        const started = performance.now()
        set.call(input, text)
        input.dispatchEvent(new Event('input', { bubbles: true }))
        for (let turns = 0; turns < 100_000; turns += 1) {
          const now = document.querySelector<HTMLElement>(watchedAt)
          if ((now instanceof HTMLInputElement ? now.value : now?.textContent) !== before) break
          await new Promise<void>((resolve) => {
            const turn = new MessageChannel()
            turn.port1.onmessage = () => resolve()
            turn.port2.postMessage(null)
          })
        }
        document.body.getBoundingClientRect()
        taken.push(performance.now() - started)
        await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)))
      }
      return taken
    },
    field,
    values,
    watched,
  )

const numbers = Array.from({ length: TIMES + WARM_UP }, (_, index) => index)
tell(
  'one edit, all figures',
  await typing(
    'input[aria-label="Portions"]',
    numbers.map((n) => String(5 + (n % 40))),
    'input[aria-label="Dough, grams"]',
  ),
  FRAME_MS,
)

await go('/shape/library')
await page.waitForSelector('input[type=search]')
// All between any two, so that each filter changes what is shown.
const words = ['roll', '', 'sardinia', '', 'noodle', '', 'press', '', 'nothing of it', '']
tell(
  'a filter over all shapes',
  await typing(
    'input[type=search]',
    numbers.map((n) => words[n % words.length] ?? ''),
    'main [role=status]',
  ),
  FRAME_MS,
)

await go('/shape')
await page.waitForSelector('main ol button')
const opened = await page.evaluate(async (times) => {
  const opening: number[] = []
  const drawing: number[] = []
  for (let n = 0; n < times; n += 1) {
    const rows = [...document.querySelectorAll<HTMLElement>('ol[aria-label^="Shapes"] button')]
    const next = rows.filter((row) => row.getAttribute('aria-pressed') === 'false')[n % 8]
    const before = document.querySelector('h1')?.textContent
    const started = performance.now()
    next?.click()
    for (let turns = 0; turns < 100_000 && document.querySelector('h1')?.textContent === before; turns += 1)
      await new Promise<void>((resolve) => queueMicrotask(resolve))
    document.body.getBoundingClientRect()
    opening.push(performance.now() - started)
    const name = document.querySelector('h1')?.textContent ?? ''
    while (
      !document.querySelector(`svg[aria-label^="${name}, the finished piece"] path`) &&
      performance.now() - started < 3000
    )
      await new Promise((resolve) => setTimeout(resolve))
    drawing.push(performance.now() - started)
    await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)))
  }
  return { opening, drawing }
}, 80)
tell('opening a shape', opened.opening, 100)
tell('a shape opened and drawn', opened.drawing, 100)

await visit.close()
await site.close()
await tellVisits(clientDir)
await tellManyBatches(clientDir, MANY)
