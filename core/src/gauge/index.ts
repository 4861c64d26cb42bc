export * from './calibrate.ts'
export * from './gaugePage.ts'
export * from './gaugeSvg.ts'
