/** The calculation port on the command line: `npm run -s calc < request.json`. See docs/calc.md. */
import { readFileSync } from 'node:fs'
import { calcText } from '@harina/core/calc'
import { calcTables } from '@harina/facts/calc'

const answers = calcText(readFileSync(0, 'utf8'), calcTables)
process.stdout.write(`${JSON.stringify(answers)}\n`)
process.exitCode = [answers].flat().every((answer) => answer.ok) ? 0 : 1
