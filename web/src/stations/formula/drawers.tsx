/** The drawers under the board: each a tool that works on the sheet, opened by its word. */
import type { Worked } from '@harina/core'
import { lazy, type ComponentType } from 'react'
import type { DrawerProps } from './drawerProps.ts'

const drawers = {
  say: { name: 'Hydration in other words', open: lazy(() => import('./drawers/Sayings.tsx')) },
  taste: { name: 'Colour and taste', open: lazy(() => import('./drawers/Flavours.tsx')) },
  swap: { name: 'Swap a flour', open: lazy(() => import('./drawers/SwapFlour.tsx')) },
  egg: { name: 'Egg and no egg', open: lazy(() => import('./drawers/EggSwap.tsx')) },
  stock: { name: 'Blend from my sacks', open: lazy(() => import('./drawers/FromStock.tsx')) },
  base: { name: 'Potato and moisture', open: lazy(() => import('./drawers/BaseMoisture.tsx')) },
  heat: { name: 'Heat of the water', open: lazy(() => import('./drawers/WaterHeat.tsx')) },
  alkali: { name: 'Alkali', open: lazy(() => import('./drawers/AlkaliDesk.tsx')) },
  schools: { name: 'Schools', open: lazy(() => import('./drawers/Schools.tsx')) },
  brings: { name: 'Nutrition, allergens, cost', open: lazy(() => import('./drawers/Brings.tsx')) },
  write: { name: 'Write it out', open: lazy(() => import('./drawers/WriteOut.tsx')) },
  card: { name: 'Card', open: lazy(() => import('./drawers/Card.tsx')) },
  versions: { name: 'Versions', open: lazy(() => import('./drawers/Versions.tsx')) },
  compare: { name: 'Compare', open: lazy(() => import('./drawers/Compare.tsx')) },
} as const satisfies Record<string, { name: string; open: ComponentType<DrawerProps> }>

export type DrawerId = keyof typeof drawers
export const isDrawer = (id: string): id is DrawerId => Object.hasOwn(drawers, id)

/** Drawers that have something for this dough, in the order of the work. */
function useful({ control, rows }: Worked): readonly DrawerId[] {
  const without: DrawerId[] = [
    ...(control.by === 'base' ? (['say', 'heat'] as const) : (['base'] as const)),
    ...(rows.some((row) => row.ingredient.group === 'egg') ? [] : (['egg'] as const)),
    ...(rows.some((row) => row.part === 'alkali') ? [] : (['alkali'] as const)),
  ]
  return (Object.keys(drawers) as DrawerId[]).filter((id) => !without.includes(id))
}

export function DrawerHandles({ worked, onOpen }: { worked: Worked; onOpen: (id: DrawerId) => void }) {
  return (
    <nav
      aria-label="Drawers under the board"
      className="flex shrink-0 overflow-x-auto border-t border-ink bg-ground px-2 md:px-4.5"
    >
      {useful(worked).map((id) => (
        <button
          key={id}
          type="button"
          className="relative min-h-11 px-1.5 text-label whitespace-nowrap text-second after:absolute after:bottom-1.25 after:left-1/2 after:h-0.75 after:w-6 after:-translate-x-1/2 after:bg-line hover:text-ink hover:after:bg-family"
          onClick={() => onOpen(id)}
        >
          {drawers[id].name}
        </button>
      ))}
    </nav>
  )
}

export function OpenDrawer({ id, ...props }: DrawerProps & { id: DrawerId }) {
  const Drawer = drawers[id].open
  return <Drawer {...props} />
}
