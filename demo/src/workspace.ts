/** What stands at Skerrin Light before anything has been made: gear, lots and the formulas of the house. */
import type { Formula, Gear, Lot, Sheet, SheetRow } from '@harina/core'

export const gear: Gear = {
  id: 'gear',
  scaleStepG: 1,
  boardMm: 900,
  places: [
    { id: 'sea-store', name: 'Sea store', temperatureC: 17, rhPercent: 81 },
    { id: 'lamp-room', name: 'Lamp room', temperatureC: 27, rhPercent: 38 },
  ],
}

export const lots: readonly Lot[] = [
  {
    id: 'lot-r31',
    name: 'Remilled durum R-31',
    ingredient: 'durum-semolina-remilled',
    note: 'Came on the September boat. Behaves.',
  },
  {
    id: 'lot-r34',
    name: 'Remilled durum R-34',
    ingredient: 'durum-semolina-remilled',
    note: 'Drinks about two points more than R-31. Nobody knows why; the sacks look alike.',
  },
  { id: 'lot-s12', name: 'Soft white S-12', ingredient: 'soft-00', note: 'For ropes that must not spring back.' },
]

const flour = (lot: Lot, percent: number): SheetRow => ({
  key: lot.id.replace('lot-', 'f-'),
  ingredient: lot.ingredient,
  amount: { by: 'percent', percent },
  flour: true,
  lot: lot.id,
})

const water = (percent: number, ingredient: string): SheetRow => ({
  key: 'water',
  ingredient,
  amount: { by: 'hydration', percent, basis: 'basis14' },
})

const extra = (key: string, ingredient: string, percent: number): SheetRow => ({
  key,
  ingredient,
  amount: { by: 'percent', percent },
})

const lot = (id: string): Lot => {
  const found = lots.find((candidate) => candidate.id === id)
  if (!found) throw new Error(`demo: no lot ${id}`)
  return found
}

const sheet = (part: Pick<Sheet, 'name' | 'dough' | 'shape' | 'rows' | 'note'> & Partial<Sheet>): Sheet => ({
  target: { by: 'portions', count: 12, gramsEach: 110 },
  lossPercent: 1.5,
  flourState: { by: 'place', place: 'sea-store' },
  useLearned: true,
  ...part,
})

const sheets: readonly (readonly [string, Sheet])[] = [
  [
    'lamp-room-semolina',
    sheet({
      name: 'Lamp-room semolina',
      dough: 'sw-hand',
      shape: 'one-dent-shells',
      rows: [flour(lot('lot-r34'), 100), water(48, 'water-warm'), extra('salt', 'salt-fine', 1)],
      note: '48 on paper. The sack upstairs and the sack downstairs are not the same flour; the paper does not know that. Warm water, or you wait.',
    }),
  ],
  [
    'stiff-semolina',
    sheet({
      name: 'Stiff semolina',
      dough: 'sw-hand',
      shape: 'ridged-pips',
      rows: [flour(lot('lot-r31'), 100), water(46, 'water-warm'), extra('salt', 'salt-fine', 1)],
      note: 'For ridges. If it feels kind it is too wet. Half an hour on a cloth before the pot or the ridges go.',
    }),
  ],
  [
    'half-and-half',
    sheet({
      name: 'Half-and-half hand ropes',
      dough: 'mixed-semolina-soft',
      shape: 'hand-rolled-strand',
      rows: [
        flour(lot('lot-r31'), 50),
        flour(lot('lot-s12'), 50),
        water(50, 'water-warm'),
        extra('salt', 'salt-fine', 0.5),
        extra('oil', 'olive-oil', 1),
      ],
      target: { by: 'portions', count: 8, gramsEach: 130 },
      note: 'Semolina first, ten minutes alone with its water, then the soft flour. Long boards. Nobody talks while rolling.',
    }),
  ],
]

export const formulas = (createdAt: string): readonly Formula[] =>
  sheets.map(([id, value]) => ({ id, sheet: value, createdAt, updatedAt: createdAt }))
