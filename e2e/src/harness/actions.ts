/** What a maker does, in the words on the screen. */
import { goTo } from './harness.ts'
import type { ElementHandle, Page } from 'puppeteer-core'

const WAIT_MS = 15_000
/** Reading the whole page at every frame would cost more than what it waits for. */
const LOOK_MS = 40

/** An element by what assistive technology calls it; a test that cannot find it says the name. */
export async function named(page: Page, role: string, name: string): Promise<ElementHandle<HTMLElement>> {
  const found = await page
    .waitForSelector(`::-p-aria([name="${name}"][role="${role}"])`, { visible: true, timeout: WAIT_MS })
    .catch(() => null)
  if (!found) throw new Error(`no ${role} named “${name}” on ${page.url()}`)
  return found as ElementHandle<HTMLElement>
}

/** As a hand does: what is still sliding in is waited for. (Nothing is named inside: the page knows no helpers of a compiler.) */
async function click(element: ElementHandle<HTMLElement>): Promise<void> {
  await element.evaluate(async (target) => {
    let before = ''
    for (let frames = 0; frames < 120; frames += 1) {
      const now = JSON.stringify(target.getBoundingClientRect())
      if (now === before) return
      before = now
      await new Promise((resolve) => requestAnimationFrame(resolve))
    }
  })
  await element.click()
}

export async function press(page: Page, name: string): Promise<void> {
  await click(await named(page, 'button', name))
}

export async function follow(page: Page, name: string): Promise<void> {
  await click(await named(page, 'link', name))
}

/** A button whose label begins so: its figures vary from run to run. */
export async function pressStarting(page: Page, start: string): Promise<void> {
  const handle = await page.waitForFunction(
    (text) =>
      [...document.querySelectorAll('button')].find(
        (button) => button.textContent?.trim().startsWith(text) && !button.disabled,
      ),
    { timeout: WAIT_MS },
    start,
  )
  await click(handle.asElement() as ElementHandle<HTMLElement>)
}

/** Types a figure over what a field shows. */
export async function fill(page: Page, label: string, text: string): Promise<void> {
  const field = await named(page, 'textbox', label)
  await field.focus()
  await chord(page, 'Control', 'a')
  await page.keyboard.type(text)
}

export const valueOf = async (page: Page, label: string): Promise<string> =>
  (await named(page, 'textbox', label)).evaluate((field) => (field as HTMLInputElement).value)

export async function sees(page: Page, text: string, waitMs = WAIT_MS): Promise<void> {
  await page
    .waitForFunction((wanted) => document.body.innerText.includes(wanted), { polling: LOOK_MS, timeout: waitMs }, text)
    .catch(() => {
      throw new Error(`“${text}” is not on ${page.url()}`)
    })
}

export const textOf = (page: Page): Promise<string> => page.evaluate(() => document.body.innerText)

export async function at(page: Page, path: RegExp): Promise<void> {
  await page.waitForFunction((source) => new RegExp(source).test(location.pathname), { timeout: WAIT_MS }, path.source)
}

/** Every go of the first pour, however many there are, as the plan says. */
export async function pourAll(page: Page): Promise<void> {
  await sees(page, 'still to pour')
  for (let go = 0; go < 5; go += 1) {
    const more = (await textOf(page)).includes('more to come')
    const before = await page.$eval('#work h1', (heading) => heading.textContent)
    await page.keyboard.press('Space')
    await page.waitForFunction((was) => document.querySelector('#work h1')?.textContent !== was, {}, before)
    if (!more) return
  }
}

/** From the formula station, a formula of the book to its first step at the bench. */
export async function takeToBench(page: Page, formula: string): Promise<void> {
  await press(page, 'Formula book')
  await press(page, formula)
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
}

/** Goes on with the step by key: by space, or by the button itself while a wait runs, which space does not give up. */
export async function goOn(page: Page): Promise<void> {
  const waits = await page.$('#work button.action[data-step-action]:not([aria-keyshortcuts])')
  if (!waits) return page.keyboard.press('Space')
  await waits.focus()
  await page.keyboard.press('Enter')
}

/** The main action of each step, until one is entitled so; every dough feels right. */
export async function onTo(page: Page, words: string): Promise<void> {
  // A step's sheet is fetched when it is first wanted.
  const title = async () => {
    const heading = await page.waitForSelector('#work h1', { timeout: WAIT_MS })
    return heading!.evaluate((each) => each.textContent)
  }
  for (let n = 0; n < 40; n += 1) {
    const now = await title()
    if (now.startsWith(words)) return
    if (now.startsWith('How does it feel')) {
      const felt = await page.$eval('#work', (work) => work.textContent)
      await page.keyboard.press('3')
      await page.waitForFunction((was) => document.querySelector('#work')?.textContent !== was, {}, felt)
      await new Promise((resolve) => setTimeout(resolve, 100))
      continue
    }
    const before = await page.$eval('#work', (work) => work.textContent)
    await goOn(page)
    await page.waitForFunction((was) => document.querySelector('#work')?.textContent !== was, {}, before)
    // What the tap stored comes back in its own time.
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error(`never came to ${words}, but to ${await title()}`)
}

/** From the sheet on paper to the word for how the dough feels, the way the plan says. */
export async function mixToTheFeel(page: Page): Promise<void> {
  await press(page, 'Take to the bench')
  await sees(page, 'At hand first')
  await page.keyboard.press('Space')
  await sees(page, 'on the scale')
  await page.keyboard.press('Space')
  await sees(page, 'dissolved in it')
  await page.keyboard.press('Space')
  await pourAll(page)
  await sees(page, 'Squeeze a fistful')
}

/** Tabs on until what has the focus is so named; a page that traps or loses the focus fails here. */
export async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let tries = 0; tries < 160; tries += 1) {
    await page.keyboard.press('Tab')
    const focused = await page.evaluate(() => {
      const element = document.activeElement
      return element ? `${element.getAttribute('aria-label') ?? ''} ${element.textContent ?? ''}`.trim() : ''
    })
    if (name.test(focused)) return
  }
  throw new Error(`Tab never reached ${name}`)
}

/** A chord, as Control and z. */
export async function chord(
  page: Page,
  modifier: 'Control' | 'Shift',
  key: Parameters<Page['keyboard']['press']>[0],
): Promise<void> {
  await page.keyboard.down(modifier)
  await page.keyboard.press(key)
  await page.keyboard.up(modifier)
}

/** From the files shelf: everything is cleared. */
export async function clearWorkspace(page: Page): Promise<void> {
  await press(page, 'Clear this workspace')
  await page.waitForSelector('[role=dialog] input[type=checkbox]')
  await page.click('[role=dialog] input[type=checkbox]')
  await press(page, 'Clear it')
}

/** From the files shelf: a file is brought in, once so many batches were found in it. */
export async function bringBack(page: Page, path: string, batches: number): Promise<void> {
  const input = await page.waitForSelector('input[type=file]')
  await (input as ElementHandle<HTMLInputElement>).uploadFile(path)
  await sees(page, `${batches} batches`)
  await press(page, 'Bring it in')
  await sees(page, 'Brought in')
}

/** For what a swipe has set going to come to rest. */
const SETTLES_MS = 200

/** In steps as a finger's. */
export async function swipe(page: Page, from: readonly [number, number], byX: number, byY: number): Promise<void> {
  const [x, y] = from
  await page.touchscreen.touchStart(x, y)
  for (let step = 1; step <= 8; step += 1) await page.touchscreen.touchMove(x + (byX * step) / 8, y + (byY * step) / 8)
  await page.touchscreen.touchEnd()
  await new Promise((resolve) => setTimeout(resolve, SETTLES_MS))
}

/** Chooses in a list of Headless UI, by what the option says. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  await (await named(page, 'combobox', label)).click()
  await page.locator(`::-p-aria([role="option"][name="${option}"])`).click()
  await page.waitForFunction(() => !document.querySelector('[role=option]'))
}

/** Onto the sheet, out of the book. */
export async function openFormula(page: Page, siteUrl: string, formula: string): Promise<void> {
  await goTo(page, new URL('/formula', siteUrl).href)
  await press(page, 'Formula book')
  await press(page, formula)
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
}

/** Onto the sheet, as it is read. */
export async function readRecipe(page: Page, siteUrl: string, text: string): Promise<void> {
  await goTo(page, new URL('/formula', siteUrl).href)
  await press(page, 'New')
  await sees(page, 'Start this draft')
  await press(page, 'Read a recipe')
  await sees(page, 'What is read stands here')
  await (await named(page, 'textbox', 'The recipe')).focus()
  await page.evaluate((pasted) => void document.execCommand('insertText', false, pasted), text)
  await sees(page, 'Make it a draft')
  await press(page, 'Make it a draft')
  await sees(page, 'Keep in the book')
}
