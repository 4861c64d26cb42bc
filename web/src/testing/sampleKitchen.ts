/** The kitchen of the sample workspace, and its draft worked through: what bench tests begin from. */
import { computeSheet, doughTable, ingredientTable, shapeTable, type Kitchen } from '@harina/core'
import { counterPress, crank } from '@harina/core/testing'
import { doughs, ingredients, schools, shapes } from '@harina/facts'
import { sampleWorkspace } from './renderApp.tsx'

export const sampleKitchen: Kitchen = {
  ingredients: ingredientTable(ingredients),
  doughs: doughTable(doughs),
  shapes: shapeTable(shapes),
  schools,
  gear: sampleWorkspace.gear!,
  lots: sampleWorkspace.lots,
  todayMs: Date.parse('2031-03-01T00:00:00Z'),
  thirst: new Map(),
  pressed: [],
  proven: [],
}

const worked = computeSheet(sampleWorkspace.draft!.sheet, sampleKitchen)
if (!worked.ok) throw new Error(worked.problem.code)
export const sampleWorked = worked.value

/** With a roller and a press in it. */
export const sampleMachines: Kitchen = {
  ...sampleKitchen,
  gear: { ...sampleKitchen.gear, rollers: [crank], presses: [{ ...counterPress, id: 'press' }] },
}
