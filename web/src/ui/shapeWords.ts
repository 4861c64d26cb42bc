/** English for what a shape is and wants. */
import type { Group, Machine, Motion, SauceTrait } from '@harina/core'

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
