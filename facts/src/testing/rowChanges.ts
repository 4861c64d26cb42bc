/** A dough as it starts, and with each of some changes of its rows. */
import type { Sheet, SheetRow } from '@harina/core'

const more = (ingredient: string, percent: number) => (sheet: Sheet) => ({
  ...sheet,
  rows: [...sheet.rows, { key: 'changed', ingredient, amount: { by: 'percent', percent } } as SheetRow],
})
/** All that is flour is another; or half of it is. */
const flour = (ingredient: string, share: number) => (sheet: Sheet) => {
  const flours = sheet.rows.filter((row) => row.flour)
  const whole = flours.reduce((sum, { amount }) => sum + amount.percent, 0)
  const scaled = flours.map((row) => ({
    ...row,
    amount: { by: 'percent' as const, percent: row.amount.percent * (1 - share) },
  }))
  const other: SheetRow = {
    key: 'other-flour',
    ingredient,
    amount: { by: 'percent', percent: whole * share },
    flour: true,
  }
  const kept = share === 1 ? [] : scaled
  return { ...sheet, rows: [...kept, other, ...sheet.rows.filter((row) => !row.flour)] }
}

export const rowChanges: Readonly<Record<string, (sheet: Sheet) => Sheet>> = {
  'as started': (sheet) => sheet,
  egg: more('egg-whole', 12),
  yolk: more('egg-yolk', 8),
  milk: more('milk-whole', 10),
  purée: more('spinach-puree', 15),
  oil: more('olive-oil', 2),
  salt: more('salt-fine', 0.5),
  soda: more('baking-soda', 0.5),
  replacer: more('egg-replacer-powder', 3),
  'egg for all the water': more('egg-whole', 130),
  'another flour': flour('plain-wheat', 1),
  'half and half': flour('bread-strong', 0.5),
}
