import { NavLink } from 'react-router'
import { OPEN_FIND, OPEN_HELP } from '../ui/keys.ts'
import { stations } from './stations.tsx'

/** Tabs that open into the sheet: on the left, or on a phone at the bottom. */
export function StationIndex() {
  return (
    <nav
      aria-label="Stations"
      data-screen-only
      className="z-10 flex w-full shrink-0 border-t border-ink bg-ground md:w-23 md:flex-col md:border-t-0 md:pt-14.5"
    >
      {stations.map(({ station, name, mark }) => (
        <NavLink
          key={station}
          to={`/${station}`}
          className={({ isActive }) =>
            `flex min-h-15 flex-1 flex-col items-center justify-center gap-0.5 border-line text-xs font-semibold md:min-h-16.5 md:flex-none md:border-b md:text-sm ${
              isActive
                ? 'border-t-4 border-t-semolina bg-sheet text-ink md:border-t-0 md:border-l-5 md:border-l-semolina md:pr-1.25'
                : 'text-second hover:text-ink md:border-r md:border-r-line'
            }`
          }
        >
          <svg width="26" height="26" viewBox="0 0 24 24" aria-hidden="true">
            <path
              d={mark}
              fill="none"
              stroke="currentColor"
              strokeWidth="1.5"
              strokeLinejoin="round"
              strokeLinecap="round"
            />
          </svg>
          {name}
        </NavLink>
      ))}
      <button
        type="button"
        className="flex min-h-15 flex-1 flex-col items-center justify-center gap-0.5 text-xs font-semibold text-second hover:text-ink md:hidden"
        onClick={() => dispatchEvent(new Event(OPEN_FIND))}
      >
        <svg width="22" height="22" viewBox="0 0 22 22" fill="none" stroke="currentColor" strokeWidth="1.6" aria-hidden>
          <circle cx="9.5" cy="9.5" r="6" />
          <path d="M14 14l5.5 5.5" />
        </svg>
        Find
      </button>
      <div className="hidden flex-1 border-r border-line md:block" />
      <button
        type="button"
        className="hidden min-h-12 items-center justify-center gap-2 border-t border-r border-line text-sm font-semibold text-second hover:text-ink md:flex"
        onClick={() => dispatchEvent(new Event(OPEN_HELP))}
      >
        Help <span className="key">?</span>
      </button>
    </nav>
  )
}
