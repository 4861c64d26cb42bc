import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import list from '../../docs/sentences.json'
import { sentencesInCode, sentencesOf } from './inCode.ts'

const client = join(__dirname, '../../web/src')

it('reads texts of the page, words in quotes and templates; figures are #', () => {
  const source = `
    import { x } from './not a sentence.ts'
    const words = { lead: 'Cover it, then judge.', one: \`About \${n} min, give or take\`, key: 'first-stop' }
    export const A = () => (
      <p className="flex items-baseline gap-3" aria-label="Name of the pot">
        Rest it for {minutes} min, <b>wrapped</b>.
        {isOld ? 'It has gone grey.' : null}
      </p>
    )
    throw new Error('never told to a maker')
  `
  expect(sentencesOf(source)).toEqual([
    'Cover it, then judge.',
    'About # min, give or take',
    'Rest it for # min, ‹›. #',
    'Name of the pot',
    'It has gone grey.',
  ])
})

it('every sentence of every station, drawer, panel, notice and Find stands in the list that a reviewer reads (npm run words writes it)', () => {
  const found = sentencesInCode(client)
  expect(found).toEqual(list)
  const files = Object.keys(found)
  for (const part of ['formula/drawers/', 'shape/', 'bench/panels/', 'dry/', 'pot/', 'log/', 'gear/'])
    expect(files.some((file) => file.startsWith(`stations/${part}`))).toBe(true)
  expect(files).toEqual(expect.arrayContaining(['app/findIndex.ts', 'state/failure.ts', 'app/Help.tsx']))
})

it('misses none that a maker can be seen to read: each toast of the sources is in it', () => {
  const all = new Set(Object.values(sentencesInCode(client)).flat())
  const toasts = [
    ...readFileSync(join(client, 'state/failure.ts'), 'utf8').matchAll(/notify(?:Trouble)?\(\s*'([^']+)'/g),
  ]
  expect(toasts.length).toBeGreaterThan(3)
  for (const [, words] of toasts) expect(all).toContain(words)
})
