/** A bench that is interrupted: set aside, handed over, split, undone, put away cold, and all of it still so after a reload. */
import type { Page } from 'puppeteer-core'
import { fill, keptEvents, onTo, openPage, press, pressStarting, reload, sees, takeToBench } from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
let page: Page

const tabs = () =>
  page.$$eval('nav[aria-label="Doughs"] a', (links) => links.map((link) => link.querySelector('.head')?.textContent))
const closed = () => page.waitForFunction(() => !document.querySelector('[role=dialog]'))
const interrupt = async () => {
  await press(page, 'Pause, hand over or stop')
  await sees(page, 'Give it up')
}

beforeAll(async () => {
  page = await openPage(here.visit, here.site.url)
  await takeToBench(page, 'Lamp-room semolina')
  await onTo(page, 'Divide')
})

it('set aside, it says since when, through a reload, and goes on where it was', async () => {
  await interrupt()
  await press(page, 'Set aside')
  await sees(page, 'It stands at: divide')
  await reload(page)
  await sees(page, 'It stands at: divide')
  await pressStarting(page, 'Go on with it')
  await sees(page, 'lumps')
})

it('handed over, its word stands above the step until somebody has it', async () => {
  await interrupt()
  await press(page, 'Late bench')
  await press(page, 'Hand over')
  await sees(page, 'For Late bench, handed over at')
  await press(page, 'I have it')
  await page.waitForFunction(() => !document.body.innerText.includes('For Late bench'))
})

it('split, there are two in the strip; undone, one; and redone, the same two', async () => {
  const split = 'Second part, Lamp-room semolina'
  await interrupt()
  await fill(page, 'Grams to carve off', '400')
  await press(page, 'Split')
  await closed()
  await sees(page, 'It is in two parts now')
  await page.waitForFunction((name) => document.body.innerText.includes(name), {}, split)
  const before = await keptEvents(page)
  await pressStarting(page, 'Undo')
  await page.waitForFunction((name) => !document.body.innerText.includes(name), {}, split)
  expect(await tabs()).not.toContain(split)
  await press(page, 'Redo')
  await page.waitForFunction((name) => document.body.innerText.includes(name), {}, split)
  const after = await keptEvents(page)
  const other = Object.keys(after).find((id) =>
    after[id]!.some((event) => event.type === 'split' && event.part === 'taken'),
  )!
  expect(after[other]).toEqual(before[other])
})

it('put away cold, it waits in the fridge through a reload and comes back by its own clock', async () => {
  await interrupt()
  await press(page, 'Into the fridge')
  await sees(page, 'Back from the fridge')
  await reload(page)
  await sees(page, 'Take it out when you are ready for it')
  await pressStarting(page, 'It is out')
  await sees(page, 'left')
  await pressStarting(page, 'Supple, go on')
  await sees(page, 'lumps')
})

it('given up with a reason, it is in the log with it', async () => {
  await interrupt()
  await press(page, 'Ran out of time')
  await press(page, 'Give it up')
  await page.waitForFunction(() => location.pathname.startsWith('/log/'))
  await sees(page, 'given up: Ran out of time')
  await sees(page, 'handed to Late bench')
})
