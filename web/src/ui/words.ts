/** English for what the core says in codes, wherever two stations need the same words. */
import {
  formatNumber,
  type Feel,
  type LiveTimer,
  type Measure,
  type Method,
  type PlannedStep,
  type Problem,
  type ShapeMatch,
  type StepKind,
  type Verdict,
} from '@harina/core'

const unitWords: Readonly<Record<string, string>> = { g: 'g', '%': '%', mm: 'mm', '°C': '°C', min: 'min', count: '' }

/** What is wrong with something typed, and what to do. */
export function problemWords({ code, data = {} }: Problem): string {
  const unit = unitWords[String(data['unit'])] ?? ''
  switch (code) {
    case 'empty':
      return 'Type a number.'
    case 'not-a-number':
      return `“${String(data['text'])}” is not a number. Use digits, as 48 or 47.5.`
    case 'ambiguous-comma':
      return `“${String(data['text'])}” can be read two ways. Write it without the comma, or with a point.`
    case 'wrong-unit':
      return `“${String(data['text'])}” does not fit here. Give ${unit === '' ? 'a plain number' : unit}.`
    case 'too-small':
      return `Give at least ${[formatNumber(Number(data['min']), Number(data['min']) % 1 === 0 ? 0 : 2), unit].join(' ').trim()}.`
    case 'too-big':
      return `Give at most ${[formatNumber(Number(data['max']), 0), unit].join(' ').trim()}.`
    case 'only-flour':
      return 'This is the only flour, so it is the 100. Change its grams instead.'
    case 'flour-over-100':
      return 'The flours share 100. Give 100 or less.'
    case 'percent-too-big':
      return `Give at most ${String(data['max'])} %.`
    case 'grams-out-of-reach':
      return 'That is more than the whole dough. Give less, or make more dough first.'
    case 'only-base':
      return 'Everything is counted on this, so it is the 100. Change its grams instead.'
    case 'base-over-100':
      return 'What the flour is counted on shares 100. Give 100 or less.'
    case 'no-flour':
      return 'There is no flour in it. Give at least one flour more than 0.'
    case 'flours-not-100':
      return `The flours add to ${formatNumber(Number(data['sum']), 1)}, not to 100. Correct one of them.`
    case 'bases-not-100':
      return `What the flour is counted on adds to ${formatNumber(Number(data['sum']), 1)}, not to 100. Correct one row.`
    case 'no-plain-water':
      return 'There is no plain water in this formula to scale from. Solve for something else.'
    case 'no-base-row':
      return 'This dough is not counted on a base. Solve for something else.'
    case 'weighing-order':
      return 'It cannot weigh more afterwards than before, nor nothing at all. Check both weighings.'
    case 'steamed-too-far':
      return 'More has gone than it can have held of water. Check both weighings.'
    case 'moisture-out-of-reach':
      return 'No amount of this flour brings the dough there. Ask for a drier dough, or start from a moister base.'
    case 'no-gap-so-thin':
      return `The narrowest setting leaves ${formatNumber(Number(data['thinnestMm']), 2)} mm, and ${formatNumber(Number(data['targetMm']), 2)} mm is wanted. Finish with a pin, or measure the roller again.`
    case 'pass-too-large':
      return `From ${formatNumber(Number(data['fromMm']), 2)} to ${formatNumber(Number(data['toMm']), 2)} mm in one pass would tear it, and no setting lies between. Thin it by pin first.`
    case 'bake-gained':
      return 'It cannot weigh more after baking. Weigh it warm, and check both weighings.'
    case 'bake-lost-too-much':
      return `It cannot lose so much: fully baked, ${formatNumber(Number(data['leastG']), 1)} g are left. Check both weighings.`
    case 'blend-no-sacks':
      return 'No sack of flour has its weight written down. Write in Gear what is left in each, and come back.'
    case 'blend-too-little':
      return `The sacks hold ${formatNumber(Number(data['stockG']), 0)} g together, and the sheet wants ${formatNumber(Number(data['flourG']), 0)} g. Make less, or open another sack.`
    case 'blend-no-gluten':
      return `This shape wants at least ${String(data['percent'])} % of flour with gluten, and there is not enough of it in the sacks. Choose a dropped shape, or find a wheat.`
    case 'blend-unlisted':
      return `At least ${String(data['percent'])} % should be flours this dough is known with, and the sacks hold too little of them. Make less, or choose another dough.`
    case 'blend-character':
      return `At least ${String(data['percent'])} % should be the flour this mixture is named for, and the sacks hold too little of it. Make less, or choose another dough.`
    case 'blend-shares':
      return 'Each of these flours may only be a part of it, and together they do not make a whole. Add a plain wheat.'
    case 'blend-protein':
      return `No blend of these sacks lands between ${String(data['low'])} and ${String(data['high'])} % protein, as this dough wants. A stronger or a softer flour would.`
    case 'solved-row':
      return 'This is the water that is solved for. Swap it for another liquid instead of taking it out.'
    case 'too-many-rows':
      return `A formula holds ${String(data['max'])} rows at most. Take one out first.`
    case 'zero-target':
      return 'Give more than 0 g, since everything is scaled from here.'
    case 'solved-negative':
      return 'The other ingredients bring more water than that already. Ask for more water, or take something wet out.'
    case 'dough-too-large':
      return `That would be more than ${formatNumber(Number(data['grams']) / 1000, 0)} kg of dough. Give less, or make it in several sheets.`
    case 'refused':
      return 'That cannot be kept in the sheet. Give a figure or a word that fits.'
    case 'locked-row-empty':
      return 'The locked row is 0 % of the formula, so nothing can be scaled from it. Lock another row.'
    case 'shapes-over-dough':
      return `The shapes want ${formatNumber(Number(data['overG']), 0)} g more than there is. Give one of them less, or make more dough.`
    case 'unknown-ingredient':
    case 'unknown-shape':
    case 'unknown-dough':
      return `“${String(data['id'])}” is not in this Harina’s tables. The sheet may come from a newer one; open another formula.`
    default:
      return 'These numbers do not work together. Undo the last change.'
  }
}

export const feelWords: Readonly<Record<Feel, string>> = {
  crumbling: 'crumbling',
  dry: 'dry',
  right: 'right',
  tacky: 'tacky',
  sticky: 'sticky',
}

export const verdictWords: Readonly<Record<Verdict, string>> = {
  poor: 'poor',
  fair: 'fair',
  good: 'good',
  'very-good': 'very good',
}

export const methodWords: Readonly<Record<Method, string>> = {
  hand: 'hand',
  extrude: 'extruder',
  cut: 'roller and knife',
  drop: 'dropped',
  stamp: 'stamp',
  pull: 'pulled',
}

const kindWords: Readonly<Record<Exclude<StepKind, 'prepare' | 'knead'>, string>> = {
  ready: 'Ready',
  flour: 'Flour',
  water: 'Water',
  pour: 'Pour',
  cool: 'Cool',
  feel: 'Feel',
  crumb: 'Drink',
  rest: 'Rest',
  temper: 'Warm up',
  fold: 'Fold',
  divide: 'Divide',
  thin: 'Thin',
  cut: 'Cut',
  stamp: 'Stamp',
  feed: 'Press',
  roll: 'Roll',
  shape: 'Shape',
  pull: 'Pull',
  fill: 'Fill',
  then: 'Air',
  drop: 'Drop',
  hold: 'Keep',
  dry: 'Dry',
  cook: 'Cook',
  verdict: 'Verdict',
}
const prepareWords = { steam: 'Steam off', dry: 'Dry off', drain: 'Drain', grate: 'Grate', simmer: 'Simmer' } as const
const kneadWords = {
  push: 'Knead',
  press: 'Press',
  tread: 'Tread',
  twist: 'Twist',
  fold: 'Fold in',
  beat: 'Beat',
  paddle: 'Mix',
  stir: 'Stir',
} as const

/** A step in a word. */
export function stepName(step: PlannedStep): string {
  switch (step.kind) {
    case 'prepare':
      return prepareWords[step.what]
    case 'knead':
      return kneadWords[step.how]
    case 'cook':
      return step.how === 'bake' ? 'Bake' : 'Cook'
    default:
      return kindWords[step.kind]
  }
}

/** What a running clock is for. */
export function timerName({ name, id, step }: Pick<LiveTimer, 'name' | 'id' | 'step'>): string {
  if (name !== null) return name
  if (id === 'drink') return 'drinking'
  if (!step) return 'timed'
  switch (step.kind) {
    case 'knead':
      return step.how === 'push' ? 'kneading' : 'working'
    case 'rest':
      return step.cold ? 'in the fridge' : 'resting'
    case 'crumb':
      return 'drinking'
    case 'cool':
      return 'cooling'
    case 'temper':
      return 'warming up'
    case 'then':
      return 'airing'
    case 'drop':
    case 'cook':
      return 'cooking'
    default:
      return stepName(step).toLowerCase()
  }
}

/** What a clock that has run out calls. */
export function timerCall({ name, id, step }: Pick<LiveTimer, 'name' | 'id' | 'step'>): string {
  if (name !== null) return `: ${name}`
  if (id === 'drink') return ' has drunk'
  switch (step?.kind) {
    case 'prepare':
      return ' is ready to weigh'
    case 'cool':
      return ' is hand-warm'
    case 'crumb':
      return ' has drunk'
    case 'knead':
      return step.how === 'push' ? ' is kneaded' : ' is worked'
    case 'rest':
      return ' has rested'
    case 'temper':
      return ' is back from the fridge'
    case 'then':
      return ' has aired'
    case 'drop':
    case 'cook':
      return ' wants tasting'
    default:
      return ' wants you'
  }
}

export function measureWords({ unit, count }: Measure): string {
  switch (unit) {
    case 'teaspoon':
      return count === 1 ? 'a level teaspoon' : `${count} level teaspoons`
    case 'tablespoon':
      return count === 1 ? 'a level tablespoon' : `${count} level tablespoons`
    case 'wet-hands':
      return 'wetted hands'
    case 'spray':
      return count === 1 ? 'one spray' : `${count} sprays`
  }
}

/** How a dough suits a shape, in a sentence. */
export function matchWords(
  { grade, outsideBy, fromBest, listed, shape, window, side }: ShapeMatch,
  onBase: boolean,
): string {
  if (!listed)
    return `Not a usual dough for it; judged by what the dough itself allows, ${window.low} to ${window.high}.`
  if (grade === 'in') {
    if (Math.abs(fromBest) < 0.75) return 'Just where this shape likes it.'
    return fromBest < 0 !== onBase ? 'Good, on the stiff side.' : 'Good, on the supple side.'
  }
  const points = formatNumber(Math.abs(outsideBy), 1)
  return side === 'stiff'
    ? `${points} points too stiff: it ${shape.tooStiff}.`
    : `${points} points too soft: it ${shape.tooSoft}.`
}

export const gradeWords: Readonly<Record<ShapeMatch['grade'], string>> = { in: 'suits', near: 'near', out: 'not today' }

/** A rest in the unit one would say it in. */
export const restWords = ({ restMin }: { readonly restMin: number }): string =>
  restMin >= 180 ? `${formatNumber(restMin / 60, restMin % 60 === 0 ? 0 : 1)} h` : `${formatNumber(restMin, 0)} min`
