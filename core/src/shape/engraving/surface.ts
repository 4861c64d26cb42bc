/** A dough piece as one closed tube: a section carried along a line. All lengths in mm. */
export type Vec3 = readonly [number, number, number]

export interface Surface {
  /** Along the piece, 0 to 1, and around it, 0 to 1 (closed). */
  at(along: number, around: number): Vec3
  /** Grid fine enough for the form's smallest feature. */
  readonly alongSteps: number
  readonly aroundSteps: number
  /** Engraved lines that run along the piece, and around it. */
  readonly linesAlong: number
  readonly linesAround: number
}

/** Turns the piece to be looked at: first about the upright axis, then towards the eye; radians. */
export interface View {
  readonly turn: number
  readonly tilt: number
}

/** x to the right, y down the paper, z towards the eye. */
export function project([x, y, z]: Vec3, { turn, tilt }: View): Vec3 {
  const [cosTurn, sinTurn] = [Math.cos(turn), Math.sin(turn)]
  const across = x * cosTurn - y * sinTurn
  const away = x * sinTurn + y * cosTurn
  const [cosTilt, sinTilt] = [Math.cos(tilt), Math.sin(tilt)]
  return [across, -(away * sinTilt + z * cosTilt), -away * cosTilt + z * sinTilt]
}

export interface Box {
  readonly min: Vec3
  readonly max: Vec3
}

export function boundingBox(surface: Surface): Box {
  const min: [number, number, number] = [Infinity, Infinity, Infinity]
  const max: [number, number, number] = [-Infinity, -Infinity, -Infinity]
  for (let i = 0; i <= surface.alongSteps; i += 1)
    for (let j = 0; j < surface.aroundSteps; j += 1) {
      const point = surface.at(i / surface.alongSteps, j / surface.aroundSteps)
      for (let k = 0; k < 3; k += 1) {
        min[k] = Math.min(min[k] as number, point[k] as number)
        max[k] = Math.max(max[k] as number, point[k] as number)
      }
    }
  return { min, max }
}
