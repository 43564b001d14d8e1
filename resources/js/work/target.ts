import { say } from '@/words'

/** Parts of a line's key, such as `off:3:gauge_wheel:left` or `change:3:opener_blade:left`. */
function partsOf(key: string): { action: string; row: number; what: string; side: string } {
  const [action = '', row = '0', what = '', side = ''] = key.split(':')
  return { action, row: Number(row), what, side }
}

export const rowOf = (key: string) => partsOf(key).row

/** What comes off, of a line of access. */
export const stepOf = (key: string) => partsOf(key).what

export const isAccess = (key: string) => key.startsWith('off:')

/** What is ticked, as `Gauge wheel left` or `Adjust: closing gap`. */
export function sayTarget(key: string): string {
  const { action, what, side } = partsOf(key)
  const words: Record<string, () => string> = {
    off: () => say(`step.${what}`),
    own: () => say('work.own'),
    grease: () => say(what.includes('-') ? 'lube.own' : `lube.${what}`),
    change: () => say(`slot.${what}`),
  }
  const said = words[action]?.() ?? `${say(`action.${action}`)}: ${say(`check.${what}`).toLowerCase()}`
  return `${said.charAt(0).toUpperCase()}${said.slice(1)} ${side === 'centre' ? '' : say(`side.${side}`)}`.trim()
}
