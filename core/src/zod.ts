/** Zod without generated code, set before the first schema is built: the client's security headers forbid evaluation. */
import * as z from 'zod/mini'

z.config({ jitless: true })

export { z }
