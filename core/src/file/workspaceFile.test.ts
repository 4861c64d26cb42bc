import fc from 'fast-check'
import { computeSheet } from '../sheet/index.ts'
import { currentStep, mainRest, planBatch, replay } from '../bench/index.ts'
import { testKitchen, testSheet } from '../testing/testKitchen.ts'
import { type Batch, type Formula, type Lot, nameSchema, plainTextFrom } from '../model/index.ts'
import {
  emptyWorkspace,
  FILE_VERSION,
  mergeImport,
  previewImport,
  readWorkspaceFile,
  toFile,
  type Workspace,
} from './index.ts'
import sample1 from '../../fixtures/workspace-1.harina.json'
import sample2 from '../../fixtures/workspace-2.harina.json'
import sample3 from '../../fixtures/workspace-3.harina.json'
import sample4 from '../../fixtures/workspace-4.harina.json'
import sample5 from '../../fixtures/workspace-5.harina.json'
import sample6 from '../../fixtures/workspace-6.harina.json'
import sample7 from '../../fixtures/workspace-7.harina.json'
import sample8 from '../../fixtures/workspace-8.harina.json'
import sample9 from '../../fixtures/workspace-9.harina.json'
import sample10 from '../../fixtures/workspace-10.harina.json'
import sample11 from '../../fixtures/workspace-11.harina.json'
import sample12 from '../../fixtures/workspace-12.harina.json'
import sample13 from '../../fixtures/workspace-13.harina.json'
import sample14 from '../../fixtures/workspace-14.harina.json'

const AT = '2031-03-01T09:00:00+00:00'
const worked = computeSheet(testSheet, testKitchen)
if (!worked.ok) throw new Error(worked.problem.code)
const lot: Lot = { id: 'lot-a', name: 'A-1', ingredient: 'durum', note: '' }
const formula: Formula = {
  id: 'f1',
  sheet: testSheet,
  tags: ['winter'],
  archived: false,
  versions: [{ at: AT, sheet: { ...testSheet, lossPercent: 3 } }],
  createdAt: AT,
  updatedAt: AT,
}
const batch: Batch = {
  id: 'b1',
  plan: planBatch(worked.value, testKitchen, AT, 'f1'),
  events: [{ id: 'e1', at: AT, type: 'poured', grams: 200 }],
}
const workspace: Workspace = {
  formulas: [formula],
  lots: [lot],
  ingredients: [],
  shapes: [],
  batches: [batch],
  photos: [],
  gear: testKitchen.gear,
  draft: { id: 'draft', formula: 'f1', sheet: testSheet },
}
const text = (part: object = {}) => JSON.stringify({ ...toFile(workspace, AT), ...part })
const code = (content: string) => {
  const read = readWorkspaceFile(content)
  return read.ok ? 'good' : read.problem.code
}
const merge = (current: Workspace, incoming: Workspace, choice: 'keep-both' | 'replace' | 'skip') => {
  let made = 0
  return mergeImport(incoming, { current, choice, newId: () => `new-${(made += 1)}` })
}

it('a written workspace reads back as it was', () => {
  const read = readWorkspaceFile(text())
  expect(read).toEqual({ ok: true, value: toFile(workspace, AT) })
})

it.each([
  ['', 'file-empty'],
  ['  \n', 'file-empty'],
  ['{"format":"harina",', 'file-cut-short'],
  ['semolina', 'file-not-json'],
  ['{"name":"other"}', 'file-foreign'],
  ['[]', 'file-foreign'],
  [text({ version: FILE_VERSION + 1 }), 'file-newer'],
  [text({ extra: 1 }), 'file-broken'],
  [text({ formulas: [formula, formula] }), 'file-broken'],
  [text({ lots: [{ ...lot, name: '<script>' }] }), 'file-markup'],
  [text({ lots: [{ ...lot, name: 'a\u202eb' }] }), 'file-markup'],
  [text({ lots: [{ ...lot, id: '../../x' }] }), 'file-broken'],
  [text().replace('"gear"', '"constructor":{},"gear"'), 'file-hostile'],
  ['{"format":"harina","version":1,"a":{"b":[{"__proto__":{}}]}}', 'file-hostile'],
])('refuses %.40s as %s', (content, expected) => {
  expect(code(content)).toBe(expected)
})

it('says where a file is damaged', () => {
  const broken = text({ batches: [{ ...batch, plan: { ...batch.plan, doughG: -1 } }] })
  expect(readWorkspaceFile(broken)).toMatchObject({ problem: { code: 'file-broken', path: 'batches.0.plan.doughG' } })
})

it('wherever a file breaks off, it is said to', () => {
  const whole = text()
  fc.assert(
    fc.property(fc.integer({ min: 1, max: whole.length - 1 }), (length) =>
      expect(readWorkspaceFile(whole.slice(0, length))).toMatchObject({ problem: { code: 'file-cut-short' } }),
    ),
    { numRuns: 300, examples: [[whole.indexOf('}') + 1], [whole.indexOf(']') + 1], [whole.length - 1]] },
  )
})

it('never throws, whatever it is given', () => {
  fc.assert(
    fc.property(fc.oneof(fc.string(), fc.json()), (content) =>
      expect(typeof readWorkspaceFile(content).ok).toBe('boolean'),
    ),
  )
})

it('every version has a saved sample that still reads', () => {
  const samples: readonly unknown[] = [
    ...[sample1, sample2, sample3, sample4, sample5, sample6, sample7, sample8, sample9, sample10, sample11, sample12],
    ...[sample13, sample14],
  ]
  for (let version = 1; version <= FILE_VERSION; version += 1)
    expect(readWorkspaceFile(JSON.stringify(samples[version - 1]))).toMatchObject({ ok: true })
})

it('version 13 keeps what is put away empty or frozen, how thin a sheet came out, and what follows the pot', () => {
  const read = readWorkspaceFile(JSON.stringify(sample13))
  if (!read.ok) throw new Error(read.problem.code)
  const states = read.value.batches.map(({ plan, events }) => replay(plan, events))
  expect(states.find(({ thinnedMm }) => thinnedMm !== null)).toMatchObject({
    thinnedMm: 0.8,
    dividedInto: 4,
    skins: 'freeze',
    afterPot: 'ice',
  })
  // Of an older file nothing of that is said.
  const older = readWorkspaceFile(JSON.stringify(sample12))
  if (!older.ok) throw new Error(older.problem.code)
  for (const { plan, events } of older.value.batches)
    expect(replay(plan, events)).toMatchObject({ thinnedMm: null, dividedInto: null, skins: null, afterPot: null })
})

it('version 14 keeps how a maker does it: what is dusted with, salt and pan of the day, and what was forgotten', () => {
  const read = readWorkspaceFile(JSON.stringify(sample14))
  if (!read.ok) throw new Error(read.problem.code)
  const { gear, batches } = read.value
  expect(gear!.forgot).toEqual({ 'boil ridged-pips': '2031-11-01T08:00:00Z' })
  const own = batches.find(({ plan }) => plan.surface)!
  expect(own.plan.surface).toEqual({ dust: 'starch', board: 'floured' })
  expect(own.plan.steps.find(({ kind }) => kind === 'cook')).toMatchObject({ done: 'after', afterFloatMin: 2 })
  expect(replay(own.plan, own.events)).toMatchObject({ potSaltGPerL: 8, afterPot: 'toss' })
  // Of an older kitchen nothing is forgotten, and its batches are as salty as they were planned.
  const older = readWorkspaceFile(JSON.stringify(sample13))
  if (!older.ok) throw new Error(older.problem.code)
  expect(older.value.gear!.forgot).toEqual({})
  for (const { plan, events } of older.value.batches) expect(replay(plan, events).potSaltGPerL).toBeNull()
})

it('version 11 comes over with what its presses take kneaded: none the less than they took before', () => {
  const read = readWorkspaceFile(JSON.stringify(sample11))
  if (!read.ok) throw new Error(read.problem.code)
  const { gear, formulas, batches } = read.value
  const was = sample11.gear.presses
  expect(gear!.presses.map(({ crumb, dough }) => crumb ?? dough)).toEqual(was.map(({ crumb }) => crumb))
  // Fed by the pinch, it takes crumbs; small ones take balls as well, from where crumbs end.
  for (const { crumb, dough, lumpG } of gear!.presses)
    expect(lumpG < 100 && dough ? dough.low === crumb!.high : true).toBe(true)
  expect(gear!.hasScale).toBe(true)
  expect(formulas.every(({ sheet }) => sheet.machines.kneads === null)).toBe(true)
  expect(batches.every(({ plan }) => plan.noScale === undefined && plan.sheet.machines.kneads === null)).toBe(true)
})

it('version 9 comes over whole: its steps have the names the screen gives them, and stand where they stood', () => {
  const read = readWorkspaceFile(JSON.stringify(sample9))
  if (!read.ok) throw new Error(read.problem.code)
  const names: Readonly<Record<string, string>> = { then: 'air', crumb: 'drink', feed: 'press' }
  const kinds = read.value.batches.map(({ plan }) => plan.steps.map(({ id, kind }) => [id, kind]))
  expect(kinds).toEqual(sample9.batches.map(({ plan }) => plan.steps.map(({ id, kind }) => [id, names[kind] ?? kind])))
  expect(kinds.flat().map(([id, kind]) => `${id} ${kind}`)).toContain('then air')
  const withoutTarget = read.value.batches.map(({ events }) =>
    events.map((event) => {
      if (event.type !== 'tray-laid') return event
      const { target, ...layout } = event.layout
      expect(target).toBe(0.125)
      return { ...event, layout }
    }),
  )
  expect(withoutTarget).toEqual(sample9.batches.map(({ events }) => events))
})

it('version 10 comes over whole: trays go for the usual target, and an air as it came is known as a guess', () => {
  const came = { id: 'kitchen', name: 'Kitchen', temperatureC: 21, rhPercent: 60, air: 'still', night: null }
  const measured = { ...came, id: 'read', name: 'Read', rhPercent: 58 }
  const old = { ...sample10, gear: { ...sample10.gear, places: [came, measured] } }
  const read = readWorkspaceFile(JSON.stringify(old))
  if (!read.ok) throw new Error(read.problem.code)
  expect(read.value.gear!.places.map(({ guessed }) => guessed)).toEqual([true, undefined])
  const laid = read.value.batches.flatMap(({ events }) => events.filter(({ type }) => type === 'tray-laid'))
  expect(laid).toMatchObject([{ layout: { target: 0.125 } }])
})

it('version 1 comes over whole: every formula, batch and figure, with what is new at its default', () => {
  const read = readWorkspaceFile(JSON.stringify(sample1))
  if (!read.ok) throw new Error(read.problem.code)
  const { formulas, batches, gear, ingredients } = read.value
  expect([formulas.length, batches.length]).toEqual([sample1.formulas.length, sample1.batches.length])
  expect(formulas[0]).toMatchObject({ tags: [], archived: false, versions: [], sheet: { waterC: null, schools: {} } })
  expect(ingredients).toEqual([])
  expect(gear).toMatchObject({ ...sample1.gear, vessels: [], alkaliReadAt: null })
  for (const [index, batch] of batches.entries()) {
    const old = sample1.batches[index]!.plan
    expect(batch.events).toEqual(sample1.batches[index]!.events)
    expect(batch.plan.shape).toMatchObject({
      blank: { type: 'rope', diameterMm: old.shape.diameterMm, cutMm: old.shape.cutMm },
      window: old.shape.window14,
    })
  }
})

it('version 8 comes over whole: a tray keeps its cover and its air, and no night is made up', () => {
  const read = readWorkspaceFile(JSON.stringify(sample8))
  if (!read.ok) throw new Error(read.problem.code)
  expect(read.value.gear!.places.map(({ night }) => night)).toEqual(sample8.gear.places.map(() => null))
  expect(read.value.gear!.covers.map(({ open }) => open)).toEqual([0.15, 0.03])
  const spots = read.value.batches.flatMap(({ events }) =>
    events.flatMap((event) =>
      event.type === 'tray-laid' ? [event.layout.spot] : event.type === 'tray-moved' ? [event.spot] : [],
    ),
  )
  expect(spots.map(({ cover, night }) => [cover?.open ?? 1, night])).toEqual([
    [1, null],
    [0.15, null],
  ])
})

it('version 6 comes over whole: no size is made up for its eggs, and no row counts as typed in grams', () => {
  const read = readWorkspaceFile(JSON.stringify(sample6))
  if (!read.ok) throw new Error(read.problem.code)
  expect(read.value.gear!.units).toEqual({ ...sample6.gear.units, egg: 'any' })
  const rows = read.value.formulas.flatMap(({ sheet }) => sheet.rows)
  expect(rows).toEqual(sample6.formulas.flatMap(({ sheet }) => sheet.rows))
  expect(rows.some((row) => row.typedG !== undefined)).toBe(false)
})

it('version 5 comes over whole: the water of a plan is what it was, no pot and no processor is made up', () => {
  const read = readWorkspaceFile(JSON.stringify(sample5))
  if (!read.ok) throw new Error(read.problem.code)
  expect(read.value.gear).toMatchObject({ pots: [] })
  for (const [index, { plan }] of read.value.batches.entries()) {
    const old = sample5.batches[index]!.plan
    expect((plan.pot.litresPer100G * plan.doughG) / 100).toBeCloseTo(old.pot.litres, 6)
    for (const step of plan.steps) if (step.kind === 'knead') expect(step.processor).toBeNull()
    expect(plan.rows.every((row) => row.heldG === undefined)).toBe(true)
  }
})

it('version 4 comes over whole: what was at hand to be done after shaping stays, the freezer is not made up', () => {
  const read = readWorkspaceFile(JSON.stringify(sample4))
  if (!read.ok) throw new Error(read.problem.code)
  for (const { sheet } of read.value.formulas)
    expect(sheet).toMatchObject({ unfilled: false, machines: { byPin: false, roller: null, press: null, folds: null } })
  for (const [index, { plan, events }] of read.value.batches.entries()) {
    const old = sample4.batches[index]!
    expect(events).toEqual(old.events)
    const was = old.plan.steps.find((step) => step.kind === 'then') as
      { fridgeDays: number; dries: boolean } | undefined
    const air = plan.steps.find((step) => step.kind === 'air')
    if (!was || !air) continue
    expect(air.keeps).toMatchObject({ fridgeH: was.fridgeDays * 24, freezerMonths: 0 })
    expect(air.keeps.driedMonths !== null).toBe(was.dries)
  }
})

it('version 3 comes over whole: each batch stands at the step where it stood, with the times it was planned with', () => {
  const read = readWorkspaceFile(JSON.stringify(sample3))
  if (!read.ok) throw new Error(read.problem.code)
  const { batches, gear, photos } = read.value
  expect(photos).toEqual([])
  expect(gear).toMatchObject({ kneads: 'hand', benchPlace: null, scaleChecks: [] })
  expect(batches).toHaveLength(sample3.batches.length)
  for (const [index, { plan, events }] of batches.entries()) {
    const old = sample3.batches[index]!
    expect(events).toEqual(old.events)
    expect(mainRest(plan)).toMatchObject(old.plan.minutes.rest)
    const state = replay(plan, events)
    const steps = plan.steps.map(({ id }) => id)
    if (state.end) continue
    expect(currentStep(plan, state)?.id).toBe(steps.find((id) => !state.done.includes(id)))
    expect(state.done.every((id) => steps.includes(id))).toBe(true)
  }
})

it('a photo comes with its batch, under the batch’s new name where both are kept', () => {
  const read = readWorkspaceFile(JSON.stringify(sample4))
  if (!read.ok) throw new Error(read.problem.code)
  const here: Workspace = {
    ...read.value,
    batches: read.value.batches.map((each) => ({ ...each, events: each.events.slice(0, 1) })),
    photos: [],
  }
  const merged = merge(here, read.value, 'keep-both')
  const renamed = merged.batches.find(({ plan }) => plan.at === sample4.batches[1]!.plan.at)!
  expect(renamed.id).not.toBe('demo-running')
  expect(merged.photos).toMatchObject([{ id: 'photo-1', batch: renamed.id }])
})

it.each([{ type: 'image/svg+xml' }, { base64: '<svg onload=1>' }, { base64: '' }, { widthPx: 0 }])(
  'a photo that is none is refused: %j',
  (wrong) => {
    const [photo] = sample4.photos
    expect(code(JSON.stringify({ ...sample4, photos: [{ ...photo, ...wrong }] }))).toMatch(/file-broken|file-markup/)
  },
)

it('version 2 comes over whole: sheets, older sheets and plans are cut into one shape, unfilled', () => {
  const read = readWorkspaceFile(JSON.stringify(sample2))
  if (!read.ok) throw new Error(read.problem.code)
  const { formulas, batches, gear, shapes, draft } = read.value
  const sheets = [
    ...formulas.flatMap((entry) => [entry.sheet, ...entry.versions.map((version) => version.sheet)]),
    ...batches.map((batch) => batch.plan.sheet),
    ...(draft ? [draft.sheet] : []),
  ]
  expect(sheets.length).toBeGreaterThan(sample2.formulas.length)
  for (const sheet of sheets) expect(sheet).toMatchObject({ alsoShapes: [], filling: null })
  expect(gear).toMatchObject({ ...sample2.gear, presses: [] })
  expect(shapes).toEqual([])
  expect(batches.map((batch) => batch.events)).toEqual(sample2.batches.map((batch) => batch.events))
})

it('an own shape kept beside another under a new name takes its sheets along', () => {
  const own = { ...testKitchen.shapes.get('hollows')!, id: 'hollows', name: 'Our own hollows' }
  const also = {
    ...formula,
    sheet: { ...testSheet, alsoShapes: [{ shape: 'hollows', by: 'grams' as const, grams: 50 }] },
  }
  const incoming = { ...workspace, formulas: [also], shapes: [own] }
  const current = { ...workspace, formulas: [], shapes: [{ ...own, name: 'Other hollows' }] }
  const merged = merge(current, incoming, 'keep-both')
  const id = merged.shapes[0]!.id
  expect(id).not.toBe('hollows')
  expect(merged.formulas[0]!.sheet.shape).toBe(id)
  expect(merged.formulas[0]!.sheet.alsoShapes[0]!.shape).toBe(id)
})

it('an own ingredient kept beside another under a new name takes its rows along', () => {
  const own = { ...testKitchen.ingredients.get('durum')!, id: 'durum', name: 'Our own durum' }
  const incoming = { ...workspace, ingredients: [own] }
  const current = { ...workspace, ingredients: [{ ...own, name: 'Another durum' }] }
  const merged = merge(current, incoming, 'keep-both')
  const id = merged.ingredients[0]!.id
  expect(id).not.toBe('durum')
  for (const sheet of [merged.formulas[0]?.sheet, merged.formulas[0]?.versions[0]?.sheet])
    if (sheet) expect(sheet.rows[0]!.ingredient).toBe(id)
})

it('any text that enters the app can be stored', () => {
  fc.assert(
    fc.property(fc.string({ minLength: 1, unit: 'binary' }), (typed) => {
      const kept = plainTextFrom(typed, 120)
      if (kept !== '') expect(nameSchema.safeParse(kept).success).toBe(true)
    }),
  )
  expect(plainTextFrom('a <b>bold</b> 3<4', 120)).toBe('a ‹b>bold‹/b> 3<4')
})

describe('bringing a file in', () => {
  const changed: Workspace = { ...workspace, formulas: [{ ...formula, sheet: { ...testSheet, name: 'Changed' } }] }

  it('an empty workspace takes all of it', () => {
    expect(previewImport(emptyWorkspace, workspace)).toEqual({ fresh: 5, same: 0, clashes: [] })
    expect(merge(emptyWorkspace, workspace, 'skip')).toEqual(workspace)
  })

  it('the same file again brings nothing', () => {
    expect(previewImport(workspace, workspace)).toEqual({ fresh: 0, same: 5, clashes: [] })
    const writes = merge(workspace, workspace, 'keep-both')
    expect([writes.formulas, writes.lots, writes.batches, writes.draft]).toEqual([[], [], [], null])
  })

  it('keys in another order are still the same record', () => {
    const { id, name, ...rest } = lot
    expect(previewImport(workspace, { ...emptyWorkspace, lots: [{ ...rest, name, id }] }).same).toBe(1)
  })

  it('skip leaves ours, replace takes theirs', () => {
    expect(previewImport(workspace, changed).clashes).toEqual([{ kind: 'formula', id: 'f1', name: 'Changed' }])
    expect(merge(workspace, changed, 'skip').formulas).toEqual([])
    expect(merge(workspace, changed, 'replace').formulas).toEqual(changed.formulas)
  })

  it('keep both brings theirs in under a new identifier, and what refers to it follows', () => {
    const theirs: Workspace = { ...changed, lots: [{ ...lot, note: 'theirs' }], batches: [{ ...batch, id: 'b2' }] }
    const writes = merge(workspace, theirs, 'keep-both')
    expect(writes.lots[0]).toMatchObject({ id: 'new-2', note: 'theirs' })
    expect(writes.formulas[0]!.id).toBe('new-1')
    expect(writes.formulas[0]!.sheet.rows[0]!.lot).toBe('new-2')
    expect(writes.batches[0]!.plan).toMatchObject({ formula: 'new-1', rows: [{ lot: 'new-2' }, {}, {}] })
  })

  it('gear that differs keeps ours and adds places we do not have', () => {
    const gear = {
      ...testKitchen.gear,
      scaleStepG: 0.1,
      places: [{ id: 'cellar', name: 'Cellar', temperatureC: 12, rhPercent: 70, air: 'still' as const, night: null }],
    }
    const incoming: Workspace = { ...emptyWorkspace, gear }
    expect(merge(workspace, incoming, 'keep-both').gear).toMatchObject({
      scaleStepG: 1,
      places: [{ id: 'damp' }, { id: 'dry' }, { id: 'cellar' }],
    })
    expect(merge(workspace, incoming, 'replace').gear).toEqual(gear)
  })
})
