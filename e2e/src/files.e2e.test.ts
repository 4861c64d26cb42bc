/** Files that are broken, foreign, newer, enormous or hostile: a clear message, and nothing changes. */
import { FILE_VERSION } from '@harina/core'
import { generateWorkspace } from '@harina/demo'
import { mkdtemp, truncate, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from 'puppeteer-core'
import { catchDownloads, fill, goTo, openPage, press, sees, textOf } from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite({ heavy: true })
let page: Page
let dir: string
const good = generateWorkspace(Date.parse('2031-11-08T10:20:00Z'))

beforeAll(async () => {
  page = await openPage(here.visit, new URL('/gear/files', here.site.url).href)
  dir = await mkdtemp(join(tmpdir(), 'harina-files-'))
})

let count = 0
async function bringIn(text: string): Promise<void> {
  count += 1
  const path = join(dir, `${count}.harina.json`)
  await writeFile(path, text)
  const input = await page.waitForSelector('input[type=file]')
  await input!.uploadFile(path)
}

const withName = (name: string) =>
  JSON.stringify({ ...good, formulas: [{ ...good.formulas[0]!, sheet: { ...good.formulas[0]!.sheet, name } }] })
const text = JSON.stringify(good)

it.each([
  ['empty', '', 'This file is empty'],
  ['broken off', text.slice(0, text.length / 2), 'breaks off before its end'],
  ['no JSON', 'semolina, water', 'This is not a Harina file'],
  ['foreign', '{"name":"somebody","version":"1.0"}', 'was not made by Harina'],
  [
    'newer',
    JSON.stringify({ ...good, version: FILE_VERSION + 1 }),
    `A newer Harina made this file (version ${FILE_VERSION + 1})`,
  ],
  ['nothing but zeros, 60 MB of them', '0'.repeat(60_000_000), 'This is not a Harina file'],
  [
    'a list of zeros, 60 MB of them',
    text.replace('"lots":[', `"lots":[${'0,'.repeat(30_000_000)}`),
    'This file is damaged (at lots.0)',
  ],
  [
    'of an old version, with nothing where a row should be',
    JSON.stringify({
      ...good,
      version: 3,
      batches: [{ ...good.batches[0]!, plan: { ...good.batches[0]!.plan, rows: [null] } }],
    }),
    'This file is damaged (at batches.0.plan.rows.0',
  ],
  [
    'of an old version, with a thing that imitates a number',
    JSON.stringify({
      ...good,
      version: 3,
      batches: [
        {
          ...good.batches[0]!,
          plan: { ...good.batches[0]!.plan, minutes: { rest: { best: { valueOf: 1, toString: 1 } } } },
        },
      ],
    }),
    'This file is damaged (at batches.0.plan',
  ],
  [
    'hostile in its keys',
    text.replace('"formulas"', '"__proto__":{"polluted":true},"formulas"'),
    'could harm the page',
  ],
  [
    'hostile in its names',
    withName('<img src=x onerror=alert(1)>'),
    'holds page code where a name or note should be (at formulas.0.sheet.name)',
  ],
  ['damaged', text.replace('"lossPercent":1.5', '"lossPercent":"lots"'), 'This file is damaged (at formulas.0.sheet'],
  ['deep', `${'['.repeat(200_000)}${']'.repeat(200_000)}`, 'Nothing was changed'],
])('a file that is %s is refused in words', async (_, content, words) => {
  await bringIn(content)
  // The large ones are written, read and thrown away beside two other browsers.
  await sees(page, words, 60_000)
  expect(await textOf(page)).toContain('Nothing was changed.')
  expect(await page.evaluate(() => (({}) as { polluted?: boolean }).polluted)).toBeUndefined()
  expect(await page.$('[role=dialog]')).toBeNull()
})

it('a file that is enormous is not even read', async () => {
  const path = join(dir, 'enormous.harina.json')
  await writeFile(path, '')
  await truncate(path, 481_000_000)
  const input = await page.waitForSelector('input[type=file]')
  await input!.uploadFile(path)
  await sees(page, 'far larger than any workspace')
})

it('a long file shows how far it is, and can be stopped: nothing comes of it', async () => {
  const [batch] = good.batches
  const batches = Array.from({ length: 6000 }, (_, n) => ({ ...batch!, id: `long-${n}` }))
  await bringIn(JSON.stringify({ ...good, batches }))
  await page.waitForFunction(() => /Reading… [1-9]/.test(document.body.innerText), { timeout: 60_000 })
  await press(page, 'Stop reading')
  await sees(page, 'Bring in a file')
  expect(await page.$('[role=dialog]')).toBeNull()
  expect(await textOf(page)).not.toContain('Nothing was changed.')
})

it('the same formula changed on both sides is offered as keep both, replace or skip', async () => {
  const changed = {
    ...good,
    batches: [],
    gear: null,
    draft: null,
    lots: [],
    formulas: [{ ...good.formulas[1]!, sheet: { ...good.formulas[1]!.sheet, name: 'Stiffer semolina' } }],
  }
  const names = async () => {
    await goTo(page, new URL('/formula', here.site.url).href)
    await press(page, 'Formula book')
    await sees(page, 'Export')
    const found = await page.$$eval('[role=dialog] li .head', (heads) => heads.map((head) => head.textContent))
    await goTo(page, new URL('/gear/files', here.site.url).href)
    return found.sort()
  }
  const choose = async (label: string) => {
    await bringIn(JSON.stringify(changed))
    await sees(page, '1 that differ from yours')
    await (await page.waitForSelector(`::-p-text(${label})`))!.click()
    await press(page, 'Bring it in')
    await sees(page, 'Brought in')
  }
  const before = await names()
  expect(before).toContain('Stiff semolina')
  await choose('Skip')
  expect(await names()).toEqual(before)
  await choose('Keep both')
  expect(await names()).toEqual([...before, 'Stiffer semolina'].sort())
  await choose('Replace')
  const replaced = before.filter((name) => name !== 'Stiff semolina')
  expect(await names()).toEqual([...replaced, 'Stiffer semolina', 'Stiffer semolina'].sort())
})

it('one formula goes out alone, with the flour it names', async () => {
  await goTo(page, new URL('/formula', here.site.url).href)
  const downloads = await catchDownloads(page)
  await press(page, 'Formula book')
  await press(page, 'Export Keeper’s gnocchi')
  const exported = JSON.parse((await downloads.next()).text) as typeof good
  expect(exported).toMatchObject({ format: 'harina', version: FILE_VERSION, batches: [], gear: null, draft: null })
  expect(exported.formulas).toHaveLength(1)
  const named = exported.formulas[0]!.sheet.rows.flatMap((row) => row.lot ?? [])
  expect(exported.lots.map((lot) => lot.id).sort()).toEqual([...new Set(named)].sort())
  await page.keyboard.press('Escape')
})

it('markup typed into a name is kept as words', async () => {
  await goTo(page, new URL('/formula', here.site.url).href)
  await fill(page, 'Name of the formula', '<script>x</script>')
  await sees(page, '‹script>x‹/script>')
})
