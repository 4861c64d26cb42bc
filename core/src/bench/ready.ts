/** What must be at hand before the flour is wet. */
import { wantsStick } from '../heat/index.ts'
import { ownBoard, type Kitchen, type Worked } from '../sheet/index.ts'
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
  'oil-brush',
  'bowl',
  'well',
  'board-bare',
  'board-floured',
  'board-ridged',
  'handle',
  'hopper-guard',
  'trays',
  'ricer',
  'fridge-room',
  'fridge-space',
  'pot-on',
] as const
export type ReadyItemId = (typeof READY_ITEMS)[number]
type Item = StepOf<'ready'>['items'][number]

/** A scale that reads to this or coarser cannot weigh a pinch. */
const COARSE_STEP_G = 0.5
const SMALL_G = 10
/** From so long on a rest in the fridge is a night's, min. */
const NIGHT_MIN = 360

export function readyItems(worked: Worked, kitchen: Kitchen, steps: readonly PlannedStep[]): readonly Item[] {
  const { shape, rows, dough, practice } = worked
  const { gear } = kitchen
  const { dust, board } = practice.sets
  const has = (kind: PlannedStep['kind']) => steps.some((step) => step.kind === kind)
  const alkali = rows.some((row) => row.part === 'alkali' && row.grams > 0)
  const pinch = rows.some((row) => row.grams > 0 && row.grams < SMALL_G)
  const hot = wantsStick(practice.waterC ?? 0)
  const dusting = shape.dust !== undefined
  const pours = steps.flatMap((step) => (step.kind === 'pour' ? [step.how] : []))
  const rests = steps.filter((step) => step.kind === 'rest')
  const onBoard = shape.blank.type !== 'die' && shape.method !== 'drop' && shape.method !== 'pull'
  const boardIs = board ?? ownBoard(shape)
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
    [`${dust ?? shape.dust?.with ?? 'flour'}-jar`, dusting],
    ['oil-brush', rests.some(({ oiled }) => oiled)],
    ['bowl', practice.sets.mix !== undefined && pours.some((how) => how === 'rake' || how === 'rub')],
    ['well', pours.includes('fork')],
    // A sheet clings to bare wood.
    [`board-${boardIs}`, onBoard],
    ['handle', steps.some((step) => step.kind === 'thin' && step.roller !== null)],
    ['hopper-guard', has('press')],
    ['trays', shape.method !== 'drop' && shape.method !== 'pull'],
    ['fridge-room', rests.some(({ cold, best }) => cold && best >= NIGHT_MIN)],
    ['fridge-space', rests.some(({ cold, best }) => cold && best < NIGHT_MIN)],
    ['pot-on', shape.method === 'drop' || shape.airBeforeCookMin[1] === 0],
  ]
  return [
    ...own.filter(([, wanted]) => wanted).map(([id]) => ({ id })),
    ...shape.tools.map(({ tool, instead }, index) => ({ id: `tool-${index + 1}`, name: tool, instead })),
  ]
}
