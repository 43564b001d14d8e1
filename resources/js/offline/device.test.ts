import 'fake-indexeddb/auto'
import { openDB } from 'idb'
import { afterEach, describe, expect, it, vi } from 'vitest'

const waits = { order: 7, id: 'n1', user: 1, what: 'note', planter: 1, walk: 'w1' }

/** A device as an earlier version of the program left it, with one note waiting. */
async function leftBehind(version: number): Promise<void> {
  const tables = await openDB('ustrel', version, {
    upgrade(tables) {
      tables.createObjectStore('answers', { keyPath: 'key' })
      const waiting = tables.createObjectStore('waiting', { keyPath: 'order', autoIncrement: true })
      waiting.createIndex('id', 'id', { unique: true })
      waiting.createIndex('user', 'user')
      if (version > 10) tables.createObjectStore('sealed', { keyPath: 'order' }).createIndex('user', 'user')
    },
  })
  await tables.put('waiting', waits)
  tables.close()
}

describe('a device of an earlier version', () => {
  afterEach(async () => {
    const { device } = await import('./device')
    ;(await device()).close()
    indexedDB.deleteDatabase('ustrel')
    vi.resetModules()
  })

  it.each([10, 20])('keeps what waits, from tables at %i', async (version) => {
    await leftBehind(version)
    const { device } = await import('./device')
    const tables = await device()
    expect(await tables.getAllFromIndex('waiting', 'user', 1)).toEqual([waits])
    expect(await tables.count('sealed')).toBe(0)
  })
})
