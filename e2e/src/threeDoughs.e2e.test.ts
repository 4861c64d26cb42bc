/**
 * A morning at the bench: three doughs at once on the played scale, one over-poured, the scale lost in between, the device
 * asleep, the browser killed. Nothing is lost, and no clock is wrong.
 */
import type { ScaleAct } from '@harina/core'
import type { Page } from 'puppeteer-core'
import {
  actOnScale,
  goTo,
  keptEvents,
  onTo,
  openBrowser,
  openPage,
  pourAll,
  press,
  pressStarting,
  scaleRestsAt,
  sees,
  takeToBench,
  textOf,
  valueOf,
} from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
let page: Page
const paths: Record<string, string> = {}

const act = (body: ScaleAct) => actOnScale(here.site.url, body)
const restsAt = (grams: number) => scaleRestsAt(page, grams)
const go = (path: string) => goTo(page, new URL(path, here.site.url).href)

async function take(formula: string): Promise<void> {
  await go('/formula')
  await takeToBench(page, formula)
  paths[formula] = new URL(page.url()).pathname
}

/** Seconds left on the clock in view; over it, less than nothing. */
async function secondsLeft(): Promise<number> {
  const text = await page.$eval('#work section .figure', (figure) => figure.textContent ?? '')
  const [, over = '', figures = '0'] = /(\+?)([\d:]+)/.exec(text) ?? []
  const seconds = figures.split(':').reduce((sum, part) => sum * 60 + Number(part), 0)
  return over === '+' ? -seconds : seconds
}

beforeAll(async () => {
  page = await openPage(here.visit, here.site.url)
})

it('the first dough: weighed on the scale, over-poured, and its flour brings it back', async () => {
  await take('Lamp-room semolina')
  await pressStarting(page, 'All at hand')
  await press(page, 'Read a scale')
  const wanted = Number(await valueOf(page, 'Remilled durum R-34, grams on the scale'))
  await restsAt(0)
  await act({ act: 'put', grams: wanted })
  await restsAt(wanted)
  await pressStarting(page, 'Take ')
  await pressStarting(page, 'Weighed, go on')
  await pressStarting(page, 'Made, go on')
  await sees(page, 'one of two')
  await act({ act: 'tare' })
  await restsAt(0)
  await act({ act: 'put', grams: 560 })
  await restsAt(560)
  await pressStarting(page, 'Take 5')
  await sees(page, 'more than all of it')
  await page.evaluate(() => {
    const button = [...document.querySelectorAll('button')].find((each) => each.textContent?.includes('of flour'))
    button?.click()
  })
  await sees(page, 'How does it feel?')
})

it('the second: the scale is lost while it is weighed, and typing goes on', async () => {
  await take('Gale noodles')
  await pressStarting(page, 'All at hand')
  await act({ act: 'drop', seconds: 3 })
  await sees(page, 'The scale is gone')
  await pressStarting(page, 'Weighed, go on')
  await pressStarting(page, 'Made, go on')
  await pourAll(page)
  await onTo(page, 'Let the crumbs drink')
  await sees(page, 'left')
})

it('the third: a batter that rests; now three are in their lanes, the one that wants hands on top', async () => {
  await take('Scraper drops')
  await onTo(page, 'Let it stand')
  await sees(page, 'left')
  await go('/bench/all')
  await sees(page, 'Lamp-room semolina')
  const lanes = await page.$$eval('section[aria-label="The doughs"] li', (rows) =>
    rows.map((row) => row.textContent ?? ''),
  )
  expect(lanes).toHaveLength(4)
  expect(lanes[0]).toContain('Lamp-room semolina')
  expect(lanes[0]).toContain('feel: now')
  await page.keyboard.press('Space')
  await sees(page, 'How does it feel?')
})

it('the browser is killed: every event is there, and the clocks have not stopped', async () => {
  await go(paths['Scraper drops']!)
  await sees(page, 'left')
  const [before, left, at] = [await keptEvents(page), await secondsLeft(), Date.now()]
  await here.visit.kill()
  here.visit = await openBrowser(here.visit.profile)
  page = await openPage(here.visit, new URL(paths['Scraper drops']!, here.site.url).href)
  await sees(page, 'left')
  expect(await keptEvents(page)).toEqual(before)
  const gone = (Date.now() - at) / 1000
  expect(Math.abs(left - gone - (await secondsLeft()))).toBeLessThan(2)
})

it('asleep for an hour: what was due in it rings once each, over by as much as it slept', async () => {
  const asleepMs = 60 * 60 * 1000
  await page.evaluateOnNewDocument((ms) => {
    const now = Date.now
    Date.now = () => now() + ms
  }, asleepMs)
  await go(paths['Scraper drops']!)
  await sees(page, 'has rested')
  const call = await page.$eval('[aria-label="Timers ringing"]', (element) => element.textContent ?? '')
  for (const name of ['Scraper drops', 'Gale noodles', 'Stiff semolina']) expect(call.split(name).length - 1).toBe(1)
  const events = await keptEvents(page)
  const id = /[^/]+$/.exec(paths['Scraper drops']!)![0]
  const started = events[id]!.find((event) => event.type === 'timer-started' && event.timer === 'rest')!
  const due = Date.parse(started.at) + (started as { minutes: number }).minutes * 60_000
  const over = (Date.now() + asleepMs - due) / 1000
  expect(Math.abs(-(await secondsLeft()) - over)).toBeLessThan(3)
})

it('each goes on from where it stood, and the first is judged with its over-pour in the book', async () => {
  // Awake again: the page that slept holds the bench no more.
  const slept = page
  page = await here.visit.browser.newPage()
  await slept.close()
  await go(paths['Lamp-room semolina']!)
  await sees(page, 'How does it feel?')
  await press(page, 'What happened')
  await sees(page, 'of flour in')
  expect(await textOf(page)).toMatch(/5(59|60|61) g of water in/)
  await page.keyboard.press('Escape')
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  await onTo(page, 'How was it to eat?')
  await page.keyboard.press('3')
  await page.waitForSelector('[aria-pressed=true]')
  await pressStarting(page, 'Write in the log')
  await page.waitForFunction(() => location.pathname.startsWith('/log/'))
  await go(paths['Gale noodles']!)
  await sees(page, 'Let the crumbs drink')
})
