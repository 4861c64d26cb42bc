/**
 * Whatever is done by hand, absurd figures among it, what is stored can be read again: a property over random sequences of
 * taps at the bench and edits of sheet, gear, sacks and formulas.
 */
import {
  computeSheet,
  FEELS,
  FINISHES,
  planBatch,
  readWorkspaceFile,
  retarget,
  sameValue,
  toFile,
  VERDICTS,
  type BenchAction,
  type Gear,
  type Sheet,
  type Target,
} from '@harina/core'
import fc from 'fast-check'
import { repository } from '../storage/index.ts'
import { putWorkspace, sampleWorkspace, settle } from '../testing/renderApp.tsx'
import { sampleKitchen, sampleWorked } from '../testing/sampleKitchen.ts'
import { recordTap, redoTap, undoTap } from './bench.ts'
import { editDraft } from './editDraft.ts'
import { changeGear, setGear } from './gear.ts'
import { selectWorked } from './worked.ts'
import { store } from './store.ts'
import { change, put } from './workspace.ts'

declare const process: { readonly env: Readonly<Record<string, string | undefined>> }
const SEQUENCES = process.env['HEAVY'] ? 400 : 40

const figure = fc.oneof(
  fc.double({ min: 0, max: 2000, noNaN: true }),
  fc.constantFrom(0, -1, 1e-12, 5e-324, 0.1, 660, 11_521, 1e5, 1e6, 1_000_001, 1e9, 1e21, Infinity, NaN),
)
const words = fc.oneof(
  fc.string({ maxLength: 20 }),
  fc.constantFrom('', '<b>x</b>', '\u202e', 'x'.repeat(5000), 'constructor', '__proto__'),
)
const timer = fc.constantFrom('rest', 'cook', 'own-1', 'constructor')

const tap = fc.oneof(
  fc.record({ type: fc.constantFrom('poured', 'lumped', 'jar-weighed', 'sampled'), grams: figure }),
  fc.record({ type: fc.constant('weighed'), row: fc.constantFrom('f-r34', 'constructor', '__proto__'), grams: figure }),
  fc.record({ type: fc.constant('added-flour'), grams: figure, saltG: figure }),
  fc.record({ type: fc.constant('felt'), feel: fc.constantFrom(...FEELS) }),
  fc.record({ type: fc.constantFrom('timer-started', 'timer-moved'), timer, minutes: figure }),
  fc.record({ type: fc.constant('clock-set'), shiftMs: fc.oneof(figure, fc.constant(-1.3e11)) }),
  fc.record({ type: fc.constant('cooked'), minutes: figure }),
  fc.record({ type: fc.constant('shaped'), pieces: figure }),
  fc.record({
    type: fc.constant('split'),
    keeps: fc.double({ min: 0, max: 1, noNaN: true }),
    other: fc.constant('part'),
    part: fc.constant('kept'),
  }),
  fc.record({ type: fc.constant('finish-chosen'), finish: fc.constantFrom(...FINISHES) }),
  fc.record({ type: fc.constant('judged'), verdict: fc.constantFrom(...VERDICTS) }),
  fc.record({ type: fc.constant('noted'), text: words }),
  fc.record({ type: fc.constant('handed-over'), to: words, word: words }),
  fc.constantFrom({ type: 'step-done', step: 'flour' }, { type: 'closed' }, { type: 'resumed' }),
) as unknown as fc.Arbitrary<BenchAction>

const by = fc.constantFrom<Target['by']>('portions', 'pieces', 'dough', 'flour', 'water')
const edit = fc.oneof(
  fc.record({ what: fc.constant('target' as const), count: figure, gramsEach: figure }),
  fc.record({ what: fc.constant('solve' as const), by }),
  fc.record({ what: fc.constant('loss' as const), percent: figure }),
  fc.record({ what: fc.constant('percent' as const), percent: figure }),
  fc.record({ what: fc.constant('name' as const), name: words }),
  fc.record({ what: fc.constant('board' as const), mm: figure }),
  fc.record({ what: fc.constant('place' as const), name: words, rhPercent: figure }),
  fc.record({ what: fc.constant('lot' as const), name: words, stockG: figure }),
  fc.record({ what: fc.constant('formula' as const), tag: words }),
)
type Edit = typeof edit extends fc.Arbitrary<infer E> ? E : never

function applied(each: Edit): Promise<unknown> | unknown {
  const lot = sampleWorkspace.lots[0]!
  switch (each.what) {
    case 'target':
      return editDraft((sheet): Sheet => ({
        ...sheet,
        target: { by: 'portions', count: each.count, gramsEach: each.gramsEach },
      }))
    case 'solve': {
      const worked = selectWorked(store.getState())
      return worked?.ok && editDraft(() => retarget(worked.value, each.by))
    }
    case 'loss':
      return editDraft((sheet) => ({ ...sheet, lossPercent: each.percent }))
    case 'percent':
      return editDraft((sheet) => ({
        ...sheet,
        rows: sheet.rows.map((row) =>
          row.amount.by === 'percent' && !row.flour
            ? { ...row, amount: { by: 'percent', percent: each.percent } }
            : row,
        ),
      }))
    case 'name':
      return editDraft((sheet) => ({ ...sheet, name: each.name }))
    case 'board':
      return setGear({ boardMm: each.mm }).stored
    case 'place':
      return changeGear((gear): Gear => ({
        ...gear,
        places: gear.places.map((place) => ({ ...place, name: each.name, rhPercent: each.rhPercent })),
      })).stored
    case 'lot':
      return change('lot', lot.id, (now) => ({ ...now, name: each.name, stockG: each.stockG })).stored
    case 'formula':
      return put('formula', { ...sampleWorkspace.formulas[0]!, tags: [each.tag] }).stored
  }
}

const act = fc.oneof(
  { weight: 3, arbitrary: tap.map((action) => ({ tap: action })) },
  { weight: 1, arbitrary: fc.constantFrom({ back: 'undo' as const }, { back: 'redo' as const }) },
  { weight: 2, arbitrary: edit.map((each) => ({ edit: each })) },
)

const plan = planBatch(sampleWorked, sampleKitchen, '2031-03-01T09:00:00+00:00', null)

it(`${SEQUENCES} sequences of taps and edits: each export is read back as it was`, async () => {
  jest.spyOn(console, 'error').mockImplementation(() => undefined)
  await fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 5, maxLength: 25 }), async (acts) => {
      await putWorkspace({ ...sampleWorkspace, batches: [] })
      await repository.batches.start([{ id: 'b', plan }])
      for (const each of acts) {
        const batch = await repository.batches.get('b')
        if ('tap' in each) await recordTap(batch!, each.tap)
        else if ('back' in each) await (each.back === 'undo' ? undoTap : redoTap)(batch!)
        else await applied(each.edit)
      }
      await settle()
      const workspace = await repository.workspace()
      const text = JSON.stringify(toFile(workspace, '2031-03-01T10:00:00+00:00'))
      const read = readWorkspaceFile(text)
      expect(read.ok ? 'read' : read.problem).toBe('read')
      expect(read.ok && sameValue(read.value, JSON.parse(text))).toBe(true)
      const { present } = store.getState().draft
      expect(present && computeSheet(present.sheet, sampleKitchen).ok !== undefined).toBe(true)
    }),
    { numRuns: SEQUENCES },
  )
}, 600_000)

describe('figures that are far off but were really entered', () => {
  const stored = async () => {
    await settle()
    const read = readWorkspaceFile(JSON.stringify(toFile(await repository.workspace(), '2031-03-01T10:00:00+00:00')))
    return read.ok ? read.value : read.problem
  }
  beforeEach(async () => {
    await putWorkspace({ ...sampleWorkspace, batches: [] })
    await repository.batches.start([{ id: 'b', plan }])
  })

  it.each([
    ['a cook clock left eleven hours', { type: 'cooked', minutes: 660 }],
    ['one more minute on a timer eight days over', { type: 'timer-moved', timer: 'rest', minutes: 11_521 }],
    ['a clock put back four years', { type: 'clock-set', shiftMs: -126_230_400_000 }],
    ['a ton of flour on the scale', { type: 'weighed', row: 'f-r34', grams: 1_000_000 }],
  ] as [string, BenchAction][])('%s: recorded, exported and read back', async (_, action) => {
    expect(await recordTap((await repository.batches.get('b'))!, action)).toBe(true)
    expect(await stored()).toMatchObject({ batches: [{ events: [action] }] })
  })

  it.each([
    ['10,000 portions of 5,000 g', { by: 'portions', count: 10_000, gramsEach: 5000 }],
    ['a ton of flour', { by: 'flour', grams: 1_000_000 }],
  ] as [string, Target][])('%s is more than a sheet can be: the field says so, the sheet stays', async (_, target) => {
    const before = store.getState().draft.present
    expect(editDraft((sheet) => ({ ...sheet, target }))).toMatchObject({ problem: { code: 'dough-too-large' } })
    expect(store.getState().draft.present).toBe(before)
    expect(await stored()).toMatchObject({ format: 'harina' })
  })
})
