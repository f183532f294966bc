import { useEffect, useState } from 'react'
import { copy } from '../copy'

/** A phone in a pocket: two short ones and a long one. */
const pattern = [200, 100, 200, 100, 500]

const hasNotifications = () => window.isSecureContext && 'Notification' in window

/** useNotified has the phone shake, and the system say which timers are up, where that is allowed. */
export function useNotified(names: string[]) {
  const said = names.join(', ')
  useEffect(() => {
    if (said === '') return
    navigator.vibrate?.(pattern)
    if (!hasNotifications() || Notification.permission !== 'granted' || !document.hidden) return
    const notice = { tag: 'timer', icon: '/ladle-192.png' }
    // a page that is installed may notify through its worker only
    const worker = navigator.serviceWorker?.controller ? navigator.serviceWorker.ready : undefined
    if (worker) worker.then((w) => w.showNotification(copy.app.timeIsUp(said), notice))
    else new Notification(copy.app.timeIsUp(said), notice)
  }, [said])
}

/** useAsking is whether the browser may still be asked to notify, and asks. */
export function useAsking() {
  const [state, setState] = useState(hasNotifications() ? Notification.permission : 'denied')
  return { canAsk: state === 'default', ask: () => Notification.requestPermission().then(setState) }
}
