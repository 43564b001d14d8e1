import { useMediaQuery, useStorage } from '@vueuse/core'
import { computed } from 'vue'

/** All of a station on one card, or one check at a time with a big keypad. */
export type WalkView = 'station' | 'single'

/** The person's own choice on this device; until it is made, one at a time on a phone. */
export function useWalkView() {
  const chosen = useStorage<WalkView | ''>('ustrel.walk-view', '')
  const isPhone = useMediaQuery('(max-width: 700px)')
  return computed<WalkView>({
    get: () => chosen.value || (isPhone.value ? 'single' : 'station'),
    set: (view) => (chosen.value = view),
  })
}
