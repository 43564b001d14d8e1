import type { PlaceRef } from './api/types'
import messages from '../../lang/en.json'

export type MessageKey = keyof typeof messages

/** The wording of lang/en.json, the same that the server uses; `:name` is filled from `fill`. */
export function say(key: MessageKey | (string & {}), fill: Record<string, string | number> = {}): string {
  const text = (messages as Record<string, string>)[key] ?? key
  return text.replace(/:([a-z]+)/g, (whole, name: string) => (name in fill ? String(fill[name]) : whole))
}

/** A check with its side, as `Opener blade diameter left`. */
export function sayCheck({ check, side }: Pick<PlaceRef, 'check' | 'side'>): string {
  return `${say(`check.${check}`)} ${say(`side.${side}`)}`.trim()
}
