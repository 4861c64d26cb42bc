/** A line to an instrument of the kitchen: readings come, acts go. A lost one is looked for again by itself. */
import type { z } from '@harina/core'

export type Line = 'looking' | 'live' | 'lost'

export interface Listener<Reading> {
  onReading(reading: Reading): void
  onLine(line: Line): void
}

/** As the app sees it: what stands behind it is nobody's business there. */
export interface Instrument<Reading, Act> {
  /** Listens until the returned function is called. */
  listen(listener: Listener<Reading>): () => void
  /** Throws where nobody answers. */
  act(act: Act): Promise<void>
}

/** A browser gives a refused stream up for good; we do not. */
const AGAIN_MS = 1500

/** One that ships with the product, played by the server. */
export function playedInstrument<Reading, Act>(
  address: string,
  schema: z.ZodMiniType<Reading>,
): Instrument<Reading, Act> {
  return {
    listen({ onReading, onLine }) {
      let source: EventSource | null = null
      let again: ReturnType<typeof setTimeout> | null = null
      let over = false
      const connect = () => {
        if (over) return
        source = new EventSource(address)
        source.onmessage = ({ data }: MessageEvent<string>) => {
          const read = schema.safeParse(JSON.parse(data))
          if (!read.success) return
          onLine('live')
          onReading(read.data)
        }
        source.onerror = () => {
          onLine('lost')
          source?.close()
          again = setTimeout(connect, AGAIN_MS)
        }
      }
      onLine('looking')
      connect()
      return () => {
        over = true
        if (again) clearTimeout(again)
        source?.close()
      }
    },
    async act(act) {
      const answer = await fetch(address, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(act),
      })
      if (!answer.ok) throw new Error(`${address} did not take it: ${answer.status}`)
    },
  }
}
