/** The finished pieces as surfaces, from the figures of the shape table. */
import { unreachable } from '../../result.ts'
import type { Shape } from '../shape.ts'
import type { Surface, View } from './surface.ts'

type Form = Pick<Shape, 'form' | 'wallMm'>

const TAU = Math.PI * 2

/**
 * Outline of a band that follows an arc: out along its back, round the lip, back along its face, round the other lip.
 * `halfAngle` is how far it curls to each side from the bottom; `radius` is that of its middle.
 */
function curledBand(around: number, radius: number, halfAngle: number, wall: number): readonly [number, number] {
  const lipShare = 0.08
  const side = around < 0.5 ? 1 : -1
  const within = side === 1 ? around / 0.5 : (around - 0.5) / 0.5
  const onFace = within < 1 - lipShare
  const sweep = onFace ? within / (1 - lipShare) : 1
  const angle = side * (2 * sweep - 1) * halfAngle - Math.PI / 2
  const lip = onFace ? 0 : (within - (1 - lipShare)) / lipShare
  const offset = side * (wall / 2) * Math.cos(lip * Math.PI)
  const bulge = onFace ? 0 : ((Math.sin(lip * Math.PI) * wall) / 2) * side
  const r = radius + offset
  return [r * Math.cos(angle) - bulge * Math.sin(angle), r * Math.sin(angle) + bulge * Math.cos(angle)]
}

/** Rounds off the ends of a piece: 1 in the middle, towards 0 at both tips. */
const taper = (along: number, blunt: number): number => (1 - Math.abs(2 * along - 1) ** blunt) ** 0.5

/** More samples near both ends, where the form closes. */
const eased = (along: number): number => 0.4 * along + 0.3 * (1 - Math.cos(Math.PI * along))

/** A shell open along one side; with ridges it is the pip. */
function shell({ form, wallMm }: Form, ridges: number, halfAngle: number): Surface {
  const { lengthMm, widthMm } = form
  return {
    at(sample, around) {
      const along = eased(sample)
      const width = 0.5 + 0.5 * taper(along, 3.2)
      const backOnly = around < 0.46 ? Math.sin((around / 0.46) * Math.PI) ** 0.6 : 0
      const ridge = 0.45 * backOnly * (ridges === 0 ? 0 : Math.cos(along * ridges * TAU))
      const radius = (widthMm / 2 - wallMm / 2) * width
      const wall = wallMm * (0.55 + 0.45 * taper(along, 4)) * taper(along, 26)
      const [y, z] = curledBand(around, radius + ridge, halfAngle * (1.02 - 0.12 * width), Math.max(0.02, wall))
      const x = (along - 0.5) * lengthMm
      // The ends lift a little, as a dragged piece does.
      return [x, y, z + 0.5 * (x / (lengthMm / 2)) ** 2]
    },
    alongSteps: ridges === 0 ? 60 : ridges * 12,
    aroundSteps: 104,
    linesAlong: ridges === 0 ? 36 : 8,
    linesAround: ridges === 0 ? 20 : ridges * 8,
  }
}

/** A little dome turned inside out: thin in the middle, thick at the rim. */
function ear({ form, wallMm }: Form): Surface {
  const [a, b] = [form.lengthMm / 2, form.widthMm / 2]
  const depth = b * 0.62
  return {
    // Along: round the rim. Around: from the middle of the back out over the rim and back to the middle of the face.
    at(along, around) {
      const angle = along * TAU
      const back = around < 0.5
      const out = back ? around / 0.5 : (1 - around) / 0.5
      const reach = Math.sin((out * Math.PI) / 2)
      const thick = wallMm * (0.42 + 0.58 * out ** 3) * Math.sqrt(Math.max(0, 1 - out ** 14))
      const skin = (back ? -0.5 : 0.5) * thick
      const wobble = 1 + 0.035 * Math.sin(3 * angle + 0.6)
      const bowl = depth * (reach ** 2.3 - 1) + 0.8 * Math.sin(angle * 2) * reach ** 4
      return [a * reach * wobble * Math.cos(angle), b * reach * wobble * Math.sin(angle), bowl + skin]
    },
    alongSteps: 96,
    aroundSteps: 72,
    linesAlong: 34,
    linesAround: 40,
  }
}

/** One long drag: flat, a little hollow, one face rough. */
function leaf({ form, wallMm }: Form): Surface {
  const { lengthMm, widthMm } = form
  return {
    at(along, around) {
      const half = (widthMm / 2) * taper(along, 2.6) * (1 + 0.05 * Math.sin(along * 9))
      const angle = around * TAU
      const y = half * Math.sign(Math.cos(angle)) * Math.abs(Math.cos(angle)) ** 0.55
      const thick = (wallMm / 2) * Math.sign(Math.sin(angle)) * Math.abs(Math.sin(angle)) ** 0.5
      const x = (along - 0.5) * lengthMm
      const curl = 0.03 * y * y + 0.004 * x * x + 0.35 * Math.sin(along * 13 + y * 0.35)
      return [x, y, thick * (0.4 + 0.6 * taper(along, 3)) + curl]
    },
    alongSteps: 70,
    aroundSteps: 96,
    linesAlong: 24,
    linesAround: 56,
  }
}

/** A tapered thread with a screw in it. */
function twist({ form }: Form): Surface {
  const { lengthMm, widthMm } = form
  const turns = 3.2
  return {
    at(along, around) {
      const radius = (widthMm / 2) * Math.sin(Math.PI * along ** 0.85) ** 0.75
      const angle = around * TAU
      // A groove on one side of the section, carried round like a thread.
      const section = radius * (0.78 + 0.22 * Math.cos(2 * angle) - 0.16 * Math.cos(3 * angle))
      const turned = angle + turns * TAU * along
      const x = (along - 0.5) * lengthMm
      return [x, section * Math.cos(turned) + 0.5 * Math.sin(along * 6), section * Math.sin(turned)]
    },
    alongSteps: 180,
    aroundSteps: 60,
    linesAlong: 20,
    linesAround: 6,
  }
}

/** A very long strand is drawn in part. */
const SHOWN_STRAND_MM = 420

/** A long strand laid in a loose coil: round, or with the square section of a cut. */
function strand({ form, wallMm }: Form, square: boolean): Surface {
  const radius = form.widthMm / 2
  const [inner, outer] = [9, 30]
  const spread = (outer - inner) / 2
  // Length of the coil sets its turns: mean circumference × turns = strand.
  const turns = Math.min(form.lengthMm, SHOWN_STRAND_MM) / (TAU * (inner + spread))
  return {
    at(along, around) {
      const angle = along * turns * TAU
      const reach = inner + (outer - inner) * along + 0.8 * Math.sin(angle * 2.3)
      const section = around * TAU
      const end = Math.min(1, Math.sqrt(Math.max(0, 1 - (2 * along - 1) ** 60)) + 1e-3)
      const [across, up] = square
        ? [radius * edged(Math.cos(section)), (wallMm / 2) * edged(Math.sin(section))]
        : [radius * Math.cos(section), radius * Math.sin(section)]
      const out = reach + end * across
      return [out * Math.cos(angle), out * 0.92 * Math.sin(angle), end * up + 1.2 * Math.sin(angle * 1.7)]
    },
    alongSteps: 300,
    aroundSteps: 28,
    linesAlong: 16,
    linesAround: 0,
  }
}

/** A circle's coordinate pushed towards a square's. */
const edged = (coordinate: number): number => Math.sign(coordinate) * Math.abs(coordinate) ** 0.35

/** A band that rises and falls as it lies, shown over one or two of its waves. */
function band({ form, wallMm }: Form): Surface {
  const { widthMm } = form
  const span = Math.min(form.lengthMm, widthMm * 4 + 40)
  const rise = Math.max(4, widthMm * 0.32)
  const waves = 2
  return {
    at(along, around) {
      const section = around * TAU
      const end = Math.min(1, Math.sqrt(Math.max(0, 1 - (2 * along - 1) ** 80)) + 1e-3)
      const phase = along * waves * TAU
      const slope = (rise * waves * TAU * Math.cos(phase)) / span
      const normal = Math.hypot(1, slope)
      const thick = end * (wallMm / 2) * edged(Math.sin(section))
      const y = (widthMm / 2) * edged(Math.cos(section)) * (1 + 0.03 * Math.sin(phase * 1.3))
      return [(along - 0.5) * span - (thick * slope) / normal, y, rise * Math.sin(phase) + thick / normal]
    },
    alongSteps: 160,
    aroundSteps: 72,
    linesAlong: 14,
    linesAround: 64,
  }
}

/** A tube with its wall; along goes round it, around goes out over the outer face and back through the bore. */
function tube({ form, wallMm }: Form): Surface {
  const { lengthMm, widthMm } = form
  const ridges = 20
  const lip = 0.06
  return {
    at(along, around) {
      const angle = along * TAU
      const outside = around < 0.5
      const within = outside ? around / 0.5 : (around - 0.5) / 0.5
      const face = Math.min(1, within / (1 - lip))
      const turn = within < 1 - lip ? 0 : ((within - (1 - lip)) / lip) * Math.PI
      const sign = outside ? 1 : -1
      const fade = Math.min(1, 12 * face, 12 * (1 - face))
      const ridge = outside ? 0.22 * fade * Math.cos(ridges * angle) : 0
      const middle = widthMm / 2 - wallMm / 2
      const radius = middle + sign * (wallMm / 2) * Math.cos(turn) + ridge
      const x = sign * (face - 0.5) * lengthMm + sign * Math.sin(turn) * wallMm * 0.3
      return [x, radius * Math.cos(angle), radius * Math.sin(angle)]
    },
    alongSteps: 240,
    aroundSteps: 84,
    linesAlong: 46,
    linesAround: ridges * 3,
  }
}

/** A flat round or square, thick as its wall, hardly domed. Along goes round the rim, around over it and back. */
function flat({ form, wallMm }: Form, corner: number): Surface {
  const [a, b] = [form.lengthMm / 2, form.widthMm / 2]
  return {
    at(along, around) {
      const angle = along * TAU
      const back = around < 0.5
      const out = back ? around / 0.5 : (1 - around) / 0.5
      const reach = Math.sin((out * Math.PI) / 2)
      const thick = (back ? -0.5 : 0.5) * wallMm * Math.sqrt(Math.max(0, 1 - out ** 40))
      const round = (coordinate: number) => Math.sign(coordinate) * Math.abs(coordinate) ** corner
      const [x, y] = [a * reach * round(Math.cos(angle)), b * reach * round(Math.sin(angle))]
      return [x, y, thick + 0.025 * a * reach ** 3 * Math.sin(2 * angle + 0.5)]
    },
    alongSteps: 120,
    aroundSteps: 60,
    linesAlong: 16,
    linesAround: 48,
  }
}

/** Batter as it sets in the pot: round at the head, drawn out to a tail. */
function drop({ form }: Form): Surface {
  const { lengthMm, widthMm } = form
  return {
    at(along, around) {
      const body = Math.sin(Math.PI * along ** 0.72) ** 0.62
      const radius = (widthMm / 2) * body * (1 + 0.1 * Math.sin(along * 11) * (1 - along))
      const angle = around * TAU
      const lump = 1 + 0.05 * Math.sin(3 * angle + along * 7)
      const x = (along - 0.5) * lengthMm
      return [
        x,
        radius * lump * Math.cos(angle) + 0.25 * widthMm * Math.sin(along * 4),
        radius * lump * Math.sin(angle),
      ]
    },
    alongSteps: 90,
    aroundSteps: 56,
    linesAlong: 22,
    linesAround: 30,
  }
}

/** A cut of soft dough rolled down a ridged board: ridges on the back, a thumb's dent in the face. */
function pillow({ form }: Form): Surface {
  const { lengthMm, widthMm } = form
  const ridges = 8
  return {
    at(along, around) {
      const close = taper(along, 3.4)
      const angle = around * TAU
      const onBack = Math.max(0, Math.sin(angle)) ** 0.5
      const ridge = 0.5 * onBack * close * Math.cos(along * ridges * TAU)
      const dent = Math.max(0, -Math.sin(angle)) ** 2 * 0.34 * (widthMm / 2) * Math.sin(Math.PI * along) ** 2
      const radius = (widthMm / 2) * close - dent + ridge
      return [(eased(along) - 0.5) * lengthMm, radius * Math.cos(angle), radius * 0.86 * Math.sin(angle)]
    },
    alongSteps: ridges * 14,
    aroundSteps: 84,
    linesAlong: 14,
    linesAround: ridges * 6,
  }
}

/** Narrower than this, a ribbon lies as a strand. */
const BAND_FROM_MM = 5

export function surfaceOf(shape: Form): { surface: Surface; view: View } {
  const { kind } = shape.form
  switch (kind) {
    case 'ear':
      return { surface: ear(shape), view: { turn: 0.5, tilt: 0.8 } }
    case 'hollow':
      return { surface: shell(shape, 0, 2.35), view: { turn: 0.42, tilt: 0.78 } }
    case 'ridged-pip':
      return { surface: shell(shape, 9, 2.2), view: { turn: 2.62, tilt: 0.5 } }
    case 'leaf':
      return { surface: leaf(shape), view: { turn: 0.55, tilt: 0.82 } }
    case 'twist':
      return { surface: twist(shape), view: { turn: 0.38, tilt: 0.6 } }
    case 'strand':
      return { surface: strand(shape, false), view: { turn: 0.2, tilt: 0.85 } }
    case 'ribbon':
      return shape.form.widthMm < BAND_FROM_MM
        ? { surface: strand(shape, true), view: { turn: 0.2, tilt: 0.85 } }
        : { surface: band(shape), view: { turn: 0.5, tilt: 0.55 } }
    case 'tube':
      return { surface: tube(shape), view: { turn: 0.62, tilt: 0.36 } }
    case 'disc':
      return { surface: flat(shape, 1), view: { turn: 0.3, tilt: 0.7 } }
    case 'square':
      return { surface: flat(shape, 0.22), view: { turn: 0.5, tilt: 0.7 } }
    case 'drop':
      return { surface: drop(shape), view: { turn: 0.5, tilt: 0.6 } }
    case 'pillow':
      return { surface: pillow(shape), view: { turn: 0.5, tilt: 0.7 } }
    default:
      return unreachable(kind)
  }
}
