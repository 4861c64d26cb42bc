import { existsSync } from 'node:fs'
import { join } from 'node:path'

/** The built client; tests run from the repository's root. */
export const clientDir = join(process.cwd(), 'web', 'dist')

if (!existsSync(join(clientDir, 'index.html'))) throw new Error('Build the client first: npm run build')
