/** Lines on paper. */
export type Point = readonly [number, number]

/** Joins segments that share an end into lines as long as possible. */
export function joinSegments(segments: readonly (readonly [Point, Point])[]): (readonly Point[])[] {
  const key = ([x, y]: Point) => `${Math.round(x * 500)},${Math.round(y * 500)}`
  const byEnd = new Map<string, number[]>()
  segments.forEach(([a, b], index) => {
    for (const end of [key(a), key(b)]) byEnd.set(end, [...(byEnd.get(end) ?? []), index])
  })
  const used = new Set<number>()
  const extend = (line: Point[]) => {
    for (;;) {
      const end = key(line.at(-1)!)
      const next = byEnd.get(end)?.find((index) => !used.has(index))
      if (next === undefined) return
      used.add(next)
      const [a, b] = segments[next]!
      line.push(key(a) === end ? b : a)
    }
  }
  const lines: Point[][] = []
  segments.forEach(([a, b], index) => {
    if (used.has(index)) return
    used.add(index)
    const line: Point[] = [a, b]
    extend(line)
    line.reverse()
    extend(line)
    lines.push(line)
  })
  return lines
}

/** Drops points that lie on the line between their neighbours, within a fiftieth of a millimetre. */
export function thinned(line: readonly Point[]): readonly Point[] {
  const kept: Point[] = []
  line.forEach((point, index) => {
    const [before, after] = [kept.at(-1), line[index + 1]]
    if (!before || !after) return kept.push(point)
    const [dx, dy] = [after[0] - before[0], after[1] - before[1]]
    const away = Math.abs((point[0] - before[0]) * dy - (point[1] - before[1]) * dx) / (Math.hypot(dx, dy) || 1)
    return away > 0.02 || Math.hypot(dx, dy) > 4 ? kept.push(point) : kept.length
  })
  return kept
}

/** A speck is no line, mm. */
export const lengthOf = (line: readonly Point[]): number =>
  line.reduce((sum, [x, y], index) => {
    const before = line[index - 1]
    return before ? sum + Math.hypot(x - before[0], y - before[1]) : sum
  }, 0)
