/** Which positions of makers are not for a dough or a shape, and why: they are not offered, and where chosen they set nothing. */
import { asShape } from '../match/index.ts'
import type { CourseStep, Dough, Shape, Window } from '../model/index.ts'
import type { SchoolSets } from './schoolSets.ts'
import { schoolWaterC } from './waterHeat.ts'

export type Refusal =
  | 'salt'
  | 'soup'
  | 'heat'
  | 'heat-of-shape'
  | 'oil'
  | 'pulled'
  | 'in-a-bag'
  | 'no-rest'
  | 'own-pour'
  | 'one-pour'
  | 'cold-rest'
  | 'rest-limit'
  | 'not-dusted'
  | 'crust'
  | 'clings'
  | 'no-board'
  | 'not-dragged'
  | 'no-sheet'
  | 'not-cut'
  | 'no-binder'
  | 'has-egg'
  | 'base'
  | 'not-steamed'
  | 'liquid'
  | 'not-beaten'
  | 'not-boiled'
  | 'filled'
  | 'strands'
  | 'air-inside'
  | 'flat'
  | 'thick'
  | 'not-rinsed'

interface Made {
  readonly dough: Dough
  readonly shape: Shape
}

/** Where a position and a table meet: the position's best, as far as the table goes; null where they share nothing. */
export function metBy({ low, best, high }: Window, table: Pick<Window, 'low' | 'high'>): number | null {
  const [from, to] = [Math.max(low, table.low), Math.min(high, table.high)]
  return from > to ? null : Math.min(to, Math.max(from, best))
}

const courseHas = ({ course }: Dough, wanted: (step: CourseStep) => boolean): boolean => course.some(wanted)

/** As thick as a pencil: it floats before its middle is done. mm. */
const THICK_MM = 5
/** A sheet of more than this lies as it falls, and nobody sees it rise. mm². */
const LARGE_MM2 = 60 * 60

/** Why such a shape gives no sign by rising; null where it does. */
function risesNot({ fillingG, heat, method, paceOf, section, blank, group, wallMm }: Shape, afterMin: number) {
  if (heat) return 'not-boiled'
  if (fillingG) return 'filled'
  if (method === 'drop' || group === 'gnocchi') return null
  if (paceOf !== 'pieces') return 'strands'
  if (section === 'tube') return 'air-inside'
  if (blank.type === 'sheet' && blank.widthMm * blank.lengthMm > LARGE_MM2) return 'flat'
  return wallMm >= THICK_MM && afterMin === 0 ? 'thick' : null
}

/** Ropes that are pressed, dragged or rolled over the wood. */
const DRAGGED: ReadonlySet<Shape['group']> = new Set(['hand-rope', 'gnocchi'])

type Rule = (sets: SchoolSets, made: Made) => Refusal | null | false

const RULES: readonly Rule[] = [
  ({ saltPercent }, { dough }) => saltPercent !== undefined && metBy(saltPercent, dough.saltPercent) === null && 'salt',
  ({ saltPercent, potSaltGPerL }, { dough, shape }) =>
    ((potSaltGPerL ?? 0) > 0 || saltPercent?.high === 0) && isSoup(dough, shape) && 'soup',
  ({ potSaltGPerL }, { shape }) => potSaltGPerL !== undefined && shape.heat !== undefined && 'not-boiled',
  ({ waterC }, { dough, shape }) =>
    waterC !== undefined && asShape(shape, dough)?.waterC !== undefined && 'heat-of-shape',
  (sets, { dough }) => sets.waterC !== undefined && schoolWaterC(dough, sets) === null && 'heat',
  ({ oilPercent }, { dough }) => oilPercent !== undefined && metBy(oilPercent, dough.oilPercent) === null && 'oil',
  ({ oilPercent, oilOnSkin }, { shape }) =>
    oilPercent?.high === 0 && oilOnSkin === false && shape.method === 'pull' && 'pulled',
  ({ oilOnSkin }, { dough }) =>
    oilOnSkin === true &&
    !courseHas(dough, (step) => step.do === 'rest' && step.of === 'dough') &&
    (courseHas(dough, isRest) ? 'in-a-bag' : 'no-rest'),
  ({ mix }, { dough, shape }) =>
    mix !== undefined && (shape.blank.type === 'die' || !courseHas(dough, isMixedByHand)) && 'own-pour',
  ({ goes, holdBack, holdFlour }, { dough }) =>
    (goes !== undefined || holdBack !== undefined || holdFlour !== undefined) &&
    !courseHas(dough, (step) => step.do === 'pour') &&
    'one-pour',
  ({ holdFlour }, { dough }) =>
    holdFlour === true && !courseHas(dough, (step) => isMixedByHand(step) || isBeaten(step)) && 'own-pour',
  ({ rest }, { dough }) => rest !== undefined && !courseHas(dough, (step) => isRest(step)) && 'no-rest',
  ({ dust }, { shape }) => dust !== undefined && shape.dust === undefined && 'not-dusted',
  ({ dust }, { shape }) => dust !== undefined && shape.dust?.only === true && 'crust',
  ({ board }, { shape }) =>
    board !== undefined && (['die', 'drop'].includes(shape.blank.type) || shape.method === 'pull') && 'no-board',
  ({ board }, { shape }) => board === 'bare' && isOnFlour(shape) && 'clings',
  ({ board }, { shape }) => board === 'floured' && !isOnFlour(shape) && shape.dust === undefined && 'not-dusted',
  ({ board }, { shape }) => board === 'ridged' && !isDragged(shape) && 'not-dragged',
  ({ passing, folds, airSheet }, { shape }) =>
    (passing !== undefined || folds !== undefined || airSheet !== undefined) && !shape.sheeted && 'no-sheet',
  ({ airSheet }, { shape }) =>
    airSheet !== undefined && (shape.method !== 'cut' || shape.fillingG !== undefined) && 'not-cut',
  ({ binder }, { dough }) =>
    binder !== undefined && !dough.binderPercent && (dough.eggPercent ? 'has-egg' : 'no-binder'),
  ({ wheatBinder }, { dough }) => wheatBinder !== undefined && dough.eggPercent !== undefined && 'has-egg',
  ({ base }, { dough }) =>
    base !== undefined && !(dough.control.by === 'base' && dough.control.bases.includes(base)) && 'base',
  ({ baseBelowC }, { dough }) =>
    baseBelowC !== undefined &&
    !courseHas(dough, (step) => step.do === 'prepare' && step.what === 'steam') &&
    'not-steamed',
  ({ liquid }, { dough, shape }) =>
    liquid !== undefined &&
    (asShape(shape, dough)?.liquid !== undefined || dough.waterC.length === 0 || isOnBase(dough)) &&
    'liquid',
  ({ batter }, { dough }) =>
    batter !== undefined && !courseHas(dough, (step) => step.do === 'knead' && step.how === 'beat') && 'not-beaten',
  ({ done }, { shape }) => done !== undefined && (shape.heat ? 'not-boiled' : shape.fillingG ? 'filled' : null),
  ({ done, afterFloatMin = 0 }, { shape }) => (done === 'float' || done === 'after') && risesNot(shape, afterFloatMin),
  ({ rinse }, { dough, shape }) =>
    rinse !== undefined &&
    rinse !== 'plain' &&
    (shape.heat ? 'not-boiled' : shape.fillingG || isSoup(dough, shape) ? 'not-rinsed' : null),
]

const isOnBase = ({ control }: Dough): boolean => control.by === 'base'
const isRest = (step: CourseStep): boolean => step.do === 'rest' && !step.minutes
const isBeaten = (step: CourseStep): boolean => step.do === 'pour' && step.how === 'beat'
/** Water that hands bring into flour, in a way one may choose. */
const isMixedByHand = (step: CourseStep): boolean =>
  step.do === 'pour' && (step.how === 'fork' || step.how === 'rake' || step.how === 'rub')
/** Sheets cling to bare wood; what is floured under its pieces is too. */
const isOnFlour = ({ sheeted, surfaceFlour, blank }: Shape): boolean =>
  (sheeted === true || blank.type === 'disc') && surfaceFlour !== 'none'
/** Whether the shape's table rolls it on flour or on bare wood. */
export const ownBoard = (shape: Shape): 'bare' | 'floured' => (isOnFlour(shape) ? 'floured' : 'bare')
const isDragged = ({ group, blank, paceOf, dust }: Shape): boolean =>
  DRAGGED.has(group) && blank.type === 'rope' && paceOf === 'pieces' && dust !== undefined
/** Cooked in the soup it is eaten from. */
const isSoup = (dough: Dough, shape: Shape): boolean => asShape(shape, dough)?.potSaltGPerL === 0

/** Why these are not for this dough as this shape; null where they are. */
export const refusalOf = (sets: SchoolSets, made: Made): Refusal | null =>
  RULES.map((rule) => rule(sets, made)).find((found): found is Refusal => Boolean(found)) ?? null
