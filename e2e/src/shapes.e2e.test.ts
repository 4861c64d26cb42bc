/** From a dough to a stamped layout and a gauge on paper, then a gauge on the screen that stays on at the bench. */
import { readFile } from 'node:fs/promises'
import type { Page } from 'puppeteer-core'
import { catchDownloads, fill, goTo, openPage, press, readPdf, sees, tabTo, textOf, valueOf } from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
let page: Page

const go = (path: string) => goTo(page, new URL(path, here.site.url).href)
const tab = (name: string) => page.locator(`::-p-aria([role="tab"][name="${name}"])`).click()
const seenImage = (label: RegExp) =>
  page.evaluate((source) => {
    const found = [...document.querySelectorAll('[role=img]')].map((image) => image.getAttribute('aria-label') ?? '')
    return found.find((label_) => new RegExp(source).test(label_)) ?? ''
  }, label.source)

beforeAll(async () => {
  page = await openPage(here.visit, here.site.url)
})

it('a dough, a stamped layout drawn and saved at full size, and a paper gauge that measures right', async () => {
  await go('/formula')
  await press(page, 'Formula book')
  await press(page, 'Hot-water skins')
  await go('/shape/library')
  await page.locator('::-p-aria([role="searchbox"])').fill('gyoza')
  await sees(page, 'of 111 shapes')
  await press(page, 'Thin round wrappers gyoza wrappers')
  await press(page, 'Take it: Thin round wrappers')
  await sees(page, 'Make it your own')
  await tab('At the board')
  await sees(page, 'Through the roller')
  const drawn = await seenImage(/pieces on one sheet/)
  const count = Number(/\d+/.exec(drawn)![0])
  expect(count).toBeGreaterThanOrEqual(8)

  const downloads = await catchDownloads(page)
  await press(page, 'Layout at full size (SVG)')
  const { text: svg } = await downloads.next()
  expect(svg.match(/<circle /g)).toHaveLength(count)
  expect(svg).toContain('r="44"')
  expect(svg).toMatch(/^<svg [^>]*height="150mm"/)

  await go('/shape/gauge')
  await press(page, 'Paper gauge (PDF)')
  const { path } = await downloads.next()
  expect(path).toMatch(/thin-round-wrappers-gauge\.pdf$/)
  const [sheet] = await readPdf(path)
  expect(sheet!.widthMm).toBeCloseTo(210, 2)
  expect(sheet!.heightMm).toBeCloseTo(297, 2)
  expect(sheet!.words).toEqual(expect.arrayContaining(['Thin round wrappers', '100 mm', 'Thickness: 1.1 mm']))
  const level = sheet!.paths.filter(({ heightMm }) => heightMm < 0.01)
  expect(Math.max(...level.map(({ widthMm }) => widthMm))).toBeCloseTo(100, 2)
  // The round itself, and the slot its thickness is held against: as thick as the roller leaves it.
  expect(
    sheet!.paths.some(({ widthMm, heightMm }) => Math.abs(widthMm - 88) < 0.01 && Math.abs(heightMm - 88) < 0.01),
  ).toBe(true)
  expect(sheet!.paths.some(({ widthMm, heightMm }) => widthMm < 0.01 && Math.abs(heightMm - 1.1) < 0.06)).toBe(true)

  await press(page, 'The same as SVG')
  const again = await readFile((await downloads.next()).path, 'utf8')
  expect(again).toContain('viewBox="0 0 210 297"')
})

it('a card held against the screen by keys alone, checked with a ruler; then life size here and at the bench', async () => {
  await go('/shape/gauge')
  await tabTo(page, /Width of the card/)
  for (let n = 0; n < 20; n += 1) await page.keyboard.press('ArrowRight')
  await press(page, 'It fits')
  await sees(page, 'What does it read?')
  const drawn = Number(await valueOf(page, 'The ruler reads, millimetres'))
  await fill(page, 'The ruler reads, millimetres', String(drawn * 0.99))
  await press(page, 'Done')
  await sees(page, 'both lengths agreed')
  const shown = Number(/([\d.]+) pixels a millimetre/.exec(await textOf(page))![1])
  expect(shown).toBeCloseTo((324 + 20) / 85.6 / 0.99, 1)

  // A round of 88 mm is drawn 88 mm wide by that measure.
  const circle = await page.$eval('main svg circle[r]', (node) => Number(node.getAttribute('r')) * 2)
  expect(circle / shown).toBeCloseTo(88, 0)
  await tabTo(page, /^round of$/)
  for (let n = 0; n < 4; n += 1) await page.keyboard.press('ArrowRight')
  expect(await seenImage(/^round of 90 mm, at life size/)).not.toBe('')

  await go('/formula')
  await press(page, 'Formula book')
  await press(page, 'Lamp-room semolina')
  await goTo(page, new URL('/bench', here.site.url).href)
  await sees(page, 'Rest, wrapped')
  await page.evaluate(() => {
    const stored = JSON.parse(localStorage.getItem('harina.preferences') ?? '{}') as { devicePxPerMm?: number }
    if (!stored.devicePxPerMm) throw new Error('the measure of the screen is not kept')
  })
})

it('one dough into two shapes, undone by one press', async () => {
  await go('/formula')
  await press(page, 'Formula book')
  await press(page, 'Half-and-half hand ropes')
  await go('/shape')
  await tab('At the board (2 shapes)')
  await sees(page, 'together')
  await press(page, 'Take out Strozzapreti')
  expect(await textOf(page)).not.toContain('together')
  await page.keyboard.down('Control')
  await page.keyboard.press('z')
  await page.keyboard.up('Control')
  await sees(page, 'together')
})

it('another shape moves the window on the rule, and the smallest change brings the dough in', async () => {
  await go('/formula')
  await press(page, 'Formula book')
  await press(page, 'Stiff semolina')
  await sees(page, 'Malloreddus')
  await go('/shape/library')
  await page.locator('::-p-aria([role="searchbox"])').fill('strascinati')
  await sees(page, '1 of 111')
  await press(page, 'Strascinati dragged leaves')
  await press(page, 'Take it: Strascinati')
  await sees(page, 'Make it your own')
  await sees(page, 'points too stiff')
  await page.evaluate(() => {
    const bring = [...document.querySelectorAll('button')].find((button) =>
      button.textContent?.startsWith('Bring the water'),
    )
    bring?.click()
  })
  await page.waitForFunction(() => /Good|Just where/.test(document.querySelector('[role=status]')?.textContent ?? ''))
  await go('/formula')
  await sees(page, 'Strascinati')
})
