/** Typing over a figure: what a hand does to the field, and when what it typed counts. */
import { formatNumber, isRefusal, type Problem, type Result } from '@harina/core'
import {
  useDeferredValue,
  useEffect,
  useEffectEvent,
  useLayoutEffect,
  useRef,
  useState,
  type FormEvent,
  type KeyboardEvent,
  type MouseEvent,
} from 'react'
import { noteRefusal } from './refusal.ts'

/** How a field was left: what was typed in it counts, or it was given up or could not be read, and nothing of it counts. */
export type Left = 'read' | 'unread'

interface Typing {
  /** Shown while nobody types. */
  readonly shown: string
  /** What the text says; `from` is what stood there before, for an answer relative to it. */
  readonly read: (text: string, from?: number) => Result<number>
  /** Takes a good number. It may answer with a refusal; what was there before then stays. Any other answer is none. */
  readonly onChange: (value: number) => unknown
  /** Left as unread it puts back what stood before; without it what was shown is given once more. */
  readonly onDone?: ((left: Left) => void) | undefined
}

const plain = (shown: string): string => shown.replace(/\u202f/g, '')

/** One more or less of the last digit that stands there. @example 48.7 up → 48.8 */
function stepped(text: string, by: number): string | null {
  const read = /^[-−]?\d+(?:[.,](\d+))?$/.exec(text.trim())
  if (!read) return null
  const decimals = read[1]?.length ?? 0
  const value = Number(text.trim().replace(',', '.').replace('−', '-')) + by / 10 ** decimals
  return plain(formatNumber(value, decimals)).replace('−', '-')
}

/** How long it is said that something was not read. */
const SAID_MS = 8000

/** What was typed and has not counted, once the field is left: said beside what stands there. */
function useUnread() {
  const [unread, setUnread] = useState<string | null>(null)
  useEffect(() => {
    if (unread === null) return
    const over = setTimeout(() => setUnread(null), SAID_MS)
    return () => clearTimeout(over)
  }, [unread])
  return [unread, setUnread] as const
}

/**
 * A keystroke is on the screen at once and counts right after, so that on a slow device no letter waits for the sheet to be
 * worked out. What does not read as a whole is `wrong` and changes nothing; left so, all that was typed is taken back and is
 * `unread` for a while.
 */
export function useTyped({ shown, read, onChange, onDone }: Typing) {
  const [typed, setTyped] = useState<string | null>(null)
  const [wrong, setWrong] = useState<Problem | null>(null)
  const [unread, setUnread] = useUnread()
  /** What stood there before anything was typed; Escape brings it back. */
  const before = useRef(shown)
  const input = useRef<HTMLInputElement>(null)
  /** Focused and not yet typed into: all of it stands selected. */
  const fresh = useRef(false)
  // At once, not a frame later: a digit typed meanwhile would be selected too, and lost to the next.
  useLayoutEffect(() => {
    if (fresh.current && typed !== null) input.current?.select()
  }, [typed])

  /** What was typed last, what of it has counted, and whether anything has. */
  const last = useRef<string | null>(null)
  const counted = useRef<string | null>(null)
  const moved = useRef(false)

  const stood = (): number | undefined => {
    const was = read(before.current)
    return was.ok ? was.value : undefined
  }
  /** Whether what is typed counts. */
  const count = (): boolean => {
    if (last.current === null || last.current === counted.current) return wrong === null
    counted.current = last.current
    const value = read(last.current, stood())
    const taken = value.ok ? onChange(value.value) : value
    const refused = isRefusal(taken) ? taken.problem : null
    if (!refused) moved.current = true
    setWrong(refused)
    return refused === null
  }
  const countAfter = useEffectEvent(count)
  // Drawn with it once the letter is on the screen; a field that goes meanwhile takes nothing along.
  const drawn = useDeferredValue(typed)
  useEffect(() => void countAfter(), [drawn])
  const isOpen = typed !== null
  useEffect(() => {
    if (!isOpen) return
    const leave = () => void countAfter()
    // Before it is asked whether anything waits to be stored.
    addEventListener('beforeunload', leave, { capture: true })
    return () => {
      removeEventListener('beforeunload', leave, { capture: true })
      leave()
    }
  }, [isOpen])

  /** What has counted on the way is taken back. */
  const giveUp = () => {
    const was = stood()
    if (moved.current && !onDone && was !== undefined) onChange(was)
    onDone?.('unread')
    moved.current = false
  }
  const change = (text: string) => {
    fresh.current = false
    last.current = text
    setTyped(text)
  }
  const done = () => {
    const counts = count()
    if (counts) onDone?.('read')
    else {
      giveUp()
      noteRefusal()
      setUnread(last.current)
    }
    last.current = counted.current = null
    moved.current = false
    setTyped(null)
    setWrong(null)
  }
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') event.currentTarget.blur()
    const by = { ArrowUp: 1, ArrowDown: -1 }[event.key]
    const next =
      by === undefined || event.altKey ? null : stepped(event.currentTarget.value, event.shiftKey ? 10 * by : by)
    if (next !== null) {
      event.preventDefault()
      if (read(next).ok) change(next)
    }
    if (event.key === 'Escape' && typed !== before.current) {
      event.stopPropagation()
      giveUp()
      last.current = counted.current = before.current
      fresh.current = true
      setWrong(null)
      setTyped(before.current)
    }
  }
  const field = {
    ref: input,
    value: typed ?? shown,
    onFocus: () => {
      fresh.current = true
      before.current = plain(shown)
      counted.current = before.current
      setUnread(null)
      setTyped(before.current)
    },
    // A press sets the caret after the focus came; the first one selects all the same.
    onMouseUp: (event: MouseEvent<HTMLInputElement>) => {
      if (fresh.current) event.currentTarget.select()
      fresh.current = false
    },
    onChange: (event: FormEvent<HTMLInputElement>) => change(event.currentTarget.value),
    onBlur: done,
    onKeyDown,
  }
  return { field, wrong, unread }
}
