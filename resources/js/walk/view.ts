import { useStorage } from '@vueuse/core'

/** All of a station on one card, or one check at a time with a big keypad. */
export type WalkView = 'station' | 'single'

/** The person's own choice on this device; by station until it is made. */
export const useWalkView = () => useStorage<WalkView>('ustrel.walk-view', 'station')
