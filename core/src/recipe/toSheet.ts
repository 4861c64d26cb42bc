/** A recipe that was read, as a work sheet: which dough and shape it is nearest to, and its rows by that dough's counting. */
import { windowFor } from '../match/index.ts'
import { plainTextFrom, type Dough, type Ingredient, type Shape, type Sheet, type SheetRow } from '../model/index.ts'
import { plainWords } from '../shape/index.ts'
import { shapesFor, startSheet, type Kitchen } from '../sheet/index.ts'
import { methodsIn } from './contradictions.ts'
import type { Decoded, DecodedRow } from './decode.ts'
import type { Doing } from './grammar.ts'

export interface Near {
  readonly dough: Dough
  readonly shape: Shape
  /** As the dough counts: all water on the flour, or flour on its base, percent. */
  readonly value: number
  /** Points that figure lies over its window; below 0 it is under it, 0 is within. */
  readonly offPoints: number
  /** The recipe names the shape. */
  readonly named: boolean
}

const NEAREST = 4
/** What it is called stands at the head of a recipe: so many letters are looked through for it. */
const NAMED_WITHIN = 10_000
/** What speaks for a dough, in points of hydration that it may be off for it. */
const WORTH = { named: 12, mainFlour: 12, otherFlour: 6, method: 15, salt: 6 } as const
const SALTED_FROM = 2

interface Known extends DecodedRow {
  readonly ingredient: Ingredient
}

const knownRows = ({ rows }: Decoded, { ingredients }: Kitchen): readonly Known[] =>
  rows.flatMap((row) => {
    const ingredient = row.id === null ? undefined : ingredients.get(row.id)
    return ingredient && ingredient.basis !== 'dusting' && row.grams > 0 ? [{ ...row, ingredient }] : []
  })

const gramsOf = (rows: readonly DecodedRow[]): number => rows.reduce((sum, { grams }) => sum + grams, 0)

/** Names of a shape that stand in the text, by their letters; 0 is none. */
function namedBy({ name, otherNames }: Shape, text: string): number {
  const letters = [name, ...otherNames].map((each) => {
    const plain = plainWords(each)
    return plain.length > 3 && new RegExp(`(?:^|[^a-z])${plain.replace(/[^a-z0-9 ]/g, '.')}s?(?:$|[^a-z])`).test(text)
      ? plain.length
      : 0
  })
  return Math.max(0, ...letters)
}

/** Half of it is water, or more. */
const WET = 0.5
/** What is adjusted to the flour: the wettest of its liquids, or what else there is that is wet. */
const wettest = (rows: readonly Known[]): Known | undefined =>
  [...rows.filter(({ flour, ingredient }) => !flour && ingredient.water > WET)].sort(
    (a, b) =>
      Number(b.ingredient.group === 'liquid') - Number(a.ingredient.group === 'liquid') ||
      b.grams * b.ingredient.water - a.grams * a.ingredient.water,
  )[0]

/** What the dough counts: flour on its base, or all water on its flour; null where the recipe has no base, or nothing wet. */
function valueFor(dough: Dough, rows: readonly Known[]): number | null {
  const flours = rows.filter(({ flour }) => flour)
  if (flours.length === 0) return null
  if (dough.control.by === 'base') {
    const { bases } = dough.control
    const base = rows.filter(({ id }) => bases.includes(id!))
    return base.length === 0 ? null : (100 * gramsOf(flours)) / gramsOf(base)
  }
  if (!wettest(rows)) return null
  const water = rows
    .filter(({ flour }) => !flour)
    .reduce((sum, { grams, ingredient }) => sum + grams * ingredient.water, 0)
  return (100 * water) / gramsOf(flours)
}

const isBase = ({ control }: Dough, { id }: Known): boolean => control.by === 'base' && control.bases.includes(id!)

/** The doughs a recipe may be, the nearest first, each with the shape that suits it best. */
export function nearDoughs(decoded: Decoded, text: string, kitchen: Kitchen): readonly Near[] {
  const rows = knownRows(decoded, kitchen)
  const flours = [...rows.filter(({ flour }) => flour)].sort((a, b) => b.grams - a.grams)
  const main = flours[0]?.id
  const alkalis = rows.filter(({ ingredient }) => (ingredient.carbonate ?? 0) > 0)
  const alkaline = alkalis.length > 0
  const alkaliPercent = alkaline && flours.length > 0 ? (100 * gramsOf(alkalis)) / gramsOf(flours) : 0
  const salt = gramsOf(rows.filter(({ ingredient }) => ingredient.group === 'salt'))
  const salted = flours.length > 0 && (100 * salt) / gramsOf(flours) >= SALTED_FROM
  const methods = methodsIn(text)
  const plain = plainWords(text.slice(0, NAMED_WITHIN))
  const named = new Map([...kitchen.shapes.values()].map((shape) => [shape.id, namedBy(shape, plain)]))
  const heavy = rows.some(
    ({ flour, grams, ingredient }) =>
      !flour && ['vegetable', 'dairy'].includes(ingredient.group) && grams > gramsOf(flours) / 2,
  )
  const found = [...kitchen.doughs.values()].flatMap((dough) => {
    const value = valueFor(dough, rows)
    // A salted dough to be pulled may have a trace of it.
    const bears = alkaline && alkaliPercent <= (dough.alkaliPercent?.high ?? 0)
    if (value === null || !main || ((dough.family === 'alkaline') !== alkaline && !bears)) return []
    const alkaliOff = alkaline && dough.alkaliPercent ? Math.abs(alkaliPercent - dough.alkaliPercent.best) : 0
    if (dough.control.by === 'hydration' && heavy) return []
    return shapesFor(dough, [...kitchen.shapes.values()]).map((shape) => {
      const { low, high } = windowFor(shape, dough).window
      const offPoints = value < low ? value - low : Math.max(0, value - high)
      const letters = named.get(shape.id) ?? 0
      const flourAt = dough.flours.indexOf(main)
      const worth =
        (letters > 0 ? WORTH.named + letters : 0) +
        (plain.includes(plainWords(dough.name)) ? WORTH.named : 0) +
        (flourAt === 0 ? WORTH.mainFlour : flourAt > 0 ? WORTH.otherFlour : 0) +
        (methods.includes(shape.method) ? WORTH.method : 0) +
        (dough.control.by === 'hydration' && (dough.family === 'salted') === salted ? WORTH.salt : 0)
      return { dough, shape, value, offPoints, named: letters > 0, cost: Math.abs(offPoints) + alkaliOff - worth }
    })
  })
  const best = new Map<string, (typeof found)[number]>()
  for (const each of [...found].sort((a, b) => a.cost - b.cost))
    if (!best.has(each.dough.id)) best.set(each.dough.id, each)
  return [...best.values()].slice(0, NEAREST).map(({ cost: _, ...near }) => near)
}

/** Its words leave open what it weighs by more than a scale would tell. */
export const isOpen = ({ grams, low, high }: Pick<DecodedRow, 'grams' | 'low' | 'high'>): boolean =>
  high - low >= 0.01 * grams

const band = (row: DecodedRow): Pick<SheetRow, 'unsure'> =>
  isOpen(row) ? { unsure: { low: Math.min(1, row.low / row.grams), high: Math.max(1, row.high / row.grams) } } : {}

/** The same ingredient once: two goes of water are one row. */
function merged(rows: readonly Known[]): readonly Known[] {
  const all = new Map<string, Known>()
  for (const row of rows) {
    const has = all.get(row.id!)
    all.set(
      row.id!,
      has ? { ...has, grams: has.grams + row.grams, low: has.low + row.low, high: has.high + row.high } : row,
    )
  }
  return [...all.values()]
}

/** Doings of a recipe, min; the longest where there are several. */
const minutesOf = ({ method }: Decoded, doing: Doing) =>
  method.times
    .filter((time) => time.doing === doing && !time.ofBase && time.minutes.typical > 0)
    .sort((a, b) => b.minutes.typical - a.minutes.typical)[0]?.minutes

function asRead(decoded: Decoded): Pick<Sheet, 'asRead'> {
  const [knead, rest, chill, boil] = (['knead', 'rest', 'chill', 'boil'] as const).map((doing) =>
    minutesOf(decoded, doing),
  )
  const resting = rest ?? chill
  const read = {
    ...(knead ? { kneadMin: [knead.low, Math.max(knead.low, knead.high)] as [number, number] } : {}),
    ...(resting && resting.typical >= 1 ? { restMin: Math.min(resting.typical, LONGEST_REST_MIN) } : {}),
    ...(boil ? { cookMin: [boil.low, Math.max(boil.low, boil.high)] as [number, number] } : {}),
  }
  return Object.keys(read).length > 0 ? { asRead: read } : {}
}
const LONGEST_REST_MIN = 2 * 24 * 60

/** What a note takes. */
const LONGEST_NOTE = 4000
const LONGEST_NAME = 120
const noteOf = (text: string): string => {
  const plain = plainTextFrom(text, text.length)
  return plain.length > LONGEST_NOTE ? `${plain.slice(0, LONGEST_NOTE - 1)}…` : plain
}

/**
 * The sheet of a recipe, as the dough chosen for it counts. Null where it has no flour, or nothing that the dough counts on.
 * Figures that the recipe leaves open say so in their rows; its text stays as the note.
 */
export function sheetOf(
  decoded: Decoded,
  { dough, shape }: Pick<Near, 'dough' | 'shape'>,
  kitchen: Kitchen,
  text: string,
): Sheet | null {
  const rows = merged(knownRows(decoded, kitchen))
  const flours = rows.filter(({ flour }) => flour)
  const bases = rows.filter((row) => isBase(dough, row))
  const whole = dough.control.by === 'base' ? gramsOf(bases) : gramsOf(flours)
  if (flours.length === 0 || whole <= 0) return null
  const onBase = dough.control.by === 'base'
  const value = valueFor(dough, rows)
  const water = onBase ? null : wettest(rows)
  if (value === null) return null
  const sheetRows = rows.map((row, n): SheetRow => {
    const common = { key: `read-${n + 1}`, ingredient: row.id!, ...band(row) }
    if (row === water)
      return {
        ...common,
        amount: { by: 'hydration', percent: Math.min(300, value), basis: 'effective' },
      }
    const amount = { by: 'percent', percent: Math.min(1000, (100 * row.grams) / whole) } as const
    if (bases.includes(row)) return { ...common, base: true, amount }
    return row.flour ? { ...common, flour: true, amount } : { ...common, amount }
  })
  const started = startSheet(dough, shape, kitchen)
  const { liquidC } = decoded.method
  return {
    ...started,
    name: plainTextFrom(decoded.title ?? '', LONGEST_NAME).trim() || dough.name,
    rows: sheetRows,
    target: { by: onBase ? 'base' : 'flour', grams: whole },
    // As the recipe has it: what this kitchen has learnt of its flour can be taken in afterwards.
    useLearned: false,
    waterC: liquidC !== null && !onBase ? Math.max(0, Math.min(100, liquidC)) : null,
    lossPercent: 0,
    note: noteOf(text),
    ...asRead(decoded),
  }
}
