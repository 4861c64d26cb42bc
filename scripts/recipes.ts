/** How well recipes are read: the corpus, the fuzz, and how the time grows with the text. `npm run recipes` */
import { decode } from '@harina/core/recipe'
import { evenNumbers } from '@harina/core/testing'
import { mangled } from '@harina/facts/testing/mangle'
import { recipeTables, samples, scoreRecipes } from '@harina/facts/testing/recipes'

const row = (label: string, value: string, wanted = '') => console.log(label.padEnd(56), value.padStart(16), wanted)
const percent = (part: number, whole: number) => `${((100 * part) / whole).toFixed(1)} %`

const score = scoreRecipes(samples)
row('texts, and rows in them', `${score.texts}, ${score.rows}`, 'wanted 120 texts')
row('rows read right', percent(score.right, score.rows), 'wanted 97 %')
row('rows that nobody wrote', String(score.invented))
row('planted contradictions, found', `${score.planted}, ${score.found}`, 'wanted all')
row('false alarms, of all texts', percent(score.falseAlarms, score.texts), 'wanted 2 % at the most')
for (const line of score.wrong) console.log(`  ${line}`)

const TEXTS = 20_000
const even = evenNumbers(3)
let [longestMs, longestOf, bad] = [0, 0, 0]
for (let n = 0; n < TEXTS; n += 1) {
  const text = mangled(samples[Math.floor(even() * samples.length)]!.text, even)
  const began = performance.now()
  const { rows } = decode(text, recipeTables)
  const took = performance.now() - began
  if (took > longestMs) [longestMs, longestOf] = [took, text.length]
  if (!rows.every(({ grams, low, high }) => [grams, low, high].every((each) => Number.isFinite(each) && each >= 0)))
    bad += 1
}
row('mangled texts; with a gram that is none', `${TEXTS}, ${bad}`, 'wanted 0')
row('the slowest of them, ms, of so many characters', `${longestMs.toFixed(1)}, ${longestOf}`)

const whole = samples
  .filter(({ style }) => style !== 'json-ld' && style !== 'html')
  .map(({ text }) => text)
  .join('\n')
const hostile: readonly (readonly [string, string])[] = [
  ['recipes one after the other', whole],
  ['one sentence without an end', whole.replace(/[.;\n!?]/g, ' ')],
  ['figures alone', '1 '.repeat(2000)],
  ['open brackets', '('.repeat(4000)],
  ['tags that do not close', '<a '.repeat(2000)],
  ['bars', '| '.repeat(3000)],
  ['one word', 'flour'.repeat(1000)],
]
const msOf = (text: string) => {
  const began = performance.now()
  decode(text, recipeTables)
  return performance.now() - began
}
for (const [name, text] of hostile) {
  const long = (size: number) => text.repeat(Math.ceil(size / text.length)).slice(0, size)
  const [small, large] = [50_000, 200_000].map((size) => Math.min(...[0, 1, 2].map(() => msOf(long(size)))))
  row(
    `200 kB of ${name}, ms; times that of a quarter`,
    `${large!.toFixed(0)}, ${(large! / small!).toFixed(1)}`,
    'wanted 1000, near 4',
  )
}
