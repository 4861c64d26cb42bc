export { generateWorkspace } from './generate.ts'
