/** What a batch runs with: a plan that never changes once it has begun. */
import { z } from '../zod.ts'
import { blankSchema } from './blank.ts'
import { pressAt12 } from './gearParts/index.ts'
import { each, figureOr, one, partOf, together, upgradesOf, type Loose, type Upgrade, type Upgrades } from './loose.ts'
import { between, celsius, fraction, lengthMm, massG, minutes, pieces, reckoned, whole } from './ranges.ts'
import { under, type Reference } from './reference.ts'
import { sheetReferences, sheetSchema, sheetUpgrades } from './sheet.ts'
import { plannedStepSchema } from './steps.ts'
import { idSchema, nameSchema, timeSchema } from './text.ts'
import { DUSTS } from './shape.ts'
import { spanSchema } from './window.ts'
import { WORKERS } from './workers.ts'

const plannedRowSchema = z.lazy(() =>
  z.strictObject({
    key: idSchema,
    ingredient: idSchema,
    name: nameSchema,
    lot: z.optional(idSchema),
    part: z.enum(['flour', 'base', 'water', 'salt', 'alkali', 'other']),
    /** Fraction of massG; for a flour, as it stood in store that day. */
    water: fraction,
    /** Of the way from its sack's start to the air's own moisture; the air has no say where it is left out. */
    airShare: z.optional(fraction),
    percent: between(0, 10_000),
    weighedG: massG,
    /** Of weighedG, what of the flour waits beside the bowl for the feel. */
    heldG: z.optional(massG),
    /** For a bench without a scale: what a millilitre of it holds, and how far a filled cup strays, times that. */
    filled: z.optional(z.strictObject({ gPerMl: between(0.01, 25), low: between(0.1, 10), high: between(0.1, 10) })),
  }),
)

const plannedShapeSchema = z.lazy(() =>
  z.strictObject({
    id: idSchema,
    name: nameSchema,
    blank: blankSchema,
    pieceG: massG,
    pieces,
    /** Of long strands: what one eats, g. They are counted by it, and not one by one. */
    portionG: z.optional(massG),
    /** Of the usable dough; the rest is cut into other shapes. */
    share: fraction,
    /** In the dough's control variable: the 14 % basis, or flour on the base. */
    window: z.strictObject({ low: reckoned, best: reckoned, high: reckoned }),
  }),
)

/**
 * What holds a dough together, which is how it is handled, corrected, judged and spoken of. `gluten` springs back until it has
 * rested; `starch` has none and is scalded; `base` is potato, squash, curd or milk.
 */
const bodies = ['gluten', 'starch', 'batter', 'base'] as const
export type Body = (typeof bodies)[number]

export const planSchema = z.lazy(() =>
  z.strictObject({
    at: timeSchema,
    formula: z.nullable(idSchema),
    sheet: sheetSchema,
    rows: z.array(plannedRowSchema).check(z.minLength(2), z.maxLength(60)),
    scaleStepG: between(0.001, 100),
    /** No scale: all is called in cups, spoons and pieces. */
    noScale: z.optional(z.literal(true)),
    boardMm: lengthMm,
    /** Where the flour stood, in words for the log. */
    store: z.nullable(z.strictObject({ name: nameSchema, temperatureC: celsius, rhPercent: between(0, 100) })),
    /** What the dough is steered by; on a base, its name for the rule. */
    control: z.discriminatedUnion('by', [
      z.strictObject({ by: z.literal('hydration') }),
      z.strictObject({ by: z.literal('base'), base: nameSchema }),
    ]),
    body: z.enum(bodies),
    hydration: z.strictObject({
      /** On the 14 % basis, without the lot's own thirst: where the dough lies in the table's windows. */
      paper14: reckoned,
      expected14: reckoned,
      effective: reckoned,
    }),
    water: z.strictObject({
      startG: massG,
      holdBackG: massG,
      ceilingG: massG,
      predictiveSd: between(0, 1000),
      batches: whole(0, 1_000_000),
    }),
    /** Heat of the water; null where none is poured. */
    waterC: z.nullable(celsius),
    /** The same by whoever works it, where that is not one. */
    waterBy: z.optional(z.strictObject({ hand: celsius, mixer: celsius, processor: celsius })),
    doughG: massG,
    densityGPerCm3: between(0.1, 10),
    shape: plannedShapeSchema,
    /** What else the dough is cut into, with its share of it, and what it goes on with as a batch of its own. */
    also: z
      .array(
        z.strictObject({
          id: idSchema,
          name: nameSchema,
          share: fraction,
          /** What that part is for. */
          for: z.optional(nameSchema),
          own: z.optional(
            z.strictObject({
              shape: plannedShapeSchema,
              cook: spanSchema,
              steps: z.array(plannedStepSchema).check(z.minLength(1), z.maxLength(80)),
            }),
          ),
        }),
      )
      .check(z.maxLength(8)),
    minutes: z.strictObject({ cook: spanSchema, drink: minutes }),
    steps: z.array(plannedStepSchema).check(z.minLength(1), z.maxLength(80)),
    /** Who kneads, unless the batch says otherwise. */
    kneads: z.enum(WORKERS),
    /** What boards and pieces are dusted with, and the board, where the maker has a way of their own. */
    surface: z.optional(
      z.strictObject({ dust: z.optional(z.enum(DUSTS)), board: z.optional(z.enum(['bare', 'floured', 'ridged'])) }),
    ),
    /** Heat of the air at the bench, °C. */
    roomC: celsius,
    /** Water by the dough, salt by the water. */
    pot: z.strictObject({
      litresPer100G: between(0.001, 100_000),
      saltGPerL: between(0, 1000),
    }),
  }),
)

export type Plan = z.infer<typeof planSchema>
export type PlannedRow = z.infer<typeof plannedRowSchema>

export const planReferences = [
  { at: 'formula', to: 'formula' },
  ...under('sheet', sheetReferences),
  { at: 'rows.*.ingredient', to: 'ingredient' },
  { at: 'rows.*.lot', to: 'lot' },
  { at: 'shape.id', to: 'shape' },
  { at: 'also.*.id', to: 'shape' },
  { at: 'also.*.own.shape.id', to: 'shape' },
  { at: 'also.*.own.steps.*.roller.id', to: 'roller' },
  { at: 'also.*.own.steps.*.press.id', to: 'press' },
  { at: 'steps.*.roller.id', to: 'roller' },
  { at: 'steps.*.press.id', to: 'press' },
] as const satisfies readonly Reference[]

function shape1to2({ diameterMm, cutMm, window14, ropes: _derived, ...shape }: Loose): Loose {
  return { ...shape, blank: { type: 'rope', diameterMm, cutMm }, window: window14 }
}

/** Batter blanks now say how they are dropped; those of older batches were scraped or pressed, and are drawn alike. */
const blank2to3 = (blank: Loose): Loose => (blank['type'] === 'drop' ? { ...blank, by: 'hole' } : blank)

const NO_TIME = [1, 1]

/** The steps that every batch had before batches carried their own, with the times of this one. */
function steps3to4(plan: Loose): Loose[] {
  const minutesOf = partOf(plan, 'minutes')
  const rest = partOf(minutesOf, 'rest')
  const rows: readonly unknown[] = Array.isArray(plan['rows']) ? plan['rows'] : []
  const pours = rows.some((row) => {
    const { part, weighedG } = partOf({ row }, 'row')
    return part === 'water' && figureOr(weighedG, 0) > 0
  })
  return [
    { id: 'flour', kind: 'flour' },
    ...(pours
      ? [
          { id: 'water', kind: 'water' },
          { id: 'pour', kind: 'pour', how: 'rake', goes: [1] },
        ]
      : []),
    { id: 'feel', kind: 'feel' },
    { id: 'knead', kind: 'knead', how: 'push', hand: minutesOf['knead'] ?? NO_TIME, mixer: null },
    {
      id: 'rest',
      kind: 'rest',
      of: 'dough',
      cold: false,
      low: rest['low'] ?? 0,
      best: Math.max(1, figureOr(rest['best'], 1)),
      high: rest['high'] ?? 0,
    },
    { id: 'divide', kind: 'divide' },
    { id: 'shape', kind: 'shape', perMin: 12 },
    { id: 'cook', kind: 'cook', how: 'boil' },
    { id: 'verdict', kind: 'verdict' },
  ]
}

/** What was offered after shaping; nothing was known of the freezer then. */
function step4to5(step: Loose): Loose {
  const { fridgeDays, dries, ...kept } = step
  switch (step['kind']) {
    case 'then':
      return {
        ...kept,
        keeps: {
          roomMin: 120,
          fridgeH: figureOr(fridgeDays, 0) * 24,
          freezerMonths: 0,
          driedMonths: dries === true ? 6 : null,
          wet: [],
        },
      }
    case 'thin':
      return { ...step, folds: 0, belt: false }
    default:
      return step
  }
}

/** The steps of a plan, its own and those of the other shapes of its dough. */
const withSteps = (plan: Loose, upgrade: Upgrade): Loose => ({
  steps: each(plan['steps'], upgrade),
  also: each(plan['also'], (also) => ({
    ...also,
    ...('own' in also ? { own: one(also['own'], (own) => ({ ...own, steps: each(own['steps'], upgrade) })) } : {}),
  })),
})

/** A processor was no kneader, and litres were those of the whole dough. */
function plan5to6(plan: Loose): Loose {
  const { litres: wholeL, ...pot } = partOf(plan, 'pot')
  const doughG = figureOr(plan['doughG'], 0)
  const litresPer100G = doughG > 0 ? (100 * figureOr(wholeL, 1)) / doughG : 1
  return {
    ...plan,
    pot: { ...pot, litresPer100G: Math.min(100_000, Math.max(0.001, litresPer100G)) },
    ...withSteps(plan, (step) => (step['kind'] === 'knead' ? { ...step, processor: null } : step)),
  }
}

/** Steps bear the names that the screen gives them. */
const STEP_NAMES_10 = new Map<unknown, string>([
  ['then', 'air'],
  ['crumb', 'drink'],
  ['feed', 'press'],
])
/** Plans said it by their steps and by what they are steered by; of doughs without gluten there was one. */
function bodyBefore10(plan: Loose): Body {
  const steps: readonly unknown[] = Array.isArray(plan['steps']) ? plan['steps'] : []
  if (steps.some((step) => partOf({ step }, 'step')['how'] === 'beat')) return 'batter'
  if (partOf(plan, 'control')['by'] === 'base') return 'base'
  return partOf(plan, 'sheet')['dough'] === 'gf-hot' ? 'starch' : 'gluten'
}

const step9to10: Upgrade = (step) => ({ ...step, kind: STEP_NAMES_10.get(step['kind']) ?? step['kind'] })

/** 2: every blank, doughs on a base. 3: drops say how. 4: the batch's own steps. 5: how long it keeps, folds and belts. 6: processors, pots. 9: the pot is the kitchen's of the day. 10: names of steps. 12: what a press takes. */
const ownUpgrades: Upgrades = {
  2: (plan) => ({
    ...plan,
    control: { by: 'hydration' },
    waterC: null,
    shape: one(plan['shape'], shape1to2),
  }),
  3: (plan) => ({
    ...plan,
    shape: one(plan['shape'], (shape) => ({ ...shape, blank: one(shape['blank'], blank2to3) })),
  }),
  4: (plan) => ({
    ...plan,
    shape: one(plan['shape'], (shape) => ({ ...shape, share: 1 })),
    also: [],
    minutes: { cook: partOf(plan, 'minutes')['cook'], drink: partOf(plan, 'minutes')['drink'] },
    steps: steps3to4(plan),
    kneads: 'hand',
    roomC: 21,
  }),
  5: (plan) => ({ ...plan, steps: each(plan['steps'], step4to5) }),
  6: plan5to6,
  9: (plan) => {
    const { largestL: _, ...pot } = partOf(plan, 'pot')
    return { ...plan, pot }
  },
  10: (plan) => ({ ...plan, body: bodyBefore10(plan), ...withSteps(plan, step9to10) }),
  12: (plan) => ({
    ...plan,
    ...withSteps(plan, (step) => (step['kind'] === 'press' ? { ...step, press: one(step['press'], pressAt12) } : step)),
  }),
}
export const planUpgrades = together(
  upgradesOf(sheetUpgrades, (upgrade) => (plan) => ({ ...plan, sheet: one(plan['sheet'], upgrade) })),
  ownUpgrades,
)
