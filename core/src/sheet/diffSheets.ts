/** What changed between two sheets, in figures a maker can read: not text against text, but salt against salt. */
import type { Sheet, SheetRow } from '../model/index.ts'
import type { Kitchen } from './kitchen.ts'

export type SheetChange =
  | { readonly code: 'name'; readonly from: string; readonly to: string }
  | { readonly code: 'dough' | 'shape'; readonly from: string; readonly to: string }
  | { readonly code: 'water'; readonly from: number; readonly to: number }
  | { readonly code: 'row'; readonly ingredient: string; readonly from: number; readonly to: number }
  | { readonly code: 'row-in' | 'row-out'; readonly ingredient: string; readonly percent: number }
  | { readonly code: 'swap'; readonly from: string; readonly to: string }
  | { readonly code: 'lot'; readonly ingredient: string; readonly from: string | null; readonly to: string | null }
  | { readonly code: 'measured'; readonly ingredient: string; readonly from: number | null; readonly to: number | null }
  | { readonly code: 'loss'; readonly from: number; readonly to: number }
  | { readonly code: 'heat'; readonly from: number | null; readonly to: number | null }
  | { readonly code: 'school'; readonly topic: string; readonly from: string | null; readonly to: string | null }
  | { readonly code: 'amount' | 'place' | 'note' | 'learned' | 'vessel' }

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

function rowChanges(from: SheetRow, to: SheetRow, kitchen: Kitchen): SheetChange[] {
  const named = (id: string) => kitchen.ingredients.get(id)?.name ?? id
  const lot = (id: string | undefined) => kitchen.lots.find((each) => each.id === id)?.name ?? null
  const ingredient = named(to.ingredient)
  const changes: SheetChange[] = []
  if (from.ingredient !== to.ingredient) changes.push({ code: 'swap', from: named(from.ingredient), to: ingredient })
  if (from.amount.by === 'hydration' && to.amount.by === 'hydration') {
    if (from.amount.percent !== to.amount.percent)
      changes.push({ code: 'water', from: from.amount.percent, to: to.amount.percent })
  } else if (from.amount.by === 'percent' && to.amount.by === 'percent' && from.amount.percent !== to.amount.percent)
    changes.push({ code: 'row', ingredient, from: from.amount.percent, to: to.amount.percent })
  if (from.lot !== to.lot && from.ingredient === to.ingredient)
    changes.push({ code: 'lot', ingredient, from: lot(from.lot), to: lot(to.lot) })
  if (from.water !== to.water)
    changes.push({ code: 'measured', ingredient, from: from.water ?? null, to: to.water ?? null })
  return changes
}

const percentOf = (row: SheetRow): number => row.amount.percent

export function diffSheets(from: Sheet, to: Sheet, kitchen: Kitchen): readonly SheetChange[] {
  const before = new Map(from.rows.map((row) => [row.key, row]))
  const after = new Map(to.rows.map((row) => [row.key, row]))
  const named = (row: SheetRow) => kitchen.ingredients.get(row.ingredient)?.name ?? row.ingredient
  const dough = (id: string) => kitchen.doughs.get(id)?.name ?? id
  const shape = (id: string) => kitchen.shapes.get(id)?.name ?? id
  const topics = [...new Set([...Object.keys(from.schools), ...Object.keys(to.schools)])]
  const changes: SheetChange[] = [
    ...(from.name === to.name ? [] : [{ code: 'name', from: from.name, to: to.name } as const]),
    ...(from.dough === to.dough ? [] : [{ code: 'dough', from: dough(from.dough), to: dough(to.dough) } as const]),
    ...(from.shape === to.shape ? [] : [{ code: 'shape', from: shape(from.shape), to: shape(to.shape) } as const]),
    ...to.rows.flatMap((row): SheetChange[] => {
      const was = before.get(row.key)
      return was ? rowChanges(was, row, kitchen) : [{ code: 'row-in', ingredient: named(row), percent: percentOf(row) }]
    }),
    ...from.rows
      .filter((row) => !after.has(row.key))
      .map((row) => ({ code: 'row-out', ingredient: named(row), percent: percentOf(row) }) as const),
    ...(from.lossPercent === to.lossPercent
      ? []
      : [{ code: 'loss', from: from.lossPercent, to: to.lossPercent } as const]),
    ...(from.waterC === to.waterC ? [] : [{ code: 'heat', from: from.waterC, to: to.waterC } as const]),
    ...topics
      .filter((topic) => from.schools[topic] !== to.schools[topic])
      .map((topic) => ({
        code: 'school' as const,
        topic,
        from: from.schools[topic] ?? null,
        to: to.schools[topic] ?? null,
      })),
  ]
  const whole: readonly (readonly [boolean, SheetChange])[] = [
    [same(from.target, to.target), { code: 'amount' }],
    [same(from.flourState, to.flourState), { code: 'place' }],
    [from.note === to.note, { code: 'note' }],
    [from.useLearned === to.useLearned, { code: 'learned' }],
    [from.vessel === to.vessel, { code: 'vessel' }],
  ]
  return [...changes, ...whole.filter(([unchanged]) => !unchanged).map(([, change]) => change)]
}
