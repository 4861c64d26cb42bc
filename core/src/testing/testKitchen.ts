import { doughTable, shapeTable, type Dough, type Shape } from '../shape/index.ts'
import type { Kitchen } from '../sheet/kitchen.ts'
import type { Sheet } from '../records/sheet.ts'
import { testTable } from './testTable.ts'

const dough: Dough = {
  id: 'hand-dough',
  family: 'semolina',
  name: 'Hand dough',
  windows: { hand: { low: 43, best: 49, high: 56 } },
  saltPercent: { low: 0, high: 1 },
  waterC: [{ choice: 'room', fromC: 18, toC: 24, why: 'bite' }],
  kneadMin: [8, 15],
  restMin: { low: 20, best: 45, high: 240 },
  drinkMin: 10,
  mixing: 'Rake.',
  feel: { crumbling: 'a', dry: 'b', right: 'c', tacky: 'd', sticky: 'e' },
  pot: { litresPer100G: 1, saltGPerL: 10 },
}

const shape = (id: string, diameterMm: number, cutMm: number, low: number, best: number, high: number): Shape => ({
  id,
  name: id,
  otherNames: [],
  origin: 'here',
  method: 'hand',
  blank: { type: 'rope', diameterMm, cutMm },
  form: { kind: 'hollow', lengthMm: 20, widthMm: 10 },
  wallMm: 2,
  doughs: [{ dough: 'hand-dough', window: { low, best, high } }],
  tools: ['hand'],
  steps: ['roll', 'cut'],
  checks: ['even'],
  tooStiff: 'splits',
  tooSoft: 'sticks',
  board: 'bare',
  piecesPerMin: { learner: 5, practised: 12 },
  airBeforeCookMin: [10, 60],
  cookFreshMin: [4, 7],
  doneSign: 'tender',
})

export const testKitchen: Kitchen = {
  ingredients: testTable,
  doughs: doughTable([dough]),
  shapes: shapeTable([shape('hollows', 9, 13, 46, 49, 53), shape('pips', 8, 13, 43, 47, 51)]),
  gear: {
    id: 'gear',
    scaleStepG: 1,
    boardMm: 600,
    places: [
      { id: 'damp', name: 'Damp store', temperatureC: 17, rhPercent: 81 },
      { id: 'dry', name: 'Dry loft', temperatureC: 27, rhPercent: 38 },
    ],
  },
  lots: [{ id: 'lot-a', name: 'A-1', ingredient: 'durum', note: '' }],
  thirst: new Map(),
}

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
  note: '',
}
