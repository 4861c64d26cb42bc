/** The corpus of recipes, and how well they are read. */
import { decode, type ContradictionCode, type Decoded, type Region } from '@harina/core/recipe'
import { calcTables } from '../calcTables.ts'
import written from './recipes.json' with { type: 'json' }

export const recipeTables = calcTables.recipes

export interface WantedRow {
  readonly ids: readonly (string | null)[]
  readonly grams: number
  readonly tolPercent: number
  readonly flour: boolean
}

export interface Sample {
  readonly id: string
  readonly family: string
  readonly style: string
  readonly text: string
  readonly region: Region | undefined
  readonly rows: readonly WantedRow[]
  readonly planted: readonly ContradictionCode[]
  /** What may be found besides. */
  readonly mayAlso: readonly ContradictionCode[]
}

/** @example 400 g ±3 %: plain-wheat or soft-00, flour */
function rowOf(line: string): WantedRow {
  const [, grams, tolPercent, names, flour] = /^([\d.e+-]+) g ±([\d.]+) %: (.+?)(, flour)?$/.exec(line) ?? []
  if (names === undefined) throw new Error(`no row: ${line}`)
  return {
    grams: Number(grams),
    tolPercent: Number(tolPercent),
    ids: names.split(' or ').map((id) => (id === 'unknown' ? null : id)),
    flour: flour !== undefined,
  }
}

interface Written {
  readonly id: string
  readonly family: string
  readonly style: string
  readonly text: string
  readonly region?: string
  readonly rows: readonly string[]
  readonly planted?: readonly string[]
  readonly mayAlso?: readonly string[]
}

export const samples: readonly Sample[] = (written as readonly Written[]).map(
  ({ id, family, style, text, region, rows, planted = [], mayAlso = [] }) => ({
    id,
    family,
    style,
    text,
    region: region as Region | undefined,
    rows: rows.map(rowOf),
    planted: planted as readonly ContradictionCode[],
    mayAlso: mayAlso as readonly ContradictionCode[],
  }),
)

export const isRead = (wanted: WantedRow, { rows }: Decoded): boolean =>
  rows.some(
    ({ id, grams, flour }) =>
      wanted.ids.includes(id) &&
      flour === wanted.flour &&
      Math.abs(grams - wanted.grams) <= (wanted.tolPercent / 100) * wanted.grams,
  )

export interface Score {
  readonly texts: number
  readonly rows: number
  readonly right: number
  /** Rows that nobody wrote. */
  readonly invented: number
  readonly planted: number
  readonly found: number
  readonly falseAlarms: number
  /** What went wrong, by the sample. */
  readonly wrong: readonly string[]
}

export function scoreRecipes(of: readonly Sample[]): Score {
  let [rows, right, invented, planted, found, falseAlarms] = [0, 0, 0, 0, 0, 0]
  const wrong: string[] = []
  for (const sample of of) {
    const decoded = decode(sample.text, recipeTables, { region: sample.region })
    const codes = decoded.contradictions.map(({ code }) => code)
    const missed = sample.rows.filter((row) => !isRead(row, decoded))
    const unfound = sample.planted.filter((code) => !codes.includes(code))
    const alarms = codes.filter((code) => !sample.planted.includes(code) && !sample.mayAlso.includes(code))
    rows += sample.rows.length
    right += sample.rows.length - missed.length
    invented += Math.max(0, decoded.rows.length - sample.rows.length)
    planted += sample.planted.length
    found += sample.planted.length - unfound.length
    falseAlarms += alarms.length
    wrong.push(
      ...missed.map(({ ids, grams }) => `${sample.id}: no row of ${ids.join(' or ')}, ${grams} g`),
      ...(decoded.rows.length > sample.rows.length ? [`${sample.id}: a row too many`] : []),
      ...unfound.map((code) => `${sample.id}: ${code} not found`),
      ...alarms.map((code) => `${sample.id}: ${code} for nothing`),
    )
  }
  return { texts: of.length, rows, right, invented, planted, found, falseAlarms, wrong }
}
