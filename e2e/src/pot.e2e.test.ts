/** The pot: two shapes brought up together by their clocks, by keys, through a reload; what was dried is cooked from the jar. */
import type { BenchEvent } from '@harina/core'
import type { Page } from 'puppeteer-core'
import { fill, goTo, keptEvents, onTo, openPage, press, reload, sees } from './harness/index.ts'
import { useSiteAnew } from './useSite.ts'

const here = useSiteAnew()
const go = (page: Page, path: string) => goTo(page, new URL(path, here.site.url).href)

async function cookFrom(page: Page, formula: string): Promise<void> {
  await go(page, '/formula')
  await press(page, 'Formula book')
  await press(page, formula)
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  // So little that the pot takes it in one turn.
  await fill(page, 'Portions', '3')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Cook')
}

/** When the clocks of the pot end that stand now, ms. */
async function ends(page: Page): Promise<readonly number[]> {
  const batches = Object.values(await keptEvents(page))
  return batches.flatMap((events) =>
    events
      .filter((event): event is Extract<BenchEvent, { type: 'timer-started' }> => event.type === 'timer-started')
      .filter(({ timer }) => timer === 'cook')
      .map(({ at, minutes }) => Date.parse(at) + minutes * 60_000),
  )
}

it('two shapes come up together within ten seconds by their clocks, dropped by keys, and a reload changes nothing', async () => {
  const page = await openPage(here.visit, here.site.url)
  await cookFrom(page, 'Signal noodles')
  await cookFrom(page, 'Buckwheat cuts')
  await go(page, '/pot')
  await press(page, 'Bring them up together')
  await sees(page, 'All up at')
  await page.keyboard.press('Space')
  await page.waitForFunction(() => document.querySelectorAll('[aria-label^="Out: "]').length === 1)
  await page.waitForFunction(() => document.body.innerText.includes('in now'), { timeout: 120_000 })
  await page.keyboard.press('Space')
  await page.waitForFunction(() => document.querySelectorAll('[aria-label^="Out: "]').length === 2)
  const [one, two] = await ends(page)
  expect(Math.abs(one! - two!)).toBeLessThan(10_000)
  await reload(page)
  await page.waitForFunction(() => document.querySelectorAll('[aria-label^="Out: "]').length === 2)
  expect(await ends(page)).toEqual([one, two])
  // Out by the space bar: the first is cooked, and goes on to its verdict.
  await page.keyboard.press('Space')
  await page.waitForFunction(() => document.querySelectorAll('[aria-label^="Out: "]').length === 1)
}, 240_000)

it('what was dried waits in the jar, is taken out for the pot, and has its water, its salt and its boil told', async () => {
  const page = await openPage(here.visit, here.site.url)
  await go(page, '/pot')
  await press(page, 'Out, to the pot: Gale noodles')
  // More than a potful: turn by turn.
  await page.waitForSelector('[aria-label="In 1 of 2, boil is back: Gale noodles"]')
  // What comes on the plate waits for the cooking, which is reckoned apart.
  await page.waitForFunction(() =>
    document.querySelector('[aria-label^="Water for "]')?.textContent?.includes('of salt'),
  )
  const water = await page.$eval('[aria-label^="Water for "]', (section) => section.textContent ?? '')
  expect(water).toMatch(/to the boil\d/)
})
