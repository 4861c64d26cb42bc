/**
 * From version 3 to version 4: a batch carries its own steps, a workspace keeps photos, and gear knows who kneads, where the
 * bench stands and when its scale was checked. Batches of before get the steps that every batch had then, with their times.
 */
import { each, one, type Loose } from './loose.ts'

const NO_TIME = [1, 1]

function oldSteps(plan: Loose): Loose[] {
  const minutes = (plan['minutes'] ?? {}) as Loose
  const rest = (minutes['rest'] ?? {}) as Loose
  const rows = Array.isArray(plan['rows']) ? (plan['rows'] as Loose[]) : []
  const pours = rows.some((row) => row['part'] === 'water' && Number(row['weighedG']) > 0)
  return [
    { id: 'flour', kind: 'flour' },
    ...(pours
      ? [
          { id: 'water', kind: 'water' },
          { id: 'pour', kind: 'pour', how: 'rake', goes: [1] },
        ]
      : []),
    { id: 'feel', kind: 'feel' },
    { id: 'knead', kind: 'knead', how: 'push', hand: minutes['knead'] ?? NO_TIME, mixer: null },
    {
      id: 'rest',
      kind: 'rest',
      of: 'dough',
      cold: false,
      low: rest['low'] ?? 0,
      best: Math.max(1, Number(rest['best'] ?? 1)),
      high: rest['high'] ?? 0,
    },
    { id: 'divide', kind: 'divide' },
    { id: 'shape', kind: 'shape', perMin: 12 },
    { id: 'cook', kind: 'cook', how: 'boil' },
    { id: 'verdict', kind: 'verdict' },
  ]
}

function plan3to4(plan: Loose): Loose {
  const minutes = (plan['minutes'] ?? {}) as Loose
  return {
    ...plan,
    shape: one(plan['shape'], (shape) => ({ ...shape, share: 1 })),
    also: [],
    minutes: { cook: minutes['cook'], drink: minutes['drink'] },
    steps: oldSteps(plan),
    kneads: 'hand',
    roomC: 21,
  }
}

export const batch3to4 = (batch: Loose): Loose => ({ ...batch, plan: one(batch['plan'], plan3to4) })
export const gear3to4 = (gear: Loose): Loose => ({ ...gear, kneads: 'hand', benchPlace: null, scaleChecks: [] })

export const file3to4 = (file: Loose): Loose => ({
  ...file,
  version: 4,
  batches: each(file['batches'], batch3to4),
  gear: one(file['gear'], gear3to4),
  photos: [],
})
