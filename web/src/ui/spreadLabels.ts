/**
 * Places for labels that should stand at `wanted` (sorted, px) but keep `room` from one another and end at `last` at most:
 * pushed down where they crowd, then up from the end.
 */
export function spreadLabels(wanted: readonly number[], room: number, last: number): readonly number[] {
  const places = [...wanted]
  for (let i = 1; i < places.length; i += 1) places[i] = Math.max(places[i]!, places[i - 1]! + room)
  for (let i = places.length - 1; i >= 0; i -= 1) {
    const limit = i === places.length - 1 ? last : places[i + 1]! - room
    places[i] = Math.min(places[i]!, limit)
  }
  return places
}
