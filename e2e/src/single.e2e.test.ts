/** One formula goes out with the ingredient and the shape of the maker's own that it needs, and opens in an empty browser. */
import type { WorkspaceFile } from '@harina/core'
import { generateWorkspace } from '@harina/demo'
import { mkdtemp, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import {
  bringBack,
  catchDownloads,
  clearWorkspace,
  goTo,
  openPage,
  press,
  sees,
  storedIn,
  textOf,
} from './harness/index.ts'
import { clientDir } from './clientDir.ts'
import { openBrowser, serveSite } from './harness/index.ts'
import { ingredients, shapes } from '@harina/facts'

it('exported alone, brought into an empty browser, it is worked out to the gram as before', async () => {
  const site = await serveSite({ clientDir })
  const visit = await openBrowser()
  try {
    const demo = generateWorkspace(Date.now())
    const [formula] = demo.formulas
    const flour = {
      ...ingredients.find(({ id }) => id === formula!.sheet.rows[0]!.ingredient)!,
      id: 'our-flour',
      name: 'Our own flour',
    }
    const shape = { ...shapes.find(({ id }) => id === formula!.sheet.shape)!, id: 'our-shape', name: 'Our own shape' }
    const sheet = {
      ...formula!.sheet,
      name: 'All our own',
      shape: shape.id,
      rows: formula!.sheet.rows.map((row, n) => (n === 0 ? { ...row, ingredient: flour.id } : row)),
    }
    const own = {
      ...demo,
      formulas: [{ ...formula!, id: 'all-our-own', sheet }],
      ingredients: [flour],
      shapes: [shape],
      batches: [],
      photos: [],
      draft: null,
      gear: null,
    }
    const path = join(await mkdtemp(join(tmpdir(), 'harina-single-')), 'own.harina.json')
    await writeFile(path, JSON.stringify(own))

    const page = await openPage(visit, new URL('/gear/files', site.url).href)
    const go = (to: string) => goTo(page, new URL(to, site.url).href)
    await bringBack(page, path, 0)
    await go('/formula')
    await press(page, 'Formula book')
    const downloads = await catchDownloads(page)
    await press(page, 'Export All our own')
    const alone = await downloads.next()
    const file = JSON.parse(alone.text) as WorkspaceFile
    expect([file.formulas, file.ingredients, file.shapes].map((list) => list.map(({ id }) => id))).toEqual([
      ['all-our-own'],
      ['our-flour'],
      ['our-shape'],
    ])
    await press(page, 'All our own')
    await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
    const grams = () => page.$eval('[aria-label="Dough, grams"]', (field) => (field as HTMLInputElement).value)
    const before = await grams()

    await go('/gear/files')
    await clearWorkspace(page)
    await sees(page, 'Cleared')
    await bringBack(page, alone.path, 0)
    expect(await storedIn(page, 'formulas')).toHaveLength(1)
    await go('/formula')
    await press(page, 'Open the formula book')
    await press(page, 'All our own')
    await sees(page, 'Shape: Our own shape')
    expect(await grams()).toBe(before)
    expect(await textOf(page)).toContain('Our own flour')
  } finally {
    await visit.close()
    await site.close()
  }
})
