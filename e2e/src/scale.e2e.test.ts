/** A batch weighed and poured on the scale that ships with the product: over-poured, the line lost, nothing lost. */
import type { ScaleAct } from '@harina/core'
import type { Page } from 'puppeteer-core'
import {
  actOnScale,
  goTo,
  keptEvents,
  openPage,
  press,
  pressStarting,
  reload,
  scaleRestsAt,
  sees,
  textOf,
  valueOf,
} from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
let page: Page

const act = (body: ScaleAct) => actOnScale(here.site.url, body)
const restsAt = (grams: number) => scaleRestsAt(page, grams)
const FLOUR = 'Remilled durum R-34, grams on the scale'

beforeAll(async () => {
  page = await openPage(here.visit, here.site.url)
  await goTo(page, new URL('/formula', here.site.url).href)
  await press(page, 'Take to the bench')
  await pressStarting(page, 'All at hand')
  await sees(page, 'Weigh the flour')
})

it('a bowl is tared, flour is put on, and what rests is taken', async () => {
  await press(page, 'Read a scale')
  await restsAt(0)
  await press(page, 'The scale to practise with')
  await press(page, 'Put on')
  await restsAt(250)
  await press(page, 'Tare')
  await page.keyboard.press('Escape')
  await restsAt(0)
  const wanted = Number(await valueOf(page, FLOUR))
  await act({ act: 'put', grams: wanted - 3 })
  await restsAt(wanted - 3)
  expect(await textOf(page)).toMatch(/[234] g to go|there/)
  await pressStarting(page, 'Take ')
  expect(Math.abs(Number(await valueOf(page, FLOUR)) - (wanted - 3))).toBeLessThanOrEqual(1)
})

it('the line is lost in the middle: it says so, what was taken stays, typing goes on, and it comes back', async () => {
  const taken = await valueOf(page, FLOUR)
  await act({ act: 'drop', seconds: 3 })
  await sees(page, 'The scale is gone')
  expect(await valueOf(page, FLOUR)).toBe(taken)
  await pressStarting(page, 'Weighed, go on')
  await sees(page, 'Make the water')
  await pressStarting(page, 'Made, go on')
  await sees(page, 'still to pour')
  await page.waitForSelector('[data-steady=true]', { timeout: 20_000 })
})

it('over-poured: the flour that brings it back, in one press, and it is in the batch', async () => {
  await act({ act: 'tare' })
  await restsAt(0)
  await act({ act: 'put', grams: 520 })
  await restsAt(520)
  await sees(page, ' over')
  await pressStarting(page, 'Take 5')
  await sees(page, 'more than all of it')
  await pressStarting(page, 'Poured 5')
  await sees(page, 'How does it feel?')
  await reload(page)
  await sees(page, 'How does it feel?')
  const kept = (await keptEvents(page))[new URL(page.url()).pathname.split('/').at(-1)!] ?? []
  const flour = kept.find((event) => event.type === 'added-flour')
  expect(flour).toMatchObject({ type: 'added-flour' })
  expect(flour?.type === 'added-flour' && flour.grams).toBeGreaterThan(50)
  expect(kept.some((event) => event.type === 'poured' && Math.abs(event.grams - 520) <= 1)).toBe(true)
})
