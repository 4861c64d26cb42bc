/** A scale as the bench sees it: readings come, acts go. What stands behind it is nobody's business there. */
import { scaleReadingSchema, type ScaleAct, type ScaleReading } from '@harina/core'

export type Line = 'looking' | 'live' | 'lost'

export interface ScaleListener {
  onReading(reading: ScaleReading): void
  onLine(line: Line): void
}

export interface Scale {
  /** Listens until the returned function is called; a line that is lost is looked for again by itself. */
  listen(listener: ScaleListener): () => void
  /** Throws where nobody answers. */
  act(act: ScaleAct): Promise<void>
}

const ADDRESS = '/instruments/scale'
/** A browser gives a refused stream up for good; we do not. */
const AGAIN_MS = 1500

/** The scale that ships with the product, played by the server. */
export const playedScale: Scale = {
  listen({ onReading, onLine }) {
    let source: EventSource | null = null
    let again: ReturnType<typeof setTimeout> | null = null
    let over = false
    const connect = () => {
      if (over) return
      source = new EventSource(ADDRESS)
      source.onmessage = ({ data }: MessageEvent<string>) => {
        const read = scaleReadingSchema.safeParse(JSON.parse(data))
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
    const answer = await fetch(ADDRESS, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(act),
    })
    if (!answer.ok) throw new Error(`the scale did not take it: ${answer.status}`)
  },
}
