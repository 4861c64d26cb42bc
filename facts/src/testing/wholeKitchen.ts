/** A kitchen of all the tables, with a store and a loft, for tests. */
import {
  computeSheet,
  doughTable,
  ingredientTable,
  shapeTable,
  type Kitchen,
  type Sheet,
  type Worked,
} from '@harina/core'
import { defaultGear } from '@harina/core/model'
import { doughs, ingredients, schools, shapes } from '../index.ts'

export const wholeKitchen: Kitchen = {
  ingredients: ingredientTable(ingredients),
  doughs: doughTable(doughs),
  shapes: shapeTable(shapes),
  schools,
  gear: {
    ...defaultGear,
    places: [
      { id: 'damp', name: 'Damp store', temperatureC: 17, rhPercent: 81, air: 'still', night: null },
      { id: 'dry', name: 'Dry loft', temperatureC: 27, rhPercent: 38, air: 'still', night: null },
    ],
  },
  lots: [],
  todayMs: 0,
  thirst: new Map(),
  pressed: [],
  proven: [],
}

export function work(sheet: Sheet, kitchen: Kitchen = wholeKitchen): Worked {
  const computed = computeSheet(sheet, kitchen)
  if (!computed.ok) throw new Error(JSON.stringify(computed.problem))
  return computed.value
}

/** The same kitchen with every room so warm. */
export const benchAt = <K extends Kitchen>(kitchen: K, celsius: number): K => ({
  ...kitchen,
  gear: { ...kitchen.gear, places: kitchen.gear.places.map((place) => ({ ...place, temperatureC: celsius })) },
})
