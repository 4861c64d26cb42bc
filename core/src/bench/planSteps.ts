/** From formula, family, method, school and machines to the steps of one batch. */
import { scald, temperMinutes } from '../heat/index.ts'
import { positionOf } from '../schools/index.ts'
import type { CourseStep, Dough, PlannedStep } from '../model/index.ts'
import { type Kitchen, placeOf, type Worked } from '../sheet/index.ts'
import { readyItems } from './ready.ts'

/** Poured at this heat or above, the starch is scalded. °C. */
const SCALDS_C = 60
/** Below this hands can work it. °C. */
const HAND_WARM_C = 45
const FRIDGE_C = 4
/** A dough laid out flat, and torn open to cool. Half of its thickness, mm. */
const FLAT_HALF_MM = 15
const TORN_HALF_MM = 10
/** Still air on a wrapped lump, and on one torn open that steams, W/m²K. */
const STILL_AIR = 10
const STEAMING = 20
/** Near enough to the room to be rolled, degrees. */
const NEAR_ROOM_C = 3

/** Heat of the air at the bench, °C. */
export const roomC = ({ gear }: Pick<Kitchen, 'gear'>): number =>
  (gear.places.find((place) => place.id === gear.benchPlace) ?? gear.places[0])?.temperatureC ?? 21

/** How long a chilled dough takes to come back, min. Moisture as a fraction of mass. */
export const backFromFridgeMin = (atC: number, moisture: number): number =>
  Math.max(
    10,
    Math.round(
      temperMinutes({
        shape: 'slab',
        halfThicknessMm: FLAT_HALF_MM,
        fromC: FRIDGE_C,
        roomC: atC,
        withinC: NEAR_ROOM_C,
        moisture,
        hWPerM2K: STILL_AIR,
      }) / 5,
    ) * 5,
  )

/** Moisture of a filling until a maker says otherwise. */
export const USUAL_FILLING_PERCENT = 60

interface Making {
  readonly worked: Worked
  readonly kitchen: Kitchen
}

/** Where hot water on this flour lands, °C. */
function scaldedC({ worked, kitchen }: Making): number {
  const flourG = worked.rows.filter((row) => row.part === 'flour').reduce((sum, row) => sum + row.grams, 0)
  return scald({
    flourG,
    flourC: placeOf(worked.sheet, kitchen.gear)?.temperatureC ?? roomC(kitchen),
    flourMoisture: worked.flourMoisture,
    waterG: worked.water.totalG,
    waterC: worked.practice.waterC ?? 20,
  }).doughC
}

function coolStep(making: Making, belowC: number): PlannedStep[] {
  const { worked } = making
  const fromC = scaldedC(making)
  if (fromC <= belowC) return []
  const atC = roomC(making.kitchen)
  const minutes = temperMinutes({
    shape: 'slab',
    halfThicknessMm: TORN_HALF_MM,
    fromC,
    roomC: atC,
    withinC: Math.max(1, belowC - atC),
    moisture: worked.batch.doughMoisture,
    hWPerM2K: STEAMING,
  })
  return [{ id: 'cool', kind: 'cool', fromC: Math.round(fromC), belowC, minutes: Math.max(2, Math.round(minutes)) }]
}

const shares = (goes: readonly number[]): number[] => {
  const all = goes.reduce((sum, part) => sum + part, 0)
  return goes.map((part) => part / all)
}

/** In how many goes: the school's way, or else the dough's own. */
function goesOf({ worked, kitchen }: Making, own: readonly number[]): number[] {
  const school = kitchen.schools.find((each) => each.id === 'staging')
  const listed = school?.families.includes(worked.dough.family)
  const position = school && listed ? positionOf(school, { ...kitchen.gear.schools, ...worked.sheet.schools }) : null
  if (position?.id === 'at-once') return [1]
  if (position?.id === 'thirds') return shares([1, 1, 1])
  return shares(own)
}

function pourSteps(making: Making, { how, goes }: Extract<CourseStep, { do: 'pour' }>): PlannedStep[] {
  const { worked } = making
  if (worked.water.totalG <= 0) return []
  const hot = (worked.practice.waterC ?? 0) >= SCALDS_C
  if (hot && how !== 'scald' && how !== 'beat')
    return [{ id: 'pour', kind: 'pour', how: 'scald', goes: [1] }, ...coolStep(making, HAND_WARM_C)]
  return [
    {
      id: 'pour',
      kind: 'pour',
      how: how === 'scald' && !hot && scaldedC(making) < HAND_WARM_C ? 'rake' : how,
      goes: goesOf(making, goes),
    },
  ]
}

function restSteps(
  { worked, kitchen }: Making,
  { of, minutes }: Extract<CourseStep, { do: 'rest' }>,
  id: string,
): PlannedStep[] {
  const { dough, practice, batch } = worked
  if (minutes) {
    const best = Math.round((minutes[0] + minutes[1]) / 2)
    return [{ id, kind: 'rest', of, cold: false, low: minutes[0], best, high: minutes[1] }]
  }
  if (practice.restMin < 1) return []
  const { low, high } = practice.restCold
    ? { low: dough.restColdH.low * 60, high: dough.restColdH.high * 60 }
    : dough.restMin
  const rest: PlannedStep = { id, kind: 'rest', of, cold: practice.restCold, low, best: practice.restMin, high }
  return practice.restCold
    ? [rest, { id: 'temper', kind: 'temper', minutes: backFromFridgeMin(roomC(kitchen), batch.doughMoisture) }]
    : [rest]
}

/** Identifiers by kind; the second of a kind gets a number, and so on. */
function numbering() {
  const seen = new Map<string, number>()
  return (kind: string) => {
    const n = (seen.get(kind) ?? 0) + 1
    seen.set(kind, n)
    return n === 1 ? kind : `${kind}-${n}`
  }
}

function courseSteps(making: Making, rolled: boolean): readonly PlannedStep[] {
  const { dough } = making.worked
  const nextId = numbering()
  const mixer = dough.mixerMin[1] > 0 ? dough.mixerMin : null
  return dough.course.flatMap((each): readonly PlannedStep[] => {
    switch (each.do) {
      case 'prepare':
        return []
      case 'pour':
        return pourSteps(making, each)
      case 'cool':
        return coolStep(making, each.belowC)
      case 'feel':
        return [{ id: nextId('feel'), kind: 'feel' }]
      case 'crumb':
        return [{ id: nextId('crumb'), kind: 'crumb', minutes: each.minutes }]
      case 'knead':
        return [
          {
            id: nextId('knead'),
            kind: 'knead',
            how: each.how,
            hand: each.minutes ?? dough.kneadMin,
            mixer: each.minutes || each.how === 'fold' || each.how === 'tread' ? null : mixer,
          },
        ]
      case 'rounds':
        return Array.from({ length: each.times }, (): PlannedStep[] => [
          {
            id: nextId('rest'),
            kind: 'rest',
            of: 'dough',
            cold: false,
            low: each.restMin,
            best: each.restMin,
            high: each.restMin * 2,
          },
          {
            id: nextId('knead'),
            kind: 'knead',
            how: 'push',
            hand: [each.kneadMin, each.kneadMin + 1],
            mixer: null,
          },
        ]).flat()
      case 'fold':
        // A dough for the press goes in as crumbs.
        return rolled ? [{ id: nextId('fold'), kind: 'fold', times: each.times }] : []
      case 'rest':
        return restSteps(making, each, nextId('rest'))
    }
  })
}

function shapingSteps({ worked, kitchen }: Making): readonly PlannedStep[] {
  const { shape, sheet } = worked
  const { blank, method } = shape
  const { gear } = kitchen
  const perMin = shape.piecesPerMin.practised
  const step = (kind: 'divide' | 'roll' | 'pull' | 'cut'): PlannedStep => ({ id: kind, kind })
  const formed: PlannedStep = { id: 'shape', kind: 'shape', perMin }
  const filling = shape.fillingG
  const fill: PlannedStep[] = filling
    ? [
        {
          id: 'fill',
          kind: 'fill',
          name: sheet.filling?.name ?? 'filling',
          gramsEach: sheet.filling?.gramsEach ?? filling.best,
          moisturePercent: sheet.filling?.moisturePercent ?? USUAL_FILLING_PERCENT,
        },
      ]
    : []
  if (blank.type === 'die') return [{ id: 'feed', kind: 'feed', press: gear.presses[0] ?? null }]
  if (method === 'drop') return []
  if (method === 'pull') return [step('divide'), step('pull')]
  if (shape.sheeted) {
    const cut: PlannedStep =
      blank.type === 'disc' || method === 'stamp' ? { id: 'stamp', kind: 'stamp', perMin } : step('cut')
    const byHand = method === 'hand' ? [formed] : []
    return [{ id: 'thin', kind: 'thin', roller: gear.rollers[0] ?? null }, cut, ...fill, ...byHand]
  }
  return blank.type === 'rope' ? [step('divide'), step('roll'), formed, ...fill] : [step('divide'), formed, ...fill]
}

function finishSteps({ shape, dough }: Pick<Worked, 'shape' | 'dough'>): readonly PlannedStep[] {
  if (shape.method === 'drop') return [{ id: 'drop', kind: 'drop' }]
  const { airBeforeCookMin, keep } = shape
  const cook: PlannedStep = { id: 'cook', kind: 'cook', how: shape.heat ?? 'boil' }
  if (airBeforeCookMin[1] === 0) return [cook]
  // Milk, curd and egg do not dry safely in room air.
  const dries = keep.driedMonths !== null && shape.fillingG === undefined && !dough.cautions.includes('egg-dairy')
  return [{ id: 'then', kind: 'then', minutes: airBeforeCookMin, fridgeDays: keep.fridgeDays, dries }, cook]
}

function prepareSteps({ course }: Dough): readonly PlannedStep[] {
  return course.flatMap((each) =>
    each.do === 'prepare'
      ? [
          {
            id: 'prepare',
            kind: 'prepare',
            what: each.what,
            minutes: each.minutes,
            belowC: each.belowC ?? null,
          } as const,
        ]
      : [],
  )
}

/** Every step of this sheet, in order. */
export function planSteps(worked: Worked, kitchen: Kitchen): readonly PlannedStep[] {
  const making = { worked, kitchen }
  const rolled = worked.shape.sheeted === true
  const steps: readonly PlannedStep[] = [
    ...prepareSteps(worked.dough),
    { id: 'flour', kind: 'flour' },
    ...(worked.water.totalG > 0 ? [{ id: 'water', kind: 'water' } as const] : []),
    ...courseSteps(making, rolled),
    ...shapingSteps(making),
    ...finishSteps(worked),
    { id: 'verdict', kind: 'verdict' },
  ]
  return [{ id: 'ready', kind: 'ready', items: [...readyItems(worked, kitchen, steps)] }, ...steps]
}
