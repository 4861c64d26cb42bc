import { useEffect, useState } from 'react'

/** The wall clock, read anew every so often and whenever the page is shown again; never counted up. */
export function useNow(everyMs = 1000): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    const read = () => setNow(Date.now())
    const interval = setInterval(read, everyMs)
    document.addEventListener('visibilitychange', read)
    return () => {
      clearInterval(interval)
      document.removeEventListener('visibilitychange', read)
    }
  }, [everyMs])
  return now
}
