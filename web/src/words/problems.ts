/** What is wrong with something typed, a sheet or a file, and what to do: a sentence a code. Without one this does not compile. */
import {
  formatNumber,
  type FileProblemCode,
  type MakerProblemCode,
  type Problem,
  type SentencesFor,
} from '@harina/core'
import { inGrams, type Worded } from './units.ts'

/** A limit as this maker reads it. */
function limitWords(value: number, unit: string, { mass, temperature, lengthFigure, units }: Worded): string {
  const plain = formatNumber(value, value % 1 === 0 ? 0 : 2)
  switch (unit) {
    case 'g':
      return mass(value, value >= 10 || value % 1 === 0 ? 1 : 0.01)
    case '°C':
      return temperature(value)
    case 'mm':
      return `${lengthFigure(value)} ${units.length}`
    case '%':
    case 'min':
      return `${plain} ${unit}`
    default:
      return plain
  }
}

const undo = () => 'These numbers do not work together. Undo the last change.'

const problems: SentencesFor<MakerProblemCode, [Worded]> = {
  empty: () => 'Type a number.',
  'not-a-number': ({ text }) =>
    `“${text}” does not read as one figure. Write 48, 47.5, 1/2 or 12*2, and its unit if you like.`,
  'ambiguous-comma': ({ text }) => `“${text}” can be read two ways. Write it without the comma, or with a point.`,
  'wrong-unit': ({ text, reads }) => `“${text}” cannot be read here. This can: ${reads}.`,
  'too-small': ({ limit, unit = '' }, words) => `Give at least ${limitWords(limit, unit, words)}.`,
  'too-big': ({ limit, unit = '' }, words) => `Give at most ${limitWords(limit, unit, words)}.`,
  'only-flour': () => 'This is the only flour, so it is the 100. Change its grams instead.',
  'flour-over-100': () => 'The flours share 100. Give 100 or less.',
  'percent-too-big': ({ max }) => `Give at most ${max} %.`,
  'grams-out-of-reach': () => 'That is more than the whole dough. Give less, or make more dough first.',
  'only-base': () => 'Everything is counted on this, so it is the 100. Change its grams instead.',
  'base-over-100': () => 'What the flour is counted on shares 100. Give 100 or less.',
  'no-flour': () => 'There is no flour in it. Give at least one flour more than 0.',
  'flours-not-100': ({ sum }) => `The flours add to ${formatNumber(sum, 1)}, not to 100. Correct one of them.`,
  'bases-not-100': ({ sum }) =>
    `What the flour is counted on adds to ${formatNumber(sum, 1)}, not to 100. Correct one row.`,
  'no-plain-water': () => 'There is no plain water in this formula to scale from. Solve for something else.',
  'no-base-row': () => 'This dough is not counted on a base. Solve for something else.',
  'weighing-order': () => 'It cannot weigh more afterwards than before, nor nothing at all. Check both weighings.',
  'steamed-too-far': () => 'More has gone than it can have held of water. Check both weighings.',
  'moisture-out-of-reach': () =>
    'No amount of this flour brings the dough there. Ask for a drier dough, or start from a moister base.',
  'no-gap-so-thin': ({ thinnestMm, targetMm }, { gap }) =>
    `The narrowest setting leaves ${gap(thinnestMm)}, and ${gap(targetMm)} is wanted. Finish with a pin, or measure the roller again.`,
  'pass-too-large': ({ fromMm, toMm }, { gap }) =>
    `From ${gap(fromMm)} to ${gap(toMm)} in one pass would tear it, and no setting lies between. Thin it by pin first.`,
  'bake-gained': () => 'It cannot weigh more after baking. Weigh it warm, and check both weighings.',
  'bake-lost-too-much': ({ leastG }, { mass }) =>
    `It cannot lose so much: fully baked, ${mass(leastG, 0.1)} are left. Check both weighings.`,
  'blend-no-sacks': () =>
    'No sack of flour has its weight written down. Write in Gear what is left in each, and come back.',
  'blend-too-little': ({ stockG, flourG }, { mass }) =>
    `The sacks hold ${mass(stockG)} together, and the sheet wants ${mass(flourG)}. Make less, or open another sack.`,
  'blend-no-gluten': ({ percent }) =>
    `This shape wants at least ${percent} % of flour with gluten, and there is not enough of it in the sacks. Choose a dropped shape, or find a wheat.`,
  'blend-unlisted': ({ percent }) =>
    `At least ${percent} % should be flours this dough is known with, and the sacks hold too little of them. Make less, or choose another dough.`,
  'blend-character': ({ percent }) =>
    `At least ${percent} % should be the flour this mixture is named for, and the sacks hold too little of it. Make less, or choose another dough.`,
  'blend-shares': () =>
    'Each of these flours may only be a part of it, and together they do not make a whole. Add a plain wheat.',
  'blend-protein': ({ low, high }) =>
    `No blend of these sacks lands between ${low} and ${high} % protein, as this dough wants. A stronger or a softer flour would.`,
  'solved-row': () => 'This is the water that is solved for. Swap it for another liquid instead of taking it out.',
  'too-many-rows': ({ max }) => `A formula holds ${max} rows at most. Take one out first.`,
  'zero-target': () => 'Give more than 0, since everything is scaled from here.',
  'solved-negative': () =>
    'The other ingredients bring more water than that already. Ask for more water, or take something wet out.',
  'dough-too-large': ({ grams }, { mass }) =>
    `That would be more than ${mass(grams)} of dough. Give less, or make it in several sheets.`,
  refused: () => 'That cannot be kept in the sheet. Give a figure or a word that fits.',
  'locked-row-empty': () =>
    'The row that is held is 0 % of the formula, so nothing can be scaled from it. Hold another row.',
  'shapes-over-dough': ({ overG }, { mass }) =>
    `The shapes want ${mass(overG)} more than there is. Give one of them less, or make more dough.`,
  'unknown-ingredient': ({ id }) =>
    `“${id}” is not in this Harina’s tables. The sheet may come from a newer one; open another formula.`,
  'unknown-shape': ({ id }) =>
    `“${id}” is not in this Harina’s tables. The sheet may come from a newer one; open another formula.`,
  'unknown-dough': ({ id }) =>
    `“${id}” is not in this Harina’s tables. The sheet may come from a newer one; open another formula.`,
  'no-draft': () => 'There is no draft. Open one from the formula book.',
  'no-such-row': undo,
  'no-water-row': undo,
  'not-on-base': undo,
  'flour-all-water': undo,
  'not-finite': undo,
}

const isWorded = (code: string): code is MakerProblemCode => Object.hasOwn(problems, code)

/** What is wrong with something typed or reckoned, and what to do. */
export const problemWords = ({ code, data }: Problem, words: Worded = inGrams): string =>
  (isWorded(code) ? (problems[code] as (data: unknown, words: Worded) => string) : undo)(data, words)

const unchanged = 'Nothing was changed.'

const fileProblems: {
  readonly [C in FileProblemCode]: (problem: Extract<Problem, { code: C }>) => string
} = {
  'file-empty': () => `This file is empty. Choose the file that Harina exported. ${unchanged}`,
  'file-too-big': () =>
    `This file is far larger than any workspace (over 480 MB). Choose the file that Harina exported. ${unchanged}`,
  'file-cut-short': () =>
    `This file breaks off before its end, as after a copy that was interrupted. Copy it again from where it was kept. ${unchanged}`,
  'file-not-json': () => `This is not a Harina file. Choose one whose name ends in .harina.json. ${unchanged}`,
  'file-foreign': () => `This file was not made by Harina. Choose one whose name ends in .harina.json. ${unchanged}`,
  'file-newer': ({ data }) =>
    `A newer Harina made this file (version ${data.version}). Update this one, then bring it in. ${unchanged}`,
  'file-unread': () =>
    `This file could not be read to its end; it may be more than this device can hold. Close other pages and try again. ${unchanged}`,
  'file-hostile': () =>
    `This file holds keys that no Harina file has and that could harm the page. Do not use it. ${unchanged}`,
  'file-markup': ({ path }) =>
    `This file holds page code where a name or note should be (at ${path ?? 'the top'}). Do not use it, or take the code out. ${unchanged}`,
  'file-broken': ({ path }) =>
    `This file is damaged (at ${path || 'the top'}). Use an older export, or mend that place. ${unchanged}`,
}

const isOfFile = (code: string): code is FileProblemCode => Object.hasOwn(fileProblems, code)

/** Why a file was not taken, and what to do. */
export const fileProblemWords = (problem: Problem): string =>
  (fileProblems[isOfFile(problem.code) ? problem.code : 'file-broken'] as (problem: Problem) => string)(problem)
