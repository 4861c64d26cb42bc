// What jsdom lacks and the client uses; each stands in with the least that behaves.
import 'fake-indexeddb/auto'
import { TextEncoder } from 'node:util'
import { deserialize, serialize } from 'node:v8'

globalThis.structuredClone ??= (value) => deserialize(serialize(value))
globalThis.TextEncoder ??= TextEncoder
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
}
globalThis.matchMedia ??= () => ({ matches: false, addEventListener() {}, removeEventListener() {} })
if (globalThis.Element) Element.prototype.scrollTo ??= () => undefined
if (globalThis.HTMLCanvasElement) HTMLCanvasElement.prototype.getContext = () => null
