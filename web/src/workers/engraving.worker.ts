import { engrave } from '@harina/core/engraving'
import { expose } from 'comlink'

const api = { engrave }
export type EngravingApi = typeof api
expose(api)
