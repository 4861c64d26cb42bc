/** The kitchen of the sample workspace, and its draft worked through: what bench tests begin from. */
import { computeSheet, doughTable, ingredientTable, shapeTable, type Kitchen } from '@harina/core'
import { doughs, ingredients, schools, shapes } from '@harina/facts'
import { sampleWorkspace } from './renderApp.tsx'

export const sampleKitchen: Kitchen = {
  ingredients: ingredientTable(ingredients),
  doughs: doughTable(doughs),
  shapes: shapeTable(shapes),
  schools,
  gear: sampleWorkspace.gear!,
  lots: sampleWorkspace.lots,
  thirst: new Map(),
}

const worked = computeSheet(sampleWorkspace.draft!.sheet, sampleKitchen)
if (!worked.ok) throw new Error(worked.problem.code)
export const sampleWorked = worked.value

/** With a roller and a press in it. */
export const sampleMachines: Kitchen = {
  ...sampleKitchen,
  gear: {
    ...sampleKitchen.gear,
    rollers: [
      {
        id: 'crank',
        name: 'Crank sheeter',
        widthMm: 150,
        settings: 7,
        widest: 'first',
        measured: [
          { setting: 1, gapMm: 2.8 },
          { setting: 7, gapMm: 0.5 },
        ],
        springBack: 1.1,
      },
    ],
    presses: [
      {
        id: 'press',
        name: 'Counter press',
        flowKgPerH: 2,
        lumpG: 6,
        openAreaMm2: 100,
        crumb: { low: 30, best: 33, high: 36 },
        runMin: 30,
        restMin: 15,
        firstDiscardG: 30,
      },
    ],
  },
}
