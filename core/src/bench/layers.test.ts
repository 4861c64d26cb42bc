import { potatoSheet, testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import { bowlLayers, initialState, planBatch, waterTargets } from './index.ts'

const AT = '2031-03-01T09:00:00Z'
const plan = planBatch(workSheet(testSheet), testKitchen, AT, null)
const told = (layers: ReturnType<typeof bowlLayers>) =>
  layers.map(({ kind, isIn }) => `${kind}${isIn ? '' : ' to come'}`)

it('flour, then what goes with it, then water: in or to come, and together all there is', () => {
  const before = bowlLayers(plan, initialState)
  expect(told(before).at(0)).toBe('flour to come')
  expect(told(before).at(-1)).toBe('water to come')
  expect(before.every(({ isIn }) => !isIn)).toBe(true)
  const { totalG } = waterTargets(plan, { weighedG: {} })
  const half = bowlLayers(plan, { ...initialState, done: ['ready', 'flour'], pouredG: totalG / 2 })
  expect(told(half).filter((words) => words.startsWith('water'))).toEqual(['water', 'water to come'])
  const sum = (layers: typeof before) => layers.reduce((all, { grams }) => all + grams, 0)
  expect(sum(half)).toBeCloseTo(sum(before), 6)
})

it('on a base the flour that is held back comes last, and a gram or less is not drawn', () => {
  const potato = planBatch(workSheet(potatoSheet), testKitchen, AT, null)
  const layers = bowlLayers(potato, initialState)
  expect(layers[0]!.kind).toBe('base')
  expect(layers.every(({ grams }) => grams > 1)).toBe(true)
  const held = layers.filter(({ key }) => key === 'held-flour')
  expect(held.length === 0 || layers.at(-1) === held[0]).toBe(true)
})
