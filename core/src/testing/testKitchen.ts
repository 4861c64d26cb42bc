import type { Result } from '../result.ts'
import {
  defaultGear,
  doughTable,
  shapeTable,
  usualMachines,
  type Dough,
  type Shape,
  type Sheet,
} from '../model/index.ts'
import { computeSheet, type Worked } from '../sheet/computeSheet.ts'
import type { Kitchen } from '../sheet/kitchen.ts'
import { testTable } from './testTable.ts'

const dough: Dough = {
  id: 'hand-dough',
  family: 'semolina',
  name: 'Hand dough',
  control: { by: 'hydration' },
  windows: { hand: { low: 43, best: 49, high: 56 } },
  flours: ['durum'],
  saltPercent: { low: 0, best: 0, high: 1 },
  saltOn: 'flour',
  oilPercent: { low: 0, best: 0, high: 2 },
  waterC: [{ choice: 'room', fromC: 18, toC: 24, why: 'bite' }],
  kneadMin: [8, 15],
  mixerMin: [5, 9],
  restMin: { low: 20, best: 45, high: 240 },
  restColdH: { low: 1, best: 12, high: 36 },
  drinkMin: 10,
  mixing: ['Rake.'],
  course: [
    { do: 'pour', how: 'rake', goes: [6, 4] },
    { do: 'feel' },
    { do: 'knead', how: 'push' },
    { do: 'rest', of: 'dough' },
  ],
  cautions: ['raw-flour'],
  feel: { crumbling: 'a', dry: 'b', right: 'c', tacky: 'd', sticky: 'e' },
  pot: { litresPer100G: 1, saltGPerL: 10 },
}

const potatoDough: Dough = {
  ...dough,
  id: 'potato-dough',
  family: 'gnocchi',
  name: 'Potato dough',
  control: { by: 'base', base: 'cooked potato', bases: ['potato'] },
  windows: { hand: { low: 22, best: 28, high: 38 } },
  flours: ['soft'],
  saltOn: 'base',
  saltPercent: { low: 0.6, best: 1, high: 1.4 },
  doughMoisture: { low: 57, best: 62, high: 66 },
  waterC: [],
  course: [
    { do: 'prepare', what: 'steam', minutes: [5, 10], belowC: 45 },
    { do: 'knead', how: 'fold' },
    { do: 'feel' },
    { do: 'rest', of: 'dough' },
  ],
}

const shape = (id: string, diameterMm: number, cutMm: number, low: number, best: number, high: number): Shape => ({
  id,
  name: id,
  otherNames: [],
  origin: 'here',
  method: 'hand',
  blank: { type: 'rope', diameterMm, cutMm },
  form: { kind: 'hollow', lengthMm: 20, widthMm: 10 },
  group: 'hand-rope',
  wallMm: 2,
  section: 'slab',
  doughs: [{ dough: 'hand-dough', window: { low, best, high } }],
  tools: [{ tool: 'hand', instead: 'thumb' }],
  steps: ['roll', 'cut'],
  checks: ['even'],
  tooStiff: 'splits',
  tooSoft: 'sticks',
  mistakes: [{ sign: 'splits', cause: 'dry', remedy: 'mist it' }],
  surfaceFlour: 'none',
  board: 'bare',
  piecesPerMin: { learner: 5, practised: 12, quick: 20 },
  paceOf: 'pieces',
  airBeforeCookMin: [10, 60],
  cookFreshMin: [4, 7],
  doneSign: 'tender',
  keep: { roomH: 2, fridgeDays: 2, freezerMonths: 2, driedMonths: 9 },
  sauce: { traits: ['cupped'], families: ['tomato'] },
  difficulty: 2,
  confidence: 'medium',
})

export const testKitchen: Kitchen = {
  ingredients: testTable,
  doughs: doughTable([dough, potatoDough]),
  shapes: shapeTable([
    shape('hollows', 9, 13, 46, 49, 53),
    shape('pips', 8, 13, 43, 47, 51),
    {
      ...shape('pillows', 18, 20, 0, 0, 0),
      doughs: [{ dough: 'potato-dough', window: { low: 24, best: 28, high: 35 } }],
    },
  ]),
  schools: [],
  gear: {
    ...defaultGear,
    scaleStepG: 1,
    boardMm: 600,
    places: [
      { id: 'damp', name: 'Damp store', temperatureC: 17, rhPercent: 81, air: 'still', night: null },
      { id: 'dry', name: 'Dry loft', temperatureC: 27, rhPercent: 38, air: 'still', night: null },
    ],
  },
  lots: [{ id: 'lot-a', name: 'A-1', ingredient: 'durum', note: '' }],
  todayMs: Date.parse('2031-03-01T00:00:00Z'),
  thirst: new Map(),
  pressed: [],
  proven: [],
}

/** The value, or the test ends here. */
export function must<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(JSON.stringify(result.problem))
  return result.value
}

export const workSheet = (sheet: Sheet, kitchen: Kitchen = testKitchen): Worked => must(computeSheet(sheet, kitchen))

export const testSheet: Sheet = {
  name: 'Test dough',
  dough: 'hand-dough',
  shape: 'hollows',
  rows: [
    { key: 'flour', ingredient: 'durum', amount: { by: 'percent', percent: 100 }, flour: true, lot: 'lot-a' },
    { key: 'water', ingredient: 'water', amount: { by: 'hydration', percent: 48, basis: 'basis14' } },
    { key: 'salt', ingredient: 'salt', amount: { by: 'percent', percent: 1 } },
  ],
  target: { by: 'portions', count: 6, gramsEach: 110 },
  lossPercent: 2,
  flourState: { by: 'typed', moisture: 0.14 },
  useLearned: true,
  waterC: null,
  schools: {},
  vessel: null,
  note: '',
  alsoShapes: [],
  filling: null,
  unfilled: false,
  machines: usualMachines,
}

/** 28 of flour on 100 of cooked potato, 1 of salt. */
export const potatoSheet: Sheet = {
  ...testSheet,
  name: 'Potato dough',
  dough: 'potato-dough',
  shape: 'pillows',
  rows: [
    { key: 'potato', ingredient: 'potato', amount: { by: 'percent', percent: 100 }, base: true },
    { key: 'flour', ingredient: 'soft', amount: { by: 'percent', percent: 28 }, flour: true },
    { key: 'salt', ingredient: 'salt', amount: { by: 'percent', percent: 1 } },
  ],
}
