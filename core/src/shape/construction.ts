/** How a blank becomes its piece: what is drawn between the two. */
import type { FormKind, Shape } from '../model/index.ts'

export const MOTIONS = [
  'drag',
  'press-and-roll',
  'roll-out',
  'wind',
  'fold',
  'pinch',
  'cut',
  'stamp',
  'press-through',
  'pull',
  'drop',
  'roll-down',
] as const
export type Motion = (typeof MOTIONS)[number]

const byForm: Readonly<Partial<Record<FormKind, Motion>>> = {
  ear: 'drag',
  hollow: 'drag',
  leaf: 'drag',
  scroll: 'press-and-roll',
  'ridged-pip': 'roll-down',
  twist: 'roll-out',
  spindle: 'roll-out',
  braid: 'wind',
  coil: 'wind',
  screw: 'wind',
  'rolled-strip': 'roll-out',
  corkscrew: 'roll-out',
  quill: 'wind',
  bow: 'pinch',
  'half-moon': 'fold',
  crescent: 'fold',
  'wheat-ear': 'pinch',
  purse: 'pinch',
  'ring-pocket': 'fold',
  parcel: 'pinch',
  pillow: 'roll-down',
  ball: 'roll-out',
}

/** By the form where it decides, otherwise by the method. */
export function motionOf({ form, method, blank, group }: Shape): Motion {
  if (blank.type === 'die') return 'press-through'
  const own = byForm[form.kind]
  if (own) return own
  if (group === 'rod-rolled') return 'wind'
  switch (method) {
    case 'pull':
      return 'pull'
    case 'drop':
      return 'drop'
    case 'stamp':
      return 'stamp'
    case 'hand':
      return form.kind === 'strand' ? 'roll-out' : 'cut'
    default:
      return 'cut'
  }
}
