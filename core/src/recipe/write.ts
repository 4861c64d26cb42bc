/** A formula as a recipe: plain text, Markdown or JSON-LD of schema.org, in grams or in cups with what they may hold. */
import type { Ingredient } from '../model/index.ts'
import type { Worked, WorkedRow } from '../sheet/index.ts'
import { elementsOf } from './elements.ts'
import { sentenceOf } from './amounts.ts'
import { lexiconFor, type Lexicon } from './lexicon.ts'
import type { ReaderMeasure, RecipeTables, Region } from './tables.ts'
import { sentencesOf } from './words.ts'

export const RECIPE_FORMS = ['text', 'markdown', 'json-ld'] as const
export type RecipeForm = (typeof RECIPE_FORMS)[number]

export interface WriteOptions {
  readonly form: RecipeForm
  /** Cups and spoons of this region beside the grams; null is by weight alone. */
  readonly cups: Region | null
}

/** What the reader reads a name as: nothing else, and all of it. */
function isReadAs(name: string, { id }: Ingredient, lexicon: Lexicon): boolean {
  const [words, ...more] = sentencesOf(`100 g ${name}`)
  if (!words || more.length > 0) return false
  const elements = elementsOf(sentenceOf(words), lexicon)
  return elements.length === 2 && elements[1]?.is === 'ingredient' && elements[1].ingredient.id === id
}

/** A name by which the reader knows it again; the table's own where that is one. */
export function writtenName(ingredient: Ingredient, tables: RecipeTables): string {
  const lexicon = lexiconFor(tables)
  const plain = ingredient.name.replace(/\s*\(.*?\)/g, '').trim()
  const listed = tables.reader.names.find(({ ingredient: id }) => id === ingredient.id)
  const names = [
    plain.charAt(0).toLowerCase() + plain.slice(1),
    ...(listed?.names ?? []),
    ingredient.id.replaceAll('-', ' '),
  ]
  return names.find((name) => !(listed?.unsure ?? []).includes(name) && isReadAs(name, ingredient, lexicon)) ?? plain
}

const figure = (value: number, decimals: number): string => String(Number(value.toFixed(decimals)))
/** As finely as the amount is told: a tenth of a gram below ten. */
const grams = (value: number): string => `${figure(value, value < 10 ? 1 : 0)} g`

const FRACTIONS: readonly (readonly [number, string])[] = [
  [0, ''],
  [1 / 4, '1/4'],
  [1 / 3, '1/3'],
  [1 / 2, '1/2'],
  [2 / 3, '2/3'],
  [3 / 4, '3/4'],
  [1, ''],
]

/** The nearest figure a measure has a mark for; null where that is none. */
function marked(value: number): string | null {
  const whole = Math.floor(value)
  const nearest = [...FRACTIONS].sort(([a], [b]) => Math.abs(value - whole - a) - Math.abs(value - whole - b))[0]!
  const [part, words] = nearest
  const units = part === 1 ? whole + 1 : whole
  const text = [units > 0 ? String(units) : '', words].filter(Boolean).join(' ')
  return text === '' ? null : text
}

const MEASURES = ['cup', 'tablespoon', 'teaspoon'] as const

const measureNamed = ({ reader }: RecipeTables, name: string, region: Region): ReaderMeasure | undefined =>
  reader.measures.find(
    ({ names, regions, ml, of }) =>
      ml !== undefined && of === undefined && names.includes(name) && regions?.includes(region),
  )

/** In the largest measure that a quarter of fits in; by the cup dry things are told with what a cup may hold. */
function measured(
  ingredient: Ingredient,
  g: number,
  region: Region,
  tables: RecipeTables,
): { words: string; range: string } | null {
  for (const name of MEASURES) {
    const ml = measureNamed(tables, name, region)?.ml
    const count = ml === undefined ? 0 : g / ingredient.densityGPerMl / ml
    const words = count >= (name === 'teaspoon' ? 0.2 : name === 'tablespoon' ? 0.9 : 0.25) ? marked(count) : null
    if (words === null) continue
    const { low = 1, high = 1 } = ingredient.cupFactor ?? {}
    const range = low < high && name === 'cup' ? ` (by the cup ${grams(g * low)} to ${grams(g * high)})` : ''
    return { words: `${words} ${name}${/^(?:1|\d\/\d)$/.test(words) ? '' : 's'}`, range }
  }
  return null
}

function line(row: WorkedRow, cups: Region | null, tables: RecipeTables): string {
  const name = writtenName(row.ingredient, tables)
  const told = cups === null ? null : measured(row.ingredient, row.weighedG, cups, tables)
  return told ? `${told.words} (${grams(row.weighedG)}) ${name}${told.range}` : `${grams(row.weighedG)} ${name}`
}

const span = (from: number, to: number): string =>
  from === to ? figure(from, 1) : `${figure(from, 1)} to ${figure(to, 1)}`
const restWords = (minutes: number): string =>
  minutes >= 180 ? `${figure(minutes / 60, 1)} hours` : `${figure(minutes, 0)} minutes`
const HEATED = { bake: 'Bake', pan: 'Fry, then steam', steam: 'Steam' } as const

const METHOD_WORDS = {
  hand: 'shaped by hand',
  cut: 'cut from a sheet',
  stamp: 'stamped from a sheet',
  extrude: 'extruded',
  pull: 'pulled',
  drop: 'dropped',
} as const

function stepsOf({ dough, shape, practice, sheet, cookMin }: Worked): readonly string[] {
  const { kneadMin = dough.kneadMin } = sheet.asRead ?? {}
  // As one works by hand, whoever reads it.
  const waterC = practice.waterBy?.hand ?? practice.waterC
  return [
    ...(waterC === null ? [] : [`Water at ${figure(waterC, 0)} °C.`]),
    ...(kneadMin[1] > 0 && dough.family !== 'gnocchi'
      ? [
          `${dough.family === 'batter' ? 'Beat' : shape.method === 'extrude' ? 'Mix' : 'Knead'} for ${span(...kneadMin)} minutes.`,
        ]
      : []),
    ...(practice.restMin >= 1
      ? [`Rest ${restWords(practice.restMin)}${practice.restCold ? ' in the fridge' : ''}.`]
      : []),
    `Shape: ${shape.name}, ${METHOD_WORDS[shape.method]}.`,
    ...(cookMin[1] > 0
      ? [
          shape.heat
            ? `${HEATED[shape.heat]} ${span(...cookMin)} minutes.`
            : `Boil ${span(...cookMin)} minutes${practice.potSaltGPerL > 0 ? `, with ${grams(practice.potSaltGPerL)} of salt a litre` : ''}.`,
        ]
      : []),
  ]
}

/** The recipe of a sheet. What is written reads back to the same rows, dough and shape, as finely as the scale weighs. */
export function writeRecipe(worked: Worked, tables: RecipeTables, { form, cups }: WriteOptions): string {
  const { sheet, dough, rows } = worked
  const lines = rows.filter(({ weighedG }) => weighedG > 0).map((row) => line(row, cups, tables))
  const doughG = rows.reduce((sum, { weighedG }) => sum + weighedG, 0)
  const makes = `${grams(doughG)} of dough`
  const steps = stepsOf(worked)
  switch (form) {
    case 'text':
      return [sheet.name, `Makes ${makes}. Dough: ${dough.name}.`, '', ...lines, '', ...steps, ''].join('\n')
    case 'markdown':
      return [
        `# ${sheet.name}`,
        '',
        `Makes ${makes}. Dough: ${dough.name}.`,
        '',
        '## Ingredients',
        '',
        ...lines.map((each) => `- ${each}`),
        '',
        '## Method',
        '',
        ...steps.map((each, n) => `${n + 1}. ${each}`),
        '',
      ].join('\n')
    case 'json-ld':
      return `${JSON.stringify(
        {
          '@context': 'https://schema.org',
          '@type': 'Recipe',
          name: sheet.name,
          description: `Dough: ${dough.name}.`,
          recipeYield: makes,
          recipeIngredient: lines,
          recipeInstructions: steps.map((text) => ({ '@type': 'HowToStep', text })),
        },
        null,
        2,
      )}\n`
  }
}
