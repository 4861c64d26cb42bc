/**
 * `npm run bench`: how long an edit takes until every figure on the Formula station is new and laid out.
 * Types into the built client in Chromium; prints median and 95th percentile over many keystrokes.
 */
import { fill, openBrowser, openPage, serveSite } from '@harina/e2e/harness'
import { fileURLToPath } from 'node:url'

const EDITS = 200
const WARM_UP = 20
const FRAME_MS = 16

const site = await serveSite({ clientDir: fileURLToPath(new URL('../web/dist', import.meta.url)) })
const visit = await openBrowser()
const page = await openPage(visit, site.url)
await fill(page, 'Portions', '6')

/** Sets the field the way a keystroke does, then reads a figure, so that style and layout are done too. */
const timings = await page.evaluate(async (edits) => {
  const field = document.querySelector<HTMLInputElement>('input[aria-label="Portions"]')
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set
  const dough = document.querySelector<HTMLInputElement>('input[aria-label="Dough, grams"]')
  if (!field || !dough || !set) throw new Error('no portions field')
  const taken: number[] = []
  for (let edit = 0; edit < edits; edit += 1) {
    const before = dough.value
    const started = performance.now()
    set.call(field, String(5 + (edit % 40)))
    field.dispatchEvent(new Event('input', { bubbles: true }))
    while (dough.value === before) await new Promise<void>((resolve) => queueMicrotask(resolve))
    document.body.getBoundingClientRect()
    taken.push(performance.now() - started)
    await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)))
  }
  return taken
}, EDITS + WARM_UP)

const sorted = timings.slice(WARM_UP).sort((a, b) => a - b)
const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? Number.NaN
process.stdout.write(
  `one edit, all figures: median ${at(0.5).toFixed(1)} ms, 95th percentile ${at(0.95).toFixed(1)} ms, over ${sorted.length} edits (a frame is ${FRAME_MS} ms)\n`,
)
await visit.close()
await site.close()
