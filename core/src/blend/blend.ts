/**
 * Blends from the sacks at hand as a linear programme: shares of flour in percent, which add to 100, hold to the stock and
 * meet what the dough needs. The programme is made and read here; a solver is passed in, so that the core stays pure.
 */
import type { Ingredient, IngredientTable, Lot, Dough, Shape } from '../model/index.ts'
import { ok, problem, type Result } from '../result.ts'

export interface Sack {
  readonly lot: Lot
  readonly ingredient: Ingredient
  readonly stockG: number
  /** Fraction of mass. */
  readonly protein: number
  readonly pricePerKg: number | null
}

/** What a shape asks of its flour; shares in percent of the flour, protein in percent of its mass. */
export interface Needs {
  /** Flours with gluten, at least. */
  readonly gluten: number
  /** Flours that the dough's table lists, at least. */
  readonly listed: number
  readonly protein: { readonly low: number; readonly high: number }
  /** What makes a mixture what it is: at least so many percent of these. */
  readonly character: { readonly flours: readonly string[]; readonly percent: number } | null
}

export type Aim = 'cheapest' | 'protein' | 'use-up'

export interface BlendRequest {
  readonly sacks: readonly Sack[]
  readonly flourG: number
  readonly dough: Dough
  readonly needs: Needs
  readonly aim: Aim
  /** For `protein`: percent. */
  readonly proteinAim?: number
  /** For `use-up`: the sack to empty first. */
  readonly useUp?: string
}

export interface LinearTerm {
  readonly name: string
  readonly factor: number
}
export interface LinearProgramme {
  readonly minimise: readonly LinearTerm[]
  readonly rows: readonly {
    readonly name: string
    readonly terms: readonly LinearTerm[]
    readonly is: '=' | '>=' | '<='
    readonly value: number
  }[]
  /** Every variable is at least 0. */
  readonly upTo: readonly { readonly name: string; readonly max: number }[]
}

/** Least value and values of the variables, or null where no blend meets all rows. */
export type SolveLinear = (programme: LinearProgramme) => Readonly<Record<string, number>> | null

/** Protein that suits a family's sheets and ropes, percent of flour. Usual figures of the craft. */
const PROTEIN: Readonly<Record<Dough['family'], Needs['protein']>> = {
  semolina: { low: 10.5, high: 14 },
  salted: { low: 8.5, high: 12.5 },
  alkaline: { low: 10.5, high: 14.5 },
  batter: { low: 8, high: 14 },
  gnocchi: { low: 8, high: 14 },
}

/** Flours with gluten that a way of shaping cannot do without, percent. */
const GLUTEN: Readonly<Record<Shape['method'], number>> = {
  pull: 95,
  cut: 80,
  stamp: 80,
  hand: 70,
  extrude: 70,
  drop: 40,
}
/** Buckwheat and its like carry part of the dough themselves. */
const GLUTEN_WHERE_LISTED_WITHOUT = 20
const LISTED = 60

export function needsOf(dough: Dough, shape: Shape, table: IngredientTable): Needs {
  const without = dough.flours.filter((id) => (table.get(id)?.gluten ?? 'none') === 'none')
  const first = dough.flours[0] ?? ''
  const gluten = without.includes(first)
    ? without.length === dough.flours.length
      ? 0
      : GLUTEN_WHERE_LISTED_WITHOUT
    : dough.control.by === 'base'
      ? 0
      : GLUTEN[shape.method]
  const protein = gluten === 0 ? { low: 0, high: 100 } : PROTEIN[dough.family]
  return { gluten, listed: LISTED, protein, character: characterOf(dough, table) }
}

/** A mixture keeps at least half of its first flour's share, in that flour or one of its kind that the dough lists. */
function characterOf({ mixture, flours }: Dough, table: IngredientTable): Needs['character'] {
  const first = mixture?.[0]
  const own = first && table.get(first.flour)
  if (!own) return null
  const kind = (other: Ingredient | undefined) =>
    other !== undefined && (own.gluten === 'none' ? other.gluten === 'none' : other.grain === own.grain)
  return { flours: flours.filter((id) => kind(table.get(id))), percent: first.percent / 2 }
}

/** Sacks of flour with something in them. */
export const sacksOf = (lots: readonly Lot[], table: IngredientTable): readonly Sack[] =>
  lots.flatMap((lot): Sack[] => {
    const ingredient = table.get(lot.ingredient)
    if (!ingredient || ingredient.basis !== 'flour' || !lot.stockG) return []
    const pricePerKg = lot.pricePerKg ?? ingredient.pricePerKg ?? null
    return [{ lot, ingredient, stockG: lot.stockG, protein: lot.protein ?? ingredient.protein, pricePerKg }]
  })

const variable = (index: number): string => `x${index}`

/** Most of a sack that may go in, percent of the flour: what is in it, and what a practised maker would use. */
function mostOf({ ingredient, stockG }: Sack, flourG: number): number {
  return Math.min(100, ingredient.usualMaxSharePercent ?? 100, (100 * stockG) / flourG)
}

function objective({ sacks, aim, useUp }: BlendRequest): LinearTerm[] {
  // Among equals the blend nearest to a plain flour's thirst, so that the answer is one and not any.
  const tie = sacks.map(({ ingredient }, index) => ({
    name: variable(index),
    factor: 1e-6 * (1 + Math.abs(ingredient.absorptionShift ?? 0)),
  }))
  switch (aim) {
    case 'cheapest': {
      const dearest = Math.max(0, ...sacks.map((sack) => sack.pricePerKg ?? 0))
      // A sack without a price is taken to cost as much as the dearest, so that it never looks free.
      return tie.map((term, i) => ({ ...term, factor: term.factor + (sacks[i]?.pricePerKg ?? dearest) }))
    }
    case 'use-up':
      return tie.map((term, i) => ({ ...term, factor: term.factor - (sacks[i]?.lot.id === useUp ? 1 : 0) }))
    case 'protein':
      return [...tie, { name: 'over', factor: 1 }, { name: 'under', factor: 1 }]
  }
}

/** The programme of a request: see `docs/domain.md`, *Blends*. */
export function blendProgramme(request: BlendRequest): LinearProgramme {
  const { sacks, needs, dough, aim, proteinAim } = request
  const terms = (factor: (sack: Sack) => number): LinearTerm[] =>
    sacks.map((sack, index) => ({ name: variable(index), factor: factor(sack) })).filter((term) => term.factor !== 0)
  const protein = terms((sack) => sack.protein)
  const rows: LinearProgramme['rows'][number][] = [
    { name: 'whole', terms: terms(() => 1), is: '=', value: 100 },
    {
      name: 'gluten',
      terms: terms(({ ingredient }) => (ingredient.gluten === 'none' ? 0 : 1)),
      is: '>=',
      value: needs.gluten,
    },
    {
      name: 'listed',
      terms: terms(({ ingredient }) => (dough.flours.includes(ingredient.id) ? 1 : 0)),
      is: '>=',
      value: needs.listed,
    },
    {
      name: 'character',
      terms: terms(({ ingredient }) => (needs.character?.flours.includes(ingredient.id) ? 1 : 0)),
      is: '>=',
      value: needs.character?.percent ?? 0,
    },
    { name: 'proteinlow', terms: protein, is: '>=', value: needs.protein.low },
    { name: 'proteinhigh', terms: protein, is: '<=', value: needs.protein.high },
  ]
  if (aim === 'protein')
    rows.push({
      name: 'aim',
      terms: [...protein, { name: 'over', factor: -1 }, { name: 'under', factor: 1 }],
      is: '=',
      value: proteinAim ?? (needs.protein.low + needs.protein.high) / 2,
    })
  return {
    minimise: objective(request),
    rows: rows.filter((row) => row.terms.length > 0 || row.value > 0),
    upTo: sacks.map((sack, index) => ({ name: variable(index), max: mostOf(sack, request.flourG) })),
  }
}

export interface Blend {
  readonly shares: readonly { readonly lot: Lot; readonly ingredient: Ingredient; readonly percent: number }[]
  readonly proteinPercent: number
  readonly glutenPercent: number
  /** For 1 kg of the blend; null where a sack in it has no price. */
  readonly pricePerKg: number | null
}

/** Why no blend can meet the needs: the plainest reason first. */
function whyNot({ sacks, flourG, needs, dough }: BlendRequest): Result<never> {
  const most = (of: (sack: Sack) => boolean) => sacks.filter(of).reduce((sum, sack) => sum + mostOf(sack, flourG), 0)
  const stockG = sacks.reduce((sum, sack) => sum + sack.stockG, 0)
  if (stockG < flourG) return problem('blend-too-little', undefined, { stockG, flourG })
  if (most(({ ingredient }) => ingredient.gluten !== 'none') < needs.gluten)
    return problem('blend-no-gluten', undefined, { percent: needs.gluten })
  if (most(({ ingredient }) => dough.flours.includes(ingredient.id)) < needs.listed)
    return problem('blend-unlisted', undefined, { percent: needs.listed })
  const { character } = needs
  if (character && most(({ ingredient }) => character.flours.includes(ingredient.id)) < character.percent)
    return problem('blend-character', undefined, { percent: character.percent })
  if (most(() => true) < 100) return problem('blend-shares')
  return problem('blend-protein', undefined, { ...needs.protein })
}

/** Shares under this are a pinch nobody weighs out. Percent. */
const LEAST_SHARE = 0.5

/** Problems: `blend-no-sacks`, `blend-too-little`, `blend-no-gluten`, `blend-unlisted`, `blend-character`, `blend-shares`, `blend-protein`. */
export function proposeBlend(request: BlendRequest, solve: SolveLinear): Result<Blend> {
  if (request.sacks.length === 0) return problem('blend-no-sacks')
  const values = solve(blendProgramme(request))
  if (!values) return whyNot(request)
  const shares = request.sacks
    .map(({ lot, ingredient, protein, pricePerKg }, index) => ({
      lot,
      ingredient,
      protein,
      pricePerKg,
      percent: values[variable(index)] ?? 0,
    }))
    .filter((share) => share.percent >= LEAST_SHARE)
    .sort((a, b) => b.percent - a.percent)
  const sum = (of: (share: (typeof shares)[number]) => number) =>
    shares.reduce((total, share) => total + (of(share) * share.percent) / 100, 0)
  return ok({
    shares: shares.map(({ lot, ingredient, percent }) => ({ lot, ingredient, percent })),
    proteinPercent: 100 * sum((share) => share.protein),
    glutenPercent: 100 * sum((share) => (share.ingredient.gluten === 'none' ? 0 : 1)),
    pricePerKg: shares.some((share) => share.pricePerKg === null) ? null : sum((share) => share.pricePerKg ?? 0),
  })
}
