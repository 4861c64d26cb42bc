/** Sentences that compare a size with a thing: once a maker has another size, they say it in millimetres. */
import type { Blank } from '../model/index.ts'

/** As thick as a pencil, half as long again as they are thick, finger lengths, the size of a chickpea. */
const COMPARES =
  /\bas (?:thick|thin|long|wide) as\b|\b(?:longer|shorter|wider) than\b|\bhalf as long\b|\bfingers? (?:wide|long|lengths?)\b|\bhalf a finger\b|\bthe size of\b|\ba thin rope\b|\btimes as long\b/i

export const comparesSize = (words: string): boolean => COMPARES.test(words)

const mm = (length: number): string => `${Number(length.toFixed(1))} mm`

/** The sentence for the blank as it is: of a rope how thick and how long, of a sheet how wide and how long. */
function sizeTold(words: string, blank: Blank): string | null {
  const rolls = /\b(?:roll|rope)/i.test(words)
  const cuts = /\b(?:cut|bits|chunks|pinch)/i.test(words)
  if (blank.type === 'rope') {
    const rope = `Roll a rope ${mm(blank.diameterMm)} thick`
    if (rolls) return cuts ? `${rope}, and cut it every ${mm(blank.cutMm)}.` : `${rope}.`
    return cuts ? `Cut it every ${mm(blank.cutMm)}.` : null
  }
  if (blank.type !== 'sheet' || !cuts) return null
  const cut = `ut it ${mm(blank.widthMm)} wide and ${mm(blank.lengthMm)} long.`
  return rolls ? `Roll a sheet ${mm(blank.thicknessMm)} thick, and c${cut}` : `C${cut}`
}

/** @example 'Roll a rope as thick as a pencil.' of a rope of 10 mm → 'Roll a rope 10 mm thick.' */
export const inMillimetres = (words: string, blank: Blank): string =>
  comparesSize(words) ? (sizeTold(words, blank) ?? words) : words
