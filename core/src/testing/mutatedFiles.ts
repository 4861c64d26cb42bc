/** Files of every version, each with something in it that no Harina wrote: what a hostile hand, a bad copy or a slip would leave. */
import sample1 from '../../fixtures/workspace-1.harina.json'
import sample2 from '../../fixtures/workspace-2.harina.json'
import sample3 from '../../fixtures/workspace-3.harina.json'
import sample4 from '../../fixtures/workspace-4.harina.json'
import sample5 from '../../fixtures/workspace-5.harina.json'
import sample6 from '../../fixtures/workspace-6.harina.json'
import sample7 from '../../fixtures/workspace-7.harina.json'
import sample8 from '../../fixtures/workspace-8.harina.json'
import sample9 from '../../fixtures/workspace-9.harina.json'
import sample10 from '../../fixtures/workspace-10.harina.json'
import sample11 from '../../fixtures/workspace-11.harina.json'
import sample12 from '../../fixtures/workspace-12.harina.json'

const samples: readonly unknown[] = [
  ...[sample1, sample2, sample3, sample4, sample5, sample6, sample7, sample8, sample9, sample10, sample11, sample12],
]

/** The same numbers for the same seed (mulberry32). */
export function chanceFrom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), state | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32
  }
}

/** A number written as no `JSON.stringify` writes it: put in as text. */
const asText = (text: string) => `@@${text}@@`

const odd: readonly unknown[] = [
  ...[null, true, false, '', 'x', 'constructor', '__proto__', 'toString', 'hasOwnProperty', '<b>x</b>', '\u202e'],
  ...[0, -1, 1, 0.1, 1e-12, 999_999, 1_000_000, 1_000_001, 1e15, 2 ** 53, -1e9],
  ...[asText('1e21'), asText('5e-324'), asText('1e308'), asText('-0'), asText('1e400')],
  ...[[], {}, [null], [[]], { valueOf: 1, toString: 1 }, { constructor: { prototype: {} } }],
  ...['2031-03-01T09:00:00+00:00', '0001-01-01T00:00:00Z', '9999-12-31T23:59:59Z', '2031-13-41T99:00:00Z'],
]

type Holder = Record<string, unknown> | unknown[]
const isHolder = (value: unknown): value is Holder => typeof value === 'object' && value !== null
const keysOf = (holder: Holder): string[] => Object.keys(holder)

/** Walks down from the top, a random way, to something held. */
function somewhere(root: Holder, chance: () => number): { holder: Holder; key: string } {
  let holder = root
  for (;;) {
    const keys = keysOf(holder)
    const key = keys[Math.floor(chance() * keys.length)] ?? 'x'
    const held = (holder as Record<string, unknown>)[key]
    if (!isHolder(held) || keysOf(held).length === 0 || chance() < 0.08) return { holder, key }
    holder = held
  }
}

function mutate(root: Holder, chance: () => number): void {
  const { holder, key } = somewhere(root, chance)
  const held = holder as Record<string, unknown>
  const pick = <T>(all: readonly T[]): T => all[Math.floor(chance() * all.length)] as T
  switch (Math.floor(chance() * 8)) {
    case 0:
      if (Array.isArray(holder)) holder.splice(Number(key), 1)
      else Reflect.deleteProperty(holder, key)
      return
    case 1:
      if (Array.isArray(holder)) holder.push(holder[Number(key)])
      else held[pick(['extra', 'constructor', '__proto__', 'valueOf'])] = held[key]
      return
    case 2: {
      const other = somewhere(root, chance)
      held[key] = (other.holder as Record<string, unknown>)[other.key]
      return
    }
    case 3:
      if (typeof held[key] === 'number') held[key] = (held[key] as number) * pick([-1, 0, 1e-9, 10, 1000, 1e9])
      return
    default:
      held[key] = pick(odd)
  }
}

/** The text of one such file; from the same seed the same. */
export function mutatedFile(seed: number): string {
  const chance = chanceFrom(seed)
  const sample = samples[seed % samples.length]
  const root = JSON.parse(JSON.stringify(sample)) as Holder
  for (let times = 1 + Math.floor(chance() * 3); times > 0; times -= 1) mutate(root, chance)
  try {
    return JSON.stringify(root).replace(/"@@(.*?)@@"/g, '$1')
  } catch {
    // A part moved into itself.
    return JSON.stringify(sample)
  }
}
