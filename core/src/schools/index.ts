export * from './school.ts'
export * from './hazard.ts'
