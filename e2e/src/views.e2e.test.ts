/** Every view in both themes: axe finds nothing, nothing is fetched from elsewhere, the sheet fits its screen. */
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { join } from 'node:path'
import type { Page } from 'puppeteer-core'
import { chord, DESK, openPage, PHONE, press, sees, type Size } from './harness/index.ts'
import { useSite } from './useSite.ts'

const axeSource = readFileSync(
  createRequire(join(process.cwd(), 'package.json')).resolve('axe-core/axe.min.js'),
  'utf8',
)

interface View {
  readonly name: string
  readonly path: string
  /** What must be on the screen before it is judged. */
  readonly shows: string
  readonly size?: Size
  readonly open?: (page: Page) => Promise<void>
}

const views: readonly View[] = [
  { name: 'formula', path: '/formula', shows: 'Where ' },
  {
    name: 'formula book',
    path: '/formula',
    shows: 'Where ',
    open: async (page) => {
      await press(page, 'Formula book')
      await sees(page, 'Start a plain sheet')
    },
  },
  { name: 'shape', path: '/shape', shows: 'board lengths' },
  { name: 'bench', path: '/bench', shows: 'Rest, wrapped' },
  { name: 'bench on a phone', path: '/bench', shows: 'Rest, wrapped', size: PHONE },
  {
    name: 'giving up',
    path: '/bench',
    shows: 'Rest, wrapped',
    open: async (page) => {
      await press(page, 'Give this batch up')
      await sees(page, 'Keep going')
    },
  },
  { name: 'log', path: '/log', shows: '12 batches' },
  { name: 'gear', path: '/gear', shows: 'Where flour stands' },
  { name: 'gear on a phone', path: '/gear', shows: 'Where flour stands', size: PHONE },
  { name: 'formula on a phone', path: '/formula', shows: 'Where ', size: PHONE },
  {
    name: 'keys',
    path: '/log',
    shows: '12 batches',
    open: async (page) => {
      await page.keyboard.press('?')
      await sees(page, 'On the rule')
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
]

const here = useSite('file')
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

const judge = async (): Promise<string[]> => {
  await page.evaluate(axeSource)
  return page.evaluate(async () => {
    const { axe } = globalThis as unknown as {
      axe: { run(): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> }
    }
    const { violations } = await axe.run()
    return violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`)
  })
}

const both = views.flatMap((view) =>
  (['day', 'lamp'] as const).map((theme) => ({ view, theme, title: `${view.name}, ${theme}` })),
)

it.each(both)('axe finds nothing on $title', async ({ view, theme }) => {
  await page.setViewport(view.size ?? DESK)
  await page.evaluate((wanted) => {
    const key = 'harina.preferences'
    localStorage.setItem(key, JSON.stringify({ ...JSON.parse(localStorage.getItem(key) ?? '{}'), theme: wanted }))
  }, theme)
  await page.goto(new URL(view.path, here.site.url).href, { waitUntil: 'networkidle0' })
  await sees(page, view.shows)
  expect(await page.$eval('html', (html) => html.dataset['theme'])).toBe(theme)
  await view.open?.(page)
  expect(await judge()).toEqual([])
})

it.each(['/formula', '/shape', '/bench', '/log', '/gear'])(
  '%s needs no page scroll at 1280 × 800 and none sideways on a phone',
  async (path) => {
    const overflow = () =>
      page.$eval('main', (main) => ({
        down: main.scrollHeight - main.clientHeight,
        across: document.documentElement.scrollWidth - innerWidth,
        inside: main.scrollWidth - main.clientWidth,
      }))
    await page.setViewport(DESK)
    await page.goto(new URL(path, here.site.url).href, { waitUntil: 'networkidle0' })
    expect(await overflow()).toEqual({ down: 0, across: 0, inside: 0 })
    await page.setViewport(PHONE)
    await page.reload({ waitUntil: 'networkidle0' })
    expect(await overflow()).toMatchObject({ across: 0, inside: 0 })
  },
)

it('the longest formula of the book fits the screen too', async () => {
  await page.setViewport(DESK)
  await page.goto(new URL('/formula', here.site.url).href, { waitUntil: 'networkidle0' })
  await press(page, 'Formula book')
  await press(page, 'Half-and-half hand ropes')
  await sees(page, 'Olive oil')
  expect(await page.$eval('main', (main) => main.scrollHeight - main.clientHeight)).toBe(0)
})

it('everything came from its own address, and nothing went wrong on the way', () => {
  expect(foreign).toEqual([])
  expect(troubles).toEqual([])
})
