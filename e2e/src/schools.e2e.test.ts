/** A maker's own way, from the switch to the pot: taken for one formula at the desk, and for all of them by phone. */
import type { Page } from 'puppeteer-core'
import { fill, goTo, named, onTo, openFormula, openPage, press, readRecipe, sees, textOf } from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
const go = (page: Page, path: string) => goTo(page, new URL(path, here.site.url).href)
const plain = async (page: Page) => (await textOf(page)).replace(/\u202f/g, '')
const PHONE = { width: 390, height: 844, isMobile: true, hasTouch: true }
// A page left open holds the bench, and the next could record nothing.
afterEach(async () => {
  for (const page of await here.visit.browser.pages()) if (page.url().startsWith(here.site.url)) await page.close()
})

interface Way {
  readonly formula: string
  readonly position: string
  /** Title of a step, what is read there, and what is not. */
  readonly at: string
  readonly reads: RegExp
  readonly never?: RegExp
}

const WAYS: readonly Way[] = [
  {
    formula: 'Half-and-half hand ropes',
    position: 'Board: floured',
    at: 'Roll the ropes',
    reads: /A little flour on the board/,
    never: /No flour|board, bare/,
  },
  {
    formula: 'Lamp-room semolina',
    position: 'Oil: on the skin only',
    at: 'Rest',
    reads: /Brush it thinly with oil/,
    never: /Rest, wrapped/,
  },
  {
    formula: 'Lamp-room semolina',
    position: 'Done: two minutes after it',
    at: 'Cook',
    reads: /2 min after they rise/,
    never: /floury core/,
  },
  {
    formula: 'Gale noodles',
    position: 'Salt in the pot: 10 g per litre',
    at: 'Cook',
    reads: /Salt it once, with \d+ g/,
    never: /Do not salt/,
  },
  {
    formula: 'Lamp-room semolina',
    position: 'Mixing: rubbed to crumbs',
    at: 'Pour',
    reads: /rubbed with spread fingers/,
    never: /Rake it in/,
  },
  {
    formula: 'Lamp-room semolina',
    position: 'Rest: a short one in the fridge',
    at: 'Rest in the fridge',
    reads: /30/,
    never: /for the night/,
  },
]

async function toTheStep(page: Page, { at, reads, never }: Way): Promise<void> {
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  const ready = await plain(page)
  if (never) expect(ready).not.toMatch(never)
  await onTo(page, at)
  const step = await plain(page)
  expect(step).toMatch(reads)
  if (never) expect(step).not.toMatch(never)
}

it.each(WAYS)('$position, for one formula: the switch says what changes, and $at does it', async (way) => {
  const page = await openPage(here.visit, here.site.url)
  await openFormula(page, here.site.url, way.formula)
  await press(page, 'Schools')
  await sees(page, 'Would change')
  await press(page, `${way.position}, here`)
  await sees(page, 'this sheet’s')
  await page.keyboard.press('Escape')
  await toTheStep(page, way)
})

it.each(WAYS)('$position, for all formulas, by phone', async (way) => {
  const page = await openPage(here.visit, here.site.url)
  await page.setViewport(PHONE)
  await openFormula(page, here.site.url, way.formula)
  await press(page, 'Schools')
  await press(page, `${way.position}, always`)
  await sees(page, 'yours')
  await page.keyboard.press('Escape')
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  await toTheStep(page, way)
})

it.each([
  ['Potato: baked', 'Cooking the potato: baked', 'gn-potato', /Bake it whole/, /Boil the potatoes/],
  ['sparkling batter', 'Batter’s liquid: sparkling water', 'batter-board', /sparkling water/i, /milk/],
] as const)('%s, taken on a new formula, is baked or poured so, and told', async (_, position, dough, reads, never) => {
  const page = await openPage(here.visit, here.site.url)
  await go(page, '/formula')
  await press(page, 'New')
  await sees(page, 'Start this draft')
  await page
    .locator(`::-p-xpath(//*[@role="radio"][contains(., "${dough.startsWith('gn') ? 'nocchi' : 'atter'}")])`)
    .click()
  await press(page, 'Start this draft')
  await sees(page, 'Keep in the book')
  await press(page, 'Schools')
  await sees(page, 'Would change')
  await press(page, `${position}, here`)
  await page.keyboard.press('Escape')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  const steps = await plain(page)
  expect(steps).toMatch(reads)
  expect(steps).not.toMatch(never)
  if (dough === 'batter-board') {
    await onTo(page, 'Let it stand')
    expect(await plain(page)).toMatch(/5 to 10 min|At least 5 min/)
  }
})

it('twelve minutes of kneading are offered the next time, taken by one press and forgotten by one', async () => {
  const page = await openPage(here.visit, here.site.url)
  await openFormula(page, here.site.url, 'Half-and-half hand ropes')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Knead')
  await fill(page, 'Minutes, knead', '12')
  await page.keyboard.press('Enter')
  await sees(page, 'of')
  // Twelve minutes are not waited for: the page comes back with its clock put on. As text: a page knows no compiler's helpers.
  await page.evaluateOnNewDocument(`{
    const Real = Date
    const now = () => Real.now() + ${12 * 60_000}
    globalThis.Date = new Proxy(Real, {
      construct: (_, given) => (given.length === 0 ? new Real(now()) : new Real(...given)),
      get: (_, key) => (key === 'now' ? now : Reflect.get(Real, key)),
    })
  }`)
  await goTo(page, page.url())
  await sees(page, 'Kneaded, go on')
  await onTo(page, 'How was it to eat?')
  await page.keyboard.press('3')
  await page.waitForSelector('[aria-pressed=true]')
  await page.keyboard.press('Space')
  await sees(page, 'written in the log')
  await press(page, 'Start the next from it')
  await go(page, '/formula')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Knead')
  await sees(page, '12 min from')
  await press(page, 'Take 12 min')
  await page.waitForFunction(() => !document.body.innerText.includes('Take 12 min'))
  await press(page, 'Forget it')
  await page.waitForFunction(() => !document.body.innerText.includes('12 min from'))
})

it('three eggs are replaced by the pack’s ratio, and put back', async () => {
  const page = await openPage(here.visit, here.site.url)
  await readRecipe(page, here.site.url, 'Ribbons\n300 g plain flour\n3 eggs\nCut into tagliatelle')
  // By key: the notice that it was read slides in over a press.
  await (await named(page, 'button', 'Egg and no egg')).focus()
  await page.keyboard.press('Enter')
  await sees(page, '3 eggs out')
  expect(await plain(page)).toContain('18.0 g of powder, 126 g of water and 15.0 g of oil')
  await fill(page, 'replacer powder, grams', '10')
  await sees(page, '30.0 g of powder')
  await press(page, 'Take the eggs out')
  await sees(page, '3 eggs back in')
  await press(page, 'Put 3 eggs in')
  await sees(page, '3 eggs out')
})

it('salt and pan of the day: said at the pot, and told in the log', async () => {
  const page = await openPage(here.visit, here.site.url)
  await openFormula(page, here.site.url, 'Gale noodles')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Cook')
  await fill(page, 'Salt in the water for Gale noodles, grams a litre', '8')
  await page.keyboard.press('Enter')
  await sees(page, 'Salt it once')
  await press(page, 'Tossed in the sauce')
  await onTo(page, 'Toss in the sauce')
  await sees(page, 'of cooking water beside the pan')
  await onTo(page, 'How was it to eat?')
  await press(page, 'What happened')
  await sees(page, '8.0 g of salt a litre')
})
