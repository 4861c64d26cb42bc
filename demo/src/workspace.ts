/** What stands at Skerrin Light before anything has been made: gear, lots and the formulas of the house. */
import {
  defaultGear,
  type Formula,
  type Gear,
  type Lot,
  type Packing,
  type Sheet,
  type SheetRow,
  usualMachines,
} from '@harina/core'

export const gear: Gear = {
  ...defaultGear,
  boardMm: 900,
  benchPlace: 'lamp-room',
  places: [
    { id: 'sea-store', name: 'Sea store', temperatureC: 17, rhPercent: 81, air: 'still', night: null },
    { id: 'lamp-room', name: 'Lamp room', temperatureC: 27, rhPercent: 38, air: 'fan', night: null },
  ],
  rollers: [
    {
      id: 'crank',
      name: 'Crank sheeter',
      widthMm: 150,
      settings: 7,
      widest: 'first',
      measured: [
        { setting: 1, gapMm: 2.8 },
        { setting: 3, gapMm: 1.8 },
        { setting: 5, gapMm: 1 },
        { setting: 7, gapMm: 0.5 },
      ],
      springBack: 1.1,
    },
  ],
  presses: [
    {
      id: 'counter-extruder',
      name: 'Counter extruder',
      flowKgPerH: 2,
      lumpG: 6,
      openAreaMm2: 100,
      crumb: { low: 30, best: 33, high: 36 },
      dough: { low: 37, best: 40, high: 44 },
      runMin: 30,
      restMin: 15,
      firstDiscardG: 30,
    },
  ],
  vessels: [
    { id: 'hopper', name: 'Counter extruder, hopper', maxDoughG: 1100 },
    { id: 'bowl', name: 'The big bowl', maxDoughG: 4000 },
  ],
  pots: [
    { id: 'kettle', name: 'The crew’s kettle', holdsL: 12, ringKW: 3 },
    { id: 'small', name: 'The small pot', holdsL: 5, ringKW: 2 },
  ],
  tapC: 9,
  altitudeM: 20,
  schools: { 'salt-place': 'little', staging: 'held-back' },
}

/** The sacks are of paper, and nobody remembers which boat brought them; what mice like stands in tins. */
const PACKED: Readonly<Partial<Record<string, Packing>>> = {
  r31: 'paper-sack',
  r34: 'paper-sack',
  c08: 'paper-sack',
  s12: 'paper-sack',
  b27: 'paper-sack',
  w05: 'paper-sack',
  k03: 'sealed',
  t02: 'sealed',
}

const lot = (id: string, name: string, ingredient: string, pricePerKg: number, stockG: number, note: string): Lot => ({
  id: `lot-${id}`,
  name,
  ingredient,
  note,
  pricePerKg,
  stockG,
  ...(PACKED[id] === undefined ? {} : { packing: PACKED[id] }),
})

export const lots: readonly Lot[] = [
  lot('r31', 'Remilled durum R-31', 'durum-semolina-remilled', 1.9, 6200, 'Came on the September boat. Behaves.'),
  lot(
    'r34',
    'Remilled durum R-34',
    'durum-semolina-remilled',
    1.85,
    18_000,
    'Drinks about two points more than R-31. Nobody knows why; the sacks look alike.',
  ),
  lot('c08', 'Coarse durum C-08', 'durum-semolina-coarse', 1.7, 9500, 'For the extruder. Twenty minutes to drink.'),
  lot('s12', 'Soft white S-12', 'soft-00', 1.2, 7400, 'For ropes that must not spring back.'),
  lot('b27', 'Strong white B-27', 'bread-strong', 1.35, 11_000, 'The bread people want it too.'),
  lot('w05', 'Wholemeal W-05', 'wheat-wholemeal', 1.4, 2400, 'Half a sack. Smells of the field still.'),
  lot('k03', 'Buckwheat K-03', 'buckwheat-light', 3.6, 1900, 'Sieved. Kept in the tin because of the mice.'),
  lot('t02', 'Tapioca starch T-02', 'tapioca-starch', 2.8, 800, 'A little goes into noodles, more onto the board.'),
  lot(
    'a02',
    'Carbonate blend A-02',
    'carbonate-blend-60-40',
    9.5,
    240,
    'Sixty sodium, forty potassium. Gloves. The top shelf.',
  ),
  lot('soda', 'Baking soda', 'baking-soda', 2.2, 900, 'To bake, when A-02 runs out before the boat.'),
  lot('oct', 'Floury potatoes, October', 'potato-floury-boiled-skin', 0.8, 14_000, 'Dry and willing.'),
  lot('new', 'Potatoes, the newer sack', 'potato-new-waxy', 0.7, 9000, 'Wet. Meant for soup.'),
  lot(
    'curd',
    'Ewe’s-milk curd',
    'ricotta-sheep-drained',
    6.5,
    2200,
    'When the mainland remembers us. Hang it overnight.',
  ),
]

const found = (id: string): Lot => {
  const lotFound = lots.find((candidate) => candidate.id === `lot-${id}`)
  if (!lotFound) throw new Error(`demo: no lot ${id}`)
  return lotFound
}

/** A row of the house's own lot, counted as flour, as base or as an addition. */
const from = (id: string, percent: number, kind: 'flour' | 'base' | null = 'flour'): SheetRow => ({
  key: `${kind ?? 'x'}-${id}`,
  ingredient: found(id).ingredient,
  amount: { by: 'percent', percent },
  ...(kind === null ? {} : { [kind]: true as const }),
  lot: `lot-${id}`,
})

const water = (percent: number, ingredient: string, basis: 'basis14' | 'effective' = 'basis14'): SheetRow => ({
  key: 'water',
  ingredient,
  amount: { by: 'hydration', percent, basis },
})

const extra = (key: string, ingredient: string, percent: number): SheetRow => ({
  key,
  ingredient,
  amount: { by: 'percent', percent },
})

const sheet = (part: Pick<Sheet, 'name' | 'dough' | 'shape' | 'rows' | 'note'> & Partial<Sheet>): Sheet => ({
  target: { by: 'portions', count: 12, gramsEach: 110 },
  lossPercent: 1.5,
  flourState: { by: 'place', place: 'sea-store' },
  useLearned: true,
  waterC: null,
  schools: {},
  vessel: null,
  alsoShapes: [],
  filling: null,
  unfilled: false,
  machines: usualMachines,
  ...part,
})

const sheets: readonly (readonly [string, Sheet])[] = [
  [
    'lamp-room-semolina',
    sheet({
      name: 'Lamp-room semolina',
      dough: 'sw-hand',
      shape: 'one-dent-shells',
      rows: [from('r34', 100), water(48, 'water-warm'), extra('salt', 'salt-fine', 1)],
      note: '48 on paper. The sack upstairs and the sack downstairs are not the same flour; the paper does not know that. Warm water, or you wait.',
    }),
  ],
  [
    'stiff-semolina',
    sheet({
      name: 'Stiff semolina',
      dough: 'sw-hand',
      shape: 'ridged-pips',
      rows: [from('r31', 100), water(46, 'water-warm'), extra('salt', 'salt-fine', 1)],
      note: 'For ridges. If it feels kind it is too wet. Half an hour on a cloth before the pot or the ridges go.',
    }),
  ],
  [
    'half-and-half',
    sheet({
      name: 'Half-and-half hand ropes',
      dough: 'mixed-semolina-soft',
      shape: 'hand-rolled-strand',
      alsoShapes: [{ shape: 'twisted-strips', by: 'share', percent: 30 }],
      rows: [
        from('r31', 50),
        from('s12', 50),
        water(50, 'water-warm'),
        extra('salt', 'salt-fine', 0.5),
        extra('oil', 'olive-oil', 1),
      ],
      target: { by: 'portions', count: 8, gramsEach: 130 },
      note: 'Semolina first, ten minutes alone with its water, then the soft flour. Long boards. Nobody talks while rolling.',
    }),
  ],
  [
    'crumb-32',
    sheet({
      name: 'Crumb 32 for the extruder',
      dough: 'sw-crumb',
      shape: 'ridged-tubes',
      rows: [from('c08', 100), water(32, 'water-warm')],
      lossPercent: 4,
      note: 'Peas and lentils, not a ball. If it looks like dough somebody has been generous with the jug. The first hand’s breadth goes back in the hopper.',
    }),
  ],
  [
    'gale-noodles',
    sheet({
      name: 'Gale noodles',
      dough: 'salted-sheeted',
      shape: 'flat-white',
      rows: [from('s12', 60), from('b27', 35), from('t02', 5), water(37, 'water-cold'), extra('salt', 'salt-fine', 2)],
      target: { by: 'portions', count: 12, gramsEach: 150 },
      note: 'Made when the boat cannot come. The crumbs are right when they look wrong. No salt in that pot.',
    }),
  ],
  [
    'quayside-thick',
    sheet({
      name: 'Quayside thick noodles',
      dough: 'salted-thick',
      shape: 'thick-white',
      rows: [
        from('s12', 80),
        from('b27', 15),
        from('t02', 5),
        water(46, 'water-room'),
        extra('salt', 'salt-fine', 4.5),
      ],
      target: { by: 'portions', count: 12, gramsEach: 160 },
      note: 'Clean socks, strong bag, twenty minutes of the wireless. Two hours’ rest or it fights back.',
    }),
  ],
  [
    'pulled-belts',
    sheet({
      name: 'Pulled belts',
      dough: 'pulled-belt',
      shape: 'belt-pulled',
      rows: [
        from('b27', 60),
        from('s12', 40),
        water(51, 'water-room'),
        extra('salt', 'salt-fine', 1),
        extra('oil', 'neutral-oil', 3),
      ],
      target: { by: 'portions', count: 12, gramsEach: 150 },
      lossPercent: 1,
      note: 'The bounce does the work. Stand clear of the lamp.',
    }),
  ],
  [
    'signal-noodles',
    sheet({
      name: 'Signal noodles',
      dough: 'alk-low',
      shape: 'alk-medium-wavy',
      rows: [from('b27', 100), water(34, 'water-cold'), extra('salt', 'salt-fine', 1), from('a02', 1.32, null)],
      target: { by: 'portions', count: 12, gramsEach: 140 },
      note: '1.2 as carbonate. Yellow as the signal flag. Gloves for the powder, and write the grams down before, not after.',
    }),
  ],
  [
    'soft-signal-noodles',
    sheet({
      name: 'Soft signal noodles',
      dough: 'alk-high',
      shape: 'alk-thick-hand',
      rows: [
        from('b27', 90),
        from('t02', 10),
        water(41, 'water-cold'),
        extra('salt', 'salt-fine', 1.2),
        from('a02', 0.99, null),
      ],
      target: { by: 'portions', count: 12, gramsEach: 140 },
      note: 'For those who have no patience with the crank. Scrunch, do not squeeze.',
    }),
  ],
  [
    'hot-water-skins',
    sheet({
      name: 'Hot-water skins',
      dough: 'wrapper-hot',
      shape: 'pan-wrapper',
      filling: { name: 'Potato and leek', gramsEach: 15, moisturePercent: 68 },
      rows: [
        from('s12', 70),
        from('b27', 30),
        water(54, 'water-hot'),
        extra('salt', 'salt-fine', 0.6),
        extra('oil', 'neutral-oil', 1),
      ],
      target: { by: 'pieces', count: 120 },
      note: 'A stick, not a hand. It forgives everything except lukewarm water.',
    }),
  ],
  [
    'scraper-drops',
    sheet({
      name: 'Scraper drops',
      dough: 'batter-board',
      shape: 'board-scraped',
      rows: [from('s12', 100), water(90, 'water-sparkling', 'effective'), extra('salt', 'salt-fine', 1.3)],
      target: { by: 'portions', count: 12, gramsEach: 150 },
      note: 'Open the bottle last. Arms tired means batter right.',
    }),
  ],
  [
    'plate-drops',
    sheet({
      name: 'Plate drops',
      dough: 'batter-holes',
      shape: 'hole-buttons',
      rows: [
        from('s12', 70),
        from('w05', 30),
        water(100, 'water-cold', 'effective'),
        extra('salt', 'salt-fine', 1.3),
        extra('oil', 'neutral-oil', 1),
      ],
      target: { by: 'portions', count: 12, gramsEach: 150 },
      note: 'If they rain by themselves the batter is thin. If you lean on the plate it is thick. In between, lunch.',
    }),
  ],
  [
    'keepers-gnocchi',
    sheet({
      name: 'Keeper’s gnocchi',
      dough: 'gn-potato',
      shape: 'potato-ridged',
      rows: [from('oct', 100, 'base'), from('s12', 28), extra('salt', 'salt-fine', 1)],
      target: { by: 'portions', count: 12, gramsEach: 200 },
      lossPercent: 2,
      note: 'October sack only. Rice them hot, let them steam, count to nothing. One into the pot before the rest.',
    }),
  ],
  [
    'pumpkin-gnocchi',
    sheet({
      name: 'Pumpkin gnocchi',
      dough: 'gn-squash',
      shape: 'squash-rolled',
      rows: [
        { ...extra('base', 'pumpkin-roasted-dense', 100), base: true },
        from('s12', 48),
        extra('salt', 'salt-fine', 1.1),
      ],
      target: { by: 'portions', count: 12, gramsEach: 190 },
      lossPercent: 2,
      note: 'Dry it in the pan until the spoon leaves a road. Impatience costs twenty of flour.',
    }),
  ],
  [
    'curd-hollows',
    sheet({
      name: 'Curd hollows',
      dough: 'gn-curd-semolina',
      shape: 'curd-hollows',
      rows: [from('curd', 100, 'base'), from('r31', 115), extra('salt', 'salt-fine', 0.9)],
      target: { by: 'portions', count: 12, gramsEach: 140 },
      note: 'When the curd comes. A quarter of an hour before anyone judges it: the whey has its own timetable.',
    }),
  ],
  [
    'buckwheat-cuts',
    sheet({
      name: 'Buckwheat cuts',
      dough: 'buckwheat-blend',
      shape: 'soba-cut',
      rows: [from('k03', 70), from('b27', 30), water(46, 'water-cold')],
      target: { by: 'portions', count: 12, gramsEach: 130 },
      note: 'Cold hands, quick hands. From the cut to the pot before the kettle has opinions.',
    }),
  ],
]

const tags: Readonly<Record<string, readonly string[]>> = {
  'lamp-room-semolina': ['weekday', 'hand'],
  'stiff-semolina': ['hand'],
  'crumb-32': ['open Saturday', 'machine'],
  'signal-noodles': ['open Saturday', 'broth'],
  'scraper-drops': ['open Saturday'],
  'keepers-gnocchi': ['open Saturday', 'no egg'],
  'curd-hollows': ['open Saturday'],
}

/** What Lamp-room semolina was before R-34 had been understood. */
const earlier = (id: string, now: Sheet, at: string): Formula['versions'] =>
  id === 'lamp-room-semolina'
    ? [
        {
          at,
          sheet: {
            ...now,
            rows: now.rows.map((row): SheetRow => {
              if (row.key === 'water') return water(47, 'water-room')
              return row.key === 'salt' ? extra('salt', 'salt-fine', 0.5) : row
            }),
          },
        },
      ]
    : []

export const formulas = (createdAt: string): readonly Formula[] =>
  sheets.map(([id, value]) => ({
    id,
    sheet: value,
    tags: [...(tags[id] ?? [])],
    archived: false,
    versions: [...earlier(id, value, createdAt)],
    createdAt,
    // Kept again a week after the book was begun, once R-34 had been understood.
    updatedAt: id === 'lamp-room-semolina' ? new Date(Date.parse(createdAt) + 7 * 86_400_000).toISOString() : createdAt,
  }))
