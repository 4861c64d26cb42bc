/** What must be at hand before the flour is wet. */
import { wantsStick } from '../heat/index.ts'
import type { Kitchen, Worked } from '../sheet/index.ts'
import type { PlannedStep, StepOf } from '../model/index.ts'

export const READY_ITEMS = [
  'scale',
  'cups',
  'fine-scale',
  'jug',
  'stick',
  'thermometer',
  'gloves',
  'no-aluminium',
  'damp-cloth',
  'bag',
  'spray',
  'flour-jar',
  'semolina-jar',
  'starch-jar',
  'board-bare',
  'board-floured',
  'board-ridged',
  'handle',
  'hopper-guard',
  'trays',
  'ricer',
  'fridge-room',
  'pot-on',
] as const
export type ReadyItemId = (typeof READY_ITEMS)[number]
type Item = StepOf<'ready'>['items'][number]

/** A scale that reads to this or coarser cannot weigh a pinch. */
const COARSE_STEP_G = 0.5
const SMALL_G = 10

export function readyItems(worked: Worked, kitchen: Kitchen, steps: readonly PlannedStep[]): readonly Item[] {
  const { shape, rows, dough, practice } = worked
  const { gear } = kitchen
  const { dust, board } = practice.sets
  const has = (kind: PlannedStep['kind']) => steps.some((step) => step.kind === kind)
  const alkali = rows.some((row) => row.part === 'alkali' && row.grams > 0)
  const pinch = rows.some((row) => row.grams > 0 && row.grams < SMALL_G)
  const hot = wantsStick(practice.waterC ?? 0)
  const dusting = shape.surfaceFlour !== 'none'
  const rope = shape.blank.type === 'rope'
  const own: readonly (readonly [ReadyItemId, boolean])[] = [
    ['scale', gear.hasScale],
    ['cups', !gear.hasScale],
    [
      'fine-scale',
      alkali
        ? gear.scaleStepG >= COARSE_STEP_G || !gear.hasScale
        : gear.hasScale && pinch && gear.scaleStepG >= COARSE_STEP_G,
    ],
    ['jug', has('water') || has('pour')],
    ['gloves', alkali],
    ['no-aluminium', alkali],
    ['thermometer', hot || has('prepare')],
    ['stick', steps.some((step) => step.kind === 'pour' && step.how === 'scald')],
    ['ricer', dough.course.some((each) => each.do === 'prepare' && each.what === 'steam')],
    [
      'bag',
      steps.some((step) => step.kind === 'drink' && !step.of) ||
        steps.some((step) => step.kind === 'knead' && step.how === 'tread'),
    ],
    ['damp-cloth', has('rest') || has('divide')],
    ['spray', dough.control.by === 'hydration' && has('feel') && shape.method !== 'drop'],
    [`${dust ?? 'flour'}-jar`, dusting],
    // A rope may be rolled on any; a sheet clings to bare wood.
    [`board-${board ?? 'bare'}`, rope && !dusting],
    ['board-floured', !rope && dusting],
    ['handle', steps.some((step) => step.kind === 'thin' && step.roller !== null)],
    ['hopper-guard', has('press')],
    ['trays', shape.method !== 'drop' && shape.method !== 'pull'],
    ['fridge-room', steps.some((step) => step.kind === 'rest' && step.cold)],
    ['pot-on', shape.method === 'drop' || shape.airBeforeCookMin[1] === 0],
  ]
  return [
    ...own.filter(([, wanted]) => wanted).map(([id]) => ({ id })),
    ...shape.tools.map(({ tool, instead }, index) => ({ id: `tool-${index + 1}`, name: tool, instead })),
  ]
}
