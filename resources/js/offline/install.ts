/** Installs the service worker, and gives it the page at once: the first visit is enough to start without a signal. */
export async function keepClientOnDevice(): Promise<void> {
  if (!('serviceWorker' in navigator)) return
  try {
    await navigator.serviceWorker.register('/sw.js')
    await navigator.serviceWorker.ready
    await (await caches.open('page')).add('/')
  } catch (error) {
    // Without it the client works on, with a signal.
    console.warn('The client is not kept on this device', error)
  }
}
