/** Fractions in which people say odds, as count and out of how many. */
const SAID: [number, number][] = [
  [1, 100],
  [1, 50],
  [1, 30],
  [1, 20],
  [1, 15],
  [1, 10],
  [1, 8],
  [1, 6],
  [1, 5],
  [1, 4],
  [1, 3],
  [2, 5],
  [1, 2],
  [3, 5],
  [2, 3],
  [3, 4],
  [4, 5],
  [5, 6],
  [9, 10],
  [19, 20],
  [29, 30],
  [49, 50],
  [99, 100],
]
const logit = (chance: number) => Math.log(chance / (1 - chance))

/** A chance from 0 to 1 in percent; the ends are never certain. */
export function printChance(chance: number): string {
  if (chance < 0.01) return 'under 1%'
  return chance > 0.99 ? 'over 99%' : `${Math.round(100 * chance)}%`
}

/** A chance from 0 to 1 as a person says it, with the number beside it: `about 1 in 3 (34%)`. */
export function sayOdds(chance: number): string {
  if (chance < 0.005) return `less than 1 in 100 (${printChance(chance)})`
  if (chance > 0.995) return `almost certain (${printChance(chance)})`
  const far = ([count, of]: [number, number]) => Math.abs(logit(count / of) - logit(chance))
  const [count, of] = SAID.reduce((best, one) => (far(one) < far(best) ? one : best))
  return `about ${count} in ${of} (${printChance(chance)})`
}
