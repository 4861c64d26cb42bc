/** The strip above every station: the sheet on paper, then a tab for each running batch. */
import type { ReactNode } from 'react'
import { NavLink } from 'react-router'
import { standingWords } from './batches.ts'
import { useAtBench, type RunningBatch } from '../state/select.ts'
import { familyInk, type Family } from './family.tsx'
import { familyOf, useKitchen } from '../state/select.ts'
import { useCurrentInSight } from './useCurrentInSight.ts'
import { useClock } from './useNow.ts'
import { useApp } from '../state/store.ts'
import { titleInShort } from '../words/index.ts'

interface TabProps {
  readonly to: string
  readonly ink: string
  readonly name: string
  readonly note: ReactNode
  readonly paper?: boolean
}

function Tab({ to, ink, name, note, paper }: TabProps) {
  return (
    <NavLink
      to={to}
      style={{ borderTopColor: ink, borderTopStyle: paper ? 'dashed' : 'solid' }}
      className={({ isActive }) =>
        `flex h-14.5 max-w-55 min-w-26 shrink flex-col md:min-w-0 justify-center border-t-6 border-r border-r-line px-3 md:px-4 ${
          isActive ? '-mb-px bg-sheet pb-px' : 'bg-ground'
        }`
      }
    >
      <span className="head truncate text-md leading-tight">{name}</span>
      <span className="figure truncate text-label leading-tight text-second">{note}</span>
    </NavLink>
  )
}

/** What is timed right now; nothing else of the strip is drawn for a second that goes by. */
const Standing = ({ running }: { running: RunningBatch }) => useClock((nowMs) => standingWords(running, nowMs))

export function BatchStrip({ children }: { children?: ReactNode }) {
  const batches = useAtBench()
  const kitchen = useKitchen()
  const sheet = useApp((state) => state.draft.present?.sheet)
  const tabs = useCurrentInSight<HTMLElement>()
  const family = (dough: string): Family => familyOf(kitchen, dough)
  return (
    <header className="flex h-14.5 shrink-0 items-stretch border-b border-ink bg-ground">
      <nav
        aria-label="Doughs"
        ref={tabs}
        className="flex min-w-0 flex-1 items-stretch overflow-x-auto overflow-y-hidden md:overflow-hidden"
        data-screen-only
      >
        {sheet && <Tab paper to="/formula" ink={familyInk[family(sheet.dough)]} name={sheet.name} note="draft" />}
        {batches.map((running) => (
          <Tab
            key={running.batch.id}
            to={`/bench/${running.batch.id}`}
            ink={familyInk[family(running.batch.plan.sheet.dough)]}
            name={titleInShort(running.batch)}
            note={<Standing running={running} />}
          />
        ))}
      </nav>
      <div className="flex shrink-0 items-center gap-4 px-3 md:px-6" data-screen-only>
        {children}
      </div>
    </header>
  )
}
