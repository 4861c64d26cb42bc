/** The demo's sixteen formulas at a fixed moment, without its batches: what tests of drawers and shapes lay out. */
import { generateWorkspace } from '@harina/demo'

export const demoWorkspace = { ...generateWorkspace(Date.parse('2031-11-08T10:20:00Z')), batches: [] }
