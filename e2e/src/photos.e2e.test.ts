/** A photo from a file: drawn down, kept with its step, out with the export and in again. */
import type { WorkspaceFile } from '@harina/core'
import { mkdtemp, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bringBack, catchDownloads, clearWorkspace, follow, goTo, openPage, press, sees } from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()

it('a large photo is drawn down, told about, exported, and comes back with the workspace', async () => {
  const page = await openPage(here.visit, new URL('/bench/demo-running', here.site.url).href)
  await sees(page, 'Rest, wrapped')
  // A picture of 2400 × 1800, made by the browser itself.
  const drawn = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    canvas.width = 2400
    canvas.height = 1800
    const brush = canvas.getContext('2d')!
    for (let n = 0; n < 400; n += 1) {
      brush.fillStyle = `hsl(${n} 60% ${30 + (n % 50)}%)`
      brush.fillRect((n * 97) % 2400, (n * 61) % 1800, 300, 200)
    }
    return canvas.toDataURL('image/png').split(',')[1]!
  })
  const dir = await mkdtemp(join(tmpdir(), 'harina-photo-'))
  const [picture, words] = [join(dir, 'dough.png'), join(dir, 'words.png')]
  await writeFile(picture, Buffer.from(drawn, 'base64'))
  await writeFile(words, 'not a picture at all')
  await press(page, 'Photos')
  await sees(page, 'None of this batch yet')
  const input = (await page.waitForSelector('input[type=file][multiple]'))!
  await input.uploadFile(words)
  await sees(page, 'cannot read it as a picture')
  await input.uploadFile(picture)
  await page.waitForSelector('ul[aria-label=Photos] img')
  const size = await page.$eval('ul[aria-label=Photos] img', (img) => [
    (img as HTMLImageElement).naturalWidth,
    (img as HTMLImageElement).naturalHeight,
  ])
  expect(size).toEqual([1280, 960])
  await page.type('ul[aria-label=Photos] input', 'Before the roll')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Escape')

  const downloads = await catchDownloads(page)
  await follow(page, 'Gear')
  await follow(page, 'Files and device')
  await press(page, 'Export everything')
  const exported = await downloads.next()
  const { photos } = JSON.parse(exported.text) as WorkspaceFile
  expect(photos).toMatchObject([{ batch: 'demo-running', step: 'rest', type: 'image/jpeg', note: 'Before the roll' }])
  expect(photos[0]!.base64.length).toBeLessThan(drawn.length)

  await clearWorkspace(page)
  await follow(page, 'Files and device')
  await bringBack(page, exported.path, 15)
  await goTo(page, new URL('/bench/demo-running', here.site.url).href)
  await press(page, 'Photos')
  await page.waitForSelector('ul[aria-label=Photos] img')
})
