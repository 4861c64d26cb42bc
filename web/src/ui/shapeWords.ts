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
