/** The browser's store full, refused, silent or dropped; other tabs and double presses: told as it is, and nothing lost. */
import type { Gear } from '@harina/core'
import type { Page } from 'puppeteer-core'
import {
  bringBack,
  catchDownloads,
  fill,
  goTo,
  keptEvents,
  onTo,
  openPage,
  press,
  pressStarting,
  reload,
  sees,
  storedIn,
  takeToBench,
  textOf,
  valueOf,
  withDisk,
} from './harness/index.ts'
import { useSiteAnew } from './useSite.ts'

const here = useSiteAnew()
const go = (page: Page, path: string) => goTo(page, new URL(path, here.site.url).href)
const gear = async (page: Page) => (await storedIn<Gear>(page, 'gear'))[0]!
const titleIs = (page: Page, words: string) =>
  page.waitForFunction((wanted) => document.querySelector('#work h1')?.textContent?.startsWith(wanted), {}, words)

const NOTE = 'Rolled like rope, ate like bread.'

/** A dough at its verdict, with a word of it chosen and a note written. */
async function atTheVerdict(page: Page): Promise<void> {
  await go(page, '/formula')
  await takeToBench(page, 'Lamp-room semolina')
  await onTo(page, 'How was it to eat')
  await page.keyboard.press('3')
  await page.type('textarea', NOTE)
  // A note still on its way would meet the full disk before the tap does.
  const isKept = async () =>
    Object.values(await keptEvents(page))
      .flat()
      .some((event) => event.type === 'noted' && event.text === NOTE)
  for (let tries = 0; tries < 100 && !(await isKept()); tries += 1)
    await new Promise((resolve) => setTimeout(resolve, 50))
}

describe('a full disk', () => {
  it('leaves what was changed on the screen, says so once, and stores it when there is room', async () => {
    const page = await openPage(here.visit, here.site.url)
    const disk = await withDisk(page)
    await go(page, '/gear')
    const { boardMm } = await gear(page)
    await disk(true)
    await fill(page, 'Board length, millimetres', '812')
    await sees(page, 'Not stored')
    await sees(page, 'This device is full')
    await page.keyboard.press('Tab')
    expect(
      await page.$eval('[aria-label="Board length, millimetres"]', (each) => (each as HTMLInputElement).value),
    ).toBe('812')
    expect((await gear(page)).boardMm).toBe(boardMm)
    expect(await page.$$eval('[data-sonner-toast]', (toasts) => toasts.length)).toBe(1)
    await disk(false)
    await press(page, 'Try again')
    await page.waitForFunction(() => document.body.innerText.length > 0)
    for (let tries = 0; tries < 50 && (await gear(page)).boardMm !== 812; tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 50))
    expect((await gear(page)).boardMm).toBe(812)
    await page.waitForFunction(() => !document.body.innerText.includes('Not stored'))
  })

  it('records nothing at the bench and says so; freed, the same tap goes through without a reload', async () => {
    const page = await openPage(here.visit, here.site.url)
    const disk = await withDisk(page)
    await atTheVerdict(page)
    await disk(true)
    await pressStarting(page, 'Write in the log')
    await sees(page, 'Not stored')
    expect(await textOf(page)).not.toContain('is in the log')
    await titleIs(page, 'How was it to eat')
    expect(await page.$eval('textarea', ({ value }) => value)).toBe(NOTE)
    await disk(false)
    await pressStarting(page, 'Write in the log')
    await sees(page, 'is in the log')
    await sees(page, NOTE)
  })

  it('is not told as kept, removed, split or brought in', async () => {
    const page = await openPage(here.visit, here.site.url)
    const disk = await withDisk(page)
    await go(page, '/gear/sacks')
    await disk(true)
    await pressStarting(page, 'Remove')
    await sees(page, 'Not stored')
    expect(await textOf(page)).not.toContain('is removed')
    // Leaving with something unstored is asked about.
    const asked: string[] = []
    page.on('dialog', (dialog) => asked.push(dialog.type()))
    await go(page, '/formula')
    expect(asked).toEqual(['beforeunload'])
    await press(page, 'Formula book')
    await press(page, 'Signal noodles')
    await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
    await disk(true)
    await press(page, 'Formula book')
    await press(page, 'Copy Signal noodles')
    await sees(page, 'Not stored')
    expect(await textOf(page)).not.toContain('is in the book')
  })
})

describe('two tabs and the log', () => {
  it('a batch is not said to be in the log while another tab holds the bench, and its note is not gone', async () => {
    const page = await openPage(here.visit, here.site.url)
    await atTheVerdict(page)
    const { pathname } = new URL(page.url())
    const other = await here.visit.browser.newPage()
    await go(other, pathname)
    await press(other, 'Take the bench over')
    await page.bringToFront()
    await sees(page, 'Another tab holds the bench')
    await pressStarting(page, 'Write in the log')
    await sees(page, 'Nothing was recorded here')
    expect(await textOf(page)).not.toContain('is in the log')
    expect(new URL(page.url()).pathname).toBe(pathname)
    // The same of what stands beside the step.
    // The word about it has come to rest, and lies over nothing.
    await new Promise((resolve) => setTimeout(resolve, 800))
    await pressStarting(page, 'Pause, hand over or stop')
    await page.waitForSelector('[role=dialog]')
    // What is cooked is neither chilled nor split any more.
    expect(await textOf(page)).not.toMatch(/Split it|from the fridge/)
    await press(page, 'Set aside')
    await new Promise((resolve) => setTimeout(resolve, 500))
    expect(await textOf(page)).not.toContain('It stands at:')
    await page.keyboard.press('Escape')
    await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
    expect(await page.$eval('textarea', ({ value }) => value)).toBe(NOTE)
  })
})

it('one press that comes twice in one instant is recorded once', async () => {
  const page = await openPage(here.visit, here.site.url)
  await go(page, '/formula')
  await takeToBench(page, 'Lamp-room semolina')
  await onTo(page, 'Pour')
  const id = /\/bench\/([\w-]+)/.exec(page.url())![1]!
  await page.evaluate(() => {
    const main = [...document.querySelectorAll<HTMLButtonElement>('#work button.action')].at(-1)
    main?.click()
    main?.click()
    main?.click()
  })
  await page.waitForFunction(() => !document.querySelector('#work h1')?.textContent?.startsWith('Pour 1'))
  await new Promise((resolve) => setTimeout(resolve, 400))
  const poured = ((await keptEvents(page))[id] ?? []).filter(({ type }) => type === 'poured')
  expect(poured).toHaveLength(1)
})

it('flour mistyped as a tenth of a gram leaves a bench that can be worked at, and opens again', async () => {
  const page = await openPage(here.visit, here.site.url)
  await go(page, '/formula')
  await takeToBench(page, 'Lamp-room semolina')
  await onTo(page, 'Weigh the flour')
  const field = (await page.waitForSelector('#work input[inputmode=decimal]'))!
  await field.click({ count: 3 })
  await field.type('0.1')
  await pressStarting(page, 'Weighed')
  await onTo(page, 'How does it feel')
  expect(
    await page.$$eval('#work svg', (all) => Math.max(...all.map((svg) => svg.querySelectorAll('*').length))),
  ).toBeLessThan(2000)
  await reload(page)
  await sees(page, 'How does it feel')
})

describe('the store itself', () => {
  it('dropped by the browser: said before anything is put in its place, and a file brings the work back', async () => {
    const page = await openPage(here.visit, new URL('/gear/files', here.site.url).href)
    const downloads = await catchDownloads(page)
    await press(page, 'Export everything')
    const { path, text } = await downloads.next()
    const drop = async () => {
      const session = await page.createCDPSession()
      await page.goto('about:blank')
      await session.send('Storage.clearDataForOrigin', {
        origin: new URL(here.site.url).origin,
        storageTypes: 'indexeddb',
      })
      await goTo(page, here.site.url)
      await sees(page, 'The browser has dropped your work')
    }
    await drop()
    // Looked at and left alone, it says so again.
    await reload(page)
    await sees(page, 'The browser has dropped your work')
    await press(page, 'Bring my exported file in')
    await bringBack(page, path, (JSON.parse(text) as { batches: unknown[] }).batches.length)
    expect(await storedIn(page, 'formulas')).toHaveLength((JSON.parse(text) as { formulas: unknown[] }).formulas.length)
    await drop()
    await press(page, 'Begin anew, without it')
    await sees(page, 'Formula')
    // It is shown first and stored right after.
    for (let tries = 0; tries < 50 && (await storedIn(page, 'formulas')).length === 0; tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 100))
    expect((await storedIn(page, 'formulas')).length).toBeGreaterThan(0)
  })

  it('dropped under an open page: what is on the screen stays there, and is put back by one press', async () => {
    const page = await openPage(here.visit, here.site.url)
    await go(page, '/gear')
    await fill(page, 'Board length, millimetres', '812')
    const formulas = (await storedIn(page, 'formulas')).length
    const session = await page.createCDPSession()
    await session.send('Storage.clearDataForOrigin', {
      origin: new URL(here.site.url).origin,
      storageTypes: 'indexeddb',
    })
    await fill(page, 'Board length, millimetres', '813')
    await sees(page, 'The browser has dropped your work')
    expect(await page.$$('[aria-label="Name of the place"]')).toHaveLength(2)
    await pressStarting(page, 'Put it back')
    await sees(page, 'It is put back')
    expect(await gear(page)).toMatchObject({ boardMm: 813 })
    expect(await storedIn(page, 'formulas')).toHaveLength(formulas)
    // One at the bench, two on the rack.
    expect(await storedIn(page, 'openBatches')).toHaveLength(3)
    await fill(page, 'Board length, millimetres', '814')
    expect(await valueOf(page, 'Board length, millimetres')).toBe('814')
    await reload(page)
    expect(await gear(page)).toMatchObject({ boardMm: 814 })
  })

  it('that never answers is said to be silent, instead of a blank page', async () => {
    const page = await here.visit.browser.newPage()
    await page.evaluateOnNewDocument(() => {
      IDBFactory.prototype.open = () => ({}) as IDBOpenDBRequest
    })
    await page.goto(here.site.url)
    await sees(page, 'The browser’s store does not answer')
  })

  it('refused by a browser that blocks site data is said so, instead of a blank page', async () => {
    const page = await here.visit.browser.newPage()
    await page.evaluateOnNewDocument(() => {
      const refuse = () => {
        throw new DOMException('Access is denied for this document.', 'SecurityError')
      }
      IDBFactory.prototype.open = refuse
      Object.defineProperty(window, 'localStorage', { get: refuse })
    })
    await page.goto(here.site.url)
    await sees(page, 'This browser will not keep your work')
  })
})
