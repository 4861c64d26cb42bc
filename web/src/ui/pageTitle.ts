/** What the browser's tab says: the page, and over it whatever rings. */
import { useEffect } from 'react'

const APP = 'Harina'
let page = APP
let ringing: string | null = null

const show = () => {
  document.title = ringing ?? page
}

/** What is looked at, the nearest first: Stiff semolina · Rest, wrapped · Harina. */
export function usePageTitle(...parts: readonly (string | undefined)[]): void {
  const title = [...parts.filter((part) => part !== undefined), APP].join(' · ')
  useEffect(() => {
    page = title
    show()
  }, [title])
}

export function ringInTitle(words: string | null): void {
  ringing = words
  show()
}
