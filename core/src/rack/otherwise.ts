/** What a maker can change by hand about a tray as it lies, one thing at a time. */
import type { Cover, Gear, Place, Spot, TrayLayout } from '../model/index.ts'
import { overOf, spotIn } from './air.ts'

/** Cut or rolled so much thinner, fraction; so much less water in the dough, fraction of its mass. */
const THINNER = 0.8
const DRIER = 0.02

export type Otherwise = { readonly id: string } & (
  | { readonly is: 'air'; readonly air: 'fan' | 'still' }
  | { readonly is: 'cover'; readonly cover: Cover | null }
  | { readonly is: 'place'; readonly place: Place }
  | { readonly is: 'thinner' | 'drier' | 'spread' }
)

/** All that this kitchen offers, none of which is so already. */
export function waysOtherwise(
  { spot, laid, moisture }: TrayLayout,
  { places, covers }: Pick<Gear, 'places' | 'covers'>,
): readonly Otherwise[] {
  const air = spot.air === 'still' ? 'fan' : 'still'
  return [
    { id: air, is: 'air', air },
    ...(spot.cover ? [{ id: 'open', is: 'cover', cover: null } as const] : []),
    ...covers
      .filter(({ name }) => name !== spot.cover?.name)
      .map((cover) => ({ id: cover.id, is: 'cover', cover }) as const),
    ...places.filter(({ name }) => name !== spot.place).map((place) => ({ id: place.id, is: 'place', place }) as const),
    { id: 'thinner', is: 'thinner' },
    ...(moisture > DRIER ? [{ id: 'drier', is: 'drier' } as const] : []),
    ...(laid === 'spread' ? [] : [{ id: 'spread', is: 'spread' } as const]),
  ]
}

/** The tray with that one thing changed; in another room under what it is under. */
export function otherwise(layout: TrayLayout, change: Otherwise): TrayLayout {
  const { spot, body } = layout
  const at = (part: Partial<Spot>): TrayLayout => ({ ...layout, spot: { ...spot, ...part } })
  switch (change.is) {
    case 'air':
      return at({ air: change.air })
    case 'cover':
      return at({ cover: change.cover && overOf(change.cover) })
    case 'place':
      return at(spotIn(change.place, spot.cover))
    case 'thinner':
      return { ...layout, body: { ...body, halfThicknessMm: THINNER * body.halfThicknessMm } }
    case 'drier':
      return { ...layout, moisture: layout.moisture - DRIER }
    case 'spread':
      return { ...layout, laid: 'spread' }
  }
}
