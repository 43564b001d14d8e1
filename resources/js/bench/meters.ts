import type { Meter } from '@/api/types'

/** Where a meter is or was, in words: `Quill Bottom, row 5`. */
export function sayStay({ to, planter_id, row, place }: Meter['stays'][number], names: Map<number, string>): string {
  const where = {
    row: () => `${names.get(planter_id as number) ?? 'a removed planter'}, row ${row}`,
    shelf: () => 'on the shelf',
    out: () => 'out for testing',
  }[to]()
  return place ? `${where}: ${place}` : where
}
