/** What of a recipe came to nothing: told with what to do, never dropped. */
import type { Unread } from '@harina/core/recipe'
import { unreadWords } from '../../words/index.ts'
import { NotOfTheDough, WhatIsIt, type Settling } from './WhatIsIt.tsx'

interface Props extends Settling {
  readonly unread: readonly Unread[]
}

export function NotUnderstood({ unread, ...settling }: Props) {
  if (unread.length === 0) return null
  return (
    <section aria-label="Not understood">
      <h3 className="font-semibold">Not understood</h3>
      <ul>
        {unread.map(({ text, why, name }) => (
          <li key={text} className="flex flex-wrap items-baseline gap-x-3 border-b border-line py-1 leading-snug">
            <q>{text}</q>
            <span className="small">{unreadWords[why]}</span>
            {name !== null &&
              (why === 'unknown' ? (
                <WhatIsIt name={name} {...settling} />
              ) : (
                <NotOfTheDough name={name} onSettle={settling.onSettle} />
              ))}
          </li>
        ))}
      </ul>
    </section>
  )
}
