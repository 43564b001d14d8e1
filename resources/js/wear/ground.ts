import type { Acres, AcresLine } from '@/api/types'
import { say } from '@/words'

// words: soil, residue, tillage, downforce
export const GROUNDS = ['soil', 'residue', 'tillage', 'downforce'] as const
export type Ground = (typeof GROUNDS)[number]
type Kinds = Pick<AcresLine, Ground>
type Severities = Acres['severities']

/** What there is to choose from of one kind, in the server's order. */
export function groundsOf(kind: Ground, severities: Severities): string[] {
  const said = Object.keys(severities).map((key) => key.split(' ')[GROUNDS.indexOf(kind)] ?? '-')
  return [...new Set(said)].filter((value) => value !== '-')
}

const keyOf = (ground: Kinds) => GROUNDS.map((kind) => ground[kind] ?? '-').join(' ')

/** A case in words that stand by themselves, as `heavy residue`. */
function wordOf(kind: Ground, value: string): string {
  const word = say(`${kind}.${value}`)
  return kind === 'residue' || kind === 'downforce' ? `${word} ${kind}` : word
}

/** The ground in words, with its severity where it is not the usual. */
export function groundOf(line: AcresLine): string {
  const words = [
    line.soil && say(`soil.${line.soil}`),
    line.residue && line.residue !== 'usual' && wordOf('residue', line.residue),
    line.tillage && say(`tillage.${line.tillage}`),
    line.downforce && line.downforce !== 'usual' && wordOf('downforce', line.downforce),
    line.severity !== 1 && `severity ${line.severity}${line.own_severity ? ' by hand' : ''}`,
    ...line.shut_off.map(({ rows, share }) =>
      share === 0 ? `rows ${rows.join(', ')} shut off` : `rows ${rows.join(', ')} ran ${Math.round(100 * share)}%`,
    ),
  ]
  return words.filter(Boolean).join(', ')
}

/** How the severity comes about, in words: what each kind of ground is worth, and what they are together. */
export function explainSeverity(ground: Kinds, severities: Severities): string {
  const none = { soil: null, residue: null, tillage: null, downforce: null }
  const said = GROUNDS.filter((kind) => ground[kind] !== null).map((kind) => {
    const alone = severities[keyOf({ ...none, [kind]: ground[kind] })]
    return `${wordOf(kind, ground[kind] ?? '')} ${alone}`
  })
  return said.length === 0
    ? '1 is average ground. Parts wear faster in sand, stones, residue and no-till.'
    : `${severities[keyOf(ground)]}: ${said.join(' × ')}. 1 is average ground.`
}
