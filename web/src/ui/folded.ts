/** A word as it is looked for, by a keyboard that has none of its marks. @example Spätzle → spatzle; mantı → manti; ñoquis → noquis */
export const folded = (word: string): string =>
  word.normalize('NFD').replace(/\p{M}/gu, '').replace(/ı/g, 'i').replace(/ł/g, 'l').replace(/ß/g, 'ss').toLowerCase()
