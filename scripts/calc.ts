/** The calculation port on the command line: `npm run -s calc < request.json`. See docs/calc.md. */
import { readFileSync } from 'node:fs'
import { calcText } from '@harina/core/calc'
import { ingredientTable } from '@harina/core/model'
import { doughs, ingredients, reader } from '@harina/facts'

const answers = calcText(readFileSync(0, 'utf8'), {
  ingredients: ingredientTable(ingredients),
  recipes: { ingredients, doughs, reader },
})
process.stdout.write(`${JSON.stringify(answers)}\n`)
process.exitCode = [answers].flat().every((answer) => answer.ok) ? 0 : 1
