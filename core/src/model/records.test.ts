import { benchEventSchema, RECORD_KINDS, records } from './index.ts'

const kindOf = (schema: { readonly _zod: { readonly def: { readonly type: string } } }) => schema._zod.def.type

it.each(RECORD_KINDS)('the schema of a %s is built when it is first asked for, not when the page begins', (kind) => {
  expect(kindOf(records[kind].schema)).toBe('lazy')
})

it('so is that of an event', () => {
  expect(kindOf(benchEventSchema)).toBe('lazy')
})

it('a schema that is built late refuses as one that is not', () => {
  expect(records.lot.schema.safeParse({ id: 'sack' }).success).toBe(false)
  expect(records.gear.schema.safeParse({ id: 'gear', more: true }).error?.issues[0]?.path).not.toBeUndefined()
})
