/** A kind of record that only this test knows, told in one descriptor: everything that is done to records is done to it. */
import type * as Kinds from '@harina/core/model/kinds'

// Jest lifts this above the imports: whoever asks for the kinds is given one more.
jest.mock('@harina/core/model/kinds', () => {
  const actual = jest.requireActual<typeof Kinds>('@harina/core/model/kinds')
  const remark = actual.kindOf({
    home: 'remarks',
    one: false,
    held: true,
    table: { name: 'remarks', keys: 'id' },
    get schema() {
      return z.strictObject({ id: z.string(), name: z.string(), lot: z.string(), stars: z.number() })
    },
    references: [{ at: 'lot', to: 'lot' }],
    // As if the file before had it without stars.
    upgrades: { [9]: (record: object) => ({ ...record, stars: 0 }) },
    since: 4,
    nameOf: ({ name }: { name: string }) => name,
  })
  const kinds = { ...actual.kinds, remark }
  return {
    ...actual,
    kinds,
    RECORD_KINDS: Object.keys(kinds),
    HELD: [...actual.HELD, 'remark'],
    isKind: (named: string) => named in kinds,
    isOnlyOne: (kind: keyof typeof kinds) => kinds[kind].one,
    nameOf: (kind: keyof typeof kinds, record: never) => (kinds[kind].nameOf as (record: never) => string)(record),
  }
})

import { mergeImport, previewImport, readWorkspaceFile, toFile, usersOf, z } from '@harina/core'
import { putWorkspace, sampleWorkspace, settle } from '../testing/renderApp.tsx'
import { repository } from '../storage/index.ts'
import { exportEverything } from './files.ts'
import { documentOf } from './documentsSlice.ts'
import { heldWorkspace } from './select.ts'
import { store } from './store.ts'
import { change, put } from './workspace.ts'
import { download } from '../devices/download.ts'

jest.mock('../devices/download.ts', () => ({ download: jest.fn(), plainFileName: (name: string) => name }))

// No type knows this kind.
const KIND = 'remark' as never
const [lot] = sampleWorkspace.lots
const remark = { id: 'r1', name: 'Thirsty', lot: lot!.id, stars: 3 } as never
const remarksIn = (workspace: object) => (workspace as { remarks: unknown[] }).remarks

beforeEach(async () => putWorkspace({ ...sampleWorkspace, remarks: [] } as never))

it('is stored, shown, undone', async () => {
  expect(await put(KIND, remark).stored).toBe(true)
  expect(remarksIn(await repository.workspace())).toEqual([remark])
  const changed = change(KIND, 'r1', (record: object) => ({ ...record, stars: 5 }) as never)
  await changed.stored
  expect(documentOf(store.getState().documents, KIND, 'r1')).toMatchObject({ stars: 5 })
  await changed.undo().stored
  await settle()
  expect(remarksIn(await repository.workspace())).toEqual([remark])
  expect(documentOf(store.getState().documents, KIND, 'r1')).toEqual(remark)
})

it('what its schema does not take is not stored', async () => {
  expect(await put(KIND, { ...(remark as object), stars: 'many' } as never).stored).toBe(false)
  expect(remarksIn(await repository.workspace())).toEqual([])
})

it('is exported, read again, and upgraded from an older file', async () => {
  await put(KIND, remark).stored
  await exportEverything()
  const [, blob] = jest.mocked(download).mock.lastCall!
  const text = await new Promise<string>((resolve) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.readAsText(blob as Blob)
  })
  const read = readWorkspaceFile(text)
  expect(read.ok && remarksIn(read.value)).toEqual([remark])
  const { stars: _, ...before } = remark as { stars: number }
  const older = { ...(JSON.parse(text) as object), version: 8, remarks: [before], batches: [], gear: null, photos: [] }
  const upgraded = readWorkspaceFile(JSON.stringify(older))
  expect(upgraded.ok && remarksIn(upgraded.value)).toEqual([{ ...before, stars: 0 }])
})

it('is joined, and follows a sack that is kept under another name', () => {
  const theirs = {
    ...sampleWorkspace,
    lots: [{ ...lot!, note: 'theirs' }],
    remarks: [{ ...(remark as object), stars: 1 }],
  }
  const ours = { ...sampleWorkspace, remarks: [remark] } as never
  expect(previewImport(ours, theirs as never).clashes).toContainEqual({ kind: 'remark', id: 'r1', name: 'Thirsty' })
  let made = 0
  const joined = mergeImport(theirs as never, { current: ours, choice: 'keep-both', newId: () => `new-${(made += 1)}` })
  expect(remarksIn(joined)).toEqual([
    { id: expect.stringMatching(/^new/), name: 'Thirsty', stars: 1, lot: joined.lots[0]!.id },
  ])
})

it('is among who uses a sack, and is not lost where the browser drops everything', async () => {
  await put(KIND, remark).stored
  const held = heldWorkspace(store.getState())
  expect(remarksIn(held)).toEqual([remark])
  expect(usersOf(held, 'lot', lot!.id)).toContainEqual({ kind: 'remark', id: 'r1', name: 'Thirsty' })
  await repository.clear()
  await repository.merge(() => held)
  expect(remarksIn(await repository.workspace())).toEqual([remark])
  expect(remarksIn(JSON.parse(JSON.stringify(toFile(held, '2031-01-01T00:00:00.000Z'))) as object)).toEqual([remark])
})
