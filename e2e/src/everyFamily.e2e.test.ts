/** A dough of each family and way of shaping, from the book to the verdict by keys alone: its own steps, in order, and axe finds nothing on any. */
import type { Page } from 'puppeteer-core'
import { axeFaults, goOn, goTo, openPage, takeToBench } from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
let page: Page
const faults: string[] = []

beforeAll(async () => {
  page = await openPage(here.visit, here.site.url)
  page.on('pageerror', (error) => faults.push(String(error)))
})

/** Each kind of step is judged where it is first met. */
const judged = new Set<string>()
async function judge(title: string): Promise<void> {
  const kind = title.split(/[:,]/)[0] ?? ''
  if (judged.has(kind)) return
  judged.add(kind)
  faults.push(...(await axeFaults(page)).map((fault) => `${title}: ${fault}`))
}

/** Every title on the way, each told once. */
async function titlesOf(formula: string): Promise<readonly string[]> {
  await goTo(page, new URL('/formula', here.site.url).href)
  await takeToBench(page, formula)
  const titles: string[] = []
  for (let n = 0; n < 60; n += 1) {
    const title = await page.$eval('#work h1', (heading) => heading.textContent)
    if (titles.at(-1) !== title) {
      titles.push(title)
      await judge(title)
    }
    if (title === 'How was it to eat?') return titles
    if (title.startsWith('How does it feel')) {
      await page.keyboard.press('3')
      await page.waitForFunction((was) => document.querySelector('#work h1')?.textContent !== was, {}, title)
      await new Promise((resolve) => setTimeout(resolve, 80))
      continue
    }
    const before = await page.$eval('#work', (work) => work.textContent)
    await goOn(page)
    await page.waitForFunction((was) => document.querySelector('#work')?.textContent !== was, {}, before)
    await new Promise((resolve) => setTimeout(resolve, 80))
  }
  throw new Error(`no end to ${titles.join(', ')}`)
}

it.each([
  [
    'Lamp-room semolina',
    'At hand first, Weigh the flour, Make the water, Pour, one of two, Pour, two of two, How does it feel?, Knead, Rest, wrapped, Divide, Roll the ropes, Shape: Cavatelli, Pot, fridge, freezer or rack?, Cook, How was it to eat?',
  ],
  [
    'Crumb 32 for the extruder',
    'At hand first, Weigh the flour, Pour, Mix to crumbs, How does it feel?, Rest the crumbs, covered, Press: Rigatoni, Pot, fridge, freezer or rack?, Cook, How was it to eat?',
  ],
  [
    'Quayside thick noodles',
    'At hand first, Weigh the flour, Make the water, Pour, How does it feel?, Press together, Let the crumbs drink, Tread, fold, tread, Rest, wrapped, Divide, Thin the sheet, Cut: Udon, Pot, fridge, freezer or rack?, Cook, Rinse, How was it to eat?',
  ],
  [
    'Pulled belts',
    'At hand first, Weigh the flour, Make the water, Pour, How does it feel?, Knead, Rest, wrapped, Knead, Rest, wrapped, Knead, Rest, wrapped, Knead, Rest, wrapped, Divide, Pull: Belt noodles, Cook, How was it to eat?',
  ],
  [
    'Plate drops',
    'At hand first, Weigh the flour, Make the water, Pour, one of two, Pour, two of two, Beat, How does it feel?, Let it stand, Drop them in, How was it to eat?',
  ],
  [
    'Keeper’s gnocchi',
    'At hand first, Boil the potatoes, Peel and rice, Let it steam off, Weigh cooked potato and flour, Press and fold, How does it feel?, Rest, covered, Divide, Roll the ropes, Shape: Ridged potato gnocchi, Pot or freezer?, Cook, How was it to eat?',
  ],
  [
    'Curd hollows',
    'At hand first, Drain the curd, Weigh drained curd and flour, How does it feel?, Knead, Rest in the fridge, Divide, Roll the ropes, Shape: Curd hollows, Pot, fridge or freezer?, Cook, How was it to eat?',
  ],
])('%s', async (formula, wanted) => {
  expect((await titlesOf(formula)).join(', ')).toBe(wanted)
  expect(faults).toEqual([])
})
