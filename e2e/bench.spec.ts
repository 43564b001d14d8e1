import { execFile } from 'node:child_process'
import { mkdir, writeFile } from 'node:fs/promises'
import { promisify } from 'node:util'
import { expect, type Page } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { call, expectFaultless, planterWithWalk, signIn, test } from './support'

test('meters are run row by row, and the one that is really worse is named', async ({ page }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'On the stand', 4)
  await page.goto(`/planters/${planter}/bench`)
  await expect(page.getByText('No meter has been run for this season')).toBeVisible()
  const form = page.getByRole('form', { name: 'A run' })
  await expect(form).toContainText('Row 1')
  await form.getByLabel('Seed lot').fill('Popcorn 7')
  await form.getByLabel('Air, in H₂O').fill('300')
  await form.getByLabel('Skips').fill('6')
  await form.getByLabel('Doubles').fill('4')
  await form.getByRole('button', { name: 'Save, next row' }).click()
  await expect(form.getByRole('alert').filter({ hasText: 'The most is 60' }).first()).toBeVisible()
  await form.getByLabel('Air, in H₂O').fill('14')
  await form.getByRole('button', { name: 'Save, next row' }).click()
  await expect(page.getByRole('region', { name: 'Meters' })).toContainText('98.0%')
  // Seed, disc and air are as before; the next row is up.
  await expect(form).toContainText('Row 2')
  await expect(form.getByLabel('Seed lot')).toHaveValue('Popcorn 7')
  await form.getByLabel('Skips').fill('70')
  await form.getByLabel('Doubles').fill('2')
  await form.getByRole('button', { name: 'Save, next row' }).click()
  await expect(page.getByText('Row 2: worse than the others')).toBeVisible()
  await expect(page.getByText('More skips than doubles: try more air')).toBeVisible()

  // The same run sent from two sides at once is kept once.
  const run = {
    id: uuid(),
    row: 4,
    stage: 'pre',
    places: 500,
    skips: 5,
    doubles: 5,
    happened_at: new Date().toISOString(),
  }
  const path = `/api/planters/${planter}/bench`
  const answers = await Promise.all([1, 2, 3, 4].map(() => call(page, 'POST', path, run)))
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 200, 200, 201])
  const { body } = await call<{ runs: unknown[] }>(page, 'GET', path)
  expect(body.runs).toHaveLength(3)
})

test('a practice run is watched drop by drop, a plugged cell is named, and the next air is tried', async ({ page }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Practice stand', 4)
  await page.goto(`/planters/${planter}/bench`)
  const form = page.getByRole('form', { name: 'A run' })
  await form.getByRole('button', { name: 'Practice' }).click()
  await form.getByLabel('Seeds due').fill('300')
  await form.getByLabel('Cells').fill('0')
  await form.getByLabel('Turns').fill('60')
  await form.getByLabel('Air, in H₂O').fill('7.5')
  await form.getByLabel('One cell is plugged').check()
  await form.getByRole('button', { name: 'Start the run' }).click()
  await expect(form.getByRole('alert').filter({ hasText: 'The least is 1' }).first()).toBeVisible()
  await form.getByLabel('Cells').fill('30')
  await form.getByRole('button', { name: 'Start the run' }).click()
  const live = page.getByRole('region', { name: 'Run on the stand' })
  await expect(live.getByRole('img', { name: /^The last \d+ places/ })).toBeVisible()
  await expect(live).toContainText('practice stand')
  await expect(live).toContainText('Row 1 is done')
  await expect(live).toContainText(/Cell \d+ from the first seed on: skips in \d+ of \d+ turns/)
  const meters = page.getByRole('region', { name: 'Meters' })
  await expect(meters).toContainText('plugged, chipped or worn cell')
  // One run alone: the best air is beyond the forecast, and the next one goes into the form.
  const air = page.getByRole('region', { name: 'Air for row 1' })
  await expect(air).toContainText(/Too early to tell|Best vacuum is (above|below)/)
  const next = await air.getByRole('button', { name: /^Try [\d.]+ in H₂O next/ }).textContent()
  await air.getByRole('button', { name: /^Try/ }).click()
  await expect(form.getByLabel('Air, in H₂O')).toHaveValue(next?.match(/[\d.]+/)?.[0] ?? '')
  // Stopped half way it is kept, and said to be cut short.
  await form.getByLabel('Seeds due').fill('5000')
  await form.getByRole('button', { name: 'Start the run' }).click()
  await expect(live.getByRole('button', { name: 'Stop the run' })).toBeVisible()
  await expect
    .poll(async () => Number((await live.locator('dd').first().textContent())?.split(' ')[0] ?? 0))
    .toBeGreaterThan(150)
  await live.getByRole('button', { name: 'Stop the run' }).click()
  await expect(meters).toContainText('cut short')
  await expect(meters).toContainText('practice')
  // Taken back, the run before stands again.
  await meters.getByRole('button', { name: 'Undo the run of row 1' }).click()
  await expect(meters).not.toContainText('cut short')
  await expectFaultless(page)
})

test('a stand delivers over two connections at once, is cut off and goes on, and its token ends', async ({
  page,
  elsewhere,
}) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'By a stand', 4)
  await page.goto(`/planters/${planter}/bench`)
  await page.getByText('Test stands of this shop').click()
  const stands = page.locator('details').filter({ hasText: 'Test stands of this shop' })
  const name = `Bench ${uuid().slice(-6)}`
  await stands.getByLabel('Name of a stand').fill(name)
  await stands.getByRole('button', { name: 'Add device', exact: true }).click()
  const token = (await stands.locator('code').textContent()) ?? ''

  const form = page.getByRole('form', { name: 'A run' })
  await form.getByRole('button', { name: 'Stand', exact: true }).click()
  await form.getByLabel('Cells').fill('40')
  await form.getByLabel('Turns').fill('30')
  await form.getByLabel('Air, in H₂O').fill('12')
  await form.getByRole('button', { name: 'Start the run' }).click()
  const live = page.getByRole('region', { name: 'Run on the stand' })
  await expect(live).toContainText('Start the stand')

  // A device has no session: it comes by its token alone.
  const { request } = (await elsewhere()).context()
  const tell = (path: string, lines: object[] = []) =>
    request.fetch(`/api/stand/${path}`, {
      method: 'POST',
      headers: { Authorization: `Bearer ${token}`, Accept: 'application/json', 'Content-Type': 'application/x-ndjson' },
      data: lines.map((line) => JSON.stringify(line)).join('\n'),
    })
  // Another test may have a run waiting in the same workshop: this device's is told by its planter.
  const { body } = await call<{ run: { id: string } }>(page, 'GET', `/api/planters/${planter}/bench/runs/now`)
  const id = body.run.id
  expect(await (await tell('hello')).json()).toMatchObject({ stand: name })
  // One place in fifty is empty: 50 ms a place.
  const seeds = Array.from({ length: 500 }, (_, place) => place)
    .filter((place) => place % 50 !== 25)
    .map((place, at) => ({ seq: at + 1, ms: 50 * place }))
  const taken = await Promise.all([0, 0, 0, 100, 100].map((from) => tell(`runs/${id}`, seeds.slice(from, from + 200))))
  expect(taken.map((one) => one.status())).toEqual([200, 200, 200, 200, 200])
  const news = await Promise.all(taken.map(async (one) => ((await one.json()) as { new: number }).new))
  expect(news.reduce((sum, one) => sum + one, 0)).toBe(300)
  await expect(live).toContainText('Seeds due')
  const ends = await Promise.all([1, 2].map(() => tell(`runs/${id}`, [...seeds.slice(250), { end: true }])))
  expect(ends.map((one) => one.status()).sort()).toEqual([200, 409])
  await expect(live).toContainText('Row 1 is done')
  await expect(page.getByRole('region', { name: 'Meters' })).toContainText('10 skips, 0 doubles of 500')

  // The stand-in speaks as a device does: it asks, runs what is set up, and ends.
  await page.getByRole('button', { name: 'Row 2: Unchecked' }).click()
  await form.getByLabel('Seeds due').fill('100')
  await form.getByLabel('Turns').fill('60')
  await form.getByRole('button', { name: 'Start the run' }).click()
  await expect(live).toContainText('Row 2 waits')
  const at = test.info().project.use.baseURL as string
  const standIn = ['artisan', 'ustrel:stand-in', 'stand', `--at=${at}`, `--token=${token}`, '--size=8', '--runs=1']
  await promisify(execFile)('php', standIn, { timeout: 60_000 })
  await expect(live).toContainText('Row 2 is done')
  await stands.getByRole('button', { name: `Remove access of ${name}` }).click()
  await expect(stands.getByRole('button', { name: `Remove access of ${name}` })).toHaveCount(0)
  expect((await tell('hello')).status()).toBe(401)
})

test('a lot that comes in is held against the fields and the discs, and a misfit is named at the bench', async ({
  page,
}) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'With seed', 4)
  const name = `Lot ${uuid().slice(-6)}`
  await page.goto('/seed')
  await page.getByRole('button', { name: 'Add disc' }).click()
  const disc = page.getByRole('dialog', { name: 'Disc or plate' })
  await disc.getByLabel('Name').fill(`Small ${name}`)
  await disc.getByLabel('Cells').fill('40')
  await disc.getByLabel('Seed size from').fill('5')
  await disc.getByLabel('to, mm', { exact: true }).fill('3')
  await disc.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(disc.getByRole('alert').filter({ hasText: 'the smaller first' })).toBeVisible()
  await disc.getByLabel('Seed size from').fill('1')
  await disc.getByRole('button', { name: 'Save', exact: true }).click()
  await page.getByRole('button', { name: 'Add seed lot' }).click()
  const lot = page.getByRole('dialog', { name: 'Seed lot' })
  await lot.getByLabel('Lot name').fill(name)
  await lot.getByLabel('Average size').fill('4.5')
  await lot.getByLabel('Seeds per unit').fill('80000')
  await lot.getByLabel('Price per unit').fill('240')
  await lot.getByLabel('On the tag, %').fill('95')
  await lot.getByRole('button', { name: 'Save', exact: true }).click()
  const row = page.getByRole('row', { name: new RegExp(name) }).filter({ hasText: 'not counted' })
  await expect(row).toContainText('3')
  await page.getByRole('button', { name: `Count or move: ${name}` }).click()
  const move = page.getByRole('dialog', { name })
  await move.getByRole('button', { name: 'received' }).click()
  await move.getByLabel('How many, units').fill('2.25')
  await move.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(move.getByRole('alert').filter({ hasText: 'to a tenth' })).toBeVisible()
  await move.getByLabel('How many, units').fill('12.5')
  await move.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('row', { name: new RegExp(name) }).filter({ hasText: '12.5' })).toBeVisible()
  await expectFaultless(page)
  // Two at once: a move that is sent four times is kept once, of two changes of one lot one is told, and one run is set up.
  const { body } = await call<{ lots: { id: number; name: string; revision: number }[] }>(page, 'GET', '/api/seed')
  const { id, revision } = body.lots.find((one) => one.name === name) as { id: number; revision: number }
  const once = { id: uuid(), seed_lot_id: id, kind: 'used', units: 0.5, happened_at: new Date().toISOString() }
  const moved = await Promise.all([1, 2, 3, 4].map(() => call(page, 'POST', '/api/seed/moves', { moves: [once] })))
  expect(moved.map(({ status }) => status).sort()).toEqual([200, 200, 200, 201])
  const changed = await Promise.all(
    [90_000, 100_000].map((seeds_per_unit) =>
      call(page, 'PUT', `/api/seed/lots/${id}`, { name, size: 4.5, seeds_per_unit, revision }),
    ),
  )
  expect(changed.map(({ status }) => status).sort()).toEqual([200, 409])
  const setUp = () => ({ id: uuid(), row: 1, stage: 'pre', cells: 40, places: 500, practice: true })
  const runs = await Promise.all(
    [setUp(), setUp(), setUp()].map((run) => call(page, 'POST', `/api/planters/${planter}/bench/runs`, run)),
  )
  expect(runs.map(({ status }) => status).sort()).toEqual([200, 422, 422])
  const going = runs.find(({ status }) => status === 200)?.body as { id: string }
  const stops = await Promise.all(
    [1, 2].map(() => call(page, 'POST', `/api/planters/${planter}/bench/runs/${going.id}/stop`)),
  )
  expect(stops.map(({ status }) => status)).toEqual([200, 200])

  await page.goto(`/planters/${planter}/bench`)
  const form = page.getByRole('form', { name: 'A run' })
  await form.getByLabel('Seed lot').fill(name)
  await form.getByLabel('Disc or plate').fill(`Small ${name}`)
  await expect(form.getByRole('status')).toContainText('4.5 mm: seed too large for it (measured), made for 1 to 3 mm')
})

test('meters have numbers: one goes out, its report is read back, and what it says stands on the board and in Decide', async ({
  page,
}) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'By number', 4)
  const serial = `T-${uuid().slice(-6)}`
  await page.goto('/meters')
  await page.getByRole('button', { name: 'Add a meter' }).click()
  const adding = page.getByRole('dialog', { name: 'Meter' })
  await adding.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(adding.getByRole('alert').filter({ hasText: 'meter’s number' })).toBeVisible()
  await adding.getByLabel('Number on it').fill(serial)
  await adding.getByRole('button', { name: 'Save', exact: true }).click()
  const line = page.getByRole('listitem').filter({ hasText: serial })
  await expect(line).toContainText('place not known')
  // Two put different meters into one row at once: one is told.
  const { body } = await call<{ meters: { id: number; serial: string }[] }>(page, 'GET', '/api/meters')
  const meter = body.meters.find((one) => one.serial === serial)?.id as number
  const other = await call<{ id: number }>(page, 'POST', '/api/meters', { serial: `${serial}b` })
  const into = (meter_id: number) => ({
    moves: [{ id: uuid(), meter_id, to: 'row', planter_id: planter, row: 2, happened_at: new Date().toISOString() }],
  })
  const both = await Promise.all([meter, other.body.id].map((id) => call(page, 'POST', '/api/meters/moves', into(id))))
  expect(both.map(({ status }) => status).sort()).toEqual([201, 422])
  if (both[0]?.status === 422) {
    const aside = { id: uuid(), meter_id: other.body.id, to: 'shelf', happened_at: new Date().toISOString() }
    await call(page, 'POST', '/api/meters/moves', { moves: [aside] })
    await call(page, 'POST', '/api/meters/moves', into(meter))
  }
  await page.reload()
  await expect(line.first()).toContainText('By number')
  await page.getByRole('button', { name: `Move meter ${serial}`, exact: true }).click()
  const move = page.getByRole('dialog', { name: `Meter ${serial}` })
  await move.getByLabel('Who has it').fill('Ardle Stand')
  await move.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(line.first()).toContainText('out for testing: Ardle Stand')
  await expectFaultless(page)

  await page.goto(`/planters/${planter}/bench`)
  await page.getByRole('button', { name: 'Import a test report' }).click()
  const report = page.getByRole('dialog', { name: 'Test report from another stand' })
  const table = (text: string) => ({ name: 'report.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await report.locator('input[type=file]').setInputFiles(table('meter,seeds,skips,doubles\nnobody,500,1,1\n'))
  await expect(report.getByRole('alert').filter({ hasText: 'no meter “nobody”' })).toBeVisible()
  await report
    .locator('input[type=file]')
    .setInputFiles(table(`meter,row,seeds,skips,doubles,air\n${serial},,500,41,3,13.5\n,3,500,4,3,13.5\n`))
  await expect(report).toContainText('Row 2 41 skips, 3 doubles of 500')
  await report.getByRole('button', { name: 'Save 2 runs' }).click()
  const meters = page.getByRole('region', { name: 'Meters' })
  await expect(meters).toContainText('Row 2: worse than the others')
  await meters.getByText('Compare two runs').click()
  for (const [label, row] of [
    ['One run', 'Row 2'],
    ['Another run', 'Row 3'],
  ] as const) {
    await meters.locator('.v-select').filter({ hasText: label }).click()
    await page.getByRole('option', { name: row }).click()
  }
  await expect(meters).toContainText('A real difference')

  await meters.getByRole('button', { name: 'Put the run of row 2 on the board' }).click()
  await expect(meters).toContainText('On the board, and in Decide')
  await expect
    .poll(async () => {
      const path = `/api/planters/${planter}/decide`
      const { body } = await call<{ found: { row: number; check: string; verdict: string }[] }>(page, 'GET', path)
      return body.found.filter(({ row }) => row === 2).map(({ check, verdict }) => `${check} ${verdict}`)
    })
    .toEqual(['meter_seal watch'])
  // Its note goes up after it.
  const guide = async () => JSON.stringify((await call(page, 'GET', `/api/planters/${planter}/guide`)).body)
  await expect.poll(guide).toContain('91.2%')
})

/** A lot of the shop, and the field that takes it. */
async function lotFor(page: Page, planter: number, name: string, size: number): Promise<void> {
  const lot = { name, crop: 'popcorn', size, seeds_per_unit: 80_000 }
  expect((await call(page, 'POST', '/api/seed/lots', lot)).status).toBe(201)
  const { body } = await call<{ revision: number; fields: object[] }>(page, 'GET', `/api/planters/${planter}/season`)
  const plain = { soil: null, residue: null, tillage: null }
  const field = { name: `Field of ${name}`, crop: 'popcorn', acres: 20, seed: name, population: 30_000, ...plain }
  const planting_start = new Date(Date.now() + 120 * 86_400_000).toISOString().slice(0, 10)
  const season = { revision: body.revision, planting_start, fields: [...body.fields, field] }
  expect((await call(page, 'PUT', `/api/planters/${planter}/season`, season)).status).toBe(200)
}

test('the wrong disc keeps the countdown open, and names the one to change to', async ({ page }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Wrong disc', 4)
  const tag = uuid().slice(-6)
  await lotFor(page, planter, `Lot ${tag}`, 7.4)
  for (const [name, from_size, to_size] of [
    [`Small ${tag}`, 3, 5.5],
    [`Large ${tag}`, 7.2, 7.6],
  ] as const)
    await call(page, 'POST', '/api/seed/discs', { name, cells: 40, from_size, to_size })
  const put = async (value: string, row = 0) => {
    const setting = { id: uuid(), key: 'disc', value, row, happened_at: new Date().toISOString() }
    expect((await call(page, 'POST', `/api/planters/${planter}/settings`, { settings: [setting] })).status).toBe(201)
  }
  await put(`Small ${tag}`)
  const step = page.getByRole('listitem').filter({ hasText: 'Seed checked against the discs' })
  await page.goto(`/planters/${planter}/season`)
  // The right disc hangs on the wall: that does not plant.
  await expect(step).toContainText(`Large ${tag}`)
  await expect(step).not.toHaveClass(/done/)
  await put(`Large ${tag}`)
  await put(`Small ${tag}`, 3)
  await page.reload()
  await expect(step).toContainText('3')
  await expect(step).not.toHaveClass(/done/)
  await put(`Large ${tag}`, 3)
  await page.reload()
  await expect(step).not.toContainText(`Large ${tag}`)
  await expect(step).toHaveClass(/done/)
})

test('two lots on one meter stay two: each by itself in the printed report, and no lot is compared with the other', async ({
  page,
}) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Two lots', 2)
  const tag = uuid().slice(-6)
  const [round, flat] = [`Round ${tag}`, `Flat ${tag}`]
  await lotFor(page, planter, round, 6.1)
  await lotFor(page, planter, flat, 7.4)
  const run = async (seed: string, stage: 'pre' | 'final', skips: number, minutes: number) => {
    const happened_at = new Date(Date.now() - minutes * 60_000).toISOString()
    const counted = { id: uuid(), row: 1, stage, places: 500, skips, doubles: 2, seed, disc: '40 cells' }
    expect((await call(page, 'POST', `/api/planters/${planter}/bench`, { ...counted, happened_at })).status).toBe(201)
  }
  await run(round, 'pre', 30, 60)
  await run(flat, 'final', 2, 30)
  const headers = { Referer: test.info().project.use.baseURL as string }
  const print = async () => {
    const file = `${test.info().outputDir}/report.pdf`
    await mkdir(test.info().outputDir, { recursive: true })
    await writeFile(
      file,
      await (await page.request.get(`/api/planters/${planter}/bench/report.pdf`, { headers })).body(),
    )
    return (await promisify(execFile)('pdftotext', ['-layout', file, '-'])).stdout
  }
  const apart = await print()
  expect(apart).toContain(round)
  expect(apart).toContain(flat)
  expect(apart).not.toContain('A real difference.')
  await run(round, 'final', 2, 10)
  expect(await print()).toContain('A real difference.')
})
