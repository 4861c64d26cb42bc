import { fileURLToPath } from 'node:url'
import { tellManyBatches } from './manyBatches.ts'
await tellManyBatches(fileURLToPath(new URL('../../web/dist', import.meta.url)), Number(process.argv[2] ?? 10_000))
