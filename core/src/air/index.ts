export * from './airSensor.ts'
