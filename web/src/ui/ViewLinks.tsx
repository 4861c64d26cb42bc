import { NavLink } from 'react-router'
import { useCurrentInSight } from './useCurrentInSight.ts'

interface Props {
  readonly label: string
  readonly views: readonly { readonly to: string; readonly name: string }[]
}

/** The views of a station, side by side over it. */
export function ViewLinks({ label, views }: Props) {
  const row = useCurrentInSight<HTMLElement>()
  return (
    <nav ref={row} aria-label={label} className="mb-2 flex gap-x-6 overflow-x-auto border-b border-line">
      {views.map(({ to, name }) => (
        <NavLink
          key={to}
          to={to}
          end
          className={({ isActive }) =>
            `min-h-9 border-b-4 text-md whitespace-nowrap ${isActive ? 'border-ink font-semibold' : 'border-transparent text-second hover:text-ink'}`
          }
        >
          {name}
        </NavLink>
      ))}
    </nav>
  )
}
