/** A recipe by keys alone: pasted, one doubt settled, kept in the book, taken to the bench; a long one, a hostile one, a file. */
import type { Formula, Gear } from '@harina/core'
import { mkdtemp, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from 'puppeteer-core'
import { catchDownloads, goTo, openPage, press, sees, storedIn, tabTo } from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
let page: Page

const RECIPE = `Cavatelli, the long way round
2 cups fine semolina
3/4 cup warm water
20 g malt extract
Knead 12 minutes, rest 40 minutes. Boil 6 to 8 minutes.`

beforeAll(async () => {
  page = await openPage(here.visit, here.site.url)
})

/** As the clipboard would: in one go, where the caret stands. */
const paste = (text: string): Promise<void> =>
  page.evaluate((pasted) => void document.execCommand('insertText', false, pasted), text)

async function openReader(): Promise<void> {
  await goTo(page, new URL('/formula', here.site.url).href)
  await tabTo(page, /^New$/)
  await page.keyboard.press('Enter')
  await sees(page, 'Start this draft')
  await tabTo(page, /^Read a recipe$/)
  await page.keyboard.press('Enter')
  await sees(page, 'What is read stands here')
  await tabTo(page, /^The recipe$/)
}

it('by keys: pasted, one doubt settled, kept, taken to the bench with its own times', async () => {
  await openReader()
  await paste(RECIPE)
  await sees(page, 'malt extract: not known')
  await sees(page, 'how a cup is filled')
  await tabTo(page, /^not of the dough$/)
  await page.keyboard.press('Enter')
  await page.waitForFunction(() => !document.body.innerText.includes('not known'))
  await tabTo(page, /^Make it a draft$/)
  await page.keyboard.press('Enter')
  await sees(page, 'as it was read')
  await sees(page, 'read: ')
  await tabTo(page, /^Keep in the book$/)
  await page.keyboard.press('Enter')
  await sees(page, 'as in the book')
  await tabTo(page, /^Take to the bench$/)
  await page.keyboard.press('Enter')
  await sees(page, 'At hand first')
  const [kept] = (await storedIn<Formula>(page, 'formulas')).filter(({ sheet }) => sheet.note === RECIPE)
  expect(kept!.sheet).toMatchObject({
    name: 'Cavatelli, the long way round',
    dough: 'sw-hand',
    asRead: { kneadMin: [12, 12], restMin: 40, cookMin: [6, 8] },
  })
  expect((await storedIn<Gear>(page, 'gear'))[0]!.readAs).toEqual([{ name: 'malt extract', is: null }])
})

it('the answer is remembered: the same recipe asks nothing the next time', async () => {
  await openReader()
  await paste(RECIPE)
  await sees(page, '“malt extract” is not of the dough')
  expect(await page.evaluate(() => document.body.innerText)).not.toContain('not known')
  await page.keyboard.press('Escape')
})

it('two hundred kilobytes are read away from the page, which answers meanwhile; a script in it stays text', async () => {
  await openReader()
  const line = '<script>globalThis.harmed = true</script> 400 g fine semolina, 190 g water, 4 g salt. Knead. '
  const long = `${RECIPE}\n${line.repeat(Math.ceil(200_000 / line.length))}`.slice(0, 200_000)
  await page.evaluate((text) => {
    const field = document.querySelector<HTMLTextAreaElement>('[aria-label="The recipe"]')!
    // As React hears of it.
    Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')!.set!.call(field, text)
    field.dispatchEvent(new Event('input', { bubbles: true }))
    // Pictures drawn while it is read: a page that worked itself would draw none.
    const seen = globalThis as { drawn?: number }
    const frame = () => {
      if (document.querySelector('[aria-busy="true"]')) seen.drawn = (seen.drawn ?? 0) + 1
      requestAnimationFrame(frame)
    }
    requestAnimationFrame(frame)
  }, long)
  await sees(page, '2 cups fine semolina')
  expect(await page.evaluate(() => (globalThis as { drawn?: number }).drawn)).toBeGreaterThan(5)
  expect(await page.evaluate(() => (globalThis as { harmed?: true }).harmed)).toBeUndefined()
  expect(await page.$('[role=dialog] script')).toBeNull()
  await page.keyboard.press('Escape')
})

it('a file of the web is opened, and what is written out reads back', async () => {
  await openReader()
  const path = join(await mkdtemp(join(tmpdir(), 'harina-recipe-')), 'ropes.html')
  await writeFile(
    path,
    `<script type="application/ld+json">${JSON.stringify({ '@type': 'Recipe', name: 'Quay ropes', recipeIngredient: ['500 g plain flour', '230 g water', '5 g salt'] })}</script>`,
  )
  const input = await page.$('[role=dialog] input[type=file]')
  await input!.uploadFile(path)
  await sees(page, '230 g water')
  await press(page, 'Make it a draft')
  await press(page, 'Write it out')
  const downloads = await catchDownloads(page)
  await press(page, 'Save it as a file')
  const saved = await downloads.next()
  expect(saved.path).toMatch(/quay-ropes\.txt$/)
  await page.keyboard.press('Escape')
  await openReader()
  await paste(saved.text)
  await page.waitForFunction(() => document.querySelectorAll('[role=dialog] tbody tr').length === 3)
  const rows = await page.$$eval('[role=dialog] tbody tr', (all) =>
    all.map((row) => row.querySelector('td')!.textContent),
  )
  expect(rows).toEqual(['500 g', '230 g', '5.0 g'])
})

/** As a hand lets go of a file. */
async function dropOn(selector: string, path: string): Promise<void> {
  const { x, y, width, height } = (await (await page.$(selector))!.boundingBox())!
  const hand = await page.createCDPSession()
  for (const type of ['dragEnter', 'dragOver', 'drop'] as const)
    await hand.send('Input.dispatchDragEvent', {
      type,
      x: x + width / 2,
      y: y + height / 2,
      data: { items: [], files: [path], dragOperationsMask: 1 },
    })
  await hand.detach()
}

it('a file let go of over the sheet is read; what comes to nothing is listed, and what is no text is refused', async () => {
  await goTo(page, new URL('/formula', here.site.url).href)
  await sees(page, 'Where ')
  const dir = await mkdtemp(join(tmpdir(), 'harina-drop-'))
  const [recipe, picture] = [join(dir, 'old.txt'), join(dir, 'ropes.png')]
  // One byte to the letter, as files once were.
  await writeFile(
    recipe,
    Buffer.from('300 g flour\r\n\xbd cup water\r\na handful of grated cheese\r\n2 sheets of paper', 'latin1'),
  )
  await writeFile(picture, Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 0x0d]))
  await dropOn('main', picture)
  await sees(page, 'ropes.png is no text')
  expect(await page.$('[role=dialog]')).toBeNull()
  // The word about it lies over the sheet, where the next hand lets go.
  await dropOn('[data-sonner-toast]', recipe)
  await sees(page, '½ cup water')
  await sees(page, '2 sheets of paper')
  expect(await page.$eval('[role=dialog]', (panel) => panel.textContent)).toContain('grated cheese')
  await writeFile(recipe, '300 g flour, 141 g water')
  await dropOn('[role=dialog] textarea', recipe)
  await sees(page, '141 g water')
})
