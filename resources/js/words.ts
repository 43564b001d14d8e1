import { shallowReactive } from 'vue'
import type { Fault } from './measure/number'
import type { Check, PlaceRef } from './api/types'
import { dictionary } from './dictionary'

/** Names of the shop's own checks, as a sheet or a walk brings them. */
const own = shallowReactive<Record<string, string>>({})
/** What there is of a key: the shop's own first. */
export const wordOf = (key: string): string | undefined => own[key] ?? dictionary[key]

/** What of a group there are words for, as the slots under `slot.`, in the order in which they stand there. */
export function wordsOf(group: string): string[] {
  const start = `${group}.`
  return Object.keys(dictionary).flatMap((key) => (key.startsWith(start) ? [key.slice(start.length)] : []))
}

/** The wording of lang/en, the same that the server uses; `:name` is filled from `fill`. */
export function say(key: string, fill: Record<string, string | number> = {}): string {
  const text = wordOf(key) ?? key
  return text.replace(/:([a-z]+)/g, (whole, name: string) => (name in fill ? String(fill[name]) : whole))
}

/** What is wrong with a typed number. */
export function sayFault({ fault, fill }: Fault): string {
  return say(`number.${fault}`, fill)
}

/** A check with its side, as `Opener blade diameter left`. */
export function sayCheck({ check, side }: Pick<PlaceRef, 'check' | 'side'>): string {
  return `${say(`check.${check}`)} ${say(`side.${side}`)}`.trim()
}

/** How the shop's own checks are made, by check. */
export const ownHow = shallowReactive<Record<string, string>>({})

/** Takes the names of the shop's own checks in, as a sheet or a walk brings them. */
export function learnNames(checks: Pick<Check, 'key' | 'own' | 'rule'>[]): void {
  for (const { key, own: said, rule } of checks) {
    if (said === null) continue
    own[`check.${key}`] = own[`measure.${key}`] = said.name
    ownHow[key] = said.how
    if (rule === 'at_most') own[`figure.limit.${key}`] = say('figure.limit.at_most')
  }
}

/** A word cut down to what fits a cell, where there is a shorter one. */
export function sayBriefly(key: string): string {
  return wordOf(`brief.${key}`) ?? say(key)
}

/** Where a place is, as `Row 6` or `Whole planter`. */
export function sayRow(row: number): string {
  return row === 0 ? 'Whole planter' : `Row ${row}`
}

/** A word that a check may have of its own, such as the limit of a play, which is "over" and not "under". */
export function sayOwn(key: string, check: string, fill: Record<string, string | number> = {}): string {
  return say(wordOf(`${key}.${check}`) === undefined ? key : `${key}.${check}`, fill)
}

/** A reason as a sentence. */
export function sayReason(check: string, code: string, fill: Record<string, string | number>): string {
  if (!code.startsWith('chip.')) return sayOwn(`reason.${code}`, check, fill)
  const word = say(code)
  return `${word.charAt(0).toUpperCase()}${word.slice(1)}.`
}
