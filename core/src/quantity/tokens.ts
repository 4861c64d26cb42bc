/** The first half of reading a quantity: characters to figures, words and signs. */
import { fractionSigns } from './unitTables.ts'

export type Sign = '+' | '-' | '×' | '/'

export type Token =
  | { readonly type: 'number'; readonly value: number; readonly text: string }
  /** ½ and its like. */
  | { readonly type: 'part'; readonly value: number }
  | { readonly type: 'word'; readonly text: string }
  | { readonly type: 'sign'; readonly sign: Sign }

export const isWhole = (token: Token | undefined): boolean => token?.type === 'number' && /^\d[\d ]*$/.test(token.text)

/** Thousands by space; by comma or point where the other follows or where there are two; else one decimal sign. ASCII digits alone. */
const NUMBER =
  /(?:[1-9]\d{0,2}(?: \d{3})+(?!\d)(?:[.,]\d+)?|\d{1,3}(?:,\d{3})+\.\d+|\d{1,3}(?:\.\d{3})+,\d+|\d{1,3}(?:,\d{3}){2,}|\d{1,3}(?:\.\d{3}){2,}|\d+(?:[.,]\d+)?|[.,]\d+)/y
const WORD = /(?:[°º] ?)?\p{L}+\.?|[°º%'"′″’”]/uy
const SIGNS: Readonly<Record<string, Sign>> = {
  '+': '+',
  '-': '-',
  '−': '-',
  '×': '×',
  '*': '×',
  '·': '×',
  '/': '/',
  '⁄': '/',
  '÷': '/',
}

/** `1,250` is 1.25 to some and 1250 to others. */
export const isAmbiguous = (text: string): boolean => /^[1-9]\d{0,2},\d{3}$/.test(text)

function valueOf(text: string): number {
  const plain = text.replaceAll(' ', '')
  const decimal = Math.max(plain.lastIndexOf(','), plain.lastIndexOf('.'))
  const groupsOnly = /^\d{1,3}([.,])\d{3}(?:\1\d{3})+$/.test(plain)
  if (decimal < 0 || groupsOnly) return Number(plain.replace(/[.,]/g, ''))
  return Number(`${plain.slice(0, decimal).replace(/[.,]/g, '')}.${plain.slice(decimal + 1)}`)
}

export interface Found {
  readonly token: Token
  /** Where it ends. */
  readonly to: number
}

function matchAt(pattern: RegExp, text: string, at: number): string | undefined {
  pattern.lastIndex = at
  return pattern.exec(text)?.[0]
}

/** The token that begins here; null where the character is of none. */
export function tokenAt(text: string, at: number): Found | null {
  const first = String.fromCodePoint(text.codePointAt(at) ?? 0)
  const number = matchAt(NUMBER, text, at)
  if (number !== undefined)
    return { token: { type: 'number', value: valueOf(number), text: number }, to: at + number.length }
  const part = fractionSigns[first]
  if (part !== undefined) return { token: { type: 'part', value: part }, to: at + first.length }
  const sign = SIGNS[first]
  if (sign !== undefined) return { token: { type: 'sign', sign }, to: at + first.length }
  const word = matchAt(WORD, text, at)
  if (word === undefined) return null
  const name = word.toLowerCase().replace('º', '°').replace(' ', '').replace(/\.$/, '')
  return { token: name === 'x' ? { type: 'sign', sign: '×' } : { type: 'word', text: name }, to: at + word.length }
}

/** Null where a character is none of these. */
export function tokensOf(text: string): readonly Token[] | null {
  const tokens: Token[] = []
  for (let at = 0; at < text.length;) {
    if (text[at] === ' ') at += 1
    else {
      const found = tokenAt(text, at)
      if (!found) return null
      tokens.push(found.token)
      at = found.to
    }
  }
  return tokens
}
