import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import { useLive } from './useLive'

class Source {
  static readonly CLOSED = 2
  static all: Source[] = []
  readyState = 1
  onmessage?: (event: { data: string }) => void
  onerror?: () => void
  constructor(readonly url: string) {
    Source.all.push(this)
  }
  close() {
    this.readyState = Source.CLOSED
  }
}

describe('what is told live', () => {
  beforeEach(() => {
    Source.all = []
    vi.stubGlobal('EventSource', Source)
    vi.useFakeTimers()
  })
  afterEach(() => {
    vi.unstubAllGlobals()
    vi.useRealTimers()
  })

  it('is taken while there is something to watch, and let go of with the screen', async () => {
    const at = ref<string | null>(null)
    const isLive = ref(false)
    const told: unknown[] = []
    const scope = effectScope()
    scope.run(() => useLive(at, (one) => told.push(one), isLive))
    expect(Source.all).toEqual([])
    at.value = '/a'
    await nextTick()
    Source.all[0]?.onmessage?.({ data: '{"run":1}' })
    expect([told, isLive.value]).toEqual([[{ run: 1 }], true])
    // Between two streams it is asked for.
    Source.all[0]?.onerror?.()
    expect([isLive.value, Source.all.length]).toEqual([false, 1])
    at.value = '/b'
    await nextTick()
    expect([Source.all[0]?.readyState, Source.all[1]?.url]).toEqual([Source.CLOSED, '/b'])
    scope.stop()
    expect(Source.all[1]?.readyState).toBe(Source.CLOSED)
  })

  it('is tried again where the server had no hand free', async () => {
    const isLive = ref(true)
    const scope = effectScope()
    scope.run(() => useLive('/a', () => undefined, isLive))
    const [first] = Source.all
    if (first) first.readyState = Source.CLOSED
    first?.onerror?.()
    expect(isLive.value).toBe(false)
    await vi.advanceTimersByTimeAsync(31_000)
    expect(Source.all.length).toBe(2)
    scope.stop()
    await vi.advanceTimersByTimeAsync(60_000)
    expect(Source.all.length).toBe(2)
  })
})
