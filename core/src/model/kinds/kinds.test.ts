import * as file from '../../file/workspace.ts'
import * as schools from '../../sheet/index.ts'
import * as model from '../index.ts'

interface Built {
  readonly _zod: { readonly def: { readonly type: string } }
}
const isSchema = (value: unknown): value is Built => typeof value === 'object' && value !== null && '_zod' in value
const schemas = Object.entries<unknown>({ ...model, ...file, ...schools }).flatMap(([name, value]) =>
  isSchema(value) ? [{ name, type: value._zod.def.type }] : [],
)

it('every schema is built when it is first asked for, not while a page begins', () => {
  expect(schemas.length).toBeGreaterThan(40)
  expect(schemas.filter(({ type }) => type !== 'lazy')).toEqual([])
})

it('a schema that is built late refuses as one that is not', () => {
  const { kinds } = model
  expect(kinds.lot.schema.safeParse({ id: 'sack' }).success).toBe(false)
  expect(kinds.gear.schema.safeParse({ id: 'gear', more: true }).error?.issues[0]?.path).not.toBeUndefined()
})
