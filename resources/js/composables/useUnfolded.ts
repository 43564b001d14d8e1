import { ref } from 'vue'
import type { Station } from '@/api/types'

/** Which stations of a list are unfolded. */
export function useUnfolded() {
  const unfolded = ref(new Set<Station>())

  function fold(station: Station): void {
    if (!unfolded.value.delete(station)) unfolded.value.add(station)
  }

  return { unfolded, fold }
}
