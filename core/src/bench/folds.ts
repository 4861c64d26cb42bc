/** Folds of a sheet, told one by one: in two or, as a letter, in three; how many layers that makes. */
import type { BenchState } from './state.ts'

export const FOLD_IN = [2, 3] as const
export type FoldIn = (typeof FOLD_IN)[number]

/** How the nth fold of a step is folded, as the maker does: in two, in three, or in three and in two by turns. */
export const foldInto = (inTo: 'three' | 'turn' | undefined, n: number): FoldIn =>
  inTo === 'three' || (inTo === 'turn' && n % 2 === 1) ? 3 : 2

/**
 * The layers so many folds make, told or by the plan.
 * @example layersOf(3, 'turn') → 18
 */
export const layersOf = (folds: number, inTo?: 'three' | 'turn'): number =>
  Array.from({ length: folds }, (_, n) => foldInto(inTo, n + 1)).reduce<number>((layers, into) => layers * into, 1)

/** What is ticked for the nth fold of a step. */
export const foldTick = (step: string, n: number, fold: FoldIn): string =>
  fold === 2 ? `${step}-${n}` : `${step}-${n}-in-three`

/**
 * Folds told so far, and the layers they make.
 * @example foldsDone({ ticked: [1, 2].map((n) => foldTick('f', n, 3)).concat(foldTick('f', 3, 2)) }, 'f')
 * → { folds: 3, layers: 18 }
 */
export function foldsDone(
  { ticked }: Pick<BenchState, 'ticked'>,
  step: string,
): { readonly folds: number; readonly layers: number } {
  let layers = 1
  for (let n = 1; ; n += 1) {
    const fold = FOLD_IN.find((each) => ticked.includes(foldTick(step, n, each)))
    if (!fold) return { folds: n - 1, layers }
    layers *= fold
  }
}
