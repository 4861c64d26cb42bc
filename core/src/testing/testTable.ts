import { ingredientTable, type Ingredient } from '../model/index.ts'

const row = (id: string, part: Partial<Ingredient>): Ingredient => ({
  id,
  name: id,
  group: 'flour',
  basis: 'flour',
  water: 0,
  protein: 0,
  fat: 0,
  salt: 0,
  densityGPerMl: 1,
  availableWater: 0,
  absorptionShift: null,
  gluten: 'none',
  allergens: [],
  ...part,
})

/** A handful of ingredients with round numbers, for tests of the core alone. */
export const testTable = ingredientTable([
  row('durum', {
    gluten: 'medium',
    water: 0.14,
    fat: 0.012,
    grain: 'durum',
    absorptionShift: 2,
    allergens: ['gluten'],
  }),
  row('soft', { gluten: 'medium', water: 0.14, fat: 0.01, grain: 'soft', absorptionShift: -2, allergens: ['gluten'] }),
  row('water', { group: 'liquid', basis: 'liquid', water: 1, availableWater: 1 }),
  row('salt', { group: 'salt', basis: 'additive', salt: 1 }),
  row('milk', {
    group: 'liquid',
    basis: 'liquid',
    water: 0.875,
    fat: 0.036,
    salt: 0.001,
    availableWater: 1,
    allergens: ['milk'],
  }),
  row('potato', { group: 'vegetable', basis: 'liquid', water: 0.78, protein: 0.02, availableWater: 0.25 }),
  row('carbonate', { group: 'alkali', basis: 'additive', carbonate: 1 }),
])

/** What the port looks things up in; recipes are read with the whole tables elsewhere. */
export const testTables = {
  ingredients: testTable,
  recipes: {
    ingredients: [...testTable.values()],
    doughs: [],
    reader: { measures: [], modifiers: [], times: [], heats: [], counted: [], names: [] },
  },
}
