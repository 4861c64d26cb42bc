import { z } from '../zod.ts'
import {
  gearParts,
  kinds,
  namedBy,
  RECORD_KINDS,
  type GearPart,
  type Named,
  type RecordKind,
  type Records,
} from '../model/index.ts'
import { everyReference } from '../testing/everyReference.ts'
import { testKitchen } from '../testing/testKitchen.ts'
import { mergeImport, previewImport, type ClashChoice } from './mergeFile.ts'
import { readWorkspaceFile } from './readFile.ts'
import { aloneWith, danglingIn, usersOf } from './references.ts'
import { emptyWorkspace, recordsOf, toFile, workspaceFileSchema, workspaceOf, type Workspace } from './workspace.ts'

const AT = '2031-03-01T09:00:00+00:00'
const inTables = ({ to, id }: Named): boolean =>
  (to === 'ingredient' && testKitchen.ingredients.has(id)) || (to === 'shape' && testKitchen.shapes.has(id))
const dangling = (workspace: Workspace) =>
  danglingIn(workspace, inTables).map(({ to, id, from }) => [from.kind, to, id])

type Json = { readonly [key: string]: unknown }
const isJson = (value: unknown): value is Json => typeof value === 'object' && value !== null && !Array.isArray(value)

/** Every place of the file where an identifier may stand, from the schema itself. */
function idPlaces(schema: unknown, at: readonly string[] = []): string[] {
  if (!isJson(schema)) return []
  const here =
    typeof schema['pattern'] === 'string' && schema['pattern'].includes('A-Za-z0-9_-]{1,64}') ? [at.join('.')] : []
  const branches = ['anyOf', 'oneOf', 'allOf'].flatMap((key) =>
    Array.isArray(schema[key]) ? (schema[key] as unknown[]) : [],
  )
  return [
    ...here,
    ...branches.flatMap((branch) => idPlaces(branch, at)),
    ...idPlaces(schema['items'], [...at, '*']),
    ...Object.entries(isJson(schema['properties']) ? schema['properties'] : {}).flatMap(([key, part]) =>
      idPlaces(part, [...at, key]),
    ),
  ]
}

/** Identifiers that name nothing outside their own record, or a row of the tables. */
const INNER = [
  /^(formulas|lots|ingredients|shapes|batches|photos)\.\*\.id$/,
  /^gear\.(places|vessels|pots|rollers|presses|covers)\.\*\.id$/,
  /\.rows\.\*\.key$/,
  /\.target\.key$/,
  /sheet\.dough$/,
  /^batches\.\*\.plan\.(also\.\*\.own\.)?steps\.\*\.(id|items\.\*\.id|rows\.\*)$/,
  /^batches\.\*\.events\.\*\.(id|row|timer|step|item|of|tray|events\.\*)$/,
  /^photos\.\*\.step$/,
]

it('no record can name another without its kind saying so', () => {
  const places = [...new Set(idPlaces(z.toJSONSchema(workspaceFileSchema, { io: 'input' })))]
  const declared = new Set(
    RECORD_KINDS.flatMap((kind) => {
      const home = kinds[kind].home
      const each = home === 'gear' || home === 'draft' ? home : `${home}.*`
      return kinds[kind].references.map(({ at }) => `${each}.${at}`)
    }),
  )
  expect(places.length).toBeGreaterThan(40)
  expect(places.filter((place) => !declared.has(place) && !INNER.some((inner) => inner.test(place)))).toEqual([])
  expect([...declared].filter((place) => !places.includes(place))).toEqual([])
})

it('the workspace of these tests uses every reference there is, and is whole', () => {
  for (const kind of RECORD_KINDS)
    for (const reference of kinds[kind].references)
      expect([
        kind,
        reference.at,
        recordsOf(everyReference, kind).some((record) => namedBy(record, [reference]).length > 0),
      ]).toEqual([kind, reference.at, true])
  expect(dangling(everyReference)).toEqual([])
  expect(readWorkspaceFile(JSON.stringify(toFile(everyReference, AT)))).toMatchObject({ ok: true })
})

/** The same identifiers, every record another: a kitchen that shares nothing but names. */
function stranger(workspace: Workspace): Workspace {
  const other: { readonly [K in RecordKind]: (record: Records[K]) => Records[K] } = {
    formula: (f) => ({ ...f, tags: ['theirs'] }),
    lot: (lot) => ({ ...lot, note: 'theirs' }),
    ingredient: (row) => ({ ...row, name: 'Their durum' }),
    shape: (shape) => ({ ...shape, origin: 'elsewhere' }),
    batch: (batch) => ({ ...batch, plan: { ...batch.plan, boardMm: 800 } }),
    photo: (photo) => ({ ...photo, note: 'theirs' }),
    gear: (gear) => ({
      ...gear,
      places: gear.places.map((place) => ({ ...place, temperatureC: 3 })),
      vessels: gear.vessels.map((vessel) => ({ ...vessel, maxDoughG: 900 })),
      rollers: gear.rollers.map((roller) => ({ ...roller, widthMm: 220 })),
      presses: gear.presses.map((press) => ({ ...press, lumpG: 9 })),
      pots: gear.pots.map((pot) => ({ ...pot, holdsL: 9 })),
    }),
    draft: (draft) => ({ ...draft, sheet: { ...draft.sheet, lossPercent: 7 } }),
  }
  return workspaceOf((kind) => recordsOf(workspace, kind).map((record) => other[kind](record as never)))
}

let made = 0
const join = (current: Workspace, incoming: Workspace, choice: ClashChoice) => {
  const writes = mergeImport(incoming, { current, choice, newId: () => `new-${(made += 1)}` })
  const all = workspaceOf((kind) => [
    ...new Map([...recordsOf(current, kind), ...recordsOf(writes, kind)].map((each) => [each.id, each])).values(),
  ])
  return { writes, all }
}

it.each(['keep-both', 'replace', 'skip'] as const)('%s: nothing that is named is missing afterwards', (choice) => {
  const { all } = join(stranger(everyReference), everyReference, choice)
  expect(dangling(all)).toEqual([])
  expect(readWorkspaceFile(JSON.stringify(toFile(all, AT)))).toMatchObject({ ok: true })
})

it('kept beside a stranger’s, a kitchen names its own things alone, and the stranger’s names his', () => {
  const current = stranger(everyReference)
  const { writes, all } = join(current, everyReference, 'keep-both')
  for (const kind of ['formula', 'lot', 'ingredient', 'shape', 'batch', 'photo'] as const) {
    expect(recordsOf(all, kind)).toHaveLength(2 * recordsOf(everyReference, kind).length)
    for (const record of recordsOf(current, kind)) expect(recordsOf(all, kind)).toContainEqual(record)
  }
  for (const kind of ['formula', 'lot', 'batch', 'photo'] as const)
    for (const record of recordsOf(writes, kind))
      for (const named of namedBy(record, kinds[kind].references)) {
        const { to, id } = named
        if (inTables(named)) continue
        const list = to in gearParts ? all.gear![gearParts[to as GearPart].list] : recordsOf(all, to as RecordKind)
        expect([to, list.findIndex((each: { id: string }) => each.id === id) >= 0, id.startsWith('new-')]).toEqual([
          to,
          true,
          true,
        ])
      }
  expect(all.gear!.places.find(({ id }) => id === 'damp')!.temperatureC).toBe(3)
  const place = writes.formulas[0]!.sheet.flourState
  expect(all.gear!.places.find(({ id }) => place.by === 'place' && id === place.place)!.temperatureC).not.toBe(3)
})

it('a copied batch takes its photos and the other part of its dough along, though those are the same here', () => {
  const current = {
    ...everyReference,
    batches: everyReference.batches.map((batch) => (batch.id === 'whole' ? { ...batch, events: [] } : batch)),
  }
  expect(previewImport(current, everyReference)).toMatchObject({ clashes: [{ kind: 'batch', id: 'whole' }] })
  const { writes, all } = join(current, everyReference, 'keep-both')
  const split = (id: string) => {
    const event = all.batches.find((batch) => batch.id === id)!.events.find(({ type }) => type === 'split')
    return event?.type === 'split' ? event.other : null
  }
  const [whole, half] = writes.batches.map(({ id }) => id)
  expect([split(whole!), split(half!)]).toEqual([half, whole])
  expect(split('half')).toBe('whole')
  expect(writes.photos.map(({ batch }) => batch).sort()).toEqual([whole, half].sort())
  expect(dangling(all)).toEqual([])
})

it('a copied batch whose other part did not come along names nobody’s', () => {
  const alone = { ...emptyWorkspace, batches: [everyReference.batches[0]!] }
  const current = {
    ...everyReference,
    batches: everyReference.batches.map((batch) => ({ ...batch, events: batch.events.slice(1) })),
  }
  const { writes } = join(current, alone, 'keep-both')
  const [split] = writes.batches[0]!.events.filter(({ type }) => type === 'split')
  expect(split).toMatchObject({ other: expect.stringMatching(/^new-/) })
})

it('gear that is replaced keeps of ours what our records still name', () => {
  const theirs = {
    ...everyReference.gear!,
    vessels: [],
    places: [{ id: 'theirs', name: 'Loft', temperatureC: 20, rhPercent: 50, air: 'still' as const, night: null }],
    benchPlace: null,
  }
  const { writes } = join(everyReference, { ...emptyWorkspace, gear: theirs }, 'replace')
  expect(writes.gear!.vessels.map(({ id }) => id)).toEqual(['bowl'])
  expect(writes.gear!.places.map(({ id }) => id)).toEqual(['theirs', 'damp'])
})

it('one formula takes with it all it needs to be opened elsewhere, and nothing else', () => {
  const alone = aloneWith(
    { ...everyReference, lots: [...everyReference.lots, { ...everyReference.lots[0]!, id: 'other' }] },
    'formula',
    everyReference.formulas[0]!,
  )
  expect(alone.ingredients.map(({ id }) => id)).toEqual(['our-durum'])
  expect(alone.shapes.map(({ id }) => id).sort()).toEqual(['our-hollows', 'our-pips'])
  expect(alone.lots.map(({ id }) => id)).toEqual(['lot-a'])
  expect([alone.formulas.length, alone.batches, alone.photos, alone.gear, alone.draft]).toEqual([1, [], [], null, null])
  expect(
    danglingIn(alone, (named) => inTables(named) || ['place', 'vessel', 'roller', 'press'].includes(named.to)),
  ).toEqual([])
})

it('says who uses a thing', () => {
  const users = (to: RecordKind | GearPart, id: string) =>
    usersOf(everyReference, to, id).map((user) => `${user.kind} ${user.id}`)
  expect(users('ingredient', 'our-durum')).toEqual([
    'formula f1',
    'lot lot-a',
    'batch whole',
    'batch half',
    'gear gear',
    'draft draft',
  ])
  expect(users('shape', 'our-pips')).toEqual(['formula f1', 'batch whole', 'batch half', 'draft draft'])
  expect(users('place', 'dry')).toEqual(['gear gear'])
  expect(users('roller', 'crank')).toEqual(['formula f1', 'batch whole', 'batch half', 'draft draft'])
  expect(users('lot', 'nobody')).toEqual([])
})
