import { useEffect, useRef } from 'react'
import { SidePanel } from '../ui/SidePanel.tsx'
import { glossary, stationWords } from '../words/index.ts'

const keys: readonly { where: string; keys: readonly (readonly [string, string])[] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['Ctrl K', 'find a formula, shape, batch or station'],
      ['Ctrl Z', 'undo'],
      ['Ctrl Shift Z', 'redo'],
      ['?', 'this help'],
    ],
  },
  {
    where: 'In a figure',
    keys: [
      ['↑ ↓', 'one more or less of its last digit; with Shift ten'],
      ['Enter', 'counts, and done'],
      ['Escape', 'as it was'],
      ['1/2, 12*2, +10 %', 'are read; cups, ounces, 1 h 20 and 2 eggs too'],
    ],
  },
  {
    where: 'On the rule',
    keys: [
      ['← →', 'half a point of water'],
      ['Shift ← →', 'a tenth of a point'],
      ['Page Up, Page Down', 'five points'],
      ['Home, End', 'the ends of the rule'],
    ],
  },
  {
    where: 'At the bench',
    keys: [
      ['Space', 'the dark button: done, go on'],
      ['1 to 9', 'how it feels, what is at hand, what becomes of it'],
      ['← →', 'look back and ahead'],
    ],
  },
]

interface TermsProps {
  readonly title: string
  readonly terms: readonly (readonly [string, string])[]
  /** The one that was asked for. */
  readonly at?: string | null
}

function Terms({ title, terms, at = null }: TermsProps) {
  const asked = useRef<HTMLElement>(null)
  // After the panel has taken the focus for itself.
  useEffect(() => {
    const soon = setTimeout(() => {
      asked.current?.scrollIntoView({ block: 'center' })
      asked.current?.focus({ preventScroll: true })
    }, 60)
    return () => clearTimeout(soon)
  }, [at])
  return (
    <section className="mb-6">
      <h3 className="head mb-2 text-lg">{title}</h3>
      <dl className="flex flex-col gap-2 leading-snug">
        {terms.map(([term, words]) => (
          <div key={term} className={term === at ? 'border-l-5 border-ink pl-3' : ''}>
            <dt
              ref={term === at ? asked : undefined}
              tabIndex={term === at ? -1 : undefined}
              className="font-semibold outline-none"
            >
              {term}
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </section>
  )
}

/** What the stations are for, what the words mean, which keys there are. */
export default function Help({ at = null, onClose }: { at?: string | null; onClose: () => void }) {
  return (
    <SidePanel title="Help" onClose={onClose}>
      <Terms title="What each station is for" terms={stationWords} />
      <Terms title="What the words mean" terms={glossary} at={at} />
      {keys.map(({ where, keys: list }) => (
        <section key={where} className="mb-6">
          <h3 className="head mb-2 text-lg">Keys: {where.toLowerCase()}</h3>
          <dl className="grid grid-cols-[9rem_1fr] gap-y-2">
            {list.map(([key, what]) => (
              <div key={key} className="contents">
                <dt>
                  <span className="key">{key}</span>
                </dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
      <p className="small">On a Mac, Ctrl is the ⌘ key.</p>
    </SidePanel>
  )
}
