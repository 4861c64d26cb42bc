import { NavLink } from 'react-router'
import { StationIcon, type Station } from '../ui/StationIcon.tsx'

/** Stations in the order of the work. */
export const stations: readonly { station: Station; name: string }[] = [
  { station: 'formula', name: 'Formula' },
  { station: 'shape', name: 'Shape' },
  { station: 'bench', name: 'Bench' },
  { station: 'log', name: 'Log' },
  { station: 'gear', name: 'Gear' },
]

/** Tabs that open into the sheet: on the left, or on a phone at the bottom. */
export function StationIndex() {
  return (
    <nav
      aria-label="Stations"
      data-screen-only
      className="z-10 flex w-full shrink-0 border-t border-ink bg-ground md:w-23 md:flex-col md:border-t-0 md:pt-14.5"
    >
      {stations.map(({ station, name }) => (
        <NavLink
          key={station}
          to={`/${station}`}
          className={({ isActive }) =>
            `flex min-h-15 flex-1 flex-col items-center justify-center gap-0.5 border-line text-sm font-semibold md:min-h-16.5 md:flex-none md:border-b ${
              isActive
                ? 'border-t-4 border-t-semolina bg-sheet text-ink md:border-t-0 md:border-l-5 md:border-l-semolina md:pr-1.25'
                : 'text-second hover:text-ink md:border-r md:border-r-line'
            }`
          }
        >
          <StationIcon station={station} />
          {name}
        </NavLink>
      ))}
      <div className="hidden flex-1 border-r border-line md:block" />
    </nav>
  )
}
