/**
 * `npm run words`: writes down every sentence the app says, once, for a reader. In `docs/words.json` what is said of a dough as a
 * shape by a school, as the screens say it: # is a figure, ‹…› a name, and after it the families it is said to. In
 * `docs/sentences.json` all that stands in the code, by file. Sentences of the tables are read in the tables. Tests hold both.
 */
import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { everythingSaid, sentences } from '../../web/src/testing/said.tsx'
import { schoolsTable } from '../../web/src/testing/schoolsTable.ts'
import { sentencesInCode } from './inCode.ts'

const root = new URL('../../', import.meta.url)
const write = (name, list) => writeFileSync(new URL(`docs/${name}`, root), `${JSON.stringify(list, null, 2)}\n`)
writeFileSync(new URL('docs/schools.md', root), schoolsTable())
write('words.json', sentences(everythingSaid()))
write('sentences.json', sentencesInCode(fileURLToPath(new URL('web/src', root))))
