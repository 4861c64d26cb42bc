/** English for what the core says in codes, wherever two stations need the same words. */
import {
  formatGrams,
  formatNumber,
  type Feel,
  type Measure,
  type Method,
  type Problem,
  type ShapeMatch,
  type StepId,
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
    case 'zero-target':
      return 'Give more than 0 g, since everything is scaled from here.'
    case 'solved-negative':
      return 'The other ingredients bring more water than that already. Ask for more water, or take something wet out.'
    case 'locked-row-empty':
      return 'The locked row is 0 % of the formula, so nothing can be scaled from it. Lock another row.'
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
}

export const stepWords: Readonly<Record<StepId, string>> = {
  flour: 'Weigh the flour',
  water: 'Make the water',
  pour: 'Pour',
  feel: 'Feel it',
  knead: 'Knead',
  rest: 'Rest',
  divide: 'Divide',
  shape: 'Shape',
  cook: 'Cook',
  verdict: 'Verdict',
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
export function matchWords({ grade, outsideBy, fromBest, listed, shape, window }: ShapeMatch): string {
  if (!listed) return `Not a usual dough for it; judged by what the hand can work, ${window.low} to ${window.high}.`
  if (grade === 'in') {
    if (Math.abs(fromBest) < 0.75) return 'Just where this shape likes it.'
    return fromBest < 0 ? 'Good, on the stiff side.' : 'Good, on the supple side.'
  }
  const points = formatNumber(Math.abs(outsideBy), 1)
  return outsideBy < 0
    ? `${points} points too stiff: it ${shape.tooStiff}.`
    : `${points} points too soft: it ${shape.tooSoft}.`
}

export const gradeWords: Readonly<Record<ShapeMatch['grade'], string>> = { in: 'suits', near: 'near', out: 'not today' }

export const withGrams = (grams: number, stepG: number): string => `${formatGrams(grams, stepG)} g`
