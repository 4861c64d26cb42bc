/** Floury hands, no mouse: a whole batch by keys alone, two doughs at once, and the strip that keeps them apart. */
import type { Page } from 'puppeteer-core'
import {
  at,
  chord,
  fill,
  goTo,
  mixToTheFeel,
  named,
  goOn,
  openPage,
  press,
  pressStarting,
  sees,
  tabTo,
  textOf,
} from './harness/index.ts'
import { useSiteAnew } from './useSite.ts'

const here = useSiteAnew()

const go = async (page: Page, until: string) => {
  await goOn(page)
  await sees(page, until)
}

it('a batch from the sheet to the log without touching the mouse', async () => {
  const page = await openPage(here.visit, here.site.url)
  await tabTo(page, /^Portions/)
  await page.keyboard.type('6')
  // Shift and Tab walk back up to the one dark action of the view.
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await tabTo(page, /^Take to the bench/)
  await page.keyboard.press('Enter')
  await sees(page, 'At hand first')
  await page.keyboard.press('1')
  await page.waitForSelector('[aria-pressed=true]')
  await go(page, 'on the scale')
  expect(await textOf(page)).toContain('6 × 110 g')
  // Each step begins at its heading, and the tab says which.
  expect(await page.title()).toBe('Lamp-room semolina · Weigh the flour · Harina')
  expect(await page.evaluate(() => document.activeElement === document.querySelector('#work h1'))).toBe(true)
  await go(page, 'dissolved in it')
  await go(page, 'one of two')
  await go(page, 'two of two')
  await go(page, 'Squeeze a fistful')
  await page.keyboard.press('3')
  await sees(page, 'Heel of the hand')
  await page.keyboard.press('ArrowLeft')
  await sees(page, 'Back to now')
  await go(page, 'Heel of the hand')
  await sees(page, 'left')
  await go(page, 'Wrapped tight')
  await sees(page, 'left')
  // The rest started as the kneading ended, and space does not give it up.
  await page.keyboard.press('Space')
  await sees(page, 'Space does nothing until the clock rings')
  await go(page, 'lumps')
  await go(page, 'cut every')
  await go(page, 'Look for')
  await go(page, 'Pot, fridge, freezer or rack?')
  await go(page, 'Boiling water')
  await go(page, 'left')
  await go(page, 'How was it to eat?')
  await page.keyboard.press('4')
  await page.waitForSelector('[aria-pressed=true]')
  await page.keyboard.press('Space')
  await at(page, /^\/log\/./)
  await sees(page, 'very good')
  await sees(page, 'written in the log')
})

it('right, said with a finger, goes on; any other word stays, and the space bar does not say it again', async () => {
  const page = await openPage(here.visit, here.site.url)
  await mixToTheFeel(page)
  await page.locator('[aria-label="How does it feel?"] button:nth-of-type(2)').click()
  await sees(page, 'Wait 10 minutes first')
  await go(page, 'Covered, wait')
  await page.locator('[aria-label="How does it feel?"] button:nth-of-type(3)').click()
  await sees(page, 'Heel of the hand')
})

it('two doughs run side by side; what is done to one is not done to the other', async () => {
  const page = await openPage(here.visit, here.site.url)
  await mixToTheFeel(page)
  const second = new URL(page.url()).pathname
  await goTo(page, new URL('/bench/demo-running', here.site.url).href)
  await sees(page, 'Rest, wrapped')
  await press(page, '+1 min')
  await sees(page, '34:')
  await pressStarting(page, 'Rested, go on')
  await sees(page, 'lumps')
  await goTo(page, new URL(second, here.site.url).href)
  await sees(page, 'Squeeze a fistful')
  // A second page follows what the first one does.
  const other = await openPage(here.visit, new URL(second, here.site.url).href)
  await page.bringToFront()
  await page.keyboard.press('3')
  await sees(page, 'Heel of the hand')
  await sees(other, 'Heel of the hand')
})

it('find opens by its keys, takes arrows and Enter, and closes by Escape', async () => {
  const page = await openPage(here.visit, here.site.url)
  await chord(page, 'Control', 'k')
  await page.waitForSelector('[role=dialog] input')
  await page.keyboard.type('orecchiette')
  await page.waitForFunction(() => document.querySelector('[role=option]')?.textContent?.startsWith('Orecchiette'))
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('Enter')
  await at(page, /^\/shape\/library$/)
  await sees(page, 'Dome stands by itself')
  await chord(page, 'Control', 'k')
  await page.waitForSelector('[role=dialog] input')
  await page.keyboard.press('Escape')
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
})

it('a dough larger than its hopper becomes equal mixes, each a run of its own', async () => {
  const page = await openPage(here.visit, here.site.url)
  await press(page, 'Formula book')
  await press(page, 'Crumb 32 for the extruder')
  await fill(page, 'Portions', '36')
  await (await named(page, 'combobox', 'Mixed in')).click()
  await (await page.waitForSelector('[role=option][data-value=hopper]'))!.click()
  await sees(page, 'mixes of')
  const [, mixes = '', grams = ''] = /(\d+) mixes of ([\d\s ]+) g/.exec(await textOf(page)) ?? []
  expect(Number(mixes)).toBeGreaterThan(1)
  expect(Number(grams.replace(/\D/g, ''))).toBeLessThanOrEqual(1100)
  await press(page, `Take ${mixes} mixes to the bench`)
  await sees(page, 'At hand first')
  const doughs = await page.$$eval('nav[aria-label="Doughs"] a', (links) => links.map((link) => link.textContent))
  expect(doughs.filter((name) => name.startsWith('Crumb 32')).length).toBe(Number(mixes) + 1)
})

it.each([
  ['/formula', 'Lamp-room semolina · Formula · Harina'],
  ['/shape/library', 'All shapes · Shape · Lamp-room semolina · Harina'],
  ['/bench/all', 'Timeline of all doughs · Bench · Harina'],
  ['/log/demo-6', 'Lamp-room semolina · Log · Harina'],
  ['/gear/machines', 'Rollers and presses · Gear · Harina'],
])('%s has its title', async (path, title) => {
  const page = await openPage(here.visit, here.site.url)
  await goTo(page, new URL(path, here.site.url).href)
  await page.waitForFunction((wanted) => document.title === wanted, {}, title)
})

it('the app opens at the work as it was left', async () => {
  const page = await openPage(here.visit, here.site.url)
  expect(new URL(page.url()).pathname).toBe('/formula')
  await goTo(page, new URL('/gear/sacks', here.site.url).href)
  await goTo(page, here.site.url)
  expect(new URL(page.url()).pathname).toBe('/gear/sacks')
  await sees(page, 'Sacks and jars')
})
