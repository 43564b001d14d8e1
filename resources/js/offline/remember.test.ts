import 'fake-indexeddb/auto'
import { beforeEach, expect, it, vi } from 'vitest'
import { Refusal } from '@/api/client'
import { device } from './device'
import { clearDevice, keep, owesSignOut, remembered } from './remember'

const away = () => Promise.reject<{ rows: number }>(new TypeError('Failed to fetch'))

beforeEach(async () => (await device()).clear('answers'))

it('answers from the device where the server cannot be reached, with what was heard last', async () => {
  expect(await remembered('1:guide', async () => ({ rows: 8 }))).toEqual({ rows: 8 })
  await keep('1:guide', { rows: 9 })
  expect(await remembered('1:guide', away)).toEqual({ rows: 9 })
  await expect(remembered('2:guide', away)).rejects.toThrow('Failed to fetch')
})

it('waits for a late server where nothing is kept, and shows what is kept meanwhile', async () => {
  vi.useFakeTimers({ toFake: ['setTimeout'] })
  const late = () => new Promise<{ rows: number }>((resolve) => setTimeout(() => resolve({ rows: 8 }), 20_000))
  const alone = remembered('1:late', late)
  await vi.advanceTimersByTimeAsync(20_000)
  expect(await alone).toEqual({ rows: 8 })
  await keep('1:late', { rows: 7 })
  const beside = remembered('1:late', late)
  await vi.advanceTimersByTimeAsync(9_000)
  vi.useRealTimers()
  expect(await beside).toEqual({ rows: 7 })
})

it('never papers over a refusal', async () => {
  await keep('1:guide', { rows: 9 })
  const signedOut = () => Promise.reject<unknown>(new Refusal(401, 'signed out'))
  await expect(remembered('1:guide', signedOut)).rejects.toThrow('signed out')
  expect(await remembered('1:guide', () => Promise.reject<unknown>(new Refusal(503, 'down')))).toEqual({ rows: 9 })
})

it('keeps nothing where there is nothing to keep', async () => {
  await keep('1:guide', { rows: 9 })
  await keep('1:guide', undefined)
  expect(await remembered('1:guide', away)).toEqual({ rows: 9 })
})

it('forgets everything kept when somebody signs out, and remembers that the server has to be told', async () => {
  await keep('1:yard', 1)
  await keep('me', { id: 1 })
  await clearDevice()
  expect(await (await device()).count('answers')).toBe(0)
  await owesSignOut.owe()
  expect(await owesSignOut.isOwed()).toBe(true)
  await owesSignOut.settle()
  expect(await owesSignOut.isOwed()).toBe(false)
})
