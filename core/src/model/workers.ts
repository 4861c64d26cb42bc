/** By hand or by machine: a mixer with hook and paddle, a food processor with its blade. */
export const WORKERS = ['hand', 'mixer', 'processor'] as const
export type Worker = (typeof WORKERS)[number]
