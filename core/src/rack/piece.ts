/** What dries and what is cooked of a shape: a slab, a strand or a ball, and how thick. */
import type { PieceBody, Shape } from '../model/index.ts'

/** Cut so narrow against its thickness, a strip is a strand: the air reaches it from four sides. */
const STRAND_BELOW = 2
/** Of a rope so thick against its wall that it is rolled on as it is, its wall is the rope itself. */
const AS_IT_IS = 0.9

/** How thick what water crosses is as it is made, mm; the table's wall where nothing made differs. */
function thickMm({ blank, wallMm, section }: Pick<Shape, 'blank' | 'wallMm' | 'section'>): number {
  switch (blank.type) {
    case 'rope': {
      const { diameterMm } = blank.drawn ?? blank
      return section === 'cylinder' && wallMm >= AS_IT_IS * diameterMm ? diameterMm : wallMm
    }
    case 'die':
      return section === 'cylinder' && blank.innerMm === 0 && wallMm >= AS_IT_IS * blank.outerMm
        ? blank.outerMm
        : wallMm
    case 'sheet':
      return Math.min(wallMm, (blank.drawn ?? blank).thicknessMm)
    case 'disc':
      return Math.min(wallMm, blank.thicknessMm)
    case 'drop':
      return section === 'sphere' ? Math.cbrt(1.5 * blank.holeMm ** 2 * blank.lengthMm) : wallMm
  }
}

/**
 * In water: the table's section says whether it is a wall, a strand or a ball; a tube is a wall with water on both sides. A strip
 * about as wide as it is thick is a strand of as much section.
 */
export function pieceBodyOf(shape: Pick<Shape, 'blank' | 'wallMm' | 'section'>): PieceBody {
  const { blank, section } = shape
  const thick = thickMm(shape)
  if (section === 'cylinder' || section === 'sphere') return { geometry: section, halfThicknessMm: thick / 2 }
  if (section === 'slab' && blank.type === 'die' && blank.innerMm === 0 && thick >= AS_IT_IS * blank.outerMm)
    return { geometry: 'cylinder', halfThicknessMm: blank.outerMm / 2 }
  if (section === 'slab' && blank.type === 'sheet') {
    const { widthMm = blank.widthMm } = blank.drawn ?? blank
    if (widthMm < STRAND_BELOW * thick)
      return { geometry: 'cylinder', halfThicknessMm: Math.sqrt((widthMm * thick) / Math.PI) }
  }
  return { geometry: 'slab', halfThicknessMm: thick / 2 }
}

/** Length² over bore up to which damp air leaves a bore about as fast as a face: twice its diffusivity (25 mm²/s) over what still air takes off a face (5 mm/s). */
const OPEN_BORE_MM = 10

/**
 * In air: as in water, but a bore keeps its damp air to itself unless it is short and wide, and the wall dries from outside alone.
 * A hollow strand is so slower than a solid one of its wall.
 */
export function dryingBodyOf(shape: Pick<Shape, 'blank' | 'wallMm' | 'section' | 'form'>): PieceBody {
  const body = pieceBodyOf(shape)
  if (shape.section !== 'tube') return body
  const { lengthMm, widthMm } = shape.form
  const boreMm = Math.max(0.1, widthMm - 2 * shape.wallMm)
  return lengthMm ** 2 / boreMm > OPEN_BORE_MM ? { ...body, halfThicknessMm: 2 * body.halfThicknessMm } : body
}
