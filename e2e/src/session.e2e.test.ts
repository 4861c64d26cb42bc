/** What must survive: a draft through a reload, an hour asleep, a lost network, a browser that holds sound back. */
import { appendFile, cp, mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from 'puppeteer-core'
import { clientDir } from './clientDir.ts'
import {
  chord,
  fill,
  goTo,
  named,
  openPage,
  press,
  pressStarting,
  reload,
  sees,
  serveSite,
  textOf,
  valueOf,
} from './harness/index.ts'
import { useSiteAnew } from './useSite.ts'

const here = useSiteAnew()

const go = (page: Page, path: string) => goTo(page, new URL(path, here.site.url).href)

it('from the first screen, six portions are one action away; they survive a reload, and undo takes them back', async () => {
  const page = await openPage(here.visit, here.site.url)
  const flour = await valueOf(page, 'Remilled durum R-34, grams')
  await fill(page, 'Portions', '6')
  const half = await valueOf(page, 'Remilled durum R-34, grams')
  expect(Math.abs(Number(flour) / 2 - Number(half))).toBeLessThan(2)
  await page.keyboard.press('Enter')
  await reload(page)
  expect(await valueOf(page, 'Portions')).toBe('6')
  await fill(page, 'Portions', '9')
  await page.keyboard.press('Enter')
  await press(page, 'Undo')
  expect(await valueOf(page, 'Portions')).toBe('6')
  await press(page, 'Redo')
  expect(await valueOf(page, 'Portions')).toBe('9')
})

it('the rule moves by arrows, and percent and grams drive each other', async () => {
  const page = await openPage(here.visit, here.site.url)
  const before = Number(await valueOf(page, 'Hydration, percent'))
  const rule = await named(page, 'slider', 'Water on 100 of flour')
  await rule.evaluate((handle) => handle.focus())
  await page.keyboard.press('ArrowRight')
  await chord(page, 'Shift', 'ArrowRight')
  expect(Number(await valueOf(page, 'Hydration, percent'))).toBeCloseTo(before + 0.6, 5)
  await fill(page, 'Fine salt, grams', '14')
  await page.keyboard.press('Enter')
  const salt = await valueOf(page, 'Fine salt, percent of flour')
  expect(Number(salt)).toBeGreaterThan(1.3)
  expect(Number(salt)).toBeLessThan(1.8)
  await fill(page, 'Fine salt, percent of flour', 'salty')
  await sees(page, '“salty” does not read as one figure')
  await page.keyboard.press('Enter')
  expect(await valueOf(page, 'Fine salt, percent of flour')).toBe(salt)
})

it('the same flour in the lamp room takes visibly more water, with the reason beside it', async () => {
  const page = await openPage(here.visit, here.site.url)
  const damp = Number(await valueOf(page, 'Hydration, percent'))
  await pressStarting(page, 'Lamp room')
  await sees(page, 'Lamp room: ')
  await sees(page, 'points more water')
  expect(Number(await valueOf(page, 'Hydration, percent')) - damp).toBeGreaterThan(3.5)
})

it('after an hour asleep a timer has rung since it was due, in sight and in the title, and says tap for sound where sound is held', async () => {
  const page = await openPage(here.visit, here.site.url)
  // A browser that lets no sound through before a touch.
  await page.evaluateOnNewDocument(() => {
    class Held {
      state = 'suspended'
      resume = () => Promise.resolve()
    }
    Object.assign(globalThis, { AudioContext: Held })
    const asleepMs = Number(sessionStorage.getItem('asleepMs') ?? 0)
    const now = Date.now
    Date.now = () => now() + asleepMs
  })
  await page.evaluate(() => sessionStorage.setItem('asleepMs', String(60 * 60 * 1000)))
  await go(page, '/log')
  await sees(page, 'Stiff semolina has rested')
  await sees(page, 'Tap for sound')
  expect(
    await page.$eval('[aria-label="Timers ringing"]', (call) => [
      call.getBoundingClientRect().width,
      call.getBoundingClientRect().height,
    ]),
  ).toEqual([1280, 800])
  await page.waitForFunction(() => document.title.includes('Stiff semolina has rested'))
  // Due 34 minutes after the workspace was made, an hour ago by this clock.
  await sees(page, '+26:')
  await press(page, 'I heard it')
  await sees(page, 'Rest, wrapped')
  await reload(page)
  await sees(page, 'over by')
  expect(await page.$('[aria-label="Timers ringing"]')).toBeNull()
})

it('works without a network after the first load', async () => {
  const page = await openPage(here.visit, here.site.url, { offline: true })
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null || performance.now() > 5000)
  await here.site.close()
  await page.goto(new URL('/shape', here.site.url).href, { waitUntil: 'load' })
  await sees(page, 'board lengths')
  await page.goto(new URL('/gear/files', here.site.url).href, { waitUntil: 'load' })
  await sees(page, 'Export everything')
  here.site = await serveSite({ clientDir })
})

/** The client as it was built, in a place of its own where its next version can be put. */
async function ownClient() {
  const dir = await mkdtemp(join(tmpdir(), 'harina-client-'))
  await cp(clientDir, dir, { recursive: true })
  const site = await serveSite({ clientDir: dir })
  return {
    url: site.url,
    next: () => appendFile(join(dir, 'sw.js'), '\n// the next one'),
    close: () => site.close().then(() => rm(dir, { recursive: true })),
  }
}

it('a new version waits until the bench is clear, and is loaded when the maker says so', async () => {
  const client = await ownClient()
  try {
    const page = await openPage(here.visit, client.url, { offline: true })
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
    await client.next()
    await page.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()))
    const waits = async () => (await navigator.serviceWorker.ready).waiting !== null
    await page.waitForFunction(waits, { polling: 100 })
    await goTo(page, new URL('/bench', client.url).href)
    await sees(page, 'Rest, wrapped')
    expect(await textOf(page)).not.toContain('A new version is ready')
    await press(page, 'Pause, hand over or stop')
    await press(page, 'Too wet to save')
    await press(page, 'Give it up')
    await sees(page, 'A new version is ready')
    const loaded = page.waitForNavigation()
    await press(page, 'Load it')
    await loaded
    await sees(page, 'given up: Too wet to save')
    expect(await page.evaluate(waits)).toBe(false)
  } finally {
    await client.close()
  }
})

it('undo at the bench takes back one tap at a time', async () => {
  const page = await openPage(here.visit, here.site.url)
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await page.keyboard.press('Space')
  await sees(page, 'on the scale')
  await page.keyboard.press('Space')
  await sees(page, 'dissolved in it')
  await page.keyboard.press('Space')
  await sees(page, 'still to pour')
  const undo = () => chord(page, 'Control', 'z')
  await undo()
  await sees(page, 'dissolved in it')
  await undo()
  await sees(page, 'on the scale')
})

// Last: what is served from here on is empty.
it('an empty workspace says what would stand there and how to begin', async () => {
  await here.site.close()
  here.site = await serveSite({ clientDir, demo: false })
  const page = await openPage(here.visit, here.site.url)
  await sees(page, 'No draft yet')
  await press(page, 'Open the formula book')
  await sees(page, 'Your formulas would stand here')
  await page.keyboard.press('Escape')
  await press(page, 'A new formula')
  await press(page, 'Start this draft')
  await sees(page, 'not in the book')
  await press(page, 'Keep in the book')
  await sees(page, 'as in the book')
  await go(page, '/bench')
  await sees(page, 'The bench is clear')
  await go(page, '/log')
  await sees(page, 'No batch in the log yet')
})
