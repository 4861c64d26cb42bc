/** A walk over every view at six sizes, by key and by finger: titles, headings, what is large enough to press, and figures that stay. */
import type { Page } from 'puppeteer-core'
import { goTo, openPage, pressStarting, sees, swipe } from './harness/index.ts'
import { useSite } from './useSite.ts'

const SIZES = [
  { width: 320, height: 640 },
  { width: 390, height: 844 },
  { width: 768, height: 1024 },
  { width: 1024, height: 768 },
  { width: 1280, height: 800 },
  { width: 1600, height: 900 },
].map((size) => ({ ...size, hasTouch: true }))
/** Where the walk goes over a view by finger, and where by wheel and key. */
const FINGERS = SIZES[1]!
const DESK = SIZES[4]!
const MOST_SWIPES = 4
/** How far the walk goes on by the Tab key. */
const STOPS = 6

const VIEWS: readonly (readonly [path: string, shows: string, titled: RegExp])[] = [
  ['/formula', 'Where ', /^Lamp-room semolina · Formula/],
  ['/shape', 'board lengths', /Shape/],
  ['/shape/library', '111 shapes', /^All shapes · Shape/],
  ['/shape/library?look=square-parcels', 'Only looking', /^All shapes · Shape/],
  ['/shape/map', 'Water on 100 of flour', /^Doughs and methods · Shape/],
  ['/shape/sauces', 'runs into bores', /^Sauces · Shape/],
  ['/shape/gauge', 'Hold any bank card', /^Gauge · Shape/],
  ['/bench', 'Rest, wrapped', /^Stiff semolina/],
  ['/bench/all', 'Thick where it wants hands', /Bench/],
  ['/dry/demo-rack-2-tray-1', 'Warm and wet', /^Tray 1, Stiff semolina · Dry/],
  ['/pot', 'to the boil', /Pot/],
  ['/log', '12 batches', /Log/],
  ['/gear', 'Where flour stands', /^Scale, places and pots · Gear/],
  ['/gear/machines', 'The maker’s manual', /^Rollers and presses · Gear/],
  ['/gear/sacks', 'Ingredients of your own', /^Sacks and jars · Gear/],
  ['/gear/ways', 'Schools I follow', /^How I work · Gear/],
  ['/gear/files', 'Export everything', /^Files and device · Gear/],
]

const here = useSite()
let page: Page
beforeAll(async () => {
  page = await openPage(here.visit, here.site.url)
})

/** What can be pressed and is smaller than this, by its name. Words within a sentence are as large as their line. */
const tooSmall = (least: number) =>
  page.evaluate((px) => {
    const found: string[] = []
    for (const element of document.querySelectorAll<HTMLElement>('button, a[href], input, [role=slider], [role=tab]')) {
      const { width, height } = element.getBoundingClientRect()
      if (width === 0 || height === 0 || element.closest('.sr-only, [aria-hidden=true], :disabled')) continue
      const label = element.closest('label')?.getBoundingClientRect()
      const inWords = getComputedStyle(element).display === 'inline' && element.closest('p, li, h1, h2, h3, td, span')
      if (inWords || Math.max(height, label?.height ?? 0) >= px - 0.5) continue
      found.push(`${element.getAttribute('aria-label') ?? element.textContent} (${Math.round(height)})`)
    }
    return found
  }, least)

const sideways = () =>
  page.evaluate(() => {
    const main = document.querySelector('main')
    return Math.max(
      document.documentElement.scrollWidth - document.documentElement.clientWidth,
      main ? main.scrollWidth - main.clientWidth : 0,
    )
  })
/** Where a finger that means to scroll may begin: on every field, list, switch and slider that is in view. */
const ground = () =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('main :is(input, [role=slider], [role=radio], [aria-haspopup=listbox])')]
      .map((element) => element.getBoundingClientRect())
      .filter(({ width, top, bottom }) => width > 0 && top > 60 && bottom < innerHeight - 90)
      .map(({ x, width, y, height }): [number, number] => [x + width / 2, y + height / 2]),
  )
/** All that is typed or chosen on the view, and where its sliders stand. */
const standing = () =>
  page.$$eval('main :is(input, [role=slider], [aria-checked], [aria-selected], [aria-pressed])', (found) =>
    found.map((element) =>
      [
        (element as HTMLInputElement).value,
        (element as HTMLInputElement).checked,
        ...['aria-valuenow', 'aria-checked', 'aria-selected', 'aria-pressed'].map((name) => element.getAttribute(name)),
      ].join(),
    ),
  )

/** What has the focus and is not to be seen, by its name; null where it is, or where the focus is past the end of the page. */
const hiddenFocus = () =>
  page.evaluate(() => {
    const element = document.activeElement as HTMLElement
    if (element === document.body) return null
    const { x, y, width, height } = element.getBoundingClientRect()
    const there = document.elementFromPoint(
      Math.min(innerWidth - 1, Math.max(0, x + width / 2)),
      Math.min(innerHeight - 1, Math.max(0, y + height / 2)),
    )
    const inView = width > 0 && height > 0 && y < innerHeight && y + height > 0 && x < innerWidth && x + width > 0
    const onTop = there !== null && (element.contains(there) || there.contains(element))
    return inView && onTop ? null : (element.getAttribute('aria-label') ?? element.textContent)
  })

/** On by the Tab key, from where the focus was. */
async function tabOn(stops: number): Promise<void> {
  for (let stop = 0; stop < stops; stop += 1) {
    await page.keyboard.press('Tab')
    expect(await hiddenFocus()).toBeNull()
  }
}

const settled = () =>
  page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))))

/** At four times the size: the first of the work brought to the top, and how much of the screen the bars leave. */
const bars = () =>
  page.evaluate(() => {
    const first = [...document.querySelectorAll<HTMLElement>('main h1, main h2, main input, main p')].find(
      (element) => element.getBoundingClientRect().height > 1,
    )!
    first.scrollIntoView({ block: 'start' })
    const covered = [...document.querySelectorAll('nav[aria-label=Stations], nav[aria-label=Doughs]')].reduce(
      (sum, bar) => {
        const { top, bottom } = bar.getBoundingClientRect()
        return sum + Math.max(0, Math.min(bottom, innerHeight) - Math.max(top, 0))
      },
      0,
    )
    return { top: first.getBoundingClientRect().top, free: innerHeight - covered }
  })

it.each(VIEWS)('%s at six sizes, and four times as large', async (path, shows, titled) => {
  await page.setViewport(DESK)
  await goTo(page, new URL(path, here.site.url).href)
  await sees(page, shows)
  await page.waitForFunction((source: string) => new RegExp(source).test(document.title), {}, titled.source)
  expect(await page.$$eval('h1', (found) => found.length)).toBe(1)
  const before = await standing()
  for (const size of SIZES) {
    await page.setViewport(size)
    await settled()
    const at = `${size.width} × ${size.height}`
    expect({ at, sideways: await sideways() }).toEqual({ at, sideways: 0 })
    expect({ at, small: await tooSmall(24) }).toEqual({ at, small: [] })
    if (size !== FINGERS && size !== DESK) continue
    if (size === FINGERS) for (const from of (await ground()).slice(0, MOST_SWIPES)) await swipe(page, from, 2, -120)
    await page.mouse.move(size.width / 2, size.height / 2)
    await page.mouse.wheel({ deltaY: 400 })
    await settled()
    await tabOn(STOPS)
    expect({ at, standing: await standing() }).toEqual({ at, standing: before })
  }
  await page.setViewport({ width: 320, height: 200, hasTouch: true })
  await settled()
  expect(await sideways()).toBe(0)
  const { top, free } = await bars()
  expect(top).toBeLessThan(100)
  expect(free).toBeGreaterThan(140)
})

it('at the bench what is pressed is 44 high, the main action 64, on a phone as on a desk', async () => {
  for (const size of [FINGERS, DESK]) {
    await page.setViewport(size)
    await goTo(page, new URL('/bench', here.site.url).href)
    await sees(page, 'Rest, wrapped')
    const small = await page.$$eval('main button.press, main button.action', (buttons) =>
      buttons.flatMap((button) => {
        const { height } = button.getBoundingClientRect()
        const least = button.classList.contains('action') ? 64 : 44
        return height > 0 && height < least ? [`${button.textContent} (${height})`] : []
      }),
    )
    expect(small).toEqual([])
  }
})

it('by key: each step takes the focus to its heading, and every stop of the Tab key is to be seen', async () => {
  await page.setViewport(DESK)
  await goTo(page, new URL('/formula', here.site.url).href)
  await sees(page, 'Where ')
  await pressStarting(page, 'Take to the bench')
  await sees(page, 'All at hand')
  const focused = () => page.evaluate(() => document.activeElement?.textContent ?? '')
  expect(await focused()).toBe('At hand first')
  await page.keyboard.press('Space')
  await page.waitForFunction(() => document.querySelector('h1')?.textContent === 'Weigh the flour')
  expect(await focused()).toBe('Weigh the flour')
  await tabOn(24)
})
