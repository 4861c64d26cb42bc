import { z } from '../../zod.ts'
import { figureOr, partOf as partIn, type Loose } from '../loose.ts'
import { between } from '../ranges.ts'
import { someText } from '../text.ts'
import { windowSchema } from '../window.ts'
import { partOf, type GearPartSpec } from './part.ts'

/** A press with the die it usually drives: what decides how long a run takes and when it must rest. */
const part = partOf({
  list: 'presses',
  atLeast: 0,
  figures: {
    /** Dough an hour of steady running. */
    flowKgPerH: { unit: 'count', low: 0.1, high: 500, decimals: 1 },
    /** What is fed at a time. */
    lumpG: { unit: 'g', low: 1, high: 5000 },
    /** Of all holes of a die for it. */
    openAreaMm2: { unit: 'count', low: 5, high: 5000, decimals: 0 },
    /** How long it rests once the barrel is too warm. */
    restMin: { unit: 'count', low: 0, high: 240, decimals: 0 },
    /** The first of each run goes back. */
    firstDiscardG: { unit: 'g', low: 0, high: 5000 },
  },
  more: () => ({
    /** Water per 100 of flour that it takes as crumb, and as a kneaded dough in balls or a lump; null where it does not. */
    crumb: z.nullable(windowSchema),
    dough: z.nullable(windowSchema),
    /** Before the barrel is too warm; null for one that stays cool. */
    runMin: z.nullable(between(1, 600)),
  }),
})

export const pressSchema = part.schema
/** What takes a lump this large has no screw that crumbs could feed, g. */
const LUMP_G = 100
/** How much wetter than its crumb a screw takes kneaded balls, points; only small machines do. */
const BALLS_OVER = 8
const SMALL_KG_PER_H = 3

/** Presses said only what they take as crumb. */
export function pressAt12(press: Loose): Loose {
  const crumb = partIn(press, 'crumb')
  const [low, high] = [figureOr(crumb['low'], 30), figureOr(crumb['high'], 38)]
  if (figureOr(press['lumpG'], 0) >= LUMP_G) return { ...press, crumb: null, dough: crumb }
  const balls = { low: high, best: high + BALLS_OVER / 2, high: high + BALLS_OVER }
  return { ...press, dough: low < high && figureOr(press['flowKgPerH'], 0) < SMALL_KG_PER_H ? balls : null }
}

/** A kind of press as the table describes it: where a maker starts from. */
export const pressKindSchema = z.lazy(() => z.extend(part.object(), { note: someText }))

export type KeptPress = z.infer<typeof part.schema>
export type PressKind = z.infer<typeof pressKindSchema>
export const pressPart = { ...part, fresh: null } as const satisfies GearPartSpec<KeptPress>
