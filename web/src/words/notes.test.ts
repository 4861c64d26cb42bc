import {
  computeSheet,
  doughTable,
  ingredientTable,
  shapeTable,
  type Kitchen,
  type SheetNote,
  type Worked,
} from '@harina/core'
import { doughs, ingredients, schools, shapes } from '@harina/facts'
import { sampleWorkspace } from '../testing/renderApp.tsx'
import { noteWords } from './index.ts'

const kitchen: Kitchen = {
  ingredients: ingredientTable(ingredients),
  doughs: doughTable(doughs),
  shapes: shapeTable(shapes),
  schools,
  gear: sampleWorkspace.gear!,
  lots: sampleWorkspace.lots,
  todayMs: 0,
  pressed: [],
  proven: [],
  thirst: new Map([
    [
      'lot-r34',
      [2.1, 1.8, 2.4].map((points) => ({ batch: 'b', atMs: 0, points, offSd: 0, family: 'semolina', store: null })),
    ],
  ]),
}
const worked = ((): Worked => {
  const computed = computeSheet(sampleWorkspace.draft!.sheet, kitchen)
  if (!computed.ok) throw new Error(computed.problem.code)
  return computed.value
})()
const words = (note: SheetNote) => noteWords(note, worked, 1)

const every: readonly SheetNote[] = [
  { code: 'hydration-outside', severity: 'danger', low: 42, high: 56, by: 9, side: 'soft', suits: [] },
  { code: 'hydration-outside', severity: 'caution', low: 42, high: 56, by: 9, side: 'soft', suits: ['Pulled dough'] },
  { code: 'no-water-left', severity: 'caution', points: 4.1 },
  { code: 'proven', severity: 'note', by: 5, side: 'soft' },
  { code: 'raw-soda', severity: 'caution', percent: 1.4 },
  { code: 'shape-outside', severity: 'note', by: 1.4, side: 'stiff', suits: [] },
  { code: 'shape-outside', severity: 'caution', by: 3.2, side: 'soft', suits: ['Dragged leaves'] },
  { code: 'shape-unlisted', severity: 'note' },
  { code: 'flour-moisture', severity: 'note', moisture: 0.166, points: -4.5, place: 'Sea store' },
  { code: 'flour-moisture', severity: 'note', moisture: 0.095, points: 7.9, place: null },
  { code: 'gel', severity: 'note', points: 5.2, doughC: 56 },
  { code: 'gel', severity: 'note', points: -6, doughC: 41 },
  { code: 'lot-thirst', severity: 'note', points: 2.1, batches: 3, learnedAt: null },
  { code: 'lot-thirst', severity: 'note', points: 2.1, batches: 3, learnedAt: 'Sea store' },
  { code: 'flour-damp', severity: 'caution', moisture: 0.158, limit: 0.15 },
  { code: 'hold-back', severity: 'note', grams: 15, startG: 402, batches: 0, points: 4.3 },
  { code: 'scale-coarse', severity: 'caution', ingredient: 'Fine salt', grams: 4.5, percent: 11, alkali: false },
  { code: 'salt-outside', severity: 'caution', percent: 3, low: 0, high: 1, on: 'flour' },
  { code: 'salt-outside', severity: 'caution', percent: 0.2, low: 0.6, high: 1.4, on: 'cooked potato' },
  { code: 'salt-over', severity: 'danger', percent: 12, limit: 8 },
  { code: 'fat-outside', severity: 'caution', percent: 7, high: 2 },
  { code: 'alkali-over', severity: 'danger', percent: 2.6, limit: 2 },
  { code: 'alkali-outside', severity: 'caution', percent: 0.2, low: 0.5, high: 1.6 },
  { code: 'alkali-outside', severity: 'caution', percent: 0.2, low: 0, high: 0 },
  { code: 'alkali-handling', severity: 'caution' },
  { code: 'no-gluten', severity: 'danger', percent: 0 },
  { code: 'share-over', severity: 'caution', ingredient: 'Rice flour', percent: 60, max: 30, isFlour: true },
  { code: 'moisture-outside', severity: 'caution', percent: 70, low: 57, high: 66 },
  { code: 'moisture-outside', severity: 'note', percent: 55, low: 57, high: 66 },
  { code: 'free-water', severity: 'note', available: 40, effective: 62 },
  { code: 'never-dry', severity: 'caution', ingredients: ['Milk, whole'] },
  { code: 'thirsty-flour', severity: 'note', points: -2 },
  { code: 'cut-over-board', severity: 'caution', cutMm: 700, boardMm: 600 },
]

it.each(every)('%j: a title with the amount, and a sentence on what to do or why', (note) => {
  const { title, text } = words(note)
  expect(title.length).toBeLessThan(60)
  expect(text).toMatch(/[a-z].*\.$/)
  expect(`${title} ${text}`).not.toMatch(/undefined|NaN|-\d/)
})

it('a pinch that a scale cannot weigh is said to be one', () => {
  const note = {
    code: 'scale-coarse',
    severity: 'caution',
    ingredient: 'Fine salt',
    grams: 0.02,
    percent: 2500,
    alkali: false,
  } as const
  expect(words(note)).toEqual({
    title: '0.02 g is too little for a 1 g scale',
    text: 'Fine salt cannot be weighed so. Use a finer scale, or make more dough.',
  })
})

it('says damp and dry the right way round, and where', () => {
  const [damp, dry] = every.filter(({ code }) => code === 'flour-moisture')
  expect(words(damp!).title).toBe('Sea store: 4.5 points less water')
  expect(words(dry!).title).toBe('Flour at 9.5 %: 7.9 points more water')
})

it('a lot nobody knows is held back widely, and one knows why', () => {
  expect(words(every.find(({ code }) => code === 'hold-back')!)).toEqual({
    title: 'Hold back 15 g',
    text: 'Pour 402 g first, the rest only if it asks. Harina does not know this flour in a dough like this yet, so the margin is wide.',
  })
})

it('this flour’s own notes stand on the sheet', () => {
  expect(worked.notes.map((note) => note.code)).toEqual(
    expect.arrayContaining(['lot-thirst', 'hold-back', 'flour-moisture']),
  )
})
