/** `npm run engrave`: makes the drawings of the table's shapes anew and keeps them beside it. A test holds them to each other. */
import { engrave, engravingKey, keptEngraving } from '@harina/core/engraving'
import { shapes } from '@harina/facts'
import { writeFileSync } from 'node:fs'

const made = new Map<string, string>()
for (const shape of shapes) {
  const key = engravingKey(shape)
  if (!made.has(key)) made.set(key, JSON.stringify(keptEngraving(engrave(shape))))
}
// A line a drawing, so that a change of one is a change of one.
const lines = [...made].map(([key, drawing]) => `${JSON.stringify(key)}:${drawing}`)
writeFileSync(new URL('../facts/engravings.json', import.meta.url), `{\n${lines.join(',\n')}\n}\n`)
