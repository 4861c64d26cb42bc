/** The kinds of request the port answers: for each its schema and the function of the core behind it. */
import { alkaliKinds } from './alkaliKinds.ts'
import { formulaKinds } from './formulaKinds.ts'
import { geometryKinds } from './geometryKinds.ts'
import { heatKinds } from './heatKinds.ts'
import type { Kind } from './kind.ts'

export const kinds: Readonly<Record<string, Kind>> = { ...formulaKinds, ...alkaliKinds, ...heatKinds, ...geometryKinds }
