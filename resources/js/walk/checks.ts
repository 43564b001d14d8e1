import type { Check, PlaceRef, Side } from '@/api/types'

type Of = { checks: Check[]; row_checks: Check[] }

/** Finds the check as a place has it: as its row does, where rows differ. */
export function checksAt({ checks, row_checks }: Of): (place: Pick<PlaceRef, 'check' | 'row'>) => Check {
  const most = new Map(checks.map((check) => [check.key, check]))
  const others = new Map(
    row_checks.flatMap((check) => (check.rows ?? []).map((row) => [`${check.key} ${row}`, check] as const)),
  )
  return ({ check, row }) => others.get(`${check} ${row}`) ?? (most.get(check) as Check)
}

/** On which sides any row has a check. */
export function sidesOf(key: Check['key'], { checks, row_checks }: Of): Side[] {
  return [...new Set([...checks, ...row_checks].filter((check) => check.key === key).flatMap(({ sides }) => sides))]
}

/** What is said of a check on rows that have it as this one does. */
export function ofRow<T>(said: Record<string, T>, check: Check, of: Of, row: number): T | undefined {
  return of.row_checks.includes(check) ? said[`${check.key} ${row}`] : said[check.key]
}
