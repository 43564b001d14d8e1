import { promiseTimeout } from '@vueuse/core'

/** On a first visit the screen itself comes first. */
const LATER_MS = 5_000

/** Installs the service worker, and gives it the page: the first visit is enough to start without a signal. */
export async function keepClientOnDevice(): Promise<void> {
  if (!('serviceWorker' in navigator)) return
  await promiseTimeout(navigator.serviceWorker.controller === null ? LATER_MS : 0)
  try {
    await navigator.serviceWorker.register('/sw.js')
    await navigator.serviceWorker.ready
    await (await caches.open('page')).add('/')
  } catch (error) {
    // Without it the client works on, with a signal.
    console.warn('The client could not be stored on this device', error)
  }
}
