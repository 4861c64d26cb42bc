import {
  doughTable,
  ingredientTable,
  shapeTable,
  summarise,
  pressedWell,
  provenWell,
  thirstByLot,
  toFile,
  type Batch,
  type Gear,
  type Kitchen,
  type Sheet,
  type Spot,
  type WorkspaceFile,
} from '@harina/core'
import { overOf, spotIn } from '@harina/core/rack'
import { doughs, ingredients, schools, shapes } from '@harina/facts'
import { seeded, type Random } from './random.ts'
import { runBatch, type BatchStory } from './runBatch.ts'
import type { TrayStory } from './trays.ts'
import { formulas, gear, lots } from './workspace.ts'

const SEED = 4810
const DAY_MS = 86_400_000
const HOUR_MS = 3_600_000

/** What each flour really wants beyond paper, points; the keepers find it out batch by batch. */
const THIRST: Readonly<Record<string, number>> = {
  'lamp-room-semolina': 2.1,
  'stiff-semolina': 0.3,
  'half-and-half': -0.4,
}

interface PastBatch extends Pick<BatchStory, 'temper' | 'verdict' | 'note'> {
  readonly daysAgo: number
  readonly formula: string
  readonly shape?: string
  readonly place: string
  readonly portions: number
}

const past: readonly PastBatch[] = [
  {
    daysAgo: 76,
    formula: 'stiff-semolina',
    place: 'sea-store',
    portions: 12,
    temper: 'patient',
    verdict: 'good',
    note: 'First sack of R-31. Held its ridges.',
  },
  {
    daysAgo: 71,
    formula: 'lamp-room-semolina',
    place: 'sea-store',
    portions: 12,
    temper: 'patient',
    verdict: 'fair',
    note: 'New sack, R-34. Wanted spoon after spoon. Written down this time.',
  },
  {
    daysAgo: 64,
    formula: 'half-and-half',
    place: 'sea-store',
    portions: 8,
    temper: 'patient',
    verdict: 'good',
    note: 'Strands as long as the board. Late bench rolled, early bench talked.',
  },
  {
    daysAgo: 58,
    formula: 'lamp-room-semolina',
    shape: 'little-ears',
    place: 'lamp-room',
    portions: 12,
    temper: 'patient',
    verdict: 'good',
    note: 'The sack had stood open upstairs. Twelve points more water than downstairs, and the same dough.',
  },
  {
    daysAgo: 52,
    formula: 'stiff-semolina',
    place: 'sea-store',
    portions: 16,
    temper: 'patient',
    verdict: 'very-good',
    note: 'Dried forty minutes on the cloth. Ridges you could file a nail on.',
  },
  {
    daysAgo: 45,
    formula: 'lamp-room-semolina',
    place: 'sea-store',
    portions: 12,
    temper: 'chased',
    verdict: 'poor',
    note: 'Gale, everything damp, door banging. Water before it had drunk, flour after that. It never quite came back.',
  },
  {
    daysAgo: 38,
    formula: 'lamp-room-semolina',
    shape: 'one-dent-shells',
    place: 'sea-store',
    portions: 14,
    temper: 'patient',
    verdict: 'good',
    note: 'Waited the ten minutes with both hands behind the back. Then the jug and two spoons.',
  },
  {
    daysAgo: 31,
    formula: 'half-and-half',
    shape: 'rubbed-twists',
    place: 'sea-store',
    portions: 8,
    temper: 'patient',
    verdict: 'fair',
    note: 'Twists skidded until the board was wiped with a damp cloth.',
  },
  {
    daysAgo: 24,
    formula: 'stiff-semolina',
    place: 'lamp-room',
    portions: 12,
    temper: 'patient',
    verdict: 'good',
    note: 'Upstairs flour. Trust the rule, not the number from last time.',
  },
  {
    daysAgo: 17,
    formula: 'lamp-room-semolina',
    shape: 'dragged-leaves',
    place: 'sea-store',
    portions: 12,
    temper: 'patient',
    verdict: 'good',
    note: 'Leaves tear at the start of the drag if the blade is upright.',
  },
  {
    daysAgo: 9,
    formula: 'lamp-room-semolina',
    place: 'sea-store',
    portions: 18,
    temper: 'patient',
    verdict: 'very-good',
    note: 'Took the whole jug and a spoon over. R-34 is not finished with us.',
  },
  {
    daysAgo: 4,
    formula: 'half-and-half',
    place: 'sea-store',
    portions: 10,
    temper: 'patient',
    verdict: 'good',
    note: 'Even from end to end. A minute more in the pot would have been one too many.',
  },
]

const tables = {
  ingredients: ingredientTable(ingredients),
  doughs: doughTable(doughs),
  shapes: shapeTable(shapes),
  schools,
}

/** The air of that day, inside the ranges the two rooms are known for. */
function kitchenThatDay(random: Random, batches: readonly Batch[], gale: boolean, todayMs: number): Kitchen {
  const places = gear.places.map((place) => {
    const damp = place.id === 'sea-store'
    const temperatureC = Math.round(damp ? random.between(14, 19) : random.between(24, 30))
    const usual = damp ? random.between(72, 86) : random.between(33, 44)
    const rhPercent = gale && damp ? 88 : Math.round(usual)
    return { ...place, temperatureC, rhPercent }
  })
  return {
    ...tables,
    gear: { ...gear, places },
    lots,
    todayMs,
    thirst: thirstByLot(batches.map(summarise), tables.doughs),
    pressed: [],
    proven: [],
  }
}

/** The bench scale is true; the pocket scale has begun to read high. */
function scaleChecks(midnightMs: number): Gear['scaleChecks'] {
  const daysAgo = (days: number) => new Date(midnightMs - days * DAY_MS + 7 * HOUR_MS).toISOString()
  return [
    { at: daysAgo(57), scale: 'Bench scale', stepG: 1, knownG: 500, shownG: 500 },
    { at: daysAgo(20), scale: 'Pocket scale', stepG: 0.1, knownG: 100, shownG: 100.4 },
  ]
}

function sheetFor(formula: string, portions: number, place: string, shape?: string): Sheet {
  const found = formulas(new Date(0).toISOString()).find((candidate) => candidate.id === formula)
  if (!found) throw new Error(`demo: no formula ${formula}`)
  const { target } = found.sheet
  const gramsEach = target.by === 'portions' ? target.gramsEach : 110
  return {
    ...found.sheet,
    shape: shape ?? found.sheet.shape,
    target: { by: 'portions', count: portions, gramsEach },
    flourState: { by: 'place', place },
  }
}

function pastBatches(midnightMs: number, random: Random): Batch[] {
  const batches: Batch[] = []
  for (const [index, { daysAgo, formula, shape, place, portions, temper, verdict, note }] of past.entries()) {
    const startMs = midnightMs - daysAgo * DAY_MS + Math.round(random.between(8, 10.5) * 60) * 60_000
    const thirst = (THIRST[formula] ?? 0) + random.normal(0, 0.5)
    const sheet = sheetFor(formula, portions, place, shape)
    const kitchen = kitchenThatDay(random, batches, temper === 'chased', startMs)
    batches.push(
      runBatch({ id: `demo-${index + 1}`, formula, sheet, kitchen, startMs, thirst, temper, verdict, note }, random),
    )
  }
  return batches
}

const spot = (id: string, coverId?: string): Spot => {
  const place = gear.places.find((each) => each.id === id)
  if (!place) throw new Error(`demo: no place ${id}`)
  const cover = gear.covers.find((each) => each.id === coverId)
  return spotIn(place, cover ? overOf(cover) : null)
}

/** Seven trays of two doughs: one cracked, one given up damp, one packed right; one that cannot finish where it stands. */
function rackBatches(midnightMs: number, onRackDays: number, kitchen: Kitchen): Batch[] {
  const random = seeded(SEED + 1)
  const open = spot('lamp-room')
  const cloth = spot('lamp-room', 'cloth')
  const below = spot('sea-store')
  const plain = { laid: 'spread', faces: 'both', scaleD: 0.85 } as const
  const batch = (id: string, formula: string, daysAgo: number, hour: number, rack: readonly TrayStory[]) =>
    runBatch(
      {
        id,
        formula,
        sheet: sheetFor(formula, formula === 'gale-noodles' ? 6 : 10, 'sea-store'),
        kitchen,
        startMs: midnightMs - daysAgo * DAY_MS + hour * HOUR_MS,
        thirst: 0.2,
        temper: 'patient',
        verdict: 'good',
        note: '',
        rack,
      },
      random,
    )
  return [
    batch('demo-rack-1', 'gale-noodles', 6, 9, [
      {
        ...plain,
        spots: [[0, open]],
        weighedH: [3, 6],
        end: {
          how: 'thrown',
          atH: 62,
          why: 'Whole at noon, in splinters by Tuesday. The fan was pleased with itself.',
        },
      },
      {
        ...plain,
        laid: 'nests',
        spots: [
          [0, open],
          [4, cloth],
          [9, open],
        ],
        weighedH: [2, 5, 9, 14],
        end: { how: 'packed' },
      },
      {
        ...plain,
        laid: 'nests',
        spots: [[0, below]],
        weighedH: [12, 30],
        end: {
          how: 'thrown',
          atH: 70,
          why: 'Three days among the kegs, still soft, and sour. Nobody is surprised but us.',
        },
      },
    ]),
    batch('demo-rack-2', 'stiff-semolina', onRackDays, 8, [
      { ...plain, spots: [[0, open]], weighedH: [3, 8], scaleD: 0.7 },
      { ...plain, spots: [[0, below]], weighedH: [5, 12] },
      {
        ...plain,
        spots: [
          [0, open],
          [6, cloth],
        ],
        weighedH: [6],
      },
      { ...plain, faces: 'one', spots: [[0, open]], weighedH: [10], scaleD: 1.1 },
    ]),
  ]
}

interface History {
  readonly midnightMs: number
  readonly onRackDays: number
  readonly closed: readonly Batch[]
  readonly racks: readonly Batch[]
  readonly kitchen: Kitchen
}

function historyTo(midnightMs: number, onRackDays: number): History {
  const closed = pastBatches(midnightMs, seeded(SEED))
  const kitchen: Kitchen = {
    ...tables,
    gear,
    lots,
    todayMs: midnightMs,
    thirst: thirstByLot(closed.map(summarise), tables.doughs),
    pressed: pressedWell(closed.map(summarise)),
    proven: provenWell(closed.map(summarise)),
  }
  return { midnightMs, onRackDays, closed, racks: rackBatches(midnightMs, onRackDays, kitchen), kitchen }
}

let latest: History | null = null
/** It changes twice a day, and takes some seventy milliseconds, for which a new maker would wait. */
function historyOf(nowMs: number): History {
  const midnightMs = nowMs - (nowMs % DAY_MS)
  // Past the hours in which a tray can only be given up or waited for, whatever the hour it is looked at.
  const onRackDays = nowMs - midnightMs >= 14 * HOUR_MS ? 1 : 2
  if (latest?.midnightMs !== midnightMs || latest.onRackDays !== onRackDays) latest = historyTo(midnightMs, onRackDays)
  return latest
}

/**
 * Skerrin Light, dated back from `nowMs`: gear, flour lots, formulas, a dozen batches, two on the rack, one resting and a draft.
 * The same `nowMs` gives the same workspace.
 */
export function generateWorkspace(nowMs: number): WorkspaceFile {
  const { midnightMs, closed, racks, kitchen } = historyOf(nowMs)
  const running = runBatch(
    {
      id: 'demo-running',
      formula: 'stiff-semolina',
      sheet: sheetFor('stiff-semolina', 12, 'sea-store'),
      kitchen,
      startMs: nowMs,
      thirst: 0.3,
      temper: 'patient',
      verdict: 'good',
      note: '',
      restingSinceMin: 11,
    },
    seeded(SEED + 2),
  )
  const at = new Date(midnightMs - 77 * DAY_MS + 9 * HOUR_MS).toISOString()
  return toFile(
    {
      formulas: [...formulas(at)],
      lots: [...lots],
      ingredients: [],
      shapes: [],
      batches: [...closed, ...racks, running],
      photos: [],
      gear: { ...gear, scaleChecks: scaleChecks(midnightMs) },
      draft: { id: 'draft', formula: 'lamp-room-semolina', sheet: sheetFor('lamp-room-semolina', 12, 'sea-store') },
    },
    new Date(nowMs).toISOString(),
  )
}
