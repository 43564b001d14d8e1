import type { CheckKey } from '@/api/types'
import { ownHow, wordOf } from '@/words'

/** How a check is made, in a few lines; of the shop's own in one or none. */
export function howTo(key: CheckKey): string[] {
  const lines = [1, 2, 3].flatMap((line) => wordOf(`howto.${key}.${line}`) ?? [])
  return lines.length > 0 ? lines : [ownHow[key] ?? ''].filter(Boolean)
}
