/**
 * Makes what is sent once for what was typed: sent again because the answer was lost, it is the same thing and is taken once.
 */
export function useOnce() {
  let last: { typed: string; made: unknown } | undefined
  return {
    of<T>(typed: unknown, make: () => T): T {
      const text = JSON.stringify(typed)
      if (last?.typed !== text) last = { typed: text, made: make() }
      return last.made as T
    },
    /** It was taken; the same typed again is another one. */
    taken: () => (last = undefined),
  }
}
