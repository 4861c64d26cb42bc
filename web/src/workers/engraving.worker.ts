import { crossSection, engrave } from '@harina/core/engraving'
import { expose } from 'comlink'

const api = { engrave, crossSection }
export type EngravingApi = typeof api
expose(api)
