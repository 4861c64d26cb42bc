/** What an entry of a batch's book says. */
import { formatNumber, type Addition, type BenchEvent, type Plan, type PlannedStep } from '@harina/core'
import { format } from 'date-fns'
import { liquidName } from './liquid.ts'
import { counted } from './units.ts'
import { feelWords, verdictWords } from './doughs.ts'
import { afterPotWords, workerWords } from './benchSteps.ts'
import { spotWords } from './drying.ts'
import { stepName } from './steps.ts'

export interface Beside {
  readonly plan: Plan
  readonly mass: (grams: number, stepG?: number) => string
  readonly grams: (grams: number) => string
  readonly temperature: (celsius: number) => string
  readonly length: (mm: number) => string
  /** Where it took the bowl. */
  readonly moved: (event: BenchEvent, what: Addition['what']) => string
  readonly step: (id: string) => PlannedStep | null
  /** The name of a tray. */
  readonly tray: (id: string) => string
  readonly timer: (id: string, name?: string) => string
}

/** Null for what is only a mark of another. */
const entries: {
  readonly [T in BenchEvent['type']]: (event: Extract<BenchEvent, { type: T }>, beside: Beside) => string | null
} = {
  weighed: (event, { plan, grams }) =>
    `${plan.rows.find((row) => row.key === event.row)?.name ?? event.row}: ${grams(event.grams)}`,
  poured: (event, { plan, grams, moved }) => `${grams(event.grams)} of ${liquidName(plan)} in${moved(event, 'water')}`,
  'added-flour': (event, { grams, moved }) => `${grams(event.grams)} of flour in${moved(event, 'flour')}`,
  'jar-weighed': (event, { grams, moved }) => `the jar of board flour at ${grams(event.grams)}${moved(event, 'flour')}`,
  felt: (event) => `felt ${feelWords[event.feel]}`,
  'timer-started': (event, { timer }) => `${timer(event.timer, event.name)}, ${formatNumber(event.minutes, 0)} min set`,
  'timer-moved': (event, { timer }) =>
    `${timer(event.timer)}: ${event.minutes > 0 ? '+' : '−'}${formatNumber(Math.abs(event.minutes), 0)} min`,
  'step-done': (event, { step }) => {
    const done = step(event.step)
    return done ? `${stepName(done)}: done` : null
  },
  'worked-by': (event) => workerWords[event.by],
  'rolled-by': (event) => (event.roller ? `through ${event.roller.name}` : 'rolled by pin'),
  lumped: (event, { grams }) => `a lump of ${grams(event.grams)}`,
  shaped: (event) => `${counted(event.pieces, 'piece')}`,
  sampled: (event, { mass }) => `a piece of ${mass(event.grams, 0.01)}`,
  'finish-chosen': (event) =>
    ({ cook: 'to the pot', hold: 'into the fridge', freeze: 'into the freezer', dry: 'on the rack' })[event.finish],
  'pot-salted': ({ gPerL }) =>
    gPerL === 0 ? 'no salt in the water' : `${formatNumber(gPerL, 1)} g of salt a litre of water`,
  'after-pot': ({ how }) => `after the pot: ${afterPotWords[how].toLowerCase()}`,
  'skins-kept': ({ finish }) => `empty skins into the ${finish === 'freeze' ? 'freezer' : 'fridge'}`,
  divided: ({ pieces }) => `divided into ${formatNumber(pieces, 0)}`,
  thinned: ({ mm }, { length }) => `sheet ${length(mm)} thick`,
  chilled: ({ thawH }) => `into the ${thawH === undefined ? 'fridge' : 'freezer'}, to go on later`,
  paused: (event) => `set aside${event.why ? `: ${event.why}` : ''}`,
  resumed: () => 'gone on with',
  'handed-over': (event) => `handed to ${event.to}${event.word ? `: ${event.word}` : ''}`,
  'taken-on': () => 'taken on',
  split: (event, { plan }) => {
    const other = plan.also.find(({ id }) => id === event.shape)
    const what = event.for ? `, for ${event.for}` : ''
    if (event.part === 'taken') return `a part of it taken off${what}`
    return other
      ? `divided: ${other.name} goes on by itself${what}`
      : `split${what}: ${formatNumber(100 * event.keeps, 0)} % stay`
  },
  'core-measured': (event, { temperature }) => `${temperature(event.celsius)} in the middle of one`,
  'flour-counted': (event) => (event.counts ? 'counts for its flour' : 'does not count for its flour'),
  dried: (event, { grams }) => `${grams(event.grams)} once it was dry`,
  'pot-chosen': (event) => `into ${event.pot.name}`,
  'up-at': (event) => (event.upAt ? `to be up at ${format(event.upAt, 'HH:mm')}` : 'up by itself'),
  cooked: (event) => `cooked ${formatNumber(event.minutes, event.minutes % 1 === 0 ? 0 : 1)} min`,
  'tray-laid': (event, { grams }) =>
    `${event.name}: ${grams(event.grams)} onto the rack, ${spotWords(event.layout.spot)}`,
  'tray-moved': (event, { tray }) => `${tray(event.tray)}: ${spotWords(event.spot)}`,
  'tray-turned': (event, { tray }) => `${tray(event.tray)} turned`,
  'tray-weighed': (event, { grams, tray }) => `${tray(event.tray)}: ${grams(event.grams)}, tray and all`,
  'tray-packed': (event, { tray }) => `${tray(event.tray)} packed`,
  'tray-thrown': (event, { tray }) => `${tray(event.tray)} thrown away${event.why ? `: ${event.why}` : ''}`,
  judged: (event) => verdictWords[event.verdict],
  noted: (event) => event.text,
  'clock-set': () => 'the clock of this device was set: running timers went with it',
  abandoned: (event) => `given up: ${event.reason}`,
  closed: () => 'written in the log',
  ticked: () => null,
  'timer-answered': () => null,
  'timer-stopped': () => null,
  amended: () => null,
  undone: () => null,
}

export const entryWords = (event: BenchEvent, beside: Beside): string | null =>
  (entries[event.type] as (event: BenchEvent, beside: Beside) => string | null)(event, beside)
