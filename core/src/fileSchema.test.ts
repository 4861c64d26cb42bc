import published from '../../docs/harina-file.schema.json'
import { workspaceFileSchema } from './file/index.ts'
import { z } from './zod.ts'

it('the published JSON Schema is the one that reads (npm run schema writes it)', () => {
  expect(z.toJSONSchema(workspaceFileSchema, { io: 'input' })).toEqual(published)
})
