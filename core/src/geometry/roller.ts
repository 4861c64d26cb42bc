/** A roller by its gaps: two measured ones and the way its numbers run are enough, more are better. */
export interface Roller {
  /** Of the dial: 1 to `settings`. */
  readonly settings: number
  readonly widest: 'first' | 'last'
  readonly measured: readonly { readonly setting: number; readonly gapMm: number }[]
  /** Thickness of the sheet over the gap. */
  readonly springBack: number
  readonly widthMm: number
}

export interface Setting {
  readonly setting: number
  readonly gapMm: number
  readonly measured: boolean
}

/** On the line through two measurements, in equal shares a step: each setting thins by about as much as the one before. */
function between(setting: number, [a, b]: readonly [Roller['measured'][number], Roller['measured'][number]]): number {
  const share = (setting - a.setting) / (b.setting - a.setting)
  return a.gapMm * (b.gapMm / a.gapMm) ** share
}

/**
 * Every setting, from the widest to the thinnest. What is not measured lies between its neighbours that are, or beyond the last
 * two in the same proportion. With fewer than two measurements only those are there.
 * @example 1 is 2.8 mm and 7 is 0.5 mm, 1 the widest → 4 is 2.8·(0.5/2.8)^½ = 1.18 mm
 */
export function settingsOf({ settings, widest, measured }: Roller): readonly Setting[] {
  const known = [...measured].sort((a, b) => a.setting - b.setting)
  const all = Array.from({ length: settings }, (_, index) => index + 1)
  const [first, second] = known
  const gapAt = (setting: number): number | null => {
    const found = known.find((each) => each.setting === setting)
    if (found) return found.gapMm
    if (!first || !second) return null
    const above = known.findIndex((each) => each.setting > setting)
    const upper = above < 0 ? known.length - 1 : Math.max(1, above)
    return between(setting, [known[upper - 1] ?? first, known[upper] ?? second])
  }
  const rows = all.flatMap((setting): Setting[] => {
    const gapMm = gapAt(setting)
    return gapMm === null ? [] : [{ setting, gapMm, measured: known.some((each) => each.setting === setting) }]
  })
  return widest === 'first' ? rows : rows.reverse()
}
