/** What dries and what is cooked of a shape: a slab, a strand or a ball, and how thick. */
import type { PieceBody, Shape } from '../model/index.ts'

/** Cut so narrow against its thickness, a strip is a strand: the air reaches it from four sides. */
const STRAND_BELOW = 2

/**
 * A tube, a hollow or anything folded is a slab of half its wall; a strand is a cylinder; a drop is a ball.
 * What is open on both faces of a wall dries and cooks from both.
 */
export function pieceBodyOf({ blank, wallMm }: Pick<Shape, 'blank' | 'wallMm'>): PieceBody {
  switch (blank.type) {
    case 'rope': {
      const { diameterMm } = blank.drawn ?? blank
      // Rolled on as it is: its wall is the rope itself.
      return wallMm >= 0.9 * diameterMm
        ? { geometry: 'cylinder', halfThicknessMm: diameterMm / 2 }
        : { geometry: 'slab', halfThicknessMm: wallMm / 2 }
    }
    case 'sheet': {
      const { thicknessMm, widthMm = blank.widthMm } = blank.drawn ?? blank
      const thick = Math.min(wallMm, thicknessMm)
      return widthMm < STRAND_BELOW * thick
        ? // As much section as the strip has.
          { geometry: 'cylinder', halfThicknessMm: Math.sqrt((widthMm * thick) / Math.PI) }
        : { geometry: 'slab', halfThicknessMm: thick / 2 }
    }
    case 'disc':
      return { geometry: 'slab', halfThicknessMm: Math.min(wallMm, blank.thicknessMm) / 2 }
    case 'die': {
      const isRod = blank.innerMm === 0 && wallMm >= 0.9 * blank.outerMm
      return isRod
        ? { geometry: 'cylinder', halfThicknessMm: blank.outerMm / 2 }
        : { geometry: 'slab', halfThicknessMm: wallMm / 2 }
    }
    case 'drop':
      return { geometry: 'sphere', halfThicknessMm: Math.cbrt((3 * blank.holeMm ** 2 * blank.lengthMm) / 16) }
  }
}
