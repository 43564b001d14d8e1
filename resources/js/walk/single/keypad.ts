/** Puts a whole number of inches into what is typed, before its fraction where it has one. */
export function putWhole(typed: string, whole: number): string {
  const fraction = /\d+\/\d+$/.exec(typed.trim())?.[0]
  return fraction ? `${whole} ${fraction}` : String(whole)
}

/** Puts a fraction after the whole inches in what is typed, in place of one that is there. */
export function putFraction(typed: string, fraction: string): string {
  const whole = /^\d+(?!\d*\/)/.exec(typed.trim())?.[0]
  return whole && whole !== '0' ? `${whole} ${fraction}` : fraction
}
