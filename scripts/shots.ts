/** `npm run shots`: one current picture a main view, from the demo workspace, into docs/screenshots. Build first. */
import {
  DESK,
  goTo,
  mixToTheFeel,
  onTo,
  openBrowser,
  openPage,
  PHONE,
  press,
  pressStarting,
  reload,
  sees,
  serveSite,
  type Size,
  takeToBench,
} from '@harina/e2e/harness'
import { fileURLToPath } from 'node:url'
import type { Page } from 'puppeteer-core'

const path = (relative: string) => fileURLToPath(new URL(`../${relative}`, import.meta.url))

const site = await serveSite({ clientDir: path('web/dist') })
const visit = await openBrowser()
const page = await openPage(visit, site.url)

async function prefer(theme: 'day' | 'lamp'): Promise<void> {
  await page.evaluate((wanted) => {
    localStorage.setItem('harina.preferences', JSON.stringify({ theme: wanted, sound: false, lastPath: '/formula' }))
  }, theme)
}

/** Every drawing that is to be seen has come. */
async function allDrawn(withinMs: number): Promise<void> {
  await page.waitForFunction(
    () =>
      [...document.querySelectorAll('[data-drawn=false]')].every((drawing) => {
        const { top, bottom } = drawing.getBoundingClientRect()
        return top > innerHeight || bottom < 0
      }),
    { timeout: withinMs },
  )
}

interface Shot {
  readonly name: string
  readonly at: string
  readonly shows: string
  readonly theme?: 'day' | 'lamp'
  readonly size?: Size
  readonly before?: (page: Page) => Promise<void>
}

async function toTheFeel(): Promise<void> {
  await mixToTheFeel(page)
  await page.keyboard.press('2')
  await sees(page, 'Wait 10 minutes first')
}

async function openFormula(name: string): Promise<void> {
  await press(page, 'Formula book')
  await press(page, name)
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
}

async function openDrawer(formula: string, drawer: string, shows: string): Promise<void> {
  await openFormula(formula)
  await press(page, drawer)
  await sees(page, shows)
}

/** From the back of a harbour calendar. */
const RECIPE = `Cavatelli, off the back of a tide table
2 cups fine semolina, 1 cup warm water: half as much water as semolina
a good pinch of salt, 1 tablespoon olive oil
15 g dried sea fennel
Knead 12 minutes, rest half an hour.
Boil 6 to 8 minutes in 4 litres of water with 40 g of salt.
`

const shots: readonly Shot[] = [
  { name: 'formula', at: '/formula', shows: 'Where ' },
  {
    name: 'formula-read',
    at: '/formula',
    shows: 'Where ',
    before: async (on) => {
      await press(on, 'New')
      await press(on, 'Read a recipe')
      await sees(on, 'What is read stands here')
      await on.focus('[aria-label="The recipe"]')
      await on.keyboard.type(RECIPE)
      await sees(on, 'not known')
      await sees(on, 'is not half by weight')
    },
  },
  {
    name: 'formula-gnocchi',
    at: '/formula',
    shows: 'Where ',
    before: () => openDrawer('Keeper’s gnocchi', 'Potato and moisture', 'Flour for a wanted dough'),
  },
  {
    name: 'alkali',
    at: '/formula',
    shows: 'Where ',
    before: async () => {
      await openDrawer('Signal noodles', 'Alkali', 'I have read this')
      await press(page, 'I have read this')
      await sees(page, 'The dose')
    },
  },
  {
    name: 'shape',
    at: '/formula',
    shows: 'Where ',
    before: async () => {
      await openFormula('Lamp-room semolina')
      await goTo(page, new URL('/shape', site.url).href)
      await sees(page, 'board lengths')
    },
  },
  {
    name: 'shape-board',
    at: '/formula',
    shows: 'Where ',
    before: async () => {
      await openFormula('Hot-water skins')
      await goTo(page, new URL('/shape', site.url).href)
      await pressStarting(page, 'Thin round wrappers')
      await page.locator('::-p-aria([role="tab"][name="At the board"])').click()
      await sees(page, 'Through the roller')
    },
  },
  { name: 'shape-map', at: '/shape/map', shows: 'Water on 100 of flour' },
  {
    name: 'dry',
    at: '/dry/demo-rack-2-tray-1',
    shows: 'Warm and wet',
    before: async (page) => {
      await page.waitForFunction(() => !document.body.innerText.includes('being worked out'))
    },
  },
  { name: 'dry-phone', at: '/dry/demo-rack-1-tray-2', shows: 'Dry enough to pack', size: PHONE },
  { name: 'log', at: '/log/demo-6', shows: 'Gale' },
  { name: 'gear', at: '/gear', shows: 'Where flour stands' },
  {
    name: 'bench',
    at: '/formula',
    shows: 'Where ',
    before: async () => {
      await openFormula('Lamp-room semolina')
      await toTheFeel()
    },
  },
]

async function take({ name, at, shows, theme = 'day', size = DESK, before }: Shot): Promise<void> {
  await prefer(theme)
  await page.setViewport(size)
  await goTo(page, new URL(at, site.url).href)
  await sees(page, shows)
  await before?.(page)
  await keep(name)
}

async function keep(name: string): Promise<void> {
  await page.evaluate(() => document.fonts.ready.then(() => undefined))
  // A list that is cut off holds some that are never drawn.
  await allDrawn(6000).catch(() => undefined)
  await new Promise((resolve) => setTimeout(resolve, 600))
  await page.screenshot({ path: path(`docs/screenshots/${name}.png`) as `${string}.png` })
  process.stdout.write(`${name}\n`)
}

for (const shot of shots) await take(shot)
// The batch at the feel is still running beside others: a roller by lamplight, all of them in lanes, the feel on a phone.
const feel = new URL(page.url()).pathname
async function begin(formula: string, until: string): Promise<void> {
  await goTo(page, new URL('/formula', site.url).href)
  await takeToBench(page, formula)
  await onTo(page, until)
}
await prefer('lamp')
await begin('Signal noodles', 'Thin the sheet')
await page.keyboard.press('Space')
await sees(page, 'pass 2 of')
await keep('bench-lamp')
await prefer('day')
await begin('Scraper drops', 'Let it stand')
await page.keyboard.press('Space')
await goTo(page, new URL('/bench/all', site.url).href)
await sees(page, 'Thick where it wants hands')
await keep('bench-lanes')
// Two of the bench that come up together.
await prefer('lamp')
await begin('Buckwheat cuts', 'Cook')
await begin('Lamp-room semolina', 'Cook')
await goTo(page, new URL('/pot', site.url).href)
await press(page, 'Bring them up together')
await sees(page, 'All up at')
await page.keyboard.press('Space')
await sees(page, 'taste in')
await keep('pot-lamp')
await prefer('day')
await goTo(page, new URL(feel, site.url).href)
await page.setViewport(PHONE)
await reload(page)
await sees(page, 'How does it feel?')
await keep('bench-phone')

await visit.close()
await site.close()
