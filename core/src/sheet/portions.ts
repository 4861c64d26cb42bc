/** How much a person eats: a guide to start portions from, which a maker may put right figure by figure. */
import { FAMILIES, type Family } from '../model/index.ts'

export const COURSES = ['starter', 'main', 'soup', 'filled'] as const
export type Course = (typeof COURSES)[number]
export const STATES = ['fresh', 'dried'] as const
export type DoughState = (typeof STATES)[number]

/** Grams of dough a person: starter, main, soup, filled (dough alone). Usual figures of the craft; appetites differ. */
const FRESH: Readonly<Record<Family, readonly [number, number, number, number]>> = {
  semolina: [75, 110, 45, 80],
  salted: [90, 150, 60, 80],
  alkaline: [80, 140, 110, 60],
  batter: [90, 150, 50, 90],
  gnocchi: [130, 200, 70, 130],
}

/** Dried pieces hold about the same dry flour in fewer grams; soft doughs are not dried. */
const DRIED: Readonly<Record<Family, readonly [number, number, number, number] | null>> = {
  semolina: [55, 85, 35, 60],
  salted: [65, 100, 40, 55],
  alkaline: [60, 95, 75, 45],
  batter: null,
  gnocchi: null,
}

export const portionKey = (family: Family, course: Course, state: DoughState): string => `${family}/${course}/${state}`

export const canDry = (family: Family): boolean => DRIED[family] !== null

/** The guide's grams; `own` are the maker's figures by `portionKey`. Doughs that are not dried answer with the fresh figure. */
export function portionG(
  own: Readonly<Record<string, number>>,
  family: Family,
  course: Course,
  state: DoughState,
): number {
  const table = (state === 'dried' ? DRIED[family] : null) ?? FRESH[family]
  return own[portionKey(family, course, state)] ?? table[COURSES.indexOf(course)] ?? FRESH[family][1]
}

/** The whole guide, as it stands for this maker. */
export const portionGuide = (own: Readonly<Record<string, number>>) =>
  FAMILIES.map((family) => ({
    family,
    courses: COURSES.map((course) => ({
      course,
      freshG: portionG(own, family, course, 'fresh'),
      driedG: canDry(family) ? portionG(own, family, course, 'dried') : null,
    })),
  }))
