/** Every form of the table with the surfaces it is drawn from. */
import type { FormKind, FormOf } from '../../model/index.ts'
import type { Scene } from '../patch.ts'
import { ear, hollow, leaf, ridgedPip, scroll, shaving } from './dragged.ts'
import { crescent, halfMoon, parcel, purse, ringPocket, squarePocket, wheatEar } from './filled.ts'
import { crest, radiator, shell, snail, spiral, sRoll, stars, tube } from './pressed.ts'
import { braid, coil, corkscrew, quill, rolledStrip, screw, spindle, twin, twist } from './rolled.ts'
import { band, bow, coin, drape, rounds, ruffle, scatter, scrap, sheets } from './sheets.ts'
import { ball, buttons, cushion, drop, fish, pillow, quenelle, slant } from './soft.ts'
import { hank, lattice, mat, nest, rods, skein, strand, tangle, wavy } from './strands.ts'

const scenes: { readonly [Kind in FormKind]: (form: FormOf<Kind>, wallMm: number) => Scene } = {
  ear,
  hollow,
  'ridged-pip': ridgedPip,
  scroll,
  leaf,
  shaving,
  twist,
  spindle,
  coil,
  screw,
  'rolled-strip': rolledStrip,
  corkscrew,
  twin,
  braid,
  strand,
  hank,
  nest,
  tangle,
  wavy,
  skein,
  rods,
  lattice,
  mat,
  band,
  ruffle,
  bow,
  quill,
  scrap,
  scatter,
  drape,
  sheets,
  rounds,
  coin,
  tube,
  spiral,
  's-roll': sRoll,
  shell,
  snail,
  crest,
  radiator,
  stars,
  'half-moon': halfMoon,
  crescent,
  'wheat-ear': wheatEar,
  purse,
  'ring-pocket': ringPocket,
  parcel,
  'square-pocket': squarePocket,
  drop,
  fish,
  buttons,
  quenelle,
  pillow,
  cushion,
  slant,
  ball,
}

/** The patches of a form, its dough `wallMm` thick, and from where it is looked at. */
export function sceneOf<Kind extends FormKind>(form: FormOf<Kind>, wallMm: number): Scene {
  const kind: Kind = form.kind as Kind
  return scenes[kind](form, wallMm)
}
