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
    soil && { word: say(`soil.${soil}`), factor: factors.soil[soil] ?? 1 },
    residue && { word: `${say(`residue.${residue}`)} residue`, factor: factors.residue[residue] ?? 1 },
    tillage && { word: say(`tillage.${tillage}`), factor: factors.tillage[tillage] ?? 1 },
  ].filter((part) => part !== null)
  if (parts.length === 0)
    return '1: ground like any other. Parts wear faster in sand, among stones, in residue and without tillage.'
  const product = parts.reduce((so, { factor }) => so * factor, 1)
  const how = parts.map(({ word, factor }) => `${word} ${factor}`).join(' × ')
  // 1.1 × 1.15 is 1.265 and goes up, as it does on the server.
  return `${Math.round(Number((100 * product).toPrecision(12))) / 100}: ${how}. 1 is ground like any other; typical values.`
}
