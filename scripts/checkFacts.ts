/** Before each build: the tables fit their schemas, or nothing is built. */
import { tableProblems } from '@harina/facts/check'

const problems = tableProblems()
for (const problem of problems) process.stderr.write(`${problem}\n`)
process.exitCode = problems.length === 0 ? 0 : 1
