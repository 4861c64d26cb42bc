/**
 * How long a maker waits for the first grams: at the first visit, in a browser that holds nothing, and coming back, where the
 * service worker has kept the client; then from a key pressed in a grams field to the next paint. Each on this machine as it is
 * and with its processor slowed fourfold, as a phone's would be.
 */
import { fill, named, openBrowser, serveSite, type Visit } from '@harina/e2e/harness'
import type { Page } from 'puppeteer-core'

const VISITS = 7
const GRAMS = 'table input[aria-label$="grams"]'
const KEYS = 120

const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b)
const at = (values: readonly number[], share: number) =>
  sorted(values)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? NaN

async function slowed(page: Page, times: number): Promise<void> {
  const session = await page.createCDPSession()
  await session.send('Emulation.setCPUThrottlingRate', { rate: times })
}

/** Notes, in each page from its beginning, when a row's grams first stood in it and a picture of them was made. */
const noteGrams = (page: Page) =>
  page.evaluateOnNewDocument((selector) => {
    const seen = new MutationObserver(() => {
      if (!document.querySelector<HTMLInputElement>(selector)?.value) return
      seen.disconnect()
      requestAnimationFrame(() => setTimeout(() => Object.assign(globalThis, { gramsAt: performance.now() })))
    })
    seen.observe(document, { childList: true, subtree: true })
  }, GRAMS)

/** From the start of the navigation until the grams are to be seen. */
async function untilGrams(page: Page, url: string): Promise<number> {
  await page.goto(url, { waitUntil: 'domcontentloaded' })
  const shown = await page.waitForFunction(() => (globalThis as { gramsAt?: number }).gramsAt, { timeout: 60_000 })
  return (await shown.jsonValue()) as number
}

async function visitsAt(visit: Visit, url: string, times: number): Promise<{ first: number[]; again: number[] }> {
  const first: number[] = []
  const again: number[] = []
  for (let n = 0; n < VISITS; n += 1) {
    const context = await visit.browser.createBrowserContext()
    const page = await context.newPage()
    await noteGrams(page)
    await slowed(page, times)
    first.push(await untilGrams(page, url))
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    // The browser keeps compiled scripts from the second loading on; a maker comes back more than once.
    for (let loaded = 0; loaded < 3; loaded += 1) {
      await new Promise((resolve) => setTimeout(resolve, 500))
      const taken = await untilGrams(page, url)
      if (loaded > 0) again.push(taken)
    }
    await context.close()
  }
  return { first, again }
}

/** Event timing: what the browser itself says passed between a key and the paint that shows it, to eight milliseconds. */
async function keysAt(visit: Visit, url: string, times: number): Promise<number[]> {
  const context = await visit.browser.createBrowserContext()
  const page = await context.newPage()
  await noteGrams(page)
  await untilGrams(page, url)
  await slowed(page, times)
  await page.evaluate(() => {
    const kept: number[] = ((globalThis as unknown as { kept: number[] }).kept = [])
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) if (entry.name === 'keydown') kept.push(entry.duration)
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit)
  })
  const label = await page.$eval(GRAMS, (field) => field.getAttribute('aria-label') ?? '')
  await named(page, 'textbox', label)
  for (let typed = 0; typed < KEYS; typed += 4) {
    await fill(page, label, '')
    await page.keyboard.type(String(1000 + ((typed * 37) % 800)), { delay: 150 })
  }
  await new Promise((resolve) => setTimeout(resolve, 1000))
  const kept = await page.evaluate(() => (globalThis as unknown as { kept: number[] }).kept)
  await context.close()
  // A key that was faster than the observer's threshold is not told of.
  return [...kept, ...Array<number>(Math.max(0, KEYS - kept.length)).fill(8)]
}

export async function tellVisits(clientDir: string): Promise<void> {
  const site = await serveSite({ clientDir })
  const visit = await openBrowser()
  for (const [times, wanted] of [
    [1, { first: 1000, again: 200 }],
    [4, { first: 1800, again: 500 }],
  ] as const) {
    const taken = await visitsAt(visit, site.url, times)
    const how = times === 1 ? '' : `, ${times} times slower`
    for (const [name, words] of [
      ['first', 'grams at the first visit'],
      ['again', 'grams on coming back'],
    ] as const)
      process.stdout.write(
        `${words}${how}: median ${at(taken[name], 0.5).toFixed(0)} ms, from ${at(taken[name], 0).toFixed(0)} to ${at(taken[name], 1).toFixed(0)}, over ${taken[name].length} (wanted under ${wanted[name]} ms)\n`,
      )
  }
  const keys = await keysAt(visit, site.url, 4)
  process.stdout.write(
    `key to paint, 4 times slower: median ${at(keys, 0.5)} ms, 95th percentile ${at(keys, 0.95)} ms, over ${keys.length} (wanted 50 ms)\n`,
  )
  await visit.close()
  await site.close()
}
