/** The text of a recipe, from a file or from what was pasted. */
import { formatNumber } from '@harina/core'
import { notifyTrouble } from '../../state/notify.ts'

/** What is longer is a book of recipes, or none, letters. */
const LONGEST = 400_000
/** No text is so long, bytes: an alphabet of four to the letter. */
const LARGEST = 4 * LONGEST
/** Files that are opened as text and are none. */
const NO_TEXT = /^%PDF|^PK|\0/

/** Old files are of one byte to the letter; without this their halves and degrees were lost. */
function decoded(bytes: Uint8Array): string {
  const mark = ((bytes[0] ?? 0) << 8) | (bytes[1] ?? 0)
  if (mark === 0xfffe) return new TextDecoder('utf-16le').decode(bytes)
  if (mark === 0xfeff) return new TextDecoder('utf-16be').decode(bytes)
  try {
    // As of a stream: what is too long may be cut within a letter.
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes, { stream: true })
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/** As much of it as is read; the maker is told where that is not all. */
export function recipeOf(text: string): string {
  if (text.length <= LONGEST) return text
  notifyTrouble(
    'Longer than any recipe',
    `Its first ${formatNumber(LONGEST, 0)} letters are read. Paste the one you want alone.`,
  )
  return text.slice(0, LONGEST)
}

/** Null, and the maker is told, where the file is no text. */
export async function recipeIn(file: File): Promise<string | null> {
  const text = await file
    .slice(0, LARGEST)
    .arrayBuffer()
    .then((buffer) => decoded(new Uint8Array(buffer)))
    .catch(() => null)
  if (text !== null && !NO_TEXT.test(text.slice(0, LONGEST))) return recipeOf(text)
  notifyTrouble(
    `${file.name} is no text`,
    'Open a recipe as text, Markdown or a web page; out of anything else, copy its words and paste them.',
  )
  return null
}
