import { FEELS, type Dough, type Feel } from '@harina/core'
import { feelWords } from '#web/words/index.ts'

interface Props {
  readonly chosen: Feel | null
  /** What each word looks like in this dough. */
  readonly looks: Dough['feel'] | undefined
  readonly onSay: (feel: Feel) => void
}

/** Five words, the same everywhere; the digits say them too. */
export function FeelWords({ chosen, looks, onSay }: Props) {
  return (
    <div role="group" aria-label="How does it feel?" className="grid md:grid-cols-5">
      {FEELS.map((word, index) => (
        <button
          key={word}
          type="button"
          aria-pressed={chosen === word}
          className="press -mt-px -ml-px flex min-h-15 items-center gap-3 py-1 text-left md:min-h-21 md:flex-col md:items-center md:gap-0 md:pt-5 md:pb-4 md:text-center"
          onClick={() => onSay(word)}
        >
          <span className="w-28 shrink-0 whitespace-nowrap md:w-auto">
            <span className="figure mr-2 text-label opacity-75">{index + 1}</span>
            <span className="head text-xl md:text-3xl">{feelWords[word]}</span>
          </span>
          {looks && <span className="text-sm leading-tight md:mt-2 md:text-label md:leading-snug">{looks[word]}</span>}
        </button>
      ))}
    </div>
  )
}
