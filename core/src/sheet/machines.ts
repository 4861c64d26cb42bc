/** What a dough goes through: as the sheet says, or what Gear has first. */
import { usualFolds } from '../geometry/index.ts'
import {
  WORKERS,
  type CourseStep,
  type Dough,
  type Gear,
  type KeptRoller,
  type Sheet,
  type StepOf,
  type Worker,
} from '../model/index.ts'

/** Null by pin. */
export const rollerFor = ({ machines }: Sheet, { rollers }: Gear): KeptRoller | null =>
  machines.byPin ? null : (rollers.find(({ id }) => id === machines.roller) ?? rollers[0] ?? null)

/** Of the kitchen's pots; null without one. */
export const largestPotL = ({ pots }: Pick<Gear, 'pots'>): number | null =>
  pots.length > 0 ? Math.max(...pots.map(({ holdsL }) => holdsL)) : null

/** What decides how a dough is rolled out. */
export interface Rolled {
  readonly sheet: Sheet
  readonly dough: Dough
  /** As it is made, percent on the 14 % basis. */
  readonly hydration14: number
}

/** Folds and passes before thinning; a dough that is folded on its way already needs none. */
export const foldsFor = ({ sheet, dough, hydration14 }: Rolled, gear: Gear): number => {
  if (!rollerFor(sheet, gear)) return 0
  const foldedBefore = dough.course.some((step) => step.do === 'fold')
  return sheet.machines.folds ?? (foldedBefore ? 0 : usualFolds(hydration14))
}

/** Its blade tears a dough together within a minute; a minute more and it is warm and slack. Not for what is stirred, trodden or drawn. */
const PROCESSOR_MIN: Readonly<Partial<Record<StepOf<'knead'>['how'], readonly [number, number]>>> = {
  push: [0.75, 1.5],
  press: [0.5, 1],
  paddle: [0.5, 1],
}

type Kneading = Extract<CourseStep, { do: 'knead' }>

/** How long each machine takes, min; null where it should not: folding, treading and short presses are for hands. */
export function machineMin(
  { how, minutes }: Kneading,
  { mixerMin }: Pick<Dough, 'mixerMin'>,
): Pick<StepOf<'knead'>, 'mixer' | 'processor'> {
  if (minutes || how === 'fold' || how === 'tread' || mixerMin[1] <= 0) return { mixer: null, processor: null }
  const processor = PROCESSOR_MIN[how]
  return { mixer: [...mixerMin], processor: processor ? [...processor] : null }
}

/** Who may mix and knead a dough: by hand always, by a machine that one of its steps is for. */
export const workersFor = (dough: Pick<Dough, 'course' | 'mixerMin'>): readonly Worker[] =>
  WORKERS.filter(
    (by) => by === 'hand' || dough.course.some((step) => step.do === 'knead' && machineMin(step, dough)[by] !== null),
  )

/** Who does: as the sheet says, or as always; by hand where that machine should not. */
export function workerFor(
  { machines }: Pick<Sheet, 'machines'>,
  dough: Dough,
  { kneads }: Pick<Gear, 'kneads'>,
): Worker {
  const wanted = machines.kneads ?? kneads
  return workersFor(dough).includes(wanted) ? wanted : 'hand'
}

/** How long it is kneaded so, min. */
export function kneadMinOf(
  dough: Pick<Dough, 'course' | 'mixerMin' | 'kneadMin'>,
  by: Worker,
): readonly [number, number] {
  if (by === 'hand') return [...dough.kneadMin] as [number, number]
  const spans = dough.course.flatMap((step) => (step.do === 'knead' ? [machineMin(step, dough)[by]] : []))
  return spans.find((span) => span !== null) ?? ([...dough.kneadMin] as [number, number])
}
