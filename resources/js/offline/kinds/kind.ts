import { keys, queries } from '@/api/queries'
import type { Problem, Waiting, What } from '../device'

/** How one kind of what waits on a device goes up, and how it is called while it waits. */
export type Kind<W extends What> = {
  /** The most that go up in one request. */
  most: number
  /** Where it goes: only neighbours with the same address go up in one request. */
  address(item: Waiting<W>): string
  /**
   * Sends those of one address, takes in what comes back, and says what the server would not take, by id.
   *
   * @throws Refusal where the server would not take the whole; anything else where it cannot be reached
   */
  send(items: Waiting<W>[]): Promise<Map<string, Problem>>
  /** What it is, for the person who has to decide about it; `all` is all that waits. */
  title(item: Waiting<W>, all: Waiting[]): string
  /** The ids by which the server will know it. */
  brings(item: Waiting<W>): string[]
  /** Ids that the server has to know before; what one of these has a problem with waits too. */
  dependsOn(item: Waiting<W>): string[]
}

export const allTaken = (): Map<string, Problem> => new Map()

/** After something new on a walk: the board, the row and the yard are asked for again. */
export function refreshWalk(planter: number): void {
  for (const queryKey of [
    keys.board(planter),
    keys.row(planter),
    keys.decide(planter),
    keys.season(planter),
    keys.yard,
  ])
    void queries.invalidateQueries({ queryKey })
}
