/** Vectors in mm. */

// Plain roots: `hypot` guards against overflow that millimetres never reach, and is many times slower.
const { sqrt } = Math

export type Vec3 = readonly [number, number, number]

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
export const subtract = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
export const scale = (a: Vec3, by: number): Vec3 => [a[0] * by, a[1] * by, a[2] * by]
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]
export const unit = (a: Vec3): Vec3 => {
  const long = sqrt(dot(a, a))
  return long > 1e-12 ? [a[0] / long, a[1] / long, a[2] / long] : [0, 0, 1]
}
/** The part of a that stands upright on b, as a unit. */
export const upright = (a: Vec3, b: Vec3): Vec3 => unit(subtract(a, scale(b, dot(a, b))))

export const TAU = Math.PI * 2
export const UP: Vec3 = [0, 0, 1]

/** Turned about the upright axis. */
export const turned = ([x, y, z]: Vec3, angle: number): Vec3 => [
  x * Math.cos(angle) - y * Math.sin(angle),
  x * Math.sin(angle) + y * Math.cos(angle),
  z,
]
