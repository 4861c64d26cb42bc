/** What a maker's position changes on a plan, step by step, and why one is not for a dough or a shape. */
import { initialState, mixing, toldBy, type Plan, type PlannedStep, type Refusal, type Shape } from '@harina/core'
import { afterPotWords, foldedWords, pourLead, readyWord, restedWords } from './benchSteps.ts'
import { stepLines, type Told } from './course.ts'
import { doneWords } from './shapes.ts'
import { stepName } from './steps.ts'
import { restSpanWords } from './keeping.ts'
import { minuteSpan } from './units.ts'

/** A line that is read at a step. */
export interface StepLine {
  readonly at: string
  readonly text: string
}

function linesAt(step: PlannedStep, plan: Plan, shape: Shape, told: Told): readonly string[] {
  const how = stepLines(step, plan, initialState, told)
  switch (step.kind) {
    case 'ready':
      return step.items.map(readyWord)
    case 'prepare':
      return [...how, ...(step.belowC === null ? [] : [`Below ${told.temperature(step.belowC)} before the flour`])]
    case 'flour': {
      const heldG = plan.rows.reduce((sum, row) => sum + (row.heldG ?? 0), 0)
      return [...how, ...(heldG > 0 ? [`Keep ${told.mass(heldG, plan.scaleStepG)} of the flour back`] : [])]
    }
    case 'pour':
      return [
        ...(plan.waterC === null ? [] : [`Water of about ${told.temperature(plan.waterC)}`]),
        ...how.slice(0, 1),
        pourLead(step, mixing(plan, initialState).by),
      ]
    case 'rest':
      return [
        `${restedWords(step, plan.body).title}: ${restSpanWords(step.low, step.high)}`,
        restedWords(step, plan.body).lead,
      ]
    case 'fold':
      return [`Folded ${foldedWords(step.inTo)}`]
    case 'thin':
      return [
        ...(step.roller && step.folds > 0 ? [`Folded ${foldedWords(step.inTo)}`] : []),
        ...(step.roller
          ? [
              step.oneByOne
                ? 'One piece through every setting, then the next'
                : 'All pieces through a setting, then the next',
            ]
          : []),
        shape.board,
        ...shape.steps,
      ]
    case 'airSheet':
      return [`Let the sheet lie open ${minuteSpan(step.minutes)}`]
    case 'roll':
    case 'shape':
    case 'cut':
    case 'stamp':
    case 'pull':
    case 'press':
      return [shape.board, ...shape.steps]
    case 'cook':
    case 'drop':
      return [
        `Done: ${doneWords(step, shape.doneSign)}`,
        plan.pot.saltGPerL > 0 ? `${plan.pot.saltGPerL} g of salt a litre` : 'Do not salt the water',
      ]
    case 'rinse':
      return [afterPotWords[step.how ?? 'rinse']]
    default:
      return how
  }
}

/** All that a plan says, by step. */
export const planLines = (plan: Plan, shape: Shape, told: Told): readonly StepLine[] => {
  const made = toldBy(shape, plan.surface ?? {})
  return plan.steps.flatMap((step) => linesAt(step, plan, made, told).map((text) => ({ at: stepName(step), text })))
}

/** What is read in `after` and not in `before`; a line that is gone is told by its step. */
export function changedLines(before: readonly StepLine[], after: readonly StepLine[]): readonly StepLine[] {
  const key = ({ at, text }: StepLine) => `${at}: ${text}`
  const [was, is] = [new Set(before.map(key)), new Set(after.map(key))]
  const steps = new Set(after.map(({ at }) => at))
  const fresh = after.filter(
    (line, n) => !was.has(key(line)) && after.findIndex((each) => key(each) === key(line)) === n,
  )
  const gone = before.filter((line) => !is.has(key(line)))
  const dropped = [...new Set(gone.map(({ at }) => at))].filter((at) => !steps.has(at))
  return [
    ...fresh,
    ...dropped.map((at) => ({ at, text: 'no such step' })),
    ...(fresh.length === 0
      ? gone.filter(({ at }) => steps.has(at)).map(({ at, text }) => ({ at, text: `without “${text}”` }))
      : []),
  ]
}

/** Why a position is not for this dough as this shape. */
export const refusalWords: Readonly<Record<Refusal, string>> = {
  salt: 'this dough does not bear that much or that little salt',
  soup: 'this one is cooked in its soup, which has its own salt',
  heat: 'this dough is not made with water of that heat',
  'heat-of-shape': 'this shape needs its own heat of water',
  oil: 'this dough takes no such oil',
  pulled: 'what is pulled needs its oil',
  'in-a-bag': 'what rests here is a sheet in its bag',
  'no-rest': 'this dough does not rest',
  'own-pour': 'this dough is mixed in a way of its own',
  'one-pour': 'nothing is poured into this dough',
  'cold-rest': 'this dough does not keep so long in the fridge',
  'rest-limit': 'what is in this dough may not lie so long',
  'not-dusted': 'this shape is oiled or wetted, not dusted',
  crust: 'what it is rolled in is part of this shape',
  clings: 'a sheet clings to bare wood',
  'no-board': 'this shape never lies on a board',
  'not-dragged': 'nothing is dragged over the board here',
  'no-sheet': 'this shape is not made from a sheet',
  'not-cut': 'this sheet is shaped while it is soft',
  'no-binder': 'this dough is made without a binder; another dough of the list has one',
  'has-egg': 'egg already binds this dough',
  base: 'this dough stands on another base',
  'not-steamed': 'this base is drained or dried, not steamed off',
  liquid: 'what is poured here is the dough’s own',
  'not-beaten': 'this batter is not beaten',
  'not-boiled': 'these are not boiled',
  filled: 'filled pieces are done when their middle is hot',
  strands: 'long strands do not rise one by one',
  'air-inside': 'a tube floats on the air inside it',
  flat: 'a large sheet lies as it falls',
  thick: 'so thick a piece floats before its middle is done',
  'not-rinsed': 'filled pieces and soups are not rinsed',
}
