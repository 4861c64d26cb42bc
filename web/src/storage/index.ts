import { HarinaDatabase } from './database.ts'
import { createRepository } from './repository.ts'

export type { Repository } from './repository.ts'

/** The one store of this browser. Tests make their own from `createRepository`. */
export { PartWorkedOn } from './repository.ts'
export const repository = createRepository(new HarinaDatabase())
