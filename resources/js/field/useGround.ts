import { useLocalStorage } from '@vueuse/core'
import type { Ground } from './queries'

/** The ground that the planter is on, or goes to next; this device remembers it. */
export const useGround = (planter: number) =>
  useLocalStorage<Ground>(`ustrel.ground-${planter}`, { field: '', crop: '', soil: null, residue: null })
