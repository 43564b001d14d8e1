import { say } from '@/words'

/** Parts of a line's key, such as `off:3:gauge_wheel:left` or `change:3:opener_blade:left`. */
function partsOf(key: string): { action: string; row: number; what: string; side: string } {
  const [action = '', row = '0', what = '', side = ''] = key.split(':')
  return { action, row: Number(row), what, side }
}

export const rowOf = (key: string) => partsOf(key).row

export const isAccess = (key: string) => key.startsWith('off:')

/** What is ticked, as `Gauge wheel left` or `Adjust: closing gap`. */
export function sayTarget(key: string): string {
  const { action, what, side } = partsOf(key)
  const said =
    action === 'off'
      ? say(`step.${what}`)
      : action === 'change'
        ? say(`slot.${what}`)
        : `${say(`action.${action}`)}: ${say(`check.${what}`).toLowerCase()}`
  return `${said.charAt(0).toUpperCase()}${said.slice(1)} ${side === 'centre' ? '' : say(`side.${side}`)}`.trim()
}
