/** Each maker's own bench: a press dough that is kneaded, milk and eggs by name, yolks beside alkali, one dough in four parts. */
import type { Page } from 'puppeteer-core'
import { choose, fill, goTo, onTo, openFormula, openPage, press, readRecipe, sees, textOf } from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
const go = (page: Page, path: string) => goTo(page, new URL(path, here.site.url).href)
const steps = (page: Page) =>
  page.$$eval('#work [aria-label="Steps"] button, #work nav button', (all) => all.map((each) => each.textContent ?? ''))
// A page left open holds the bench, and the next could record nothing.
afterEach(async () => {
  for (const page of await here.visit.browser.pages()) if (page.url().startsWith(here.site.url)) await page.close()
})

it('a press dough at 42 % is kneaded, in the processor with cooler water, and goes in by balls; at 32 % it is crumbs', async () => {
  const page = await openPage(here.visit, here.site.url)
  await openFormula(page, here.site.url, 'Crumb 32 for the extruder')
  await fill(page, 'Hydration, percent', '42')
  await choose(page, 'Who kneads this dough', 'in the processor')
  await sees(page, 'cooler than by hand')
  const [, onSheet] = /about (\d+) °C/.exec(await textOf(page))!
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  expect(await textOf(page)).toContain('Pulse the dry things first')
  await onTo(page, 'Pour')
  expect(await textOf(page)).toContain(`Water of about ${onSheet} °C`)
  expect(await textOf(page)).toContain('Pulse the dry things first')
  await onTo(page, 'Knead')
  await sees(page, 'In the processor')
  await onTo(page, 'Divide')
  await sees(page, 'Balls that the hopper takes')
  await onTo(page, 'Press: ')
  const pressing = await textOf(page)
  expect(pressing).toContain('Kneaded, it is right for this press')
  expect(pressing).not.toMatch(/clog/)
  await go(page, '/formula')
  await fill(page, 'Hydration, percent', '32')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  expect(await steps(page)).not.toContain('Divide')
})

it('a batter of milk and four eggs calls them by their names, milk as milk and eggs by number', async () => {
  const page = await openPage(here.visit, here.site.url)
  await readRecipe(page, here.site.url, 'Batter drops\n400 g plain flour\n4 eggs\n150 g whole milk\n6 g salt')
  await sees(page, '4 eggs')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Measure the whole milk')
  await sees(page, 'of whole milk and')
  await sees(page, '4 eggs')
  await onTo(page, 'How does it feel')
  await page.keyboard.press('2')
  await page.waitForFunction(() => /Add .* whole milk/.test(document.body.innerText))
  expect(await textOf(page)).not.toMatch(/\d g of water|\d g water/)
})

it('yolks in an alkaline dough go onto the flour, never into the alkali', async () => {
  const page = await openPage(here.visit, here.site.url)
  await readRecipe(
    page,
    here.site.url,
    'Noodles\n400 g bread flour\n140 g water\n8 g baked soda\n32 g egg yolks\n4 g salt',
  )
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Weigh the flour')
  await sees(page, 'egg yolk, beaten, into a well in the flour: 2 yolks')
  await onTo(page, 'Make the water')
  expect(await textOf(page)).not.toMatch(/egg yolk, stirred/)
  await sees(page, 'Egg onto the flour')
})

it('one dough in four shapes, one a gift and one for tomorrow: one story, one verdict, and the next starts with all of them', async () => {
  const page = await openPage(here.visit, here.site.url)
  await openFormula(page, here.site.url, 'Half-and-half hand ropes')
  await go(page, '/shape')
  await page.locator('::-p-xpath(//*[@role="tab"][starts-with(., "At the board")])').click()
  await choose(page, 'Cut a part of it into', 'Capunti')
  await choose(page, 'Cut a part of it into', 'Lorighittas')
  await choose(page, 'Capunti is for', 'for a friend')
  await choose(page, 'Lorighittas is for', 'for tomorrow')
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await onTo(page, 'Divide')
  for (const name of ['Strozzapreti', 'Capunti', 'Lorighittas']) {
    await sees(page, `off for ${name}`)
    await page.keyboard.press('Space')
    await sees(page, `${name} goes on by itself`)
  }
  await sees(page, 'Divided, go on')
  await onTo(page, 'How was it to eat?')
  await page.keyboard.press('4')
  await page.waitForSelector('[aria-pressed=true]')
  await page.keyboard.press('Space')
  await sees(page, 'In parts')
  const story = await textOf(page)
  expect(story).toMatch(/Capunti, for a friend[^]*Lorighittas, for tomorrow/)
  // Planned against poured is of the whole dough, once.
  expect(story).toMatch(/Remilled durum R-31\s+350\s+350\s+0/)
  const gift = await page.$$eval('nav[aria-label=Doughs] a', (links) =>
    links.find((link) => link.textContent?.startsWith('For a friend'))?.getAttribute('href'),
  )
  await go(page, gift!)
  await onTo(page, 'How was it to eat?')
  await page.keyboard.press('Space')
  await sees(page, 'A part of Half-and-half hand ropes')
  expect(await textOf(page)).not.toContain('never right')
  expect(await page.$eval('[aria-label="The batch"]', (each) => each.textContent)).toContain('as the dough')
  await press(page, 'Start the next from it')
  await go(page, '/shape')
  await sees(page, 'At the board (4 shapes)')
})

it('a whole batch without a scale: called in cups and spoons to the verdict', async () => {
  const page = await openPage(here.visit, here.site.url)
  await go(page, '/gear')
  await page.locator('::-p-xpath(//label[contains(., "No scale")])').click()
  await openFormula(page, here.site.url, 'Lamp-room semolina')
  await press(page, 'Take to the bench')
  await sees(page, 'Cups and spoons, and a knife to level them')
  await onTo(page, 'Measure the flour')
  const flour = await textOf(page)
  expect(flour).toMatch(/[\d⅓½⅔¼¾] cups?/)
  expect(flour).toContain('as cups are filled')
  expect(flour).not.toContain('Tare the bowl')
  await onTo(page, 'Make the water')
  expect(await textOf(page)).toMatch(/for the first pour\s+[\d ⅓½⅔¼¾]+cups?/)
  await onTo(page, 'Pour')
  await page.waitForFunction(() => /Poured [\d ⅓½⅔¼¾]+ ?cups?/.test(document.body.innerText))
  await onTo(page, 'How does it feel')
  await page.keyboard.press('2')
  await page.waitForFunction(() => /Add .*(spoon|spray)/.test(document.body.innerText))
  await onTo(page, 'Divide')
  await sees(page, 'cut by eye')
  await onTo(page, 'How was it to eat?')
  await page.keyboard.press('3')
  await page.waitForSelector('[aria-pressed=true]')
  await page.keyboard.press('Space')
  await sees(page, 'written in the log')
})
