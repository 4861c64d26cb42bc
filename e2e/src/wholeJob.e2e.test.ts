/** The whole job as a maker does it: six portions, bench with a correction, a reload, a killed browser, log, files. */
import type { WorkspaceFile } from '@harina/core'
import {
  at,
  bringBack,
  catchDownloads,
  clearWorkspace,
  fill,
  follow,
  goTo,
  mixToTheFeel,
  openBrowser,
  openPage,
  press,
  pressStarting,
  reload,
  sees,
  valueOf,
} from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()

it('six portions of a hand shape, from the first screen to the log and through a file', async () => {
  let page = await openPage(here.visit, here.site.url, { offline: true })
  await fill(page, 'Portions', '6')
  expect(await valueOf(page, 'Remilled durum R-34, grams')).toMatch(/^4\d\d$/)

  // Flour, water, and the first pour.
  await mixToTheFeel(page)
  const batchPath = new URL(page.url()).pathname

  // It feels dry: the flour has not drunk, so waiting is offered first; a correction is made all the same.
  await page.keyboard.press('2')
  await sees(page, 'Wait 10 minutes first')
  await pressStarting(page, 'Add 4.2 g water anyway')
  await sees(page, '4.2 g water')

  // A reload in the middle: the batch stands where it stood.
  await reload(page)
  await sees(page, 'How does it feel?')
  await sees(page, '4.2 g water')
  // The word for the feel goes on to the kneading, and starts its clock.
  await page.keyboard.press('3')
  await sees(page, 'Heel of the hand')
  await sees(page, 'left')

  // The browser is killed; a new one with the same profile finds the kneading clock still running.
  await here.visit.kill()
  here.visit = await openBrowser(here.visit.profile)
  page = await openPage(here.visit, new URL(batchPath, here.site.url).href)
  await sees(page, 'Heel of the hand')
  await sees(page, 'left')
  await page.waitForFunction(() => /\b11:\d\d/.test(document.body.innerText))
  await pressStarting(page, 'Kneaded, go on')
  await pressStarting(page, 'Rested, go on')
  await pressStarting(page, 'Divided, go on')
  await pressStarting(page, 'Ropes cut, go on')
  await fill(page, 'Pieces made', '650')
  await pressStarting(page, 'Shaped, go on')
  await pressStarting(page, 'To the pot')
  await pressStarting(page, 'Boil is back')
  await pressStarting(page, 'Cooked')

  // Verdict and note; the log has all of it.
  await sees(page, 'How was it to eat?')
  await page.keyboard.press('3')
  await page.waitForSelector('[aria-pressed=true]')
  await page.type('textarea', 'Even pieces. <b>Again</b> on Saturday.')
  await pressStarting(page, 'Write in the log')
  await at(page, /^\/log\/./)
  await sees(page, 'Even pieces. ‹b>Again‹/b> on Saturday.')
  await sees(page, 'felt dry')
  await sees(page, 'felt right')
  const logPath = new URL(page.url()).pathname
  const logText = await page.$eval('article', (article) => article.innerText)

  // Out to a file, everything cleared, and back in.
  const downloads = await catchDownloads(page)
  await follow(page, 'Gear')
  await follow(page, 'Files and device')
  await press(page, 'Export everything')
  const exported = await downloads.next()
  const before = JSON.parse(exported.text) as WorkspaceFile
  expect(before.batches).toHaveLength(16)
  await clearWorkspace(page)
  await follow(page, 'Sacks and jars')
  await sees(page, 'Your sacks would stand here.')
  await goTo(page, new URL('/log', here.site.url).href)
  await sees(page, 'No batch in the log yet')

  await follow(page, 'Gear')
  await follow(page, 'Files and device')
  await bringBack(page, exported.path, 16)
  await goTo(page, new URL(logPath, here.site.url).href)
  await sees(page, 'Even pieces. ‹b>Again‹/b> on Saturday.')
  expect(await page.$eval('article', (article) => article.innerText)).toBe(logText)

  // A second export is the first, but for its time.
  await follow(page, 'Gear')
  await follow(page, 'Files and device')
  await press(page, 'Export everything')
  const after = JSON.parse((await downloads.next()).text) as WorkspaceFile
  const byId = <T extends { id: string }>(rows: T[]) => [...rows].sort((a, b) => (a.id < b.id ? -1 : 1))
  for (const kind of ['formulas', 'lots', 'batches'] as const)
    expect(byId<{ id: string }>(after[kind])).toEqual(byId<{ id: string }>(before[kind]))
  expect([after.gear, after.draft]).toEqual([before.gear, before.draft])

  // The next batch starts from what was learned.
  await goTo(page, new URL(logPath, here.site.url).href)
  await press(page, 'Start the next from it')
  await at(page, /^\/formula$/)
  await sees(page, 'Hold back')
})
