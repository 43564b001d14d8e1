import type { components } from '../../api/schema'
import type { Answer, Board } from './types'

type Schemas = components['schemas']

/** A board as the screens know it, from one that says only what there is to say. */
export function unfolded(board: Schemas['Board']): Board {
  return {
    ...board,
    cells: board.cells.map(({ now, last, ...place }) => ({
      ...place,
      now: now ? { result: 'recorded', reasons: [], ...now, ...answer(now) } : null,
      last: last ? { ...last, ...answer(last) } : null,
    })),
  }
}

function answer({ value, state, chips }: Schemas['BoardAnswer']): Answer {
  return { value: value ?? null, state: state ?? null, chips: chips ?? [] }
}
