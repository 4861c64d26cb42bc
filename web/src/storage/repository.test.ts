import {
  batchSchema,
  currentStep,
  emptyWorkspace,
  FILE_VERSION,
  readWorkspaceFile,
  replay,
  type Batch,
  type BenchEvent,
} from '@harina/core'
import sample from '@harina/core/fixtures/workspace-1.harina.json'
import sample3 from '@harina/core/fixtures/workspace-3.harina.json'
import { Dexie } from 'dexie'
import { HarinaDatabase } from './database.ts'
import { PartWorkedOn } from './refusal.ts'
import { createRepository, type Repository } from './repository.ts'

const read = readWorkspaceFile(JSON.stringify(sample))
if (!read.ok) throw new Error(read.problem.code)
const { format: _format, version: _version, exportedAt: _at, ...workspace } = read.value

const [closed, open] = workspace.batches as [Batch, Batch]
const event = (id: string, part: object): BenchEvent =>
  ({ id, at: '2031-01-01T10:00:00.000+00:00', ...part }) as BenchEvent

let count = 0
const fresh = () => {
  count += 1
  const db = new HarinaDatabase(`test-${count}`)
  return { db, repository: createRepository(db) }
}
const byId = <T extends { id: string }>(rows: readonly T[]) => [...rows].sort((a, b) => (a.id < b.id ? -1 : 1))

it('gives back the workspace it was given', async () => {
  const { repository } = fresh()
  await repository.merge(() => workspace)
  const read = await repository.workspace()
  for (const kind of ['formulas', 'lots', 'batches'] as const)
    expect(byId<{ id: string }>(read[kind])).toEqual(byId<{ id: string }>(workspace[kind]))
  expect([read.gear, read.draft]).toEqual([workspace.gear, workspace.draft])
})

it('keeps a row an event while a batch runs, and one record once it has ended', async () => {
  const { db, repository } = fresh()
  await repository.batches.start([{ id: 'b', plan: open.plan }])
  await repository.batches.record('b', [
    event('1', { type: 'poured', grams: 10 }),
    event('2', { type: 'step-done', step: 'pour' }),
  ])
  expect(await db.events.count()).toBe(2)
  await repository.batches.record('b', [event('3', { type: 'closed' })])
  expect([await db.events.count(), await db.openBatches.count()]).toEqual([0, 0])
  expect((await repository.batches.closed())[0]?.events.map((e) => e.id)).toEqual(['1', '2', '3'])
})

it('an undone ending puts the batch back on the bench, whole', async () => {
  const { repository } = fresh()
  await repository.batches.start([{ id: 'b', plan: open.plan }])
  await repository.batches.record('b', [event('1', { type: 'poured', grams: 10 })])
  await repository.batches.record('b', [event('2', { type: 'closed' })])
  await repository.batches.record('b', [event('3', { type: 'undone', events: ['2'] })])
  expect(await repository.batches.closed()).toEqual([])
  const [back] = await repository.batches.open()
  expect(back?.events.map((e) => e.id)).toEqual(['1', '2', '3'])
  expect(replay(back!.plan, back!.events)).toMatchObject({ pouredG: 10, end: null })
})

it('one tap is stored whole or not at all', async () => {
  const { db, repository } = fresh()
  await repository.batches.start([{ id: 'b', plan: open.plan }])
  await expect(
    repository.batches.record('b', [event('1', { type: 'poured', grams: 10 }), (() => undefined) as never]),
  ).rejects.toThrow()
  expect(await db.events.count()).toBe(0)
  await expect(repository.batches.record('nobody', [event('1', { type: 'closed' })])).rejects.toThrow('no batch nobody')
})

it('an import that fails half way changes nothing', async () => {
  const { repository } = fresh()
  await repository.merge(() => ({ ...emptyWorkspace, lots: workspace.lots }))
  const before = await repository.workspace()
  const poison = { ...closed, id: 'poison', plan: { ...closed.plan, at: (() => undefined) as never } }
  await expect(repository.merge(() => ({ ...workspace, batches: [closed, poison] }))).rejects.toThrow()
  expect(await repository.workspace()).toEqual(before)
})

it('seeds a browser once, and never over work', async () => {
  const { repository } = fresh()
  expect([await repository.isSeeded(), await repository.seedOnce(workspace), await repository.isSeeded()]).toEqual([
    false,
    true,
    true,
  ])
  await repository.clear()
  expect(await repository.seedOnce(workspace)).toBe(false)
  expect(await repository.workspace()).toEqual(emptyWorkspace)
  const used = fresh().repository
  await used.put('lot', workspace.lots[0]!)
  expect(await used.seedOnce(workspace)).toBe(false)
  expect((await used.workspace()).formulas).toEqual([])
})

it('a browser that holds version 1 finds everything again in this one', async () => {
  const old = new Dexie('was-1')
  old.version(1).stores({
    formulas: 'id',
    lots: 'id',
    gear: 'id',
    drafts: 'id',
    closedBatches: 'id',
    openBatches: 'id',
    events: '[batch+seq], batch',
    marks: 'id',
  })
  const [first] = sample.batches
  await old.table('formulas').bulkAdd(sample.formulas)
  await old.table('gear').add(sample.gear)
  await old.table('drafts').add(sample.draft)
  await old.table('closedBatches').add(first)
  await old.table('openBatches').add({ id: 'running', plan: first!.plan })
  await old.table('events').add({ batch: 'running', seq: 0, event: first!.events[0] })
  old.close()

  const read = await createRepository(new HarinaDatabase('was-1')).workspace()
  const file = { format: 'harina', version: FILE_VERSION, exportedAt: '2031-01-01T10:00:00.000+00:00', ...read }
  expect(readWorkspaceFile(JSON.stringify(file))).toMatchObject({ ok: true })
  expect(read.formulas).toHaveLength(sample.formulas.length)
  expect(read.batches.map((batch) => batch.id).sort()).toEqual([first!.id, 'running'].sort())
  expect(read.draft?.sheet.schools).toEqual({})
})

it('a browser that holds version 3 finds its open batch at the step where it stood', async () => {
  const old = new Dexie('was-3')
  old.version(3).stores({
    formulas: 'id',
    lots: 'id',
    ingredients: 'id',
    shapes: 'id',
    gear: 'id',
    drafts: 'id',
    closedBatches: 'id',
    openBatches: 'id',
    events: '[batch+seq], batch',
    marks: 'id',
  })
  const { plan } = sample3.batches[0]!
  const at = '2031-03-01T09:00:00.000+00:00'
  await old.table('gear').add(sample3.gear)
  await old.table('openBatches').add({ id: 'running', plan })
  await old.table('events').bulkAdd(
    ['flour', 'water', 'pour'].map((step, seq) => ({
      batch: 'running',
      seq,
      event: { id: `e${seq}`, at, type: 'step-done', step },
    })),
  )
  old.close()
  const repository = createRepository(new HarinaDatabase('was-3'))
  const [batch] = await repository.batches.open()
  expect(batchSchema.safeParse(batch).error?.issues ?? []).toEqual([])
  expect(currentStep(batch!.plan, replay(batch!.plan, batch!.events))?.id).toBe('feel')
  expect((await repository.read('gear'))[0]!.kneads).toBe('hand')
  expect(await repository.photosOf('running')).toEqual([])
})

describe('a dough split in two', () => {
  const at = (n: number) => `2031-03-01T09:00:0${n}.000+00:00`
  const split: BenchEvent = { id: 's', at: at(5), type: 'split', keeps: 0.5, other: 'part', part: 'kept' }
  const undo: BenchEvent = { id: 'u', at: at(6), type: 'undone', events: ['s'] }
  const running = async () => {
    const { repository } = fresh()
    await repository.batches.start([{ id: 'whole', plan: workspace.batches[0]!.plan }])
    await repository.batches.record('whole', [{ id: 'p', at: at(1), type: 'poured', grams: 200 }])
    await repository.batches.record('whole', [split])
    return repository
  }
  const ids = async (repository: Repository) => (await repository.batches.open()).map(({ id }) => id).sort()

  it('is two batches from the moment it is recorded, and one again once it is undone', async () => {
    const repository = await running()
    expect(await ids(repository)).toEqual(['part', 'whole'])
    await repository.batches.record('whole', [undo])
    expect(await ids(repository)).toEqual(['whole'])
    await repository.batches.record('whole', [{ id: 'r', at: at(7), type: 'undone', events: ['u'] }])
    expect(await ids(repository)).toEqual(['part', 'whole'])
  })

  it('cannot be undone once the other part was worked on, and then nothing at all is recorded', async () => {
    const repository = await running()
    await repository.batches.record('part', [{ id: 'n', at: at(6), type: 'noted', text: 'mine' }])
    await expect(repository.batches.record('whole', [undo])).rejects.toThrow(PartWorkedOn)
    expect((await repository.batches.open()).find(({ id }) => id === 'whole')!.events).toHaveLength(2)
    expect(await ids(repository)).toEqual(['part', 'whole'])
  })
})
