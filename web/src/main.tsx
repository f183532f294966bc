import { MutationCache, notifyManager, QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Refused } from './api/client'
import { refresh } from './api/keys'
import { App } from './app/App'
import { offline } from './app/offline'
import './styles.css'
import { settle } from './ui/late'

/** Whatever is refused to a device that was signed out has the kitchen itself asked again, which says so. */
const noticeSignedOut = (error: Error, isKitchen: boolean) => {
  const signedOut = error instanceof Refused && error.status === 401
  if (signedOut && !isKitchen) refresh(client, '/api/kitchen')
}

// An answer is shown as soon as it is there, and not a turn of the browser's clock later.
notifyManager.setScheduler(queueMicrotask)

const client = new QueryClient({
  // A kitchen in the house is asked also where the browser has no internet.
  defaultOptions: {
    queries: { retry: 1, staleTime: 5_000, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
  queryCache: new QueryCache({
    onError: (error, query) => noticeSignedOut(error, query.queryKey[1] === '/api/kitchen'),
  }),
  mutationCache: new MutationCache({ onError: (error) => noticeSignedOut(error, false) }),
})

offline(client)

/** How long menus and tips wait in a view that has no first figure. */
const settleMS = 1_000
setTimeout(settle, settleMS)
window.addEventListener('online', settle)

const root = document.getElementById('root')
if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <App />
      </QueryClientProvider>
    </StrictMode>,
  )
}
