/** What a recipe says to do: for how long, how thick, how warm, how much it should come to. */
import type { Amount, Span } from './amounts.ts'
import type { Element } from './elements.ts'
import { english } from './english.ts'
import type { Doing } from './grammar.ts'
import type { Heard, Sentence } from './heard.ts'

export interface Timed {
  readonly doing: Doing
  readonly minutes: Span
  readonly text: string
  /** Of potatoes and the like, before the dough: not of the pieces. */
  readonly ofBase: boolean
}

function doingAt({ elements, tag }: Sentence, at: number): Doing | null {
  const near = (from: number, to: number, backward: boolean) => {
    const words = elements
      .slice(Math.max(0, from), to)
      .map((each) => (each.is === 'word' ? each.plain : each.is === 'mark' ? each.plain : '‹›'))
    const ordered = backward ? [...words].reverse() : words
    for (const [n, word] of ordered.entries()) {
      if (/^[,;]$/.test(word) && n > 0 && !backward) return null
      const found = english.doings.find(([, pattern]) => pattern.test(word))
      if (found) return found[0]
    }
    return null
  }
  if (english.readyIn.test(tag.slice(0, Math.max(0, tag.indexOf(`‹a${at}›`))))) return 'total'
  const isTotal = (each: Element) => each.is === 'word' && english.wholeTime.test(each.plain)
  const totals = elements.findIndex(isTotal)
  // Of several times the one that is told of the whole stands next to its word.
  const nearest = elements.findIndex((each, n) => n > totals && each.is === 'amount' && each.amount.kind === 'min')
  if (totals >= 0 && (nearest === at || (nearest < 0 && at > totals - 9))) return 'total'
  return near(at - 8, at, true) ?? near(at + 1, at + 7, false)
}

/** Times with what they are for. */
function timesIn({ sentences }: Heard): readonly Timed[] {
  return sentences.flatMap((sentence) => {
    if (sentence.aside) return []
    const { elements, text } = sentence
    return elements.flatMap((element, at): Timed[] => {
      if (element.is !== 'amount' || element.amount.kind !== 'min') return []
      const doing = doingAt(sentence, at)
      if (doing === null) return []
      const named = elements
        .filter((each) => each.is === 'ingredient')
        .map((each) => (each.is === 'ingredient' ? each.ingredient : null))
      const ofBase =
        (doing === 'boil' || doing === 'bake') &&
        (named.some((each) => each !== null && ['vegetable', 'alkali'].includes(each.group)) ||
          english.cookedFirst.test(sentence.tag))
      return [{ doing, minutes: element.amount.figure, text, ofBase }]
    })
  })
}

/** How thick it is rolled, mm; the first that is said of thickness. */
function thicknessIn({ sentences }: Heard): number | null {
  for (const { elements, aside } of sentences) {
    if (aside) continue
    for (const [at, element] of elements.entries()) {
      if (element.is !== 'amount' || element.amount.kind !== 'mm') continue
      const near = elements
        .slice(Math.max(0, at - 5), at + 3)
        .map((each) => (each.is === 'word' ? each.plain : ''))
        .join(' ')
      if (english.thickness.test(near)) return element.amount.figure.typical
    }
  }
  return null
}

/** Heats of what is poured, °C. */
function liquidHeatIn({ sentences }: Heard): number | null {
  for (const { elements, aside } of sentences)
    if (!aside && elements.some((each) => each.is === 'ingredient' && each.ingredient.group === 'liquid'))
      for (const element of elements)
        if (element.is === 'amount' && element.amount.kind === '°C' && element.amount.figure.typical <= 100)
          return element.amount.figure.typical
  return null
}

export interface StatedTotal {
  readonly amount: Extract<Amount, { kind: 'measured' }>
  readonly text: string
  readonly sentence: number
  readonly element: number
}

/** Stated weights of the whole dough. Only what is of no ingredient can be one. */
export function totalsIn({ sentences, loose }: Heard): readonly StatedTotal[] {
  return loose.flatMap(({ amount, sentence: index, element }): StatedTotal[] => {
    const sentence = sentences[index]!
    if (amount.kind !== 'measured' || amount.article || sentence.aside) return []
    const near = sentence.elements
      .slice(Math.max(0, element - 6), element + 6)
      .map((each) => (each.is === 'word' ? each.plain : ''))
      .join(' ')
    if (english.notATotal.test(near)) return []
    const isTotal = english.totals.some((pattern) => pattern.exec(sentence.tag)?.slice(1).includes(`‹a${element}›`))
    return isTotal ? [{ amount, text: sentence.text, sentence: index, element }] : []
  })
}

export interface DecodedMethod {
  readonly times: readonly Timed[]
  readonly thicknessMm: number | null
  /** Of what is poured. */
  readonly liquidC: number | null
}

export const methodIn = (heard: Heard): DecodedMethod => ({
  times: timesIn(heard),
  thicknessMm: thicknessIn(heard),
  liquidC: liquidHeatIn(heard),
})
