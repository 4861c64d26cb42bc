/** What a worker makes of a question: one at a time, the latest next, so that a slow device falls behind but is never silent. */
import { useEffect, useEffectEvent, useRef, useState } from 'react'

export interface Answer<Q, A> {
  /** To the question as it stands; null until it is there. */
  readonly answer: A | null
  /** The last one there was, to whichever question: it stands until the next is there. */
  readonly last: { readonly question: Q; readonly answer: A } | null
  /** It could not be worked out. */
  readonly failed: boolean
}

interface Options {
  /** The question is asked once it has stood so long, ms. */
  readonly quietMs?: number
  /** What is under way is given up for a newer question, not finished first. */
  readonly givesUp?: boolean
}

/**
 * Asks each question once; null asks nothing. Questions are told apart by `Object.is`: what is made anew at each drawing is
 * handed in as a text, or kept by the caller.
 */
export function useAnswer<Q, A>(
  question: Q | null,
  ask: (question: Q, signal: AbortSignal) => Promise<A>,
  { quietMs = 0, givesUp = false }: Options = {},
): Answer<Q, A> {
  const [last, setLast] = useState<{ readonly question: Q; readonly answer: A } | null>(null)
  const [failed, setFailed] = useState<{ readonly question: Q } | null>(null)
  const wanted = useRef<Q | null>(null)
  const running = useRef<AbortController | null>(null)
  const put = useEffectEvent(ask)

  useEffect(() => () => running.current?.abort(), [])
  useEffect(() => {
    wanted.current = question
    if (question === null) return
    if (givesUp) running.current?.abort()
    const work = async () => {
      if (running.current && !running.current.signal.aborted) return
      const control = new AbortController()
      running.current = control
      for (let next = wanted.current; next !== null && !control.signal.aborted; next = wanted.current) {
        wanted.current = null
        const asked = next
        try {
          const answer = await put(asked, control.signal)
          if (!control.signal.aborted) setLast({ question: asked, answer })
        } catch {
          if (!control.signal.aborted) setFailed({ question: asked })
        }
      }
      if (running.current === control) running.current = null
    }
    if (quietMs === 0) {
      void work()
      return
    }
    const timer = setTimeout(() => void work(), quietMs)
    return () => clearTimeout(timer)
  }, [question, quietMs, givesUp])

  const isIt = (of: { readonly question: Q } | null) =>
    question !== null && of !== null && Object.is(of.question, question)
  return { answer: isIt(last) ? last!.answer : null, last, failed: isIt(failed) && !isIt(last) }
}
