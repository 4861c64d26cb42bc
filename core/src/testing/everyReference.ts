/** A workspace in which every kind of record is there, and every reference that a record can hold is used. */
import { planBatch } from '../bench/index.ts'
import type { Workspace } from '../file/index.ts'
import type { Batch, Formula, Gear, OwnIngredient, OwnShape, Sheet } from '../model/index.ts'
import { computeSheet, type Kitchen } from '../sheet/index.ts'
import { testKitchen, testSheet } from './testKitchen.ts'

const AT = '2031-03-01T09:00:00+00:00'

export const crank = {
  id: 'crank',
  name: 'Crank sheeter',
  widthMm: 150,
  settings: 7,
  widest: 'first' as const,
  measured: [
    { setting: 1, gapMm: 2.8 },
    { setting: 7, gapMm: 0.5 },
  ],
  springBack: 1.1,
}
export const counterPress = {
  id: 'counter',
  name: 'Counter press',
  flowKgPerH: 2,
  lumpG: 6,
  openAreaMm2: 100,
  crumb: { low: 30, best: 33, high: 36 },
  dough: null,
  runMin: 30,
  restMin: 15,
  firstDiscardG: 30,
}

const kettle = { id: 'kettle', name: 'Kettle', holdsL: 12, ringKW: null }
const gear: Gear = {
  ...testKitchen.gear,
  vessels: [{ id: 'bowl', name: 'The big bowl', maxDoughG: 4000 }],
  rollers: [crank],
  presses: [counterPress],
  pots: [kettle],
  benchPlace: 'dry',
  readAs: [{ name: 'the miller’s', is: 'our-durum' }],
}
const ingredient = { ...testKitchen.ingredients.get('durum'), id: 'our-durum', name: 'Our durum' } as OwnIngredient
const named = (id: string, name: string) => ({ ...testKitchen.shapes.get('hollows'), id, name }) as OwnShape
const shapes = [named('our-hollows', 'Our hollows'), named('our-pips', 'Our pips')]

const sheet: Sheet = {
  ...testSheet,
  shape: 'our-hollows',
  rows: testSheet.rows.map((row) => (row.flour ? { ...row, ingredient: 'our-durum', lot: 'lot-a' } : row)),
  alsoShapes: [{ shape: 'our-pips', by: 'share', percent: 25 }],
  flourState: { by: 'place', place: 'damp' },
  vessel: 'bowl',
  machines: { ...testSheet.machines, roller: 'crank', press: 'counter' },
}
const formula: Formula = {
  id: 'f1',
  sheet,
  tags: [],
  archived: false,
  versions: [{ at: AT, sheet: { ...sheet, lossPercent: 3 } }],
  createdAt: AT,
  updatedAt: AT,
}

const kitchen: Kitchen = {
  ...testKitchen,
  gear,
  ingredients: new Map([...testKitchen.ingredients, [ingredient.id, ingredient]]),
  shapes: new Map([...testKitchen.shapes, ...shapes.map((shape) => [shape.id, shape] as const)]),
}
const worked = computeSheet(sheet, kitchen)
if (!worked.ok) throw new Error(worked.problem.code)
const steps = [
  { id: 'flour', kind: 'flour' as const },
  { id: 'thin', kind: 'thin' as const, roller: crank, folds: 0, belt: false },
  { id: 'press', kind: 'press' as const, press: counterPress },
]
const began = planBatch(worked.value, kitchen, AT, 'f1')
const plan = {
  ...began,
  steps,
  also: began.also.map((each) => ({ ...each, own: each.own && { ...each.own, steps } })),
}
const part = (id: string, other: string, which: 'kept' | 'taken'): Batch => ({
  id,
  plan,
  events: [
    { id: `${id}-1`, at: AT, type: 'poured', grams: 200 },
    { id: `${id}-3`, at: AT, type: 'rolled-by', roller: crank },
    { id: `${id}-4`, at: AT, type: 'pot-chosen', pot: kettle },
    { id: `${id}-2`, at: AT, type: 'split', keeps: 0.75, other, part: which, shape: 'our-pips' },
  ],
})

export const everyReference: Workspace = {
  formulas: [formula],
  lots: [{ id: 'lot-a', name: 'A-1', ingredient: 'our-durum', note: '' }],
  ingredients: [ingredient],
  shapes,
  batches: [part('whole', 'half', 'kept'), part('half', 'whole', 'taken')],
  photos: [
    {
      id: 'p1',
      batch: 'whole',
      step: 'flour',
      at: AT,
      type: 'image/png',
      base64: 'AAAA',
      widthPx: 1,
      heightPx: 1,
      note: '',
    },
    {
      id: 'p2',
      batch: 'half',
      step: 'flour',
      at: AT,
      type: 'image/png',
      base64: 'AAAA',
      widthPx: 1,
      heightPx: 1,
      note: '',
    },
  ],
  gear,
  draft: { id: 'draft', formula: 'f1', sheet },
}
