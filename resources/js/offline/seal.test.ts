import 'fake-indexeddb/auto'
import { Blob as PlainBlob } from 'node:buffer'
import { webcrypto } from 'node:crypto'
import { beforeEach, expect, it, vi } from 'vitest'
import { change, device, type Kept } from './device'
import { seal, unseal } from './seal'

const WREN = btoa('a'.repeat(32))
const IDRIS = btoa('b'.repeat(32))

const note = (id: string, user: number) =>
  ({ what: 'note', id, planter: 1, user, walk: 'w', body: { id, text: 'Größe: seized bolt' } }) as unknown as Kept

const record = (...items: Kept[]) =>
  change(['waiting'], (writing) => Promise.all(items.map((item) => writing.objectStore('waiting').add(item))))

beforeEach(async () => {
  vi.stubGlobal('crypto', webcrypto)
  // One that comes back from the table as it went in.
  vi.stubGlobal('Blob', PlainBlob)
  const tables = await device()
  await Promise.all([tables.clear('waiting'), tables.clear('sealed')])
})

it('leaves nothing of a person to be read on the device, and gives it back in its order, pictures too', async () => {
  const picture = new Blob([new Uint8Array([1, 2, 255, 0])], { type: 'image/jpeg' })
  const photo = { ...note('photo', 1), what: 'photo', body: { id: 'photo', row: 1, picture } } as unknown as Kept
  await record(note('first', 1), note('of another', 2), photo)
  const before = await (await device()).getAll('waiting')
  await seal(1, WREN)
  expect((await (await device()).getAll('waiting')).map(({ id }) => id)).toEqual(['of another'])
  const kept = await (await device()).getAll('sealed')
  expect(kept).toHaveLength(2)
  for (const { data } of kept) expect(new TextDecoder().decode(data)).not.toContain('seized')

  await unseal(1, WREN)
  expect(await (await device()).count('sealed')).toBe(0)
  const after = await (await device()).getAll('waiting')
  expect(after.map(({ order }) => order)).toEqual(before.map(({ order }) => order))
  expect(after[0]).toEqual(before[0])
  const back = after[2] as unknown as { body: { picture: Blob } }
  expect([...new Uint8Array(await back.body.picture.arrayBuffer())]).toEqual([1, 2, 255, 0])
})

it('leaves things as they are where the browser cannot seal', async () => {
  vi.stubGlobal('crypto', {})
  await record(note('first', 1))
  await seal(1, WREN)
  expect(await (await device()).count('waiting')).toBe(1)
})

it('keeps what another key has sealed, as nobody’s', async () => {
  await record(note('first', 1))
  await seal(1, IDRIS)
  await unseal(1, WREN)
  expect((await (await device()).getAll('sealed')).map(({ user }) => user)).toEqual([0])
  expect(await (await device()).count('waiting')).toBe(0)
})
