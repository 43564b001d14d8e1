import type { State } from '@/api/types'

/**
 * The keys of a station's lines, in the order of the home row first: none that a figure or a unit is typed with, and none
 * that means something else on a walk (h how-to, u undo, m note; n, i, f, t stand in units).
 */
export const letters = [...'sdgjklaqwerypzxcvbo']

/** The key of each state: its first letter. */
export const stateKeys: Record<State, string> = {
  sound: 's',
  watch: 'w',
  change: 'c',
  failed: 'f',
  gap: 'g',
  light: 'l',
  tight: 't',
  yes: 'y',
  no: 'n',
}
