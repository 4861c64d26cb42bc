/** Words typed into a record that is shown, stored and heard again meanwhile: no letter is lost, and the caret stays. */
import type { Formula, Gear, Lot } from '@harina/core'
import type { ElementHandle, Page } from 'puppeteer-core'
import { fill, goTo, named, openAnew, openPage, press, reload, sees, storedIn } from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
let page: Page

const go = (to: Page, path: string) => goTo(to, new URL(path, here.site.url).href)
const WORD = 'abcdefghij'

beforeAll(async () => {
  page = await openPage(here.visit, here.site.url)
})

type Field = ElementHandle<HTMLInputElement>

/** Typed before what stands in a field, with real keys at a pace; where the caret then is. */
async function typeInFront(field: Field, text: string, delay: number): Promise<number | null> {
  await field.click()
  await page.keyboard.press('Home')
  await field.type(text, { delay })
  return field.evaluate(({ selectionStart }) => selectionStart)
}

const firstNamed = async (label: string): Promise<Field> =>
  (await page.waitForSelector(`[aria-label="${label}"]`)) as unknown as Field

const gear = async () => (await storedIn<Gear>(page, 'gear'))[0]!
const storedNames = async (): Promise<readonly string[]> => {
  const { places, vessels, rollers, presses } = await gear()
  const [lots, drafts] = [await storedIn<Lot>(page, 'lots'), await storedIn<Formula>(page, 'drafts')]
  return [...places, ...vessels, ...rollers, ...presses, ...lots]
    .map(({ name }) => name)
    .concat(drafts.map(({ sheet }) => sheet.name))
}

const fields = [
  ['/gear', 'Name of the place'],
  ['/gear', 'Name of the vessel'],
  ['/gear/machines', 'Name of the roller'],
  ['/gear/machines', 'Name of the press'],
  ['/gear/sacks', 'Name of the lot'],
  ['/formula', 'Name of the formula'],
] as const

it.each(fields)('at %s, %s, at any pace: typed in front of what stands there, and stored so', async (path, label) => {
  await go(page, path)
  for (const delay of [0, 30, 120]) {
    const field = await firstNamed(label)
    const before = await field.evaluate(({ value }) => value)
    expect(await typeInFront(field, WORD, delay)).toBe(WORD.length)
    expect(await field.evaluate(({ value }) => value)).toBe(WORD + before)
    await page.keyboard.press('Tab')
    await page.waitForFunction(() => document.activeElement?.tagName !== 'BODY')
    for (let tries = 0; tries < 50 && !(await storedNames()).includes(WORD + before); tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 50))
    expect(await storedNames()).toContain(WORD + before)
    expect(await field.evaluate(({ value }) => value)).toBe(WORD + before)
  }
})

it('letters put into the middle of a name stay where they were put', async () => {
  await go(page, '/gear')
  const field = await firstNamed('Name of the place')
  await field.click({ count: 3 })
  await field.type('Sea store')
  await page.keyboard.press('Home')
  for (let n = 0; n < 3; n += 1) await page.keyboard.press('ArrowRight')
  await field.type('-side', { delay: 0 })
  expect(await field.evaluate(({ value, selectionStart }) => [value, selectionStart])).toEqual(['Sea-side store', 8])
})

it('a name emptied and left is what it was', async () => {
  await go(page, '/gear')
  const field = await firstNamed('Name of the place')
  const before = await field.evaluate(({ value }) => value)
  await field.click({ count: 3 })
  await page.keyboard.press('Backspace')
  expect(await field.evaluate(({ value }) => value)).toBe('')
  await page.keyboard.press('Tab')
  expect(await field.evaluate(({ value }) => value)).toBe(before)
})

it('two figures changed at once both stand', async () => {
  await go(page, '/gear')
  await fill(page, 'Board length, millimetres', '777')
  await (await named(page, 'radio', '0.1 g')).click()
  await sees(page, 'Scale and board')
  await reload(page)
  expect(await gear()).toMatchObject({ boardMm: 777, scaleStepG: 0.1 })
  expect(await (await firstNamed('Board length, millimetres')).evaluate(({ value }) => value)).toBe('777')
})

describe('the day a sack came', () => {
  const LABEL = 'Remilled durum R-34, since when'
  const lot = async () => (await storedIn<Lot>(page, 'lots')).find(({ name }) => name === 'Remilled durum R-34')!
  const valueOf = async () => (await firstNamed(LABEL)).evaluate(({ value }) => value)
  const typed = async (keys: string, delay: number) => {
    if (!page.url().endsWith('/gear/sacks')) await go(page, '/gear/sacks')
    const field = await firstNamed(LABEL)
    await field.focus()
    await page.keyboard.type(keys, { delay })
    return field
  }

  it('typed at any pace, stands and is stored', async () => {
    for (const delay of [120, 30, 0]) {
      const day = `2026-10-0${1 + delay / 30}`
      await typed(`10${day.slice(8)}2026`, delay)
      await page.keyboard.press('Tab')
      await reload(page)
      expect(await valueOf()).toBe(day)
      expect((await lot()).since).toMatch(day)
    }
  })

  it('half typed, or not come yet, and left: what stood there stands, and it is said', async () => {
    const before = [await valueOf(), (await lot()).since]
    for (const keys of ['', '12312999']) {
      const field = await typed(keys, 0)
      if (keys === '') await page.keyboard.press('Backspace')
      await field.evaluate((element) => element.blur())
      await sees(page, 'a day from 2000 to today')
      // On the way it was another day for a moment; what stood there is stored again, too.
      for (let n = 0; n < 50 && (await lot()).since !== before[1]; n += 1)
        await new Promise((wait) => setTimeout(wait, 50))
      expect([await valueOf(), (await lot()).since]).toEqual(before)
    }
  })
})

describe('two tabs on one sheet', () => {
  let other: Page
  const value = (of: Page, label: string) =>
    of.$eval(`[aria-label="${label}"]`, (field) => (field as HTMLInputElement).value)
  const both = async (label: string, expected: string) => {
    for (const tab of [page, other])
      await tab.waitForFunction(
        (name, text) => document.querySelector<HTMLInputElement>(`[aria-label="${name}"]`)?.value === text,
        // A tab behind another draws no frames.
        { timeout: 10_000, polling: 100 },
        label,
        expected,
      )
  }
  const stored = async () => (await storedIn<Formula>(page, 'drafts'))[0]!.sheet

  beforeAll(async () => {
    await go(page, '/formula')
    other = await here.visit.browser.newPage()
    await go(other, '/formula')
    await other.waitForSelector('[aria-label="Name of the formula"]')
  })
  afterAll(() => other.close())

  it.each([0, 30, 120])(
    'typed in at the same time, %i ms a key, neither loses a letter to the other',
    async (delay) => {
      const [name, note] = [`Tab one ${delay}`, `tab two writes this at ${delay} ms a key`]
      const over = async (tab: Page, label: string, text: string) => {
        const field = (await tab.waitForSelector(`[aria-label="${label}"]`))!
        await field.evaluate((each) => {
          ;(each as HTMLInputElement).focus()
          ;(each as HTMLInputElement).select()
        })
        await field.type(text, { delay })
      }
      await Promise.all([over(page, 'Name of the formula', name), over(other, 'Notes on this formula', note)])
      await both('Name of the formula', name)
      await both('Notes on this formula', note)
      expect(await stored()).toMatchObject({ name, note })
    },
  )

  const type = async (tab: Page, label: string, text: string) => {
    await tab.bringToFront()
    // One pair of hands: the field behind loses the focus, which a browser without windows does not see.
    await (tab === page ? other : page).evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
    await fill(tab, label, text)
  }

  it('the last keystroke wins, and nothing older comes back', async () => {
    await type(page, 'Portions', '5')
    await both('Portions', '5')
    await type(other, 'Portions', '7')
    await other.keyboard.press('Tab')
    await both('Portions', '7')
    await type(page, 'Name of the formula', 'Both of us')
    await both('Name of the formula', 'Both of us')
    expect(await value(page, 'Portions')).toBe('7')
    expect(await stored()).toMatchObject({ name: 'Both of us', target: { by: 'portions', count: 7 } })
  })

  it('what the other tab did can be undone here like any change, and is undone there too', async () => {
    await type(other, 'Portions', '9')
    await other.keyboard.press('Tab')
    await both('Portions', '9')
    await page.bringToFront()
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
    await press(page, 'Undo')
    await both('Portions', '7')
    expect(await stored()).toMatchObject({ name: 'Both of us', target: { count: 7 } })
  })
})

describe('on a slow line, while lists and search fields are still on their way', () => {
  let tab: Page
  let anew: Awaited<ReturnType<typeof openAnew>>
  let letThrough = () => undefined as void
  const atRest = (label: string) => tab.waitForSelector(`[data-at-rest][aria-label="${label}"]`)
  const options = () => tab.$$eval('[role=option]', (all) => all.map(({ textContent }) => textContent ?? ''))

  beforeEach(async () => {
    anew = await openAnew(here.visit)
    tab = await anew.browser.newPage()
    await tab.evaluateOnNewDocument(() => Reflect.deleteProperty(Navigator.prototype, 'serviceWorker'))
    const held = new Promise<void>((resolve) => (letThrough = resolve))
    await tab.setRequestInterception(true)
    tab.on('request', (request) => {
      const through = request.url().includes('fromPackage') ? held : Promise.resolve()
      void through.then(() => request.continue())
    })
    await tab.goto(new URL('/formula', here.site.url).href)
  })
  afterEach(() => anew.close())

  it('what is typed into one stays, finds once it can, and is taken by key', async () => {
    await (await atRest('Add to the ledger'))!.focus()
    await tab.keyboard.type('whole e')
    expect(await options()).toEqual([])
    letThrough()
    await tab.waitForFunction(() => !document.querySelector('[data-at-rest]'))
    await tab.keyboard.type('gg')
    await tab.waitForFunction(() => document.querySelector('[role=option]')?.textContent?.toLowerCase().includes('egg'))
    expect(await tab.evaluate(() => (document.activeElement as HTMLInputElement).value)).toBe('whole egg')
    await tab.keyboard.press('Enter')
    await tab.waitForSelector('table input[aria-label*="egg" i]')
  })

  it('a list that is pressed opens when it comes, and one of a few is taken at once', async () => {
    await (await atRest('Mixed in'))!.click()
    await tab.click('[role=radiogroup][data-at-rest][aria-label="Solve for"] [role=radio]:nth-child(2)')
    await sees(tab, 'pieces')
    expect(await tab.$eval('[aria-label="Solve for"] [aria-checked=true]', ({ textContent }) => textContent)).toBe(
      'pieces',
    )
    expect(await options()).toEqual([])
    letThrough()
    await tab.waitForSelector('[role=option]')
    expect(await options()).toContain('The big bowl, 4000 g')
  })
})
