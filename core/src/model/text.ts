import { z } from '../zod.ts'

/** Control characters have no place in a name; a tab or a line break has one in a note. */
// eslint-disable-next-line no-control-regex
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\u202a-\u202e\u2066-\u2069]/
const MARKUP = /<[a-z/!?]/i

const isPlain = (text: string): boolean => !CONTROL.test(text) && !MARKUP.test(text)

/** Words of a table: anything but none. */
export const someText = z.lazy(() => z.string().check(z.minLength(1)))

/** Words a maker wrote. Markup and control characters are refused: nothing here is ever read as a page. */
const plainText = (max: number) =>
  z.string().check(z.maxLength(max), z.refine(isPlain, { params: { code: 'not-plain-text' } }))

/** Words a maker wrote, at least one character and at most so many. */
export const wordsOf = (max: number) => plainText(max).check(z.minLength(1))
export const nameSchema = z.lazy(() => wordsOf(120))
/** A sentence. */
export const lineSchema = z.lazy(() => wordsOf(400))
export const noteSchema = z.lazy(() => plainText(4000))

/** Turns anything typed or pasted into what the schemas above accept; used where text enters the app. */
export const plainTextFrom = (typed: string, max: number): string =>
  typed
    .replace(new RegExp(CONTROL, 'g'), '')
    .replace(/<(?=[a-z/!?])/gi, '‹')
    .slice(0, max)

/** Names that every object answers to; nothing of ours is called so, whatever it is looked up in. */
const TAKEN: ReadonlySet<string> = new Set(Object.getOwnPropertyNames(Object.prototype))

export const idSchema = z.lazy(() =>
  z.string().check(
    z.regex(/^[A-Za-z0-9_-]{1,64}$/),
    z.refine((id) => !TAKEN.has(id), { params: { code: 'name-taken' } }),
  ),
)

const FIRST_MS = Date.UTC(1970, 0, 1)
const LAST_MS = Date.UTC(2200, 0, 1)
/** The longest that two times of a record can lie apart, ms. */
export const LONGEST_MS = LAST_MS - FIRST_MS

/** ISO 8601 with an offset, as every time in a record; of this century or the ones beside it. */
export const timeSchema = z.lazy(() =>
  z.iso.datetime({ offset: true }).check(
    z.refine(
      (time) => {
        const ms = Date.parse(time)
        return ms >= FIRST_MS - 86_400_000 && ms < LAST_MS
      },
      { params: { code: 'time-out-of-range' } },
    ),
  ),
)
