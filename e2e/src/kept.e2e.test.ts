/** What is kept for another day: empty skins, plates of ribbons, curd and dough; and a shape of one's own from rope to verdict. */
import type { Page } from 'puppeteer-core'
import {
  choose,
  fill,
  goTo,
  onTo,
  openFormula,
  openPage,
  press,
  pressStarting,
  readRecipe,
  sees,
  textOf,
} from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
const go = (page: Page, path: string) => goTo(page, new URL(path, here.site.url).href)
const plain = async (page: Page) => (await textOf(page)).replace(/\u202f/g, '')
const bench = (page: Page) => new URL(page.url()).pathname
/** A page left open holds the bench, and the next could record nothing. */
afterEach(async () => {
  for (const page of await here.visit.browser.pages()) if (page.url().startsWith(here.site.url)) await page.close()
})

async function judge(page: Page): Promise<void> {
  await onTo(page, 'How was it to eat?')
  await page.keyboard.press('3')
  await page.waitForSelector('[aria-pressed=true]')
  await page.keyboard.press('Space')
  await sees(page, 'written in the log')
}

it('wrappers of 80 mm: half go empty into the freezer, thaw wrapped, are filled and boiled', async () => {
  const page = await openPage(here.visit, here.site.url)
  await openFormula(page, here.site.url, 'Hot-water skins')
  await go(page, '/shape')
  await pressStarting(page, 'Soft boiled pockets')
  await press(page, 'Make it your own')
  await fill(page, 'width of the round, millimetres', '80')
  await press(page, 'Keep it')
  await sees(page, 'Our Soft boiled pockets')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Fill: ')
  const [, all] = /of (\d+) empty/.exec(await plain(page))!
  const half = String(Math.floor(Number(all) / 2))
  await fill(page, 'Skins to keep empty', half)
  await press(page, `Freeze ${half}`)
  // The rest is filled now; its count is what is left.
  await page.waitForFunction(
    (left) => document.body.innerText.replace(/\u202f/g, '').includes(`of ${left} empty`),
    {},
    String(Number(all) - Number(half)),
  )
  const filledNow = bench(page)
  await go(page, '/log')
  await page.locator('::-p-xpath(//section[@aria-label="Kept"]//a[contains(., "in the freezer")])').click()
  await sees(page, 'Skins in the freezer')
  expect(bench(page)).not.toBe(filledNow)
  expect(await plain(page)).toContain(`${half} skins`)
  expect(await plain(page)).not.toMatch(/to the pot/i)
  await press(page, 'Out, to thaw')
  await sees(page, 'Thaw the skins')
  await press(page, 'Skip the timer')
  await sees(page, 'Fill: ')
  await onTo(page, 'Cook')
  // Thawed and filled they cook as fresh ones do.
  await sees(page, 'fresh:')
  await judge(page)
})

it('spinach egg ribbons: five portions go into the freezer by the plate, two are taken out, three are left', async () => {
  const page = await openPage(here.visit, here.site.url)
  await readRecipe(
    page,
    here.site.url,
    'Spinach ribbons\n400 g plain flour\n3 eggs\n80 g cooked spinach, squeezed\nCut into tagliatelle',
  )
  await sees(page, '3 eggs')
  await page.locator('::-p-aria([role="radio"][name="portions"])').click()
  await fill(page, 'Portions', '5')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Cut: ')
  await sees(page, '5 portions of')
  expect(await plain(page)).not.toMatch(/\d pieces of/)
  await onTo(page, 'Pot')
  await sees(page, '5 portions')
  await pressStarting(page, '3Into the freezer')
  await page.keyboard.press('Space')
  await sees(page, 'In the freezer')
  await fill(page, 'Portions to take out', '2')
  const frozen = bench(page)
  await press(page, 'Take these out')
  await sees(page, 'frozen:')
  expect(bench(page)).not.toBe(frozen)
  await judge(page)
  await go(page, frozen)
  await sees(page, 'of 3 portions')
})

it('curd of last night is weighed as it is; its dough is folded, not drained', async () => {
  const page = await openPage(here.visit, here.site.url)
  await openFormula(page, here.site.url, 'Curd hollows')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Drain the curd')
  expect(await plain(page)).toMatch(/raw, about\s+\d+/)
  await press(page, 'Drained already, go on')
  await page.waitForFunction(() => document.querySelector('#work h1')?.textContent.startsWith('Weigh '))
  await judge(page)
})

it('a dough is frozen from a pause, thaws in the fridge and goes on where it was', async () => {
  const page = await openPage(here.visit, here.site.url)
  await openFormula(page, here.site.url, 'Lamp-room semolina')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Divide')
  await press(page, 'Pause, hand over or stop')
  await press(page, 'Into the freezer')
  await sees(page, 'Move it to the fridge the evening before')
  await press(page, 'Into the fridge to thaw')
  await sees(page, 'Thaw in the fridge')
  await press(page, 'Thawed, go on')
  await sees(page, 'Back from the fridge')
  await judge(page)
  await sees(page, 'into the freezer, to go on later')
})

it('a shape of one’s own, a rope of 10 mm cut every 35: its steps, its pieces and its verdict are its own', async () => {
  const page = await openPage(here.visit, here.site.url)
  await openFormula(page, here.site.url, 'Half-and-half hand ropes')
  await go(page, '/shape')
  await pressStarting(page, 'Cavatelli')
  await press(page, 'Make it your own')
  await fill(page, 'thickness of the rope, millimetres', '10')
  await fill(page, 'length of the cut, millimetres', '35')
  await press(page, 'Keep it')
  await sees(page, 'Roll a rope 10 mm thick.')
  await sees(page, 'Cut it every 35 mm.')
  expect(await textOf(page)).not.toMatch(/pencil|half as long again/)
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Roll the ropes')
  expect(await plain(page)).toMatch(/10\s*mm[^]*35\s*mm/)
  await onTo(page, 'Shape: ')
  await sees(page, 'Cut it every 35 mm.')
  await judge(page)
})

it('no roller: what shows through the sheet says how thin it is, and the cut says the same', async () => {
  const page = await openPage(here.visit, here.site.url)
  await openFormula(page, here.site.url, 'Gale noodles')
  await go(page, '/shape')
  await page.locator('::-p-aria([role="tab"][name="At the board"])').click()
  await choose(page, 'Roller or pin', 'by pin alone')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Thin the sheet')
  await press(page, 'A hand’s shadow about 1 mm')
  await onTo(page, 'Cut: ')
  expect(await plain(page)).toMatch(/thick\s+1(\.00?)?\s*mm/)
})
