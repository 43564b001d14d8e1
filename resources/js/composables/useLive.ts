import { type MaybeRefOrGetter, onScopeDispose, type Ref, toValue, watch } from 'vue'

/** A server that had no hand free is asked again after so long. */
const AGAIN_MS = 30_000

/**
 * What a server tells of by itself while it is watched.
 *
 * @param at where it does; null while there is nothing to be watched
 * @param isLive set to whether it does: where not, whoever wants to know asks
 */
export function useLive<T>(at: MaybeRefOrGetter<string | null>, take: (told: T) => void, isLive: Ref<boolean>): void {
  let source: EventSource | undefined
  let again: ReturnType<typeof setTimeout> | undefined

  function close(): void {
    clearTimeout(again)
    source?.close()
    isLive.value = false
  }
  function open(url: string): void {
    source = new EventSource(url)
    source.onmessage = ({ data }: MessageEvent<string>) => {
      isLive.value = true
      take(JSON.parse(data) as T)
    }
    source.onerror = () => {
      isLive.value = false
      // It asks again by itself, unless it was refused.
      if (source?.readyState === EventSource.CLOSED) again = setTimeout(() => open(url), AGAIN_MS)
    }
  }
  watch(
    () => toValue(at),
    (url) => {
      close()
      if (url !== null && 'EventSource' in globalThis) open(url)
    },
    { immediate: true },
  )
  onScopeDispose(close)
}
