/** Which face is nearest the eye at each place of the paper. */
import { eachTriangle } from './patch.ts'
import type { Patch } from './patch.ts'
import type { Vec3 } from './vec.ts'

// Called for every triangle: looked up once.
const { floor, ceil, min, max, abs, round } = Math

export interface Paper {
  readonly minX: number
  readonly minY: number
  readonly widthMm: number
  readonly heightMm: number
}

export interface Depth {
  /** z of the nearest face, or −∞ where the paper is bare. */
  nearest(x: number, y: number): number
  readonly cellMm: number
}

/** Depth cells per longest side of the paper. */
const CELLS = 620

/** `patches` as the eye sees them: x to the right, y down, z towards the eye. */
export function depthOf(patches: readonly Patch[], { minX, minY, widthMm, heightMm }: Paper): Depth {
  const cellMm = max(widthMm, heightMm) / CELLS
  const [width, height] = [ceil(widthMm / cellMm) + 1, ceil(heightMm / cellMm) + 1]
  const cells = new Float32Array(width * height).fill(-Infinity)
  const fill = (a: Vec3, b: Vec3, c: Vec3) => {
    const [ax, ay] = [(a[0] - minX) / cellMm, (a[1] - minY) / cellMm]
    const [bx, by] = [(b[0] - minX) / cellMm, (b[1] - minY) / cellMm]
    const [cx, cy] = [(c[0] - minX) / cellMm, (c[1] - minY) / cellMm]
    const area = (bx - ax) * (cy - ay) - (cx - ax) * (by - ay)
    if (abs(area) < 1e-9) return
    const [left, right] = [max(0, floor(min(ax, bx, cx))), ceil(max(ax, bx, cx))]
    const [top, bottom] = [max(0, floor(min(ay, by, cy))), ceil(max(ay, by, cy))]
    for (let y = top; y <= min(height - 1, bottom); y += 1)
      for (let x = left; x <= min(width - 1, right); x += 1) {
        const shareB = ((x - ax) * (cy - ay) - (cx - ax) * (y - ay)) / area
        const shareC = ((bx - ax) * (y - ay) - (x - ax) * (by - ay)) / area
        if (shareB < -0.02 || shareC < -0.02 || shareB + shareC > 1.02) continue
        const z = a[2] + shareB * (b[2] - a[2]) + shareC * (c[2] - a[2])
        const index = y * width + x
        if (z > cells[index]!) cells[index] = z
      }
  }
  for (const patch of patches)
    eachTriangle(patch, (a, b, c) => fill(patch.points[a]!, patch.points[b]!, patch.points[c]!))
  return {
    cellMm,
    nearest(x, y) {
      const [i, j] = [round((x - minX) / cellMm), round((y - minY) / cellMm)]
      return i < 0 || j < 0 || i >= width || j >= height ? -Infinity : cells[j * width + i]!
    },
  }
}
