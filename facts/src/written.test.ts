/** What is written out reads back: every dough with each of its shapes, in every form, by the gram and by the cup. */
import { shapesFor, sheetSchema, startSheet, type Sheet, type Worked } from '@harina/core'
import {
  decode,
  nearDoughs,
  RECIPE_FORMS,
  REGIONS,
  sheetOf,
  writeRecipe,
  writtenName,
  type WriteOptions,
} from '@harina/core/recipe'
import jsonld from 'jsonld'
import { recipeTables as tables } from './testing/readRecipes.ts'
import { wholeKitchen as kitchen, work } from './testing/wholeKitchen.ts'
import { doughs, ingredients, shapes } from './index.ts'

const pairs = doughs.flatMap((dough) => shapesFor(dough, shapes).map((shape) => ({ dough, shape })))
const started = pairs.map(({ dough, shape }) => ({ ...startSheet(dough, shape, kitchen), name: 'Written down' }))

/** Read back as the reader would, and chosen as it would be offered first. */
function readBack(worked: Worked, options: WriteOptions): { sheet: Sheet; dough: string; shape: string } {
  const text = writeRecipe(worked, tables, options)
  const decoded = decode(text, tables, { region: options.cups ?? 'metric' })
  expect([text, decoded.unread, decoded.contradictions]).toEqual([text, [], []])
  const [near] = nearDoughs(decoded, text, kitchen)
  const sheet = sheetOf(decoded, near!, kitchen, text)
  if (!sheet) throw new Error(text)
  return { sheet, dough: near!.dough.id, shape: near!.shape.id }
}

const gramsBy = ({ rows }: Worked): Readonly<Record<string, number>> =>
  rows.reduce<Record<string, number>>((all, { ingredient, weighedG }) => {
    // How warm it is, is told apart.
    const id = ingredient.id.replace(/^water-(cold|room|warm|hot)$/, 'water')
    return { ...all, [id]: (all[id] ?? 0) + weighedG }
  }, {})

it('every ingredient has a name that the reader knows again', () => {
  const names = ingredients
    .filter(({ group }) => group !== 'dusting')
    .map((ingredient) => [ingredient.id, decode(`100 g ${writtenName(ingredient, tables)}`, tables).rows[0]?.id])
  expect(names.filter(([id, read]) => id !== read)).toEqual([])
})

it('the same dough, shape and grams come back, whatever the dough, the shape, the form or the measure', () => {
  const wrong: string[] = []
  for (const [n, sheet] of started.entries()) {
    const worked = work(sheet)
    const form = RECIPE_FORMS[n % RECIPE_FORMS.length]!
    const cups = n % 2 === 0 ? null : REGIONS[(n >> 1) % REGIONS.length]!
    const back = readBack(worked, { form, cups })
    expect(sheetSchema.safeParse(back.sheet).error?.issues ?? []).toEqual([])
    if (back.dough !== sheet.dough || back.shape !== sheet.shape)
      wrong.push(`${sheet.dough} as ${sheet.shape} came back as ${back.dough} as ${back.shape}`)
    const wanted = gramsBy(worked)
    const got = gramsBy(work(back.sheet))
    for (const [id, grams] of Object.entries(wanted))
      if (grams > 0 && Math.abs((got[id] ?? 0) - grams) > 0.51)
        wrong.push(`${sheet.dough} as ${sheet.shape}: ${id} ${grams} g, read ${got[id]}`)
  }
  expect(wrong).toEqual([])
})

it('times are the recipe’s own, and a second reading changes nothing', () => {
  const [sheet] = started
  const options = { form: 'markdown', cups: null } as const
  const once = readBack(work({ ...sheet!, asRead: { kneadMin: [7, 9], restMin: 35, cookMin: [4, 6] } }), options).sheet
  expect(once.asRead).toEqual({ kneadMin: [7, 9], restMin: 35, cookMin: [4, 6] })
  const twice = readBack(work(once), options).sheet
  const grams = (of: Sheet) => gramsBy(work(of))
  expect([twice.name, twice.asRead, grams(twice)]).toEqual([once.name, once.asRead, grams(once)])
})

it('an independent parser of JSON-LD finds the recipe in it', async () => {
  const worked = work(started[0]!)
  const text = writeRecipe(worked, tables, { form: 'json-ld', cups: null })
  const context = { '@vocab': 'https://schema.org/' }
  const expanded = await jsonld.expand(JSON.parse(text) as jsonld.JsonLdDocument, {
    documentLoader: (url) =>
      Promise.resolve({ contextUrl: undefined, documentUrl: url, document: { '@context': context } }),
  })
  const [recipe] = expanded as unknown as Record<string, { '@value'?: string; '@type'?: string[] }[]>[]
  expect(recipe!['@type']).toEqual(['https://schema.org/Recipe'])
  expect(recipe!['https://schema.org/name']).toEqual([{ '@value': 'Written down' }])
  const lines = recipe!['https://schema.org/recipeIngredient']!.map((each) => each['@value'])
  expect(lines).toHaveLength(worked.rows.length)
  expect(
    recipe!['https://schema.org/recipeInstructions']!.every(
      (step) => step['@type']?.[0] === 'https://schema.org/HowToStep',
    ),
  ).toBe(true)
})

describe('a recipe as a sheet', () => {
  const read = (text: string, region: 'us' | 'metric' = 'us') => {
    const decoded = decode(text, tables, { region })
    const near = nearDoughs(decoded, text, kitchen)
    return { near, sheet: near[0] ? sheetOf(decoded, near[0], kitchen, text) : null }
  }

  it('has the dough and shape it names, its own times, and its text as the note', () => {
    const text =
      'Cavatelli. 400 g fine semolina, 190 g water, 4 g salt. Knead 12 minutes, rest 40 minutes, boil 6 to 8 minutes.'
    const { near, sheet } = read(text)
    expect([near[0]!.dough.id, near[0]!.shape.id, near[0]!.offPoints]).toEqual(['sw-hand', 'one-dent-shells', 0])
    expect(sheet).toMatchObject({
      name: expect.stringContaining('Cavatelli') as string,
      note: text,
      asRead: { kneadMin: [12, 12], restMin: 40, cookMin: [6, 8] },
    })
    expect(gramsBy(work(sheet!))).toMatchObject({ 'durum-semolina-remilled': 400, water: 190, 'salt-fine': 4 })
  })

  it('says of each figure how unsure it is, until one is typed', () => {
    const { sheet } = read('2 cups plain flour, 3/4 cup water, 1 tsp salt, 5 g olive oil')
    expect(sheet!.rows.map(({ unsure }) => unsure !== undefined)).toEqual([true, false, true, false])
    expect(sheet!.rows[0]!.unsure).toMatchObject({ low: expect.closeTo(0.92, 2) as number })
  })

  it('alkaline, batter, potato and buckwheat go where they belong', () => {
    const family = (text: string) => read(text).near[0]?.dough.family
    expect(family('500 g bread flour, 180 g water, 6 g kansui powder, 5 g salt')).toBe('alkaline')
    expect(family('A batter of 300 g flour, 300 g milk, 6 g salt, through the holes')).toBe('batter')
    expect(family('1 kg boiled potatoes, 280 g flour, 10 g salt')).toBe('gnocchi')
    expect(family('500 g udon flour, 210 g water, 20 g salt')).toBe('salted')
    expect(read('320 g buckwheat flour, 80 g plain flour, 190 g water').near[0]!.dough.id).toBe('buckwheat-blend')
  })

  it('without flour, or without what wets it, is none', () => {
    expect(read('190 g water, 4 g salt').sheet).toBeNull()
    expect(read('400 g semolina, 4 g salt').sheet).toBeNull()
    expect(read('').near).toEqual([])
  })

  it('page code in it becomes plain words before it is kept', () => {
    const { sheet } = read('<h1>Ropes <img src=x onerror=alert(1)></h1><p>300 g flour, 140 g water</p>')
    expect(sheetSchema.safeParse(sheet).error?.issues ?? []).toEqual([])
  })
})
