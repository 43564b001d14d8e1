import type { Acres, AcresLine } from '@/api/types'
import { say } from '@/words'

type Kinds = Pick<AcresLine, 'soil' | 'residue' | 'tillage'>

/** The ground in words, with its severity where it is not the usual. */
export function groundOf(line: AcresLine): string {
  const words = [
    line.soil && say(`soil.${line.soil}`),
    line.residue && line.residue !== 'usual' && `${say(`residue.${line.residue}`)} residue`,
    line.tillage && say(`tillage.${line.tillage}`),
    line.severity !== 1 && `severity ${line.severity}${line.own_severity ? ' by hand' : ''}`,
    ...line.shut_off.map(({ rows, share }) =>
      share === 0 ? `rows ${rows.join(', ')} shut off` : `rows ${rows.join(', ')} ran ${Math.round(100 * share)}%`,
    ),
  ]
  return words.filter(Boolean).join(', ')
}

/** How the severity comes about, in words: the product of what each kind of ground is worth. */
export function explainSeverity({ soil, residue, tillage }: Kinds, factors: Acres['factors']): string {
  const parts = [
    soil && `${say(`soil.${soil}`)} ${factors.soil[soil]}`,
    residue && `${say(`residue.${residue}`)} residue ${factors.residue[residue]}`,
    tillage && `${say(`tillage.${tillage}`)} ${factors.tillage[tillage]}`,
  ].filter(Boolean)
  return parts.length === 0
    ? '1: ground like any other. Parts wear faster in sand, among stones, in residue and without tillage.'
    : `${parts.join(' × ')}. 1 is ground like any other; typical values.`
}
