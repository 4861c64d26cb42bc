import { fileURLToPath } from 'node:url'
import { tellVisits } from './bench/visits.ts'
await tellVisits(fileURLToPath(new URL('../web/dist', import.meta.url)))
