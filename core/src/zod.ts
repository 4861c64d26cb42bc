/** Zod without generated code, set before the first schema is built: the client's security headers forbid evaluation. */
import { config, z } from 'zod'

config({ jitless: true })

export { z }
