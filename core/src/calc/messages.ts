/** English for every code of the port: what is wrong and what to do about it. The stations word their own. */
import type { PortProblemCode, Problem, SentencesFor } from '../result.ts'
import type { Contradiction, ContradictionCode } from '../recipe/index.ts'
import type { Warning } from './kind.ts'

type Data = Readonly<Record<string, string | number | readonly string[]>>
type Say = (data: Data) => string

const rounded = (value: unknown): string =>
  typeof value === 'number' ? String(Number(value.toPrecision(4))) : String(value)

const errors: SentencesFor<PortProblemCode> = {
  'not-json': () => 'The input is not JSON. Send one request object, or an array of them.',
  'not-a-request': () => 'A request is an object with a "kind". Send one, or an array of them.',
  'unknown-kind': ({ known }) => `There is no such kind. Use one of: ${known.join(', ')}.`,
  'unknown-field': ({ keys }) => `Unknown field: ${keys.join(', ')}. Remove it or correct its spelling.`,
  'missing-field': () => 'This field is missing. Add it.',
  'wrong-type': ({ expected }) => `This should be a ${expected}. Change it.`,
  'wrong-value': ({ allowed }) => `This value is not allowed here. Use ${allowed}.`,
  'too-small': ({ limit, inclusive }) =>
    `This is too small. Give ${inclusive ? 'at least' : 'more than'} ${rounded(limit)}.`,
  'too-big': ({ limit, inclusive }) =>
    `This is too large. Give ${inclusive ? 'at most' : 'less than'} ${rounded(limit)}.`,
  'composition-over-one': () =>
    'Water, fat and salt together are more than the whole. Give fractions that add to 1 at most.',
  'stay-without-days': () =>
    'With several stays each needs its days. Give "days" for every one, or a single stay of unknown age.',
  empty: () => 'There is nothing to read. Give a figure.',
  'not-a-number': ({ text }) => `"${text}" does not read as one quantity. Write a figure and its unit, as 1/2 cup.`,
  'ambiguous-comma': ({ text }) => `"${text}" can be read two ways. Write it without the comma, or with a point.`,
  'wrong-unit': ({ text, reads }) => `"${text}" does not fit here. Use one of: ${reads}.`,
  'not-finite': () => 'The numbers are too extreme to compute with. Give amounts of a size a kitchen could hold.',
  'no-flour': () => 'No row is marked as flour. Mark the flours with "flour": true.',
  'flours-not-100': ({ sum }) => `The flours add to ${rounded(sum)}, not to 100. Change them so that they do.`,
  'flour-all-water': () => 'The flours hold no dry matter. Check their moisture.',
  'unknown-ingredient': ({ id }) =>
    `"${id}" is not in the ingredient table. Correct the id or describe it in "materials".`,
  'solve-unknown-row': ({ id }) => `There is no row "${id}" to solve for. Name one of the rows.`,
  'solve-row-twice': ({ id }) => `Two rows are called "${id}". Join them before solving for one.`,
  'solve-no-water': () =>
    'The row to solve for brings no water of its own. Name the row of the water or of another liquid.',
  'solve-not-plain-water': () =>
    'Nominal hydration counts plain water only. Solve for the water row or use another basis.',
  'solved-negative': ({ percent }) =>
    `The other rows already bring more water than that: this row would be ${rounded(percent)} %. Ask for a higher hydration or take out something wet.`,
  'no-plain-water': () => 'There is no plain water in the formula to start from. Choose another target.',
  'correct-impossible': () => 'No amount of flour brings a wet dough to 0 %. Give a target above 0.',
  'rebase-impossible': ({ overG }) =>
    `The other ingredients bring ${rounded(overG)} g of water too many for that. Ask for a higher hydration or use less of them.`,
  'bake-gained': () =>
    'The tray has gained weight. Weigh both times without the tray, or tare it, and weigh while warm.',
  'bake-lost-too-much': ({ leastG }) =>
    `More was lost than baking can drive off: at least ${rounded(leastG)} g should be left. Weigh again, or allow for free moisture.`,
  'bicarbonate-is-no-carbonate': () => 'Bicarbonate supplies no carbonate until it is baked. Choose a carbonate.',
  'shares-not-one': ({ sum }) =>
    `The shares of the blend add to ${rounded(sum)}, not to 1. Change them so that they do.`,
  'no-gap-so-thin': ({ thinnestMm, targetMm }) =>
    `The narrowest setting leaves ${rounded(thinnestMm)} mm, more than ${rounded(targetMm)} mm. Ask for a thicker sheet, or finish with a pin.`,
  'pass-too-large': ({ fromMm, toMm, ratio }) =>
    `From ${rounded(fromMm)} to ${rounded(toMm)} mm is ${rounded(ratio)} in one pass, and no setting lies between. Allow a larger ratio, or roll thinner by pin first.`,
  'climate-out-of-order': () => 'The first air starts at hour 0 and each later one after it. Put them in order.',
  'lighter-than-dry': ({ grams, dryG }) =>
    `${rounded(grams)} g is less than the dry matter of the tray, ${rounded(dryG)} g. Weigh without the tray, or correct what went on it.`,
  'cooked-drier': () => 'Cooked pasta holds more water than raw. Give a cooked moisture above the one it starts with.',
  'jugs-out-of-reach': ({ coldC, hotC }) =>
    `The two jugs reach from ${rounded(coldC)} to ${rounded(hotC)} °C. Ask for a temperature between them, or warm or cool one.`,
}

const warnings: Readonly<Record<string, Say>> = {
  'scale-too-coarse': ({ id, resolutionPercent }) =>
    `The scale cannot tell the ${String(id)} to better than ${rounded(resolutionPercent)} %. Use a finer scale or make a stock solution.`,
  'alkali-over-dose': ({ percent }) =>
    `${rounded(percent)} % of flour is over 2 %: harsh and soapy. Use 0.6 to 1.5 %, weighed on a fine scale; alkali irritates skin and eyes.`,
  'davies-out-of-range': () =>
    'The solution is too strong for the activity correction: take the second pH as a guide only.',
  'water-out-of-reach': () => 'No liquid water gives that. Take the reachable temperature, or warm or cool the flour.',
  'cutter-wider-than-sheet': () => 'Not one strand fits in the width. Roll wider, or take a finer cutter.',
  'no-stamp-fits': () => 'Not one stamp fits on the sheet. Roll it wider or longer, or take a smaller stamp.',
  never: ({ rhPercent, temperatureC }) =>
    `Air of ${rounded(rhPercent)} % at ${rounded(temperatureC)} °C never dries it so far. Use drier or warmer air.`,
  'not-within-maxH': () =>
    'It does not get there in the time looked at. Look further, or use drier air, a fan or a thinner cut.',
  'heat-only': () => 'So wet a dough is done when its middle is hot: water taken up decides nothing.',
  'cut-longer-than-board': () => 'One piece is longer than the board. Roll along a longer edge or cut shorter.',
}

const contradictions: Readonly<Record<ContradictionCode, Say>> = {
  'ratio-against-masses': ({ said, claimed, percent }) =>
    `"${String(said)}" says ${rounded(claimed)} %, the amounts say ${rounded(percent)} %. Keep one of the two.`,
  'total-against-sum': ({ total, sum }) =>
    `The dough is said to weigh ${rounded(total)} g, its parts add to ${rounded(sum)} g. Check each amount.`,
  'volume-half': ({ percent }) =>
    `Half by the cup is no half by weight: these cups come to ${rounded(percent)} % water on flour. Weigh both.`,
  'alkali-dose': ({ percent }) =>
    `${rounded(percent)} % of carbonate on flour is over 2 %: harsh, soapy, and it irritates skin and eyes. Use 0.6 to 1.5 %, weighed.`,
  'salt-dose': ({ percent }) => `${rounded(percent)} % of salt is over 8 %. Look for a slip in the figure or its unit.`,
  'outside-any-dough': ({ percent, low, high }) =>
    `${rounded(percent)} % water on flour is no dough of that kind: they lie between ${rounded(low)} and ${rounded(high)} %.`,
  'no-flour': () => 'There is no flour in it. Add what was left out.',
  'no-liquid': () => 'Nothing in it wets the flour. Add what was left out.',
  'time-impossible': ({ minutes, steps }) =>
    steps === undefined
      ? `No such piece stands ${rounded(minutes)} minutes in the pot. Check the time and its unit.`
      : `${rounded(minutes)} minutes in all is less than its steps take, ${rounded(steps)}. Check the times.`,
}

function say(table: Readonly<Record<string, Say>>, code: string, data: Data): string {
  const words = table[code]
  if (!words) throw new Error(`calc/messages.ts has no words for "${code}"`)
  return words(data)
}

export const errorMessage = ({ code, data }: Problem): string =>
  say(errors as Readonly<Record<string, unknown>> as Readonly<Record<string, Say>>, code, data as Data)
export const contradictionMessage = ({ code, data }: Contradiction): string => contradictions[code](data)
export const warningMessage = ({ code, data = {} }: Warning): string => say(warnings, code, data)
