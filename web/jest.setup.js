// jsdom has no structuredClone; fake-indexeddb stores by it.
import { deserialize, serialize } from 'node:v8'

globalThis.structuredClone ??= (value) => deserialize(serialize(value))
