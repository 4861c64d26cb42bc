/** How a session begins: in a browser that has never held anything, in one that has, and in one that was robbed. */
import ofOld from '@harina/core/fixtures/workspace-1.harina.json'
import { defaultGear, emptyWorkspace, isEnded, type Workspace } from '@harina/core'
import { waitFor } from '@testing-library/react'
import { IDBFactory } from 'fake-indexeddb'
import { sampleWorkspace } from '../testing/renderApp.tsx'
import { writeLocal } from '../storage/local.ts'

const byId = <R extends { readonly id: string }>(records: readonly R[]): R[] =>
  [...records].sort((a, b) => a.id.localeCompare(b.id))
const FILE = '/workspace/start.harina.json'

/** Everything anew, as a page that is loaded: one module of each, over the browser's store as it is. */
async function load(offered: Workspace | null) {
  const asked: string[] = []
  globalThis.fetch = jest.fn(async (address: string) => {
    asked.push(address)
    if (!offered || address !== FILE) return { status: 204, headers: new Map() } as unknown as Response
    const { toFile } = await import('@harina/core')
    return {
      status: 200,
      headers: new Map([['content-type', 'application/json']]),
      text: async () => JSON.stringify(toFile(offered, '2031-01-01T00:00:00.000Z')),
    } as unknown as Response
  }) as typeof fetch
  jest.resetModules()
  const session = await import('./session.ts')
  const { store } = await import('./store.ts')
  const { repository } = await import('../storage/index.ts')
  let show = () => undefined as void
  const shown = new Promise<void>((resolve) => (show = resolve))
  return { ...session, store, repository, asked, shown, show }
}

beforeEach(() => {
  // A browser of its own for each.
  globalThis.indexedDB = new IDBFactory()
  localStorage.clear()
})

it('a new browser shows what the server offers before any of it is stored, and stores it once it was seen', async () => {
  const page = await load(sampleWorkspace)
  expect(await page.openStore()).toBe('ready')
  const { kept } = await page.startSession(true, page.shown)
  const { documents, batches, draft } = page.store.getState()
  expect(documents.shelves.formula.ids).toEqual(sampleWorkspace.formulas.map(({ id }) => id))
  expect(batches.open).toEqual(sampleWorkspace.batches.filter((batch) => !isEnded(batch)))
  expect(batches.ended?.map(({ id }) => id).sort()).toEqual(
    sampleWorkspace.batches
      .filter(isEnded)
      .map(({ id }) => id)
      .sort(),
  )
  expect(draft.present).toEqual(sampleWorkspace.draft)
  page.show()
  await kept
  const stored = await page.repository.workspace()
  expect(byId(stored.formulas)).toEqual(byId(sampleWorkspace.formulas))
  expect(stored.batches.map(({ id }) => id).sort()).toEqual(sampleWorkspace.batches.map(({ id }) => id).sort())
})

it('what the store says afterwards is what was shown: nothing is drawn anew for it', async () => {
  const page = await load(sampleWorkspace)
  await page.openStore()
  const { kept } = await page.startSession(true, page.shown)
  const before = page.store.getState()
  page.show()
  await kept
  const after = page.store.getState()
  expect(after.documents.shelves.formula.entities).toBe(before.documents.shelves.formula.entities)
  expect(after.draft.present).toBe(before.draft.present)
  expect(after.batches.open).toBe(before.batches.open)
})

it('without an offer a new browser begins empty, with a kitchen as any', async () => {
  const page = await load(null)
  await page.openStore()
  const { kept } = await page.startSession(true, page.shown)
  expect(page.store.getState().documents.shelves.gear.entities['gear']).toEqual(defaultGear)
  page.show()
  await kept
  expect(await page.repository.workspace()).toEqual(emptyWorkspace)
})

it('a browser that holds something is shown that, and asks the server for nothing', async () => {
  const first = await load(sampleWorkspace)
  await first.openStore()
  const begun = await first.startSession(true, first.shown)
  first.show()
  await begun.kept
  const again = await load(emptyWorkspace)
  expect(await again.openStore()).toBe('ready')
  await again.startSession(true, again.shown)
  expect(again.asked).toEqual([])
  expect(again.store.getState().documents.shelves.formula.ids).toHaveLength(sampleWorkspace.formulas.length)
  expect(again.store.getState().batches.ended).not.toBeNull()
  again.show()
})

it.each(['yes', '9'])(
  'what an older version left is brought through every version since (noted as %s), and is there the next time',
  async (noted) => {
    jest.resetModules()
    const { Dexie } = await import('dexie')
    const older = new Dexie('harina')
    older.version(1).stores({ formulas: 'id', lots: 'id', gear: 'id', drafts: 'id', marks: 'id' })
    await older.table('formulas').bulkAdd(ofOld.formulas)
    await older.table('gear').add(ofOld.gear)
    await older.table('marks').add({ id: 'seeded' })
    older.close()
    writeLocal('harina.kept', noted)
    for (const time of ['first', 'second']) {
      const page = await load(null)
      expect([time, await page.openStore()]).toEqual([time, 'ready'])
      const { kept } = await page.startSession(true, page.shown)
      page.show()
      await kept
      const { shelves, unreadable } = page.store.getState().documents
      expect(shelves.formula.ids).toHaveLength(ofOld.formulas.length)
      expect(unreadable).toEqual([])
      expect(await page.repository.read('gear')).toMatchObject([{ kneads: 'hand' }])
    }
  },
)

describe('what is stored and no schema takes', () => {
  /** A browser that has been used, in which a lot was broken since. */
  async function broken(checkedBy?: string) {
    const first = await load(sampleWorkspace)
    await first.openStore()
    const begun = await first.startSession(true, first.shown)
    first.show()
    await begun.kept
    const { HarinaDatabase } = await import('../storage/database.ts')
    const db = new HarinaDatabase()
    expect((await db.marks.get('checked'))?.by).toMatch(/session/)
    await db.tableOf('lot').put({ id: 'broken', name: 'No sack' } as never)
    if (checkedBy) await db.marks.put({ id: 'checked', by: checkedBy })
    const again = await load(null)
    await again.openStore()
    const { kept } = await again.startSession(true, again.shown)
    const lots = () => again.store.getState().documents.shelves.lot.ids.includes('broken')
    const marked = async () => (await db.marks.get('checked'))?.by
    return { ...again, kept, lots, marked }
  }
  const BROKEN = [{ kind: 'lot', id: 'broken' }]

  it('by another version is never shown', async () => {
    const { lots, store, show, kept, marked } = await broken('/assets/start-older.js')
    expect(lots()).toBe(false)
    expect(store.getState().documents.unreadable).toEqual(BROKEN)
    show()
    await kept
    expect(await marked()).toBeUndefined()
  })

  it('after this version has found everything good is left out a moment later, and the next time before anything is shown', async () => {
    const { lots, store, show, kept, marked } = await broken()
    expect(lots()).toBe(true)
    show()
    await kept
    expect(lots()).toBe(false)
    expect(store.getState().documents.unreadable).toEqual(BROKEN)
    expect(await marked()).toBeUndefined()
  })
})

it('a browser that has held a workspace and has none is told so; nothing is put in its place until somebody says', async () => {
  writeLocal('harina.kept', 'yes')
  const page = await load(sampleWorkspace)
  expect(await page.openStore()).toBe('dropped')
  expect(await page.repository.read('formula')).toEqual([])
  expect(page.asked).toEqual([])
  // Bringing a file in: it begins empty.
  const { kept } = await page.startSession(false, page.shown)
  page.show()
  await kept
  expect(await page.repository.read('formula')).toEqual([])
})

it('the draft is written as it changes', async () => {
  const page = await load(sampleWorkspace)
  await page.openStore()
  const { kept } = await page.startSession(true, page.shown)
  page.show()
  await kept
  const { sheetEdited } = await import('./draftSlice.ts')
  const { sheet } = sampleWorkspace.draft!
  page.store.dispatch(sheetEdited({ sheet: { ...sheet, name: 'Written down' } }))
  await waitFor(async () => expect((await page.repository.read('draft'))[0]?.sheet.name).toBe('Written down'))
})

it.each([
  ['has no lists', { formulas: 'none' }],
  ['is null', { ...sampleWorkspace, lots: null }],
  ['holds what no schema takes', { ...sampleWorkspace, lots: [{ id: 'broken' }] }],
])('an offer that %s comes to nothing, and nothing of it is stored', async (_, offered) => {
  const page = await load(offered as unknown as Workspace)
  await page.openStore()
  const { kept } = await page.startSession(true, page.shown)
  page.show()
  await kept
  expect(page.store.getState().documents.shelves.formula.ids).toEqual([])
  expect(page.store.getState().documents.shelves.lot.ids).toEqual([])
  expect(await page.repository.workspace()).toEqual(emptyWorkspace)
})

it('an offer of an older version is brought up before it is shown', async () => {
  const page = await load(ofOld as unknown as Workspace)
  await page.openStore()
  await page.startSession(true, page.shown)
  const { documents, draft } = page.store.getState()
  expect(documents.shelves.formula.ids).toEqual(sampleWorkspace.formulas.map(({ id }) => id))
  expect(draft.present).toEqual(sampleWorkspace.draft)
  page.show()
})
