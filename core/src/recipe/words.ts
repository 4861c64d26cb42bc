/** A line in words: what each is read as, and where it stands. */
import { tokenAt, type Token } from '../quantity/index.ts'
import { english } from './english.ts'
import { plainWord } from './lexicon.ts'

export interface Word {
  /** As names are compared; figures as they are written, marks as they are. */
  readonly plain: string
  /** Null is a mark: a comma, a bracket. */
  readonly token: Token | null
  readonly raw: string
  readonly from: number
  readonly to: number
}

/** Nobody writes longer sentences; what goes on is another. */
const LONGEST = 150
const ENDS = new Set(['.', '!', '?', ';', '…'])

/** Between letters a hyphen joins what names write apart; after a figure it stands before a unit: 8-mm. */
const unhyphened = (text: string): string =>
  text
    .replace(/(\p{L})[-‐‑](?=\p{L})/gu, '$1 ')
    .replace(/(\d)[-‐‑](?=\p{L})/gu, '$1 ')
    .replace(/[’]/g, "'")

function wordAt(text: string, at: number): Word {
  const found = tokenAt(text, at)
  const to = found?.to ?? at + String.fromCodePoint(text.codePointAt(at) ?? 0x20).length
  const raw = text.slice(at, to)
  if (!found) return { plain: raw, token: null, raw, from: at, to }
  const { token } = found
  if (token.type === 'word') {
    const plain = plainWord(raw)
    return { plain: plain === '' ? raw : plain, token, raw, from: at, to }
  }
  return { plain: token.type === 'number' ? token.text : raw, token, raw, from: at, to }
}

/** The words of a line, sentence by sentence. */
export function sentencesOf(line: string): readonly (readonly Word[])[] {
  const text = unhyphened(line)
  const sentences: Word[][] = [[]]
  const isLast = (to: number) => !/\S/.test(text.slice(to, to + 3))
  for (let at = 0; at < text.length;) {
    if (/\s/.test(text[at]!)) {
      at += 1
      continue
    }
    // Possessives and elisions: today's, d'acqua.
    const elided = /[dlDL]'(?=\p{L})|'s\b/uy
    elided.lastIndex = at
    const elision = elided.exec(text)
    if (elision) {
      at += elision[0].length
      continue
    }
    const word = wordAt(text, at)
    at = word.to
    const pointed = word.token?.type === 'word' && word.raw.endsWith('.') && !english.shortForms.has(word.plain)
    const ended =
      pointed && (!english.symbols.has(word.plain) || /^\s+[\p{Lu}\d"“]/u.test(text.slice(word.to, word.to + 4)))
    if (ENDS.has(word.raw)) sentences.push([])
    else {
      if (sentences.at(-1)!.length >= LONGEST) sentences.push([])
      sentences.at(-1)!.push(word)
      if (ended || (word.raw.endsWith('.') && isLast(word.to))) sentences.push([])
    }
  }
  return sentences.filter((each) => each.length > 0)
}
