/** Initial JavaScript, gzipped: the page's script and all it imports before anything is asked for. The budget is 190 kB. */
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join, normalize } from 'node:path'
import { fileURLToPath } from 'node:url'
import { gzipSync } from 'node:zlib'

const BUDGET_BYTES = 190_000
const dist = fileURLToPath(new URL('../web/dist', import.meta.url))
const page = join(dist, 'index.html')
if (!existsSync(page)) {
  process.stderr.write('Build the client first: npm run build\n')
  process.exit(1)
}

const html = readFileSync(page, 'utf8')
const pending = [...html.matchAll(/<script[^>]+src="\/([^"]+\.js)"/g)].map(([, path]) => path)
const seen = new Map()
while (pending.length > 0) {
  const path = pending.pop()
  if (seen.has(path)) continue
  const code = readFileSync(join(dist, path))
  seen.set(path, gzipSync(code, { level: 9 }).length)
  for (const [, found] of code.toString().matchAll(/(?:from|import)\s*["'`](\.{1,2}\/[^"'`]+\.js)["'`]/g))
    pending.push(normalize(join(dirname(path), found)))
}
if (seen.size === 0) throw new Error('no script found in index.html')
const total = [...seen.values()].reduce((sum, bytes) => sum + bytes, 0)
for (const [path, bytes] of [...seen].sort((a, b) => b[1] - a[1]))
  process.stdout.write(`${(bytes / 1000).toFixed(1).padStart(8)} kB  ${path}\n`)
process.stdout.write(`${(total / 1000).toFixed(1).padStart(8)} kB  of ${BUDGET_BYTES / 1000} kB at the start\n`)
const data = readdirSync(join(dist, 'assets')).filter((file) => file.endsWith('.json') && !file.includes('engravings'))
const dataBytes = data.reduce(
  (sum, file) => sum + gzipSync(readFileSync(join(dist, 'assets', file)), { level: 9 }).length,
  0,
)
process.stdout.write(`${(dataBytes / 1000).toFixed(1).padStart(8)} kB  of tables beside it, as data\n`)
process.exit(total <= BUDGET_BYTES ? 0 : 1)
