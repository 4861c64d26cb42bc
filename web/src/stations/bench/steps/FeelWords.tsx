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
    <div role="group" aria-label="How does it feel?" className="grid grid-cols-6 md:grid-cols-5">
      {FEELS.map((word, index) => (
        <button
          key={word}
          type="button"
          aria-pressed={chosen === word}
          className={`press -mt-px -ml-px flex min-h-21 flex-col items-center justify-center md:justify-start md:pt-5 md:pb-4 ${index < 2 ? 'col-span-3' : 'col-span-2'} md:col-span-1`}
          onClick={() => onSay(word)}
        >
          <span className="whitespace-nowrap">
            <span className="figure mr-2 text-label opacity-75">{index + 1}</span>
            <span className="head text-xl md:text-3xl">{feelWords[word]}</span>
          </span>
          {looks && <span className="mt-2 hidden text-label leading-snug md:block">{looks[word]}</span>}
        </button>
      ))}
    </div>
  )
}
