/**
 * `npm run words`: writes down every sentence the app says, once, for a reader: # is a figure, ‹…› a name, and after it the
 * families it is said to. Sentences of the tables are read in the tables. A test holds the list to what the screens say.
 */
import { writeFileSync } from 'node:fs'
import { everythingSaid, sentences } from '../web/src/testing/said.tsx'

const list = sentences(everythingSaid())
writeFileSync(new URL('../docs/words.json', import.meta.url), `${JSON.stringify(list, null, 2)}\n`)
