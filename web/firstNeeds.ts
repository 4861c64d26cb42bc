import type { HtmlTagDescriptor, Plugin } from 'vite'

/**
 * What the first screen needs is named in the page itself, so that it is fetched at once and side by side: the faces of type,
 * the tables, the station that a new maker lands on with all it imports. Found by the script, each would wait for the other.
 */
export const firstNeeds = (firstStation: string): Plugin => ({
  name: 'first-needs',
  transformIndexHtml: {
    order: 'post',
    handler(_, { bundle }) {
      if (!bundle) return []
      const station = Object.values(bundle).find(
        (file) => file.type === 'chunk' && file.moduleIds.includes(firstStation),
      )
      if (!station) throw new Error(`${firstStation} is in no chunk`)
      const scripts = new Set<string>()
      const entered = Object.values(bundle).find((file) => file.type === 'chunk' && file.isEntry)
      const add = (file: string, into: Set<string>) => {
        const chunk = bundle[file]
        if (into.has(file) || chunk?.type !== 'chunk') return
        into.add(file)
        for (const imported of chunk.imports) add(imported, into)
      }
      const named = new Set<string>()
      if (entered) add(entered.fileName, named)
      add(station.fileName, scripts)
      const link = (attrs: Record<string, string | boolean>): HtmlTagDescriptor => ({
        tag: 'link',
        attrs,
        injectTo: 'head',
      })
      const files = Object.keys(bundle)
      return [
        ...files
          .filter((file) => file.endsWith('.woff2'))
          .map((file) => link({ rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: true, href: `/${file}` })),
        ...[...scripts]
          .filter((file) => !named.has(file))
          .map((file) => link({ rel: 'modulepreload', crossorigin: true, href: `/${file}` })),
        ...files
          // Drawings are looked at later.
          .filter((file) => file.endsWith('.json') && file.startsWith('assets/') && !file.includes('engravings'))
          .map((file) => link({ rel: 'preload', as: 'fetch', crossorigin: true, href: `/${file}` })),
      ]
    },
  },
})
