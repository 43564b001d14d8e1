import { expect } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { call, planterWithWalk, server, signIn, test } from './support'

type Batch = { receipts: { id: string; outcome: string }[] }
type History = { id: string }[]

const ROWS = 6
const BATCHES = 10
const IN_A_BATCH = 60

/** Fault during which batch, and how the server comes back. Only processes of this test's own server are ended. */
const faults: Record<number, { strike: string; heal: string }> = {
  3: {
    strike: 'fpm=$(cat $STATE/run/fpm.pid); workers=$(pgrep -P $fpm); kill -9 $fpm $workers || true',
    heal: 'rm -f $STATE/run/fpm.sock; fpm_start',
  },
  6: { strike: 'as_postgres $PG_BIN/pg_ctl -D $STATE/pg -m immediate stop', heal: 'pg_start' },
  8: { strike: 'pkill -9 -P $(cat $STATE/run/fpm.pid) || true', heal: 'true' },
}

const name = 'what was acknowledged is there after a crash, and what was not can be sent again without doubling'
test(name, { tag: '@alone' }, async ({ page }) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Crash Test', ROWS)
  const sent: string[] = []
  const acknowledged = new Set<string>()
  let broken = 0

  for (let batch = 0; batch < BATCHES; batch++) {
    const readings = Array.from({ length: IN_A_BATCH }, (_, index) => ({
      id: uuid(),
      row: 1 + (index % ROWS),
      check: 'opener_blade_diameter',
      side: 'left',
      typed: `14 ${1 + (index % 7)}/8`,
      confirmed: true,
      taken_at: new Date(Date.UTC(2026, 2, 1, 9, batch, index)).toISOString(),
    }))
    sent.push(...readings.map((reading) => reading.id))
    const send = () =>
      call<Batch>(page, 'POST', `/api/walks/${walk}/readings`, { readings }).catch(() => ({ status: 0, body: null }))
    const note = (answer: { status: number; body: Batch | null }) => {
      if (answer.status !== 200) return
      for (const receipt of answer.body?.receipts ?? []) {
        expect(['stored', 'known']).toContain(receipt.outcome)
        acknowledged.add(receipt.id)
      }
    }

    const fault = faults[batch]
    const answering = send()
    if (fault) server(fault.strike)
    const first = await answering
    note(first)
    if (first.status !== 200) broken++
    if (fault) server(fault.heal)
    // As a device does: again and again until every reading is acknowledged.
    await expect
      .poll(
        async () => {
          note(await send())
          return readings.every((reading) => acknowledged.has(reading.id))
        },
        { timeout: 60_000 },
      )
      .toBe(true)
  }

  const kept: string[] = []
  for (let row = 1; row <= ROWS; row++) {
    const history = await call<History>(
      page,
      'GET',
      `/api/planters/${planter}/history?row=${row}&check=opener_blade_diameter&side=left`,
    )
    kept.push(...history.body.map((reading) => reading.id))
  }
  expect(kept).toHaveLength(BATCHES * IN_A_BATCH)
  expect(new Set(kept)).toEqual(new Set(sent))
  // The faults did strike while a batch was under way.
  expect(broken).toBeGreaterThan(0)
})
