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
  /^(?:\d{1,3}(?: \d{3})+(?!\d)(?:[.,]\d+)?|\d{1,3}(?:,\d{3})+\.\d+|\d{1,3}(?:\.\d{3})+,\d+|\d{1,3}(?:,\d{3}){2,}|\d{1,3}(?:\.\d{3}){2,}|\d+(?:[.,]\d+)?|[.,]\d+)/
const WORD = /^(?:[°º] ?)?\p{L}+\.?|^[°º%'"′″’”]/u
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

/** Null where a character is none of these. */
export function tokensOf(text: string): readonly Token[] | null {
  const tokens: Token[] = []
  let rest = text
  while (rest !== '') {
    const [first = ''] = rest
    const number = NUMBER.exec(rest)?.[0]
    const word = WORD.exec(rest)?.[0]
    if (first === ' ') rest = rest.slice(1)
    else if (number !== undefined) {
      tokens.push({ type: 'number', value: valueOf(number), text: number })
      rest = rest.slice(number.length)
    } else if (fractionSigns[first] !== undefined) {
      tokens.push({ type: 'part', value: fractionSigns[first] })
      rest = rest.slice(first.length)
    } else if (SIGNS[first] !== undefined) {
      tokens.push({ type: 'sign', sign: SIGNS[first] })
      rest = rest.slice(first.length)
    } else if (word !== undefined) {
      const name = word.toLowerCase().replace('º', '°').replace(' ', '').replace(/\.$/, '')
      tokens.push(name === 'x' ? { type: 'sign', sign: '×' } : { type: 'word', text: name })
      rest = rest.slice(word.length)
    } else return null
  }
  return tokens
}
