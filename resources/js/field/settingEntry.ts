import type { SettingEntry, SettingMade } from '@/api/types'

/** A setting that was made, to be made again: a depth goes with its scale, which a row that is set another way refuses. */
export const valueOf = ({
  key,
  row,
  value,
  figure,
  scale,
}: SettingMade): Pick<SettingEntry, 'key' | 'row' | 'value' | 'figure' | 'units' | 'scale'> => ({
  key,
  row,
  value,
  ...(figure === null ? {} : { figure, units: 'in' }),
  ...(scale ? { scale } : {}),
})
