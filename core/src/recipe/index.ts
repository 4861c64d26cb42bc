export * from './tables.ts'
export { decode, type Decoded, type DecodedRow, type DecodeOptions, type Told } from './decode.ts'
export { CONTRADICTIONS, type Contradiction, type ContradictionCode } from './contradictions.ts'
