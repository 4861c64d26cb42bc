/** Every `@example` that is written as a call is called: `name(what goes in) → what comes out`, as exact as it is written. */
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

interface Example {
  readonly file: string
  readonly call: string
  readonly gives: string
}

function examplesIn(file: string): readonly Example[] {
  const blocks = readFileSync(file, 'utf8').matchAll(/@example (.*?)\s*\*\//gs)
  return [...blocks].flatMap(([, text = '']) =>
    text
      .replaceAll(/\s*\n\s*\*\s*/g, ' ')
      .split(/;\s+/)
      .flatMap((each) => {
        const [, call, gives] = /^(\w+\(.*\)) → (.+)$/.exec(each) ?? []
        return call && gives ? [{ file, call, gives }] : []
      }),
  )
}

const files = readdirSync(__dirname, { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
  .map((name) => join(__dirname, name))
const examples = files.flatMap(examplesIn)

/** Of a result its value; of numbers only as many decimals as the example has; of a record only what the example names. */
function asWritten(found: unknown, written: unknown): unknown {
  if (typeof found === 'number' && typeof written === 'number') {
    const decimals = String(written).split('.')[1]?.length ?? 0
    return Number(found.toFixed(decimals))
  }
  if (Array.isArray(found) && Array.isArray(written)) return found.map((each, at) => asWritten(each, written[at]))
  if (typeof found !== 'object' || found === null) return found
  if ('ok' in found && 'value' in found) return asWritten(found.value, written)
  if (typeof written !== 'object' || written === null) return found
  return Object.fromEntries(Object.entries(written).map(([key, each]) => [key, asWritten(found[key as never], each)]))
}

it('there are examples to call', () => {
  expect(examples.length).toBeGreaterThan(60)
})

it.each(examples)('$call → $gives', async ({ file, call, gives }) => {
  const module = (await import(file)) as Readonly<Record<string, unknown>>
  const read = (source: string): unknown =>
    new Function(...Object.keys(module), `return ${source}`)(...Object.values(module))
  const written = read(`(${gives})`)
  expect(asWritten(read(call), written)).toEqual(written)
})
