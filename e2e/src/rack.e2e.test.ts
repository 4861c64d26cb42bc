/** From the bench to the rack, by the scale to the jar, and from the jar to the pot; what must not lie there is refused. */
import type { Page } from 'puppeteer-core'
import {
  goTo,
  keptEvents,
  named,
  onTo,
  openBrowser,
  openPage,
  press,
  pressStarting,
  reload,
  sees,
} from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite({ heavy: true })
const go = (page: Page, path: string) => goTo(page, new URL(path, here.site.url).href)
// A page left open holds the bench, and the next could record nothing.
afterEach(async () => {
  for (const page of await here.visit.browser.pages()) if (page.url().startsWith(here.site.url)) await page.close()
})
const textOf = (page: Page, selector: string) => page.$eval(selector, (element) => element.textContent ?? '')

/** What the tray shows of itself now, in the notes beside it. */
const notes = (page: Page) => textOf(page, '[aria-label="Notes on this tray"]')

const onScale = 'Tray 1 on the scale, grams'

async function weighOffTheScale(page: Page): Promise<void> {
  const before = (await trayEvents(page)).length
  const typed = (isEmpty: boolean) =>
    page.waitForFunction(
      (name, empty) => (document.querySelector<HTMLInputElement>(`[aria-label="${name}"]`)?.value === '') === empty,
      {},
      onScale,
      isEmpty,
    )
  await page.locator('::-p-xpath(//button[starts-with(., "Take ") and contains(., "g")])').click()
  await typed(false)
  await press(page, 'Weigh tray 1')
  await typed(true)
  expect((await trayEvents(page)).length).toBe(before + 1)
}
const ownEvents = async (page: Page) =>
  Object.values(await keptEvents(page))
    .flat()
    .filter(({ id }) => !id.startsWith('demo-'))
const trayEvents = async (page: Page) => (await ownEvents(page)).filter(({ type }) => type.startsWith('tray-'))

it('a batch is dried by the scale at six hundred times the speed, packed at its weight, kept, cooked and judged', async () => {
  let page = await openPage(here.visit, here.site.url)
  await go(page, '/formula')
  await press(page, 'Formula book')
  await press(page, 'Half-and-half hand ropes')
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  await go(page, '/shape/library?look=fine-ribbons')
  await pressStarting(page, 'Take it')
  await go(page, '/formula')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Pot, fridge')
  await pressStarting(page, '3On the rack').catch(() => page.keyboard.press('4'))
  await page.waitForFunction(() =>
    [...document.querySelectorAll('[aria-pressed=true]')].some((button) => button.textContent?.includes('On the rack')),
  )
  await page.keyboard.press('Space')
  await sees(page, 'Lay it out on trays')
  await page.locator('::-p-text(Lay it out on trays)').click()
  await sees(page, 'to practise')
  await page.locator('label ::-p-text(to practise)').click()
  await press(page, 'Lay it out')
  await sees(page, 'Weigh it to narrow that')
  await press(page, 'Read a scale')
  await weighOffTheScale(page)
  await sees(page, 'by 1 weighing')
  await reload(page)
  await weighOffTheScale(page)
  await sees(page, 'by 2 weighings')
  const { pathname } = new URL(page.url())
  await here.visit.kill()
  here.visit = await openBrowser(here.visit.profile)
  page = await openPage(here.visit, here.site.url)
  await go(page, pathname)
  // Where that took long, at six hundred times the speed it is due meanwhile.
  await page.waitForFunction(() => /by 2 weighings|should be dry/.test(document.body.innerText))
  // A killed browser may have lost what it was told last: that a scale is there.
  if (!(await page.$('[aria-label="The scale"]'))) await press(page, 'Read a scale')
  const packable = () => notes(page).then((text) => text.includes('Dry enough to pack'))
  // An hour and a half of drying each, as often as a maker looks in.
  for (let n = 0; n < 15 && !(await packable()); n += 1) {
    await new Promise((resolve) => setTimeout(resolve, 9000))
    await weighOffTheScale(page)
    await new Promise((resolve) => setTimeout(resolve, 500))
  }
  await press(page, 'Pack it')
  await sees(page, 'To the pot')
  await page.locator('a::-p-text(To the pot)').click()
  await sees(page, 'On the rack')
  await page.keyboard.press('Space')
  await onTo(page, 'How did it come out?')
  await page.keyboard.press('3')
  await page.waitForSelector('[aria-pressed=true]')
  await page.keyboard.press('Space')
  await sees(page, 'written in the log')
  expect(await textOf(page, 'main')).toContain('Tray 1 packed')
}, 240_000)

it('a dough with egg is refused by its row, at the bench and on the rack', async () => {
  const page = await openPage(here.visit, here.site.url)
  await go(page, '/formula')
  await (await named(page, 'combobox', 'Add to the ledger')).focus()
  await page.keyboard.type('whole egg')
  await page.waitForSelector('[role=option]')
  await page.keyboard.press('Enter')
  await sees(page, 'egg')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await go(page, '/dry')
  await sees(page, 'Not for the rack')
  expect(await textOf(page, '[aria-label="Not for the rack"]')).toMatch(/egg/i)
})

it('seven trays tell their stories: cracked, given up damp, packed right, and one that never ends where it stands', async () => {
  const page = await openPage(here.visit, here.site.url)
  await go(page, '/dry')
  await page.waitForFunction(() => document.querySelector('[aria-label=Trays]')?.textContent?.includes('never here'))
  const list = await textOf(page, '[aria-label=Trays]')
  expect(list.match(/thrown away/g)).toHaveLength(2)
  expect(list).toContain('packed')
  await go(page, '/dry/demo-rack-1-tray-1')
  await sees(page, 'in splinters by Tuesday')
})

it('a better way through the rooms is looked for, can be given up, and is followed', async () => {
  const page = await openPage(here.visit, here.site.url)
  await go(page, '/dry/demo-rack-2-tray-2')
  await (await named(page, 'button', 'Look for a better way')).focus()
  // In the page itself: a quick machine has found it before a hand far away could stop it.
  await page.evaluate(async () => {
    ;[...document.querySelectorAll('button')].find((each) => each.textContent === 'Look for a better way')?.click()
    for (let frames = 0; frames < 600; frames += 1) {
      const stop = [...document.querySelectorAll('button')].find((each) => each.textContent === 'Stop looking')
      stop?.click()
      if (stop) return
      await new Promise((resolve) => requestAnimationFrame(resolve))
    }
  })
  await press(page, 'Look for a better way')
  await sees(page, 'Follow it, and call me')
  // What the best way is hangs on the hour it is asked for: the rooms have another air at night.
  const moves = (await page.$$('[aria-label="Better: from room to room"] li')).length - 1
  const before = (await ownEvents(page)).length
  await press(page, 'Follow it, and call me')
  await sees(page, moves > 0 ? 'You will be called for each move' : 'Nothing more to move')
  const added = (await ownEvents(page)).slice(before).map(({ type }) => type)
  expect(added.filter((type) => type === 'timer-started')).toHaveLength(moves)
  expect(added.length).toBeGreaterThan(0)
})
