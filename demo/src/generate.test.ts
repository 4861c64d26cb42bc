import {
  computeSheet,
  currentStep,
  doughTable,
  ingredientTable,
  readWorkspaceFile,
  replay,
  shapeTable,
  storyOf,
  summarise,
  thirstByLot,
  type Kitchen,
} from '@harina/core'
import { doughs, ingredients, schools, shapes } from '@harina/facts'
import { generateWorkspace } from './generate.ts'

const NOW = Date.parse('2031-11-08T10:20:00Z')
const workspace = generateWorkspace(NOW)
const kitchen: Kitchen = {
  ingredients: ingredientTable(ingredients),
  doughs: doughTable(doughs),
  shapes: shapeTable(shapes),
  schools,
  gear: workspace.gear!,
  lots: workspace.lots,
  todayMs: NOW,
  thirst: new Map(),
  pressed: [],
  proven: [],
}
const closed = workspace.batches.map(storyOf).filter((story) => story.state.end?.how === 'closed')

it('is the same workspace for the same moment, and a file the app can read', () => {
  expect(generateWorkspace(NOW)).toEqual(workspace)
  expect(readWorkspaceFile(JSON.stringify(workspace))).toMatchObject({ ok: true })
})

it('of another day has its history dated from that day, and coming back to a day changes nothing', () => {
  const later = generateWorkspace(NOW + 3 * 86_400_000)
  const dates = (from: typeof workspace) => from.batches.map(({ plan }) => Date.parse(plan.at))
  expect(dates(later)).toEqual(dates(workspace).map((at) => at + 3 * 86_400_000))
  expect(generateWorkspace(NOW)).toEqual(workspace)
})

it.each(Array.from({ length: 24 }, (_, hour) => hour))(
  'looked at at %d o’clock, the trays on the rack have stood a day and more, and less than two and a half',
  (hour) => {
    const nowMs = Date.parse('2031-11-08T00:00:00Z') + hour * 3_600_000
    const { plan, events } = generateWorkspace(nowMs).batches.find(({ id }) => id === 'demo-rack-2')!
    const laid = replay(plan, events).trays.map((tray) => (nowMs - Date.parse(tray.laidAt)) / 3_600_000)
    expect(Math.min(...laid)).toBeGreaterThan(24)
    expect(Math.max(...laid)).toBeLessThan(60)
  },
)

it('holds the sixteen formulas of the house, a dozen closed batches and one that rests right now', () => {
  expect(workspace.formulas).toHaveLength(16)
  expect(new Set(workspace.formulas.map((formula) => kitchen.doughs.get(formula.sheet.dough)?.family)).size).toBe(5)
  expect(closed).toHaveLength(12)
  const running = workspace.batches.at(-1)!
  const state = replay(running.plan, running.events)
  expect(currentStep(running.plan, state)?.kind).toBe('rest')
  expect(state.timers['rest']!.endsAtMs - NOW).toBe(34 * 60_000)
})

it.each(
  workspace.formulas.flatMap(({ id, sheet }) => ['sea-store', 'lamp-room'].map((place) => [id, place, sheet] as const)),
)('%s opens in the %s within the window of its shape and without a danger note', (_, place, sheet) => {
  const computed = computeSheet({ ...sheet, flourState: { by: 'place', place } }, kitchen)
  if (!computed.ok) throw new Error(computed.problem.code)
  expect(computed.value.match.grade).toBe('in')
  expect(computed.value.notes.filter((note) => note.severity === 'danger')).toEqual([])
})

it('lies in the past, in order, and no batch runs through the night', () => {
  for (const { plan, state } of closed) {
    const hours = (Date.parse(state.end!.at) - Date.parse(plan.at)) / 3_600_000
    expect(hours > 1.5 && hours < 5).toBe(true)
    expect(Date.parse(state.end!.at)).toBeLessThan(NOW)
  }
})

it('lets a reader learn what the keepers learned: R-34 drinks about two points more', () => {
  const thirst = thirstByLot(workspace.batches.map(summarise), doughTable(doughs))
  const mean = (key: string) => thirst.get(key)!.reduce((sum, { points }) => sum + points, 0) / thirst.get(key)!.length
  expect(mean('lot-r34') - mean('lot-r31')).toBeGreaterThan(1)
  expect(mean('lot-r34')).toBeLessThan(3.5)
})

it('pours sensible doughs: every closed batch ends where hand doughs do', () => {
  for (const { basis14, corrections } of closed) {
    expect(basis14 > 44 && basis14 < 56).toBe(true)
    expect(corrections).toBeLessThan(8)
  }
})

it('keeps its failure: the gale-day batch was chased both ways', () => {
  const gale = closed.find((summary) => summary.state.verdict === 'poor')!
  expect(new Set(gale.state.additions.map((addition) => addition.what))).toEqual(new Set(['water', 'flour']))
})
