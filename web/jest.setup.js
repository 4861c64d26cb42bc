// What jsdom lacks and the client uses; each stands in with the least that behaves.
import 'fake-indexeddb/auto'
import { TextDecoder, TextEncoder } from 'node:util'
import { deserialize, serialize } from 'node:v8'

globalThis.structuredClone ??= (value) => deserialize(serialize(value))
globalThis.TextEncoder ??= TextEncoder
globalThis.TextDecoder ??= TextDecoder
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
}
globalThis.matchMedia ??= () => ({ matches: false, addEventListener() {}, removeEventListener() {} })
if (globalThis.Element) {
  Element.prototype.scrollTo ??= () => undefined
  Element.prototype.scrollIntoView ??= () => undefined
}
if (globalThis.HTMLCanvasElement) HTMLCanvasElement.prototype.getContext = () => null

// The test browser works out its whole default sheet for every element that is named, a quarter of all the time. No other sheet
// is loaded here, so what an element is by its name, and what it says of itself, is all there is to know.
if (globalThis.window) {
  const block = new Set(
    (
      'address article aside blockquote body center dd details dialog dir div dl dt fieldset figcaption figure footer form ' +
      'h1 h2 h3 h4 h5 h6 header hgroup hr html legend li listing main menu nav ol optgroup option p plaintext pre search ' +
      'section summary ul xmp'
    ).split(' '),
  )
  const own = new Set('button input select textarea table tbody thead tfoot tr td th caption img'.split(' '))
  const displayOf = (element) => {
    const tag = element.localName
    return element.hidden ? 'none' : block.has(tag) ? 'block' : own.has(tag) ? 'inline-block' : ''
  }
  window.getComputedStyle = (element) => {
    const valueOf = (name) =>
      element.style?.getPropertyValue(name) ||
      (name === 'display' ? displayOf(element) : name === 'visibility' ? 'visible' : '')
    return new Proxy(
      { getPropertyValue: valueOf },
      { get: (target, name) => (typeof name === 'symbol' ? undefined : (target[name] ?? valueOf(name))) },
    )
  }
}
