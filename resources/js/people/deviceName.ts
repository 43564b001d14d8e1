const BROWSERS = [
  ['Edg/', 'Edge'],
  ['OPR/', 'Opera'],
  ['SamsungBrowser', 'Samsung Internet'],
  ['Firefox/', 'Firefox'],
  ['Chrome/', 'Chrome'],
  ['Safari/', 'Safari'],
] as const
const MACHINES = [
  ['iPhone', 'iPhone'],
  ['iPad', 'iPad'],
  ['Android', 'Android'],
  ['Windows', 'Windows'],
  ['Mac OS X', 'Mac'],
  ['Linux', 'Linux'],
] as const

/** What a browser calls itself, in two words: good enough to know one's own devices by. */
export function deviceName(agent: string): string {
  const named = (names: readonly (readonly [string, string])[]) => names.find(([sign]) => agent.includes(sign))?.[1]
  const words = [named(BROWSERS), named(MACHINES)].filter((word) => word !== undefined)
  return words.length > 0 ? words.join(' on ') : 'A device'
}
