/** By a finger on a phone: what scrolls changes no figure, what is drawn sideways does. */
import type { Page } from 'puppeteer-core'
import { openPage, PHONE, reload, swipe, valueOf } from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
let page: Page

beforeAll(async () => {
  page = await openPage(here.visit, here.site.url)
  await page.setViewport({ ...PHONE, hasTouch: true, isMobile: true })
  await reload(page)
})

const middleOf = async (selector: string): Promise<[number, number]> => {
  const box = await (await page.waitForSelector(selector))!.boundingBox()
  return [box!.x + box!.width / 2, box!.y + box!.height / 2]
}
const hydration = () => valueOf(page, 'Hydration, percent')
const top = () => page.$eval('main', (main) => main.scrollTop)

it('a swipe up over the rule scrolls the page, and leaves the water alone; so does a tap', async () => {
  const before = await hydration()
  const [x, y] = await middleOf('svg:has([role=slider])')
  await swipe(page, [x + 40, y], 2, -160)
  expect(await hydration()).toBe(before)
  expect(await top()).toBeGreaterThan(60)
  await page.$eval('main', (main) => main.scrollTo(0, 0))
  expect(await hydration()).toBe(before)
  await page.touchscreen.tap(x + 60, y)
  expect(await hydration()).toBe(before)
})

it('sideways over the rule, or by its handle, the water follows the finger', async () => {
  await page.$eval('main', (main) => main.scrollTo(0, 0))
  const before = Number(await hydration())
  const [x, y] = await middleOf('svg:has([role=slider])')
  await swipe(page, [x - 20, y], 60, 0)
  const dragged = Number(await hydration())
  expect(dragged).not.toBe(before)
  await swipe(page, await middleOf('[role=slider]'), -40, 0)
  expect(Number(await hydration())).toBeLessThan(dragged)
})
