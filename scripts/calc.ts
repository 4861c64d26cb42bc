/** The calculation port on the command line: `npm run -s calc < request.json`. See docs/calc.md. */
import { readFileSync } from 'node:fs'
import { calcText } from '@harina/core/calc'
import { ingredientTable } from '@harina/core/model'
import { ingredients } from '@harina/facts'

const answers = calcText(readFileSync(0, 'utf8'), ingredientTable(ingredients))
process.stdout.write(`${JSON.stringify(answers)}\n`)
process.exitCode = [answers].flat().every((answer) => answer.ok) ? 0 : 1
