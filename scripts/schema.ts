/** `npm run schema`: writes the JSON Schema of the file format from the Zod schema that reads it. A test holds the two together. */
import { workspaceFileSchema, z } from '@harina/core'
import { writeFileSync } from 'node:fs'

const schema = z.toJSONSchema(workspaceFileSchema, { io: 'input' })
writeFileSync(new URL('../docs/harina-file.schema.json', import.meta.url), `${JSON.stringify(schema, null, 2)}\n`)
