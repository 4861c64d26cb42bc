/** Every view in both themes: axe finds nothing, nothing is fetched from elsewhere, the sheet fits its screen and a phone. */
import type { Page } from 'puppeteer-core'
import {
  axeFaults,
  chord,
  DESK,
  goTo,
  openPage,
  PHONE,
  press,
  pressStarting,
  sees,
  type Size,
} from './harness/index.ts'
import { useSite } from './useSite.ts'

interface View {
  readonly name: string
  readonly path: string
  /** What must be on the screen before it is judged. */
  readonly shows: string
  readonly size?: Size
  readonly open?: (page: Page) => Promise<void>
}

/** A formula it is useful for, its handle, and words that stand on it alone. */
const drawers = [
  ['Lamp-room semolina', 'Hydration in other words', 'flour divided by'],
  ['Stiff semolina', 'Colour and taste', 'Pour '],
  ['Lamp-room semolina', 'Swap a flour', 'Put in its place'],
  ['Gale noodles', 'Blend from my sacks', 'This blend'],
  ['Keeper’s gnocchi', 'Potato and moisture', 'Flour for a wanted dough'],
  ['Hot-water skins', 'Heat of the water', 'height above the sea'],
  ['Signal noodles', 'Alkali', 'I have read this'],
  ['Plate drops', 'Schools', 'Would change'],
  ['Curd hollows', 'Nutrition, allergens, cost', 'kJ'],
  ['Lamp-room semolina', 'Write it out', 'Makes '],
  ['Lamp-room semolina', 'Versions', 'In the book'],
  ['Buckwheat cuts', 'Compare', 'The draft, beside'],
] as const

const shapeTabs = [
  ['Tools and troubles', 'What goes wrong'],
  ['At the board', 'Ropes on the board'],
  ['Its doughs', 'In the book'],
  ['To the plate', 'Goes with'],
] as const

const views: readonly View[] = [
  { name: 'formula on a phone', path: '/formula', shows: 'Where ', size: PHONE },
  { name: 'formula', path: '/formula', shows: 'Where ' },
  {
    name: 'formula book',
    path: '/formula',
    shows: 'Where ',
    open: async (page) => {
      await press(page, 'Formula book')
      await sees(page, 'Show archived')
    },
  },
  {
    name: 'new formula',
    path: '/formula',
    shows: 'Where ',
    open: async (page) => {
      await press(page, 'New')
      await sees(page, 'Start this draft')
    },
  },
  {
    name: 'a recipe read',
    path: '/formula',
    shows: 'Where ',
    open: async (page) => {
      await press(page, 'New')
      await press(page, 'Read a recipe')
      await sees(page, 'What is read stands here')
      await page.focus('[aria-label="The recipe"]')
      await page.keyboard.type('2 cups flour, half as much water as flour, 20 g malt extract')
      await sees(page, 'not known')
    },
  },
  { name: 'shape', path: '/shape', shows: 'board lengths' },
  { name: 'shape on a phone', path: '/shape', shows: 'board lengths', size: PHONE },
  ...shapeTabs.map(([name, shows]): View => ({
    name: `shape: ${name}`,
    path: '/shape',
    shows: 'board lengths',
    open: async (page) => {
      await page.locator(`::-p-aria([role="tab"][name="${name}"])`).click()
      await sees(page, shows)
    },
  })),
  {
    name: 'a shape of one’s own',
    path: '/shape',
    shows: 'board lengths',
    open: async (page) => {
      await press(page, 'Make it your own')
      await sees(page, 'Steps, a line each')
    },
  },
  { name: 'all shapes', path: '/shape/library', shows: '111 shapes' },
  { name: 'map of methods', path: '/shape/map', shows: 'Water on 100 of flour' },
  { name: 'sauces', path: '/shape/sauces', shows: 'runs into bores' },
  { name: 'gauge', path: '/shape/gauge', shows: 'Hold any bank card' },
  { name: 'bench', path: '/bench', shows: 'Rest, wrapped' },
  { name: 'bench on a phone', path: '/bench', shows: 'Rest, wrapped', size: PHONE },
  {
    name: 'something is wrong',
    path: '/bench',
    shows: 'Rest, wrapped',
    open: async (page) => {
      await press(page, 'Something is wrong')
      await press(page, 'A hard skin on the dough')
      await sees(page, 'Try first.')
    },
  },
  {
    name: 'an interruption',
    path: '/bench',
    shows: 'Rest, wrapped',
    open: async (page) => {
      await press(page, 'Pause, hand over or stop')
      await sees(page, 'Tomorrow, from the fridge')
    },
  },
  {
    name: 'what happened',
    path: '/bench',
    shows: 'Rest, wrapped',
    open: async (page) => {
      await press(page, 'What happened')
      await sees(page, 'Nothing is erased')
    },
  },
  {
    name: 'photos',
    path: '/bench',
    shows: 'Rest, wrapped',
    open: async (page) => {
      await press(page, 'Photos')
      await sees(page, 'None of this batch yet')
    },
  },
  {
    name: 'a card for the wall',
    path: '/bench',
    shows: 'Rest, wrapped',
    open: async (page) => {
      await press(page, 'Card')
      await sees(page, 'In this order')
    },
  },
  { name: 'lanes', path: '/bench/all', shows: 'Thick where it wants hands' },
  { name: 'lanes on a phone', path: '/bench/all', shows: 'Thick where it wants hands', size: PHONE },
  { name: 'dry', path: '/dry/demo-rack-2-tray-1', shows: 'Warm and wet' },
  { name: 'dry: never', path: '/dry/demo-rack-2-tray-2', shows: 'Never in this air' },
  { name: 'dry on a phone', path: '/dry/demo-rack-2-tray-3', shows: 'Warm and wet', size: PHONE },
  { name: 'pot', path: '/pot', shows: 'to the boil' },
  { name: 'pot on a phone', path: '/pot', shows: 'to the boil', size: PHONE },
  { name: 'log', path: '/log', shows: '12 batches' },
  { name: 'gear', path: '/gear', shows: 'Where flour stands' },
  { name: 'gear on a phone', path: '/gear', shows: 'Where flour stands', size: PHONE },
  { name: 'rollers and presses', path: '/gear/machines', shows: 'The maker’s manual' },
  { name: 'sacks and jars', path: '/gear/sacks', shows: 'Ingredients of your own' },
  { name: 'ways of working', path: '/gear/ways', shows: 'Schools I follow' },
  { name: 'files', path: '/gear/files', shows: 'Export everything' },
  {
    name: 'keys',
    path: '/log',
    shows: '12 batches',
    open: async (page) => {
      await page.keyboard.press('?')
      await sees(page, 'Keys: on the rule')
    },
  },
  {
    name: 'find',
    path: '/log',
    shows: '12 batches',
    open: async (page) => {
      await chord(page, 'Control', 'k')
      await sees(page, 'station')
    },
  },
  ...drawers.map(([formula, drawer, shows]): View => ({
    name: `drawer: ${drawer}`,
    path: '/formula',
    shows: 'Where ',
    open: async (page) => {
      await press(page, 'Formula book')
      await press(page, formula)
      await press(page, drawer)
      // In the drawer: much of what it tells stands on the sheet below it too.
      await page.waitForFunction(
        (words) => document.querySelector<HTMLElement>('[role=dialog]')?.innerText.includes(words),
        {},
        shows,
      )
    },
  })),
]

const here = useSite({ heavy: true })
let page: Page
const foreign: string[] = []
const troubles: string[] = []

beforeAll(async () => {
  page = await openPage(here.visit, here.site.url)
  page.on('request', (request) => {
    const { protocol, origin } = new URL(request.url())
    if (protocol.startsWith('http') && origin !== new URL(here.site.url).origin) foreign.push(request.url())
  })
  page.on('pageerror', (error) => troubles.push(String(error)))
  page.on('console', (message) => message.type() === 'error' && troubles.push(message.text()))
})

/** What is open is closed; another address is loaded anew. */
async function standAt(path: string): Promise<void> {
  if (new URL(page.url()).pathname !== path) return goTo(page, new URL(path, here.site.url).href)
  if (!(await page.$('[role=dialog]'))) return
  await page.keyboard.press('Escape')
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
}

/** A shelf of sacks or of shapes, and the list of schools, is as long as it is. */
const LONG = new Set(['/gear/sacks', '/gear/ways', '/shape/library', '/shape/map'])

const overflow = () =>
  page.$eval('main', (main) => ({
    down: main.scrollHeight - main.clientHeight,
    across: document.documentElement.scrollWidth - innerWidth,
    inside: main.scrollWidth - main.clientWidth,
  }))

it.each(views)(
  '$name: axe finds nothing by day, nor by lamplight, and it fits',
  async ({ path, size, shows, open }) => {
    await page.setViewport(size ?? DESK)
    await standAt(path)
    if (!open) await sees(page, shows)
    await open?.(page)
    expect(await axeFaults(page)).toEqual([])
    if (open || size) return
    const { down, ...sideways } = await overflow()
    expect({ ...sideways, down: LONG.has(path) ? 0 : down }).toEqual({ across: 0, inside: 0, down: 0 })
    await page.setViewport(PHONE)
    // What is drawn as wide as its place follows a frame later.
    await page
      .waitForFunction(() => {
        const main = document.querySelector('main')
        return main !== null && main.scrollWidth === main.clientWidth
      })
      .catch(() => undefined)
    expect(await overflow()).toMatchObject({ across: 0, inside: 0 })
  },
)

it.each(['day', 'lamp'])('the maker’s %s theme is there from the first paint', async (theme) => {
  await page.evaluate((wanted) => {
    const key = 'harina.preferences'
    localStorage.setItem(key, JSON.stringify({ ...JSON.parse(localStorage.getItem(key) ?? '{}'), theme: wanted }))
  }, theme)
  await goTo(page, new URL('/log', here.site.url).href)
  expect(await page.$eval('html', (html) => html.dataset['theme'])).toBe(theme)
})

it('in the system’s own colours what is chosen has its line, and nothing else has', async () => {
  await page.setViewport(DESK)
  const hand = await page.createCDPSession()
  await hand.send('Emulation.setEmulatedMedia', { features: [{ name: 'forced-colors', value: 'active' }] })
  await goTo(page, new URL('/formula', here.site.url).href)
  await sees(page, 'Solve for')
  const drawn = await page.$$eval('[role=radiogroup][aria-label="Solve for"] [role=radio]', (all) => {
    const ground = getComputedStyle(document.body).backgroundColor
    return all.map((each) => [
      each.getAttribute('aria-checked') === 'true',
      getComputedStyle(each).borderBottomColor !== ground,
    ])
  })
  expect(drawn.length).toBeGreaterThan(3)
  expect(drawn.every(([isChosen, hasLine]) => isChosen === hasLine)).toBe(true)
  await hand.send('Emulation.setEmulatedMedia', { features: [] })
  await hand.detach()
})

it('every formula of the book fits the screen, and none runs out of a phone sideways', async () => {
  await page.setViewport(DESK)
  await goTo(page, new URL('/formula', here.site.url).href)
  await press(page, 'Formula book')
  await sees(page, 'Show archived')
  const names = await page.$$eval('[role=dialog] li button.head', (heads) =>
    heads.map((head) => head.textContent.trim()),
  )
  expect(names).toHaveLength(16)
  for (const name of names) {
    await press(page, name)
    await page.waitForFunction(
      (wanted) => document.querySelector<HTMLInputElement>('[aria-label="Name of the formula"]')?.value === wanted,
      {},
      name,
    )
    await page.setViewport(DESK)
    const down = await page.$eval('main', (main) => main.scrollHeight - main.clientHeight)
    await page.setViewport(PHONE)
    const across = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
    expect({ name, down, across }).toEqual({ name, down: 0, across: 0 })
    await page.setViewport(DESK)
    await press(page, 'Formula book')
    await sees(page, 'Show archived')
  }
})

it('on paper a formula is whole, by day, without what can only be pressed; a label is printed alone', async () => {
  await page.setViewport(DESK)
  await goTo(page, new URL('/formula', here.site.url).href)
  await page.evaluate(() => (document.documentElement.dataset['theme'] = 'lamp'))
  await press(page, 'Formula book')
  await press(page, 'Signal noodles')
  await press(page, 'Alkali')
  await pressStarting(page, 'I have read this')
  await sees(page, 'Print the label')
  await page.emulateMediaType('print')
  const shown = () =>
    page.$$eval('h1, h2, h3, p, input, button', (all) =>
      all.filter((element) => element.checkVisibility({ visibilityProperty: true })).map((element) => element.tagName),
    )
  expect([...new Set(await shown())]).toEqual(['P'])
  await page.keyboard.press('Escape')
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  expect(await shown()).toContain('INPUT')
  const loose = await page.$$eval('button:not([aria-pressed=true], .choice, [data-printed])', (all) =>
    all.filter((one) => one.checkVisibility()).map((one) => one.textContent),
  )
  expect(loose).toEqual([])
  // A dotted word stands in its sentence, and there is nothing to press on paper.
  const dotted = await page.$$eval('button[data-printed]', (all) =>
    all
      .filter((one) => one.checkVisibility())
      .map((one) => [one.textContent, getComputedStyle(one).textDecorationLine] as const),
  )
  expect(dotted).toContainEqual(['water on 100 of flour', 'none'])
  expect(dotted.map(([, line]) => line)).toEqual(dotted.map(() => 'none'))
  // What was chosen of a list is part of the formula.
  expect(await page.$eval('[aria-label^="Sack of"]', (choice) => choice.checkVisibility())).toBe(true)
  expect(await page.$eval('main', (main) => main.scrollHeight - main.clientHeight)).toBe(0)
  expect(await page.$eval('body', (body) => getComputedStyle(body).color)).toBe('rgb(34, 40, 43)')
  await page.emulateMediaType('screen')
})

it('everything came from its own address, and nothing went wrong on the way', () => {
  expect(foreign).toEqual([])
  expect(troubles).toEqual([])
})

it('a station opened for the first time takes the last one’s place: nothing stands empty between', async () => {
  await page.setViewport(DESK)
  await goTo(page, new URL('/gear', here.site.url).href)
  await page.evaluate(() => {
    document.body.dataset['emptied'] = '0'
    new MutationObserver(() => {
      const main = document.querySelector('main')
      if (!main?.checkVisibility()) document.body.dataset['emptied'] = '1'
    }).observe(document.body, { subtree: true, childList: true, attributes: true, attributeFilter: ['style'] })
  })
  await page.click('nav a[href="/log"]')
  await sees(page, '12 batches')
  expect(await page.$eval('body', ({ dataset }) => dataset['emptied'])).toBe('0')
})
