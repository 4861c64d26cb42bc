/** What a dough feels like, how it suits a shape, and what one measures by. */
import { formatNumber, type Feel, type Measure, type Method, type ShapeMatch, type Verdict } from '@harina/core'

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

export function measureWords({ unit, count }: Measure): string {
  switch (unit) {
    case 'go':
      return count === 1 ? 'weighed, in one go' : `the first of ${count} goes; feel it after each`
    case 'half-teaspoon':
      return count === 1 ? 'half a teaspoon' : `${Math.floor(count / 2) || ''}${count % 2 ? '½' : ''} level teaspoons`
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
