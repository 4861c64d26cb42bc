import {
  batchSchema,
  currentStep,
  differenceOf,
  emptyWorkspace,
  FILE_VERSION,
  MAX_EVENTS,
  readWorkspaceFile,
  replay,
  summarise,
  type Batch,
  type BatchSummary,
  type BenchEvent,
} from '@harina/core'
import sample from '@harina/core/fixtures/workspace-1.harina.json'
import sample3 from '@harina/core/fixtures/workspace-3.harina.json'
import sample9 from '@harina/core/fixtures/workspace-9.harina.json'
import sample8 from '@harina/core/fixtures/workspace-8.harina.json'
import { Dexie } from 'dexie'
import { HarinaDatabase, STORE_VERSION } from './database.ts'
import { BookFull, PartWorkedOn, PhotosFull, Refused, StoreDropped } from './refusal.ts'
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

it('while a first workspace waits to be put in, whatever is written waits for it, and lands on top', async () => {
  const { repository } = fresh()
  await repository.open()
  let show = () => undefined as void
  const seeded = repository.seedOnce(new Promise<void>((resolve) => (show = resolve)).then(() => workspace))
  const { id, name } = workspace.lots[0]!
  const renamed = repository.write('lot', id, [
    differenceOf(workspace.lots[0], { ...workspace.lots[0]!, name: `${name}, opened` }),
  ])
  const lots = repository.read('lot')
  show()
  expect(await seeded).toBe(true)
  expect(await renamed).toMatchObject({ id, name: `${name}, opened` })
  expect((await lots).length).toBe(workspace.lots.length)
})

it('a first workspace that cannot be put in lets those who wait go on', async () => {
  const { repository } = fresh()
  await repository.open()
  const seeded = repository.seedOnce(Promise.reject(new Error('the page went')))
  const lots = repository.read('lot').catch((error: Error) => error.message)
  await expect(seeded).rejects.toThrow('the page went')
  expect(await lots).toBe('the page went')
  expect(await repository.read('lot')).toEqual([])
})

it('seeds a browser once, and never over work', async () => {
  const { repository } = fresh()
  const isSeeded = async () => (await repository.open()).isSeeded
  expect([await isSeeded(), await repository.seedOnce(workspace), await isSeeded()]).toEqual([false, true, true])
  await repository.clear()
  expect(await repository.seedOnce(workspace)).toBe(false)
  expect(await repository.workspace()).toEqual(emptyWorkspace)
  const used = fresh().repository
  await used.put('lot', workspace.lots[0]!)
  expect(await used.seedOnce(workspace)).toBe(false)
  expect((await used.workspace()).formulas).toEqual([])
})

it('a store made in one step is as one that came through every version', async () => {
  const shapeOf = async (name: string, isCurrent: boolean) => {
    const db = new HarinaDatabase(name, isCurrent)
    await db.open()
    const native = db.backendDB()
    const tables = [...native.objectStoreNames]
    const within = native.transaction(tables)
    return {
      version: native.version,
      tables: tables.map((table) => {
        const { keyPath, indexNames } = within.objectStore(table)
        return { table, keyPath, indexes: [...indexNames] }
      }),
    }
  }
  const [anew, through] = [await shapeOf('anew', true), await shapeOf('through', false)]
  expect(anew).toEqual(through)
  expect(anew.version).toBe(STORE_VERSION * 10)
  // And the one is opened as the other.
  expect(await shapeOf('through', true)).toEqual(through)
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

it('a browser that holds version 8 finds the trays of its open batch as they lay', async () => {
  const old = new Dexie('was-8')
  old.version(9).stores({
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
    summaries: 'bucket',
    photos: 'id, batch, base64.length',
  })
  const { plan, events } = sample8.batches.find((batch) => batch.events.some(({ type }) => type === 'tray-laid'))!
  await old.table('openBatches').add({ id: 'running', plan })
  await old.table('events').bulkAdd(events.map((event, seq) => ({ batch: 'running', seq, event })))
  old.close()
  const [batch] = await createRepository(new HarinaDatabase('was-8')).batches.open()
  expect(batchSchema.safeParse(batch).error?.issues ?? []).toEqual([])
  const [tray] = replay(batch!.plan, batch!.events).trays
  expect(tray!.spots.map(({ spot }) => spot.cover)).toEqual([null, { name: 'a cloth', open: 0.15 }])
})

it('a browser that holds version 9 finds its open batch at the step where it stood, by its new name', async () => {
  const old = new Dexie('held-9')
  old.version(10).stores({
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
    summaries: 'bucket',
    photos: 'id, batch, base64.length',
  })
  const { plan, id } = sample9.batches.find((batch) => batch.plan.steps.some(({ kind }) => kind === 'then'))!
  const before = plan.steps.slice(
    0,
    plan.steps.findIndex(({ kind }) => kind === 'then'),
  )
  await old.table('openBatches').add({ id, plan })
  await old.table('events').bulkAdd(
    before.map((step, seq) => ({
      batch: id,
      seq,
      event: { id: `e${seq}`, at: plan.at, type: 'step-done', step: step.id },
    })),
  )
  old.close()
  const [batch] = await createRepository(new HarinaDatabase('held-9')).batches.open()
  expect(batchSchema.safeParse(batch).error?.issues ?? []).toEqual([])
  expect(currentStep(batch!.plan, replay(batch!.plan, batch!.events))).toMatchObject({ id: 'then', kind: 'air' })
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

describe('what is written', () => {
  const [lot] = workspace.lots
  const photo = (id: string, length: number) => ({
    id,
    batch: 'b',
    step: 'feel',
    at: '2031-03-01T09:00:00.000+00:00',
    type: 'image/png' as const,
    base64: 'AAAA'.repeat(length / 4),
    widthPx: 1,
    heightPx: 1,
    note: '',
  })

  it('is a difference on what is stored then, whatever was drawn before', async () => {
    const { repository } = fresh()
    await repository.put('lot', lot!)
    const [drawn] = await repository.read('lot')
    await repository.write('lot', lot!.id, [differenceOf(drawn, { ...drawn!, note: 'by one tab' })])
    await repository.write('lot', lot!.id, [differenceOf(drawn, { ...drawn!, name: 'By the other' })])
    expect(await repository.read('lot')).toEqual([{ ...lot!, note: 'by one tab', name: 'By the other' }])
  })

  it('is refused where a file with it would be, and nothing of it is stored', async () => {
    const { repository } = fresh()
    await repository.put('lot', lot!)
    await expect(repository.write('lot', lot!.id, [differenceOf(lot, { ...lot!, stockG: -1 })])).rejects.toThrow(
      Refused,
    )
    await expect(repository.put('lot', { ...lot!, id: 'constructor' })).rejects.toThrow(Refused)
    expect(await repository.read('lot')).toEqual([lot])
    await repository.batches.start([{ id: 'b', plan: open.plan }])
    await expect(repository.batches.record('b', [event('1', { type: 'poured', grams: 2e6 })])).rejects.toThrow(Refused)
    expect((await repository.batches.get('b'))!.events).toEqual([])
  })

  it('does not bring back what another tab has removed', async () => {
    const { repository } = fresh()
    expect(await repository.write('lot', 'gone', [differenceOf(lot, { ...lot!, note: 'late' })])).toBeNull()
    expect(await repository.read('lot')).toEqual([])
  })

  it('photos are taken up to what one file can carry, each counted once', async () => {
    const repository = createRepository(new HarinaDatabase('few-photos'), 100)
    const keep = (id: string, length: number) => repository.write('photo', id, [[{ at: [], to: photo(id, length) }]])
    await keep('a', 60)
    await expect(keep('b', 44)).rejects.toThrow(PhotosFull)
    await keep('b', 40)
    await keep('a', 60)
    expect((await repository.photosOf('b')).map(({ id }) => id)).toEqual(['a', 'b'])
  })

  it('the book of a batch takes so many entries and says when it is full', async () => {
    const { db, repository } = fresh()
    await repository.batches.start([{ id: 'b', plan: open.plan }])
    const rows = Array.from({ length: MAX_EVENTS }, (_, seq) => ({
      batch: 'b',
      seq,
      event: event(`e${seq}`, { type: 'poured', grams: 1 }),
    }))
    await db.events.bulkAdd(rows)
    await expect(repository.batches.record('b', [event('more', { type: 'poured', grams: 1 })])).rejects.toThrow(
      BookFull,
    )
  })
})

describe('summaries', () => {
  it('are written with the batch that ends, and go with one that is opened again', async () => {
    const { repository } = fresh()
    await repository.merge(() => ({ ...emptyWorkspace, batches: [closed] }))
    expect(await repository.batches.summaries()).toEqual([summarise(closed)])
    await repository.batches.record(closed.id, [event('back', { type: 'undone', events: [closed.events.at(-1)!.id] })])
    expect(await repository.batches.summaries()).toEqual([])
  })

  it('of many batches are the summaries of each, however they are packed', async () => {
    const { repository } = fresh()
    const batches = Array.from({ length: 300 }, (_, n) => ({ ...closed, id: `many-${n}` }))
    await repository.merge(() => ({ ...emptyWorkspace, batches }))
    expect(byId(await repository.batches.summaries())).toEqual(byId(batches.map(summarise)))
    await repository.batches.discard('many-7')
    expect((await repository.batches.summaries()).map(({ id }) => id)).not.toContain('many-7')
  })

  it('are made anew where an older Harina kept none', async () => {
    const { db, repository } = fresh()
    await db.closedBatches.bulkPut([closed, { ...closed, id: 'second' }])
    await repository.makeReady()
    expect(byId(await repository.batches.summaries()).map(({ id }) => id)).toEqual([closed.id, 'second'].sort())
  })
})

it('where an older Harina judged flours otherwise, it is told once of how many batches', async () => {
  const { db, repository } = fresh()
  await repository.merge(() => ({ ...emptyWorkspace, batches: [closed, { ...closed, id: 'second' }] }))
  const [bucket] = (await db.summaries.toArray()).filter(({ packed }) => packed.includes(`"${closed.id}"`))
  const wrong = (JSON.parse(bucket!.packed) as BatchSummary[]).map((each) => ({ ...each, thirst: -11.9 }))
  await db.summaries.put({ bucket: bucket!.bucket, packed: JSON.stringify(wrong) })
  await db.marks.put({ id: 'summaries', version: 4 })
  expect(await repository.makeReady()).toEqual({ judgedAnew: wrong.length })
  expect(byId(await repository.batches.summaries())).toEqual(byId([closed, { ...closed, id: 'second' }].map(summarise)))
  expect(await repository.makeReady()).toEqual({ judgedAnew: 0 })
})

describe('a store that closes under the page', () => {
  it('is opened anew before it is asked', async () => {
    const { db, repository } = fresh()
    await repository.put('lot', workspace.lots[0]!)
    await repository.seedOnce(emptyWorkspace)
    await repository.makeReady()
    db.close()
    expect(await repository.read('lot')).toHaveLength(1)
  })

  it('and comes up empty is left alone until what the page holds is put back', async () => {
    const { db, repository } = fresh()
    await repository.merge(() => workspace)
    await repository.makeReady()
    db.close()
    await Dexie.delete(db.name)
    await expect(Promise.all([repository.read('lot'), repository.read('gear')])).rejects.toThrow(StoreDropped)
    await expect(repository.put('lot', workspace.lots[0]!)).rejects.toThrow(StoreDropped)
    await repository.putBack({ ...emptyWorkspace, lots: workspace.lots })
    expect(await repository.read('lot')).toHaveLength(workspace.lots.length)
    await repository.put('lot', { ...workspace.lots[0]!, note: 'on it goes' })
  })
})
