import type { QueryClient } from '@tanstack/react-query'
import { hasMarks, sendMarks } from '../api/outbox'
import { fetchViews } from './views'

/** What opening the page is busy with comes first. */
const registerAfterMS = 8_000
const tryAgainMS = 4_000

/** offline has marks sent once the kitchen is reached again, and the page kept for when it is not, where the browser allows it. */
export function offline(client: QueryClient) {
  const send = async () => {
    if (hasMarks() && (await sendMarks())) client.invalidateQueries()
  }
  window.addEventListener('online', send)
  setInterval(send, tryAgainMS)
  setTimeout(() => {
    if (import.meta.env.PROD && 'serviceWorker' in navigator)
      navigator.serviceWorker.register('/sw.js').catch(fetchViews)
    else fetchViews()
  }, registerAfterMS)
}
