import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import type { Plugin } from 'vite'
import type { RawTables } from './src/state/tables.ts'

/** All that the client reads: a table more there does not compile without its place here. */
const READ: Readonly<Record<keyof RawTables, true>> = {
  ingredients: true,
  doughs: true,
  shapes: true,
  schools: true,
  sauces: true,
  presses: true,
  troubles: true,
}
const TABLES = Object.keys(READ)

const fileOf = (table: string) => fileURLToPath(new URL(`../facts/${table}.json`, import.meta.url))
const together = () =>
  JSON.stringify(Object.fromEntries(TABLES.map((table) => [table, JSON.parse(readFileSync(fileOf(table), 'utf8'))])))

const ID = 'virtual:fact-tables'
const SERVED_AT = '/fact-tables.json'

/**
 * The address of the tables, as one file of data: seven that are asked for each by itself cost a slow device a twentieth of the
 * time until it shows something.
 */
export const factTables = (): Plugin => {
  let isBuild = true
  return {
    name: 'fact-tables',
    configResolved({ command }) {
      isBuild = command === 'build'
    },
    configureServer({ middlewares }) {
      middlewares.use(SERVED_AT, (_, answer) => {
        answer.setHeader('Content-Type', 'application/json')
        answer.end(together())
      })
    },
    resolveId: (id) => (id === ID ? `\0${ID}` : undefined),
    load(id) {
      if (id !== `\0${ID}`) return undefined
      if (!isBuild) return `export default ${JSON.stringify(SERVED_AT)}`
      for (const table of TABLES) this.addWatchFile(fileOf(table))
      const file = this.emitFile({ type: 'asset', name: 'tables.json', source: together() })
      return `export default import.meta.ROLLUP_FILE_URL_${file}`
    },
  }
}
