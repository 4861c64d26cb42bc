/** English for what a shape is and wants. */
import type { Blank, Group, Machine, Motion, SauceTrait, StepOf } from '@harina/core'
import { minutesWords, type Worded } from './units.ts'

export const groupWords: Readonly<Record<Group, string>> = {
  'hand-rope': 'by hand, from a rope',
  'rod-rolled': 'by hand, on a rod',
  'hand-sheet': 'by hand, from a sheet',
  stamp: 'stamped',
  extruded: 'pressed through a die',
  'cut-noodle': 'cut noodles',
  'hand-pulled': 'pulled',
  wrapper: 'wrappers',
  dropped: 'dropped',
  gnocchi: 'gnocchi',
}

export const machineWords: Readonly<Record<Machine, string>> = {
  roller: 'a roller',
  press: 'a press',
  cutter: 'a round cutter',
}

export const motionWords: Readonly<Record<Motion, string>> = {
  drag: 'press and drag',
  'press-and-roll': 'press and roll up',
  'roll-out': 'roll out',
  wind: 'wind round',
  fold: 'fill, fold and seal',
  pinch: 'gather and pinch',
  cut: 'cut',
  stamp: 'stamp',
  'press-through': 'press and cut',
  pull: 'pull and double',
  drop: 'drop',
  'roll-down': 'roll down the ridges',
}

/** Why a trait carries a sauce. */
export const traitWords: Readonly<Record<SauceTrait, string>> = {
  hollow: 'its hollow fills',
  ridged: 'its ridges hold',
  cupped: 'its cup catches bits',
  flat: 'its broad face takes a coat',
  thin: 'it is thin and light',
  thick: 'it has bite enough',
  tiny: 'it fits a spoon',
  broth: 'it belongs in broth',
  baked: 'it stands the oven',
  rough: 'its rough face grips',
}

export const difficultyWords = ['', 'easy', 'soon learnt', 'wants practice', 'hard', 'very hard'] as const

export const surfaceFlourWords = {
  none: 'no flour',
  light: 'a little flour',
  generous: 'plenty of flour or starch',
} as const

/** How batter gets into the pot. */
export const dropWords = {
  hole: 'through the plate, a ladle at a time',
  scraped: 'off a wet board, a stripe at a time',
  press: 'through the press, half full',
  flicked: 'off the rim of the bowl',
  spoon: 'from two wet spoons',
} as const

/** The usual test by eye, by how it is dropped. */
export const dropTestWords = {
  hole: 'It drips through slowly by itself, and breaks off when the slide passes.',
  scraped: 'A stripe keeps its edge on the wet board while one counts to five.',
  press: 'It hangs below the holes and does not run.',
  flicked: 'It pulls off the rim in one elastic piece.',
  spoon: 'It stands on the spoon, and slides off only when wet.',
} as const

/** A blank in words, as one would call it across the bench. */
export function blankWords(blank: Blank, { length }: Pick<Worded, 'length'>): string {
  switch (blank.type) {
    case 'rope':
      return `rope of ${length(blank.diameterMm)}, cut at ${length(blank.cutMm)}`
    case 'sheet':
      return `sheet of ${length(blank.thicknessMm)}, cut ${length(blank.widthMm)} wide, ${length(blank.lengthMm)} long`
    case 'disc':
      return `rounds of ${length(blank.diameterMm)}, ${length(blank.thicknessMm)} thick`
    case 'die':
      return `${blank.section.replace('-', ', ')} die of ${length(blank.outerMm)}, cut at ${length(blank.cutMm)}`
    case 'drop':
      return `drops of ${length(blank.holeMm)}, about ${length(blank.lengthMm)} long`
  }
}

/** How a piece is drawn out after the cut; empty where it is not. */
export function drawnWords(blank: Blank, { length }: Pick<Worded, 'length'>): string {
  if (blank.type === 'rope' && blank.drawn) {
    const { diameterMm, lengthMm, strands } = blank.drawn
    if (strands) return `Pulled and folded to ${strands} strands of ${length(diameterMm)}.`
    return lengthMm
      ? `Then rolled out to ${length(diameterMm)}, ${length(lengthMm)} long.`
      : `Then drawn out to ${length(diameterMm)}.`
  }
  if (blank.type === 'sheet' && blank.drawn) return `Then pulled to ${length(blank.drawn.thicknessMm)} thick.`
  return ''
}

/** By which sign a maker takes small pieces out; the shape's own where no school is followed. */
export function doneWords(
  { done, afterFloatMin }: Pick<StepOf<'drop'>, 'done' | 'afterFloatMin'>,
  sign: string,
): string {
  switch (done) {
    case 'float':
      return 'lift them as they rise, and cut one'
    case 'after':
      return `${minutesWords(afterFloatMin ?? 2 / 3)} after they rise, and cut one`
    case 'taste':
      return 'cut one and taste it, whether they float or not'
    case 'clock':
      return 'lift them when the clock rings'
    default:
      return sign
  }
}
