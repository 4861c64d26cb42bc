/** The plan follows what is on the board: two shapes of one lump, an egg, a pin, a freezer, a count, a clock of seconds. */
import type { Page } from 'puppeteer-core'
import type { Draft, Plan } from '@harina/core'
import {
  choose,
  fill,
  goTo,
  named,
  onTo,
  openFormula,
  openPage,
  press,
  pressStarting,
  sees,
  storedIn,
  takeToBench,
  textOf,
} from './harness/index.ts'
import { useSiteAnew } from './useSite.ts'

const here = useSiteAnew()
const go = (page: Page, path: string) => goTo(page, new URL(path, here.site.url).href)
const heading = (page: Page) => page.$eval('#work h1', (title) => title.textContent)

const open = (page: Page, formula: string) => openFormula(page, here.site.url, formula)

async function atTheBoard(page: Page): Promise<void> {
  await go(page, '/shape')
  await page.locator('::-p-aria([role="tab"][name="At the board"])').click()
}

async function judge(page: Page): Promise<void> {
  await onTo(page, 'How was it to eat?')
  await page.keyboard.press('3')
  await page.waitForSelector('[aria-pressed=true]')
  await page.keyboard.press('Space')
  await sees(page, 'written in the log')
}

it('two shapes of one dough go on as two batches, to two verdicts', async () => {
  const page = await openPage(here.visit, here.site.url)
  await open(page, 'Lamp-room semolina')
  await atTheBoard(page)
  await choose(page, 'Cut a part of it into', "Foglie d'ulivo")
  await go(page, '/formula')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Divide')
  await page.keyboard.press('Space')
  const first = new URL(page.url()).pathname
  await sees(page, 'goes on by itself')
  const open2 = await storedIn<{ id: string; plan: { shape: { name: string } } }>(page, 'openBatches')
  // Two of the house are on the rack, one rests.
  expect(open2).toHaveLength(5)
  const other = open2.find(({ id }) => !first.endsWith(id) && !id.startsWith('demo-rack') && id !== 'demo-running')!
  await sees(page, 'Divided, go on')
  await judge(page)
  await go(page, `/bench/${other.id}`)
  expect(await heading(page)).toBe('Divide')
  await onTo(page, `Shape: ${other.plan.shape.name}`)
  await judge(page)
  expect(await storedIn(page, 'closedBatches')).toHaveLength(14)
})

it('a wheat dough with an egg in it is never offered the rack, on Shape and at the bench, and says why', async () => {
  const page = await openPage(here.visit, here.site.url)
  await open(page, 'Lamp-room semolina')
  await go(page, '/shape')
  await page.locator('::-p-aria([role="tab"][name="To the plate"])').click()
  await sees(page, 'in a closed jar')
  await go(page, '/formula')
  await (await named(page, 'combobox', 'Add to the ledger')).focus()
  await page.keyboard.type('whole egg')
  await page.waitForSelector('[role=option]')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await page.waitForSelector('[aria-label^="Whole egg"]')
  await go(page, '/shape')
  await page.locator('::-p-aria([role="tab"][name="To the plate"])').click()
  await sees(page, 'never in room air')
  expect(await textOf(page)).not.toContain('in a closed jar')
  await go(page, '/formula')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Pot')
  expect(await heading(page)).toBe('Pot, fridge or freezer?')
  await sees(page, 'Not for the rack')
})

it('frozen, it leaves the bench; half of it is taken out and judged, the rest waits on', async () => {
  const page = await openPage(here.visit, here.site.url)
  await go(page, '/formula')
  await takeToBench(page, 'Lamp-room semolina')
  await onTo(page, 'Pot')
  await page.keyboard.press('3')
  await page.keyboard.press('Space')
  await sees(page, 'In the freezer')
  const frozen = new URL(page.url()).pathname
  await go(page, '/bench/all')
  expect(await textOf(page)).not.toContain('Lamp-room semolina\nfreeze')
  await go(page, '/log')
  const kept = await page.waitForSelector('section[aria-label=Kept]')
  expect(await kept!.evaluate((section) => section.textContent)).toMatch(/in the freezer.*use until/)
  await page.locator('::-p-xpath(//section[@aria-label="Kept"]//a[contains(., "in the freezer")])').click()
  await sees(page, 'the rest stays where it is')
  await press(page, 'Take these out')
  await sees(page, 'frozen:')
  expect(new URL(page.url()).pathname).not.toBe(frozen)
  await judge(page)
  await go(page, '/log')
  await page.waitForSelector('section[aria-label=Kept] a')
  await fill(page, 'Grams once dry', '250').catch(() => undefined)
})

it('the pin alone is chosen at Shape, and is the plan at the bench; a stamped count is one on six screens', async () => {
  const page = await openPage(here.visit, here.site.url)
  await open(page, 'Hot-water skins')
  await go(page, '/shape')
  await pressStarting(page, 'Thin round wrappers')
  await page.locator('::-p-aria([role="tab"][name="At the board"])').click()
  await choose(page, 'Roller or pin', 'by pin alone')
  await sees(page, 'guide sticks')
  const [, count] = /too stiff\s+([\d ]+)/.exec((await textOf(page)).replace(/\u202f/g, ' '))!
  const wanted = count!.replace(/ /g, '')
  expect(Number(wanted)).toBeGreaterThan(10)
  const plain = async () => (await textOf(page)).replace(/[\u202f ](?=\d{3})/g, '')
  expect(await plain()).toContain(`${wanted} pieces`)
  await go(page, '/formula')
  expect(await plain()).toMatch(new RegExp(`${wanted}\\b`))
  const [draft] = await storedIn<Draft>(page, 'drafts')
  expect(draft!.sheet.machines.byPin).toBe(true)
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  // The dough takes all of its water: then there is as much of it as on the sheet.
  await onTo(page, 'How does it feel')
  const batches = await storedIn<{ id: string; plan: Plan }>(page, 'openBatches')
  const { holdBackG } = batches.find(({ id }) => page.url().endsWith(id))!.plan.water
  await fill(page, 'Grams of your own step', String(holdBackG))
  await press(page, 'add as water')
  await onTo(page, 'Thin')
  await sees(page, 'Use guide sticks')
  await onTo(page, 'Stamp')
  expect(await plain()).toContain(`${wanted}`)
  await onTo(page, 'Fill')
  expect(await plain()).toContain(`${wanted}`)
  await onTo(page, 'Pot')
  expect(await plain()).toContain(`${wanted} × Thin round wrappers`)
  await judge(page)
  expect(await plain()).toMatch(new RegExp(`Pieces\\s+${wanted}\\b`))
})

it('a clock takes 0:50, and runs for fifty seconds', async () => {
  const page = await openPage(here.visit, here.site.url)
  await go(page, '/formula')
  await takeToBench(page, 'Lamp-room semolina')
  await onTo(page, 'Pot')
  await page.keyboard.press('Space')
  await sees(page, 'Boil is back')
  await fill(page, 'Minutes, cook', '0:50')
  await page.keyboard.press('Enter')
  await sees(page, '0:50')
  await pressStarting(page, 'Boil is back')
  await page.waitForFunction(() => /0:4\d/.test(document.body.innerText))
})

it('a flour without a named sack teaches, and the next batch starts from what was accepted', async () => {
  const page = await openPage(here.visit, here.site.url)
  await go(page, '/formula')
  await press(page, 'New')
  await sees(page, 'Start this draft')
  await press(page, 'Start this draft')
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  const hydration = async () =>
    Number(
      await (await named(page, 'textbox', 'Hydration, percent')).evaluate((field) => (field as HTMLInputElement).value),
    )
  const before = await hydration()
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'How does it feel')
  await fill(page, 'Grams of your own step', '20')
  await press(page, 'add as water')
  await onTo(page, 'How was it to eat?')
  await page.keyboard.press('3')
  await page.waitForSelector('[aria-pressed=true]')
  await page.keyboard.press('Space')
  await sees(page, 'written in the log')
  await press(page, 'Start the next from it')
  await sees(page, 'at standard 14 % flour moisture')
  const state = await storedIn<{
    plan: { water: { startG: number; holdBackG: number }; rows: { part: string; weighedG: number }[] }
  }>(page, 'closedBatches')
  const { water, rows } = state.find(({ plan }) => plan.rows.every((row) => !('lot' in row)))!.plan
  const flourG = rows.filter(({ part }) => part === 'flour').reduce((sum, row) => sum + row.weighedG, 0)
  expect(await hydration()).toBeCloseTo((100 * (water.startG + 20)) / flourG, 0)
  expect(await hydration()).not.toBe(before)
})
