import { expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { useOnce } from './useOnce'

it('makes the same thing until it was taken or something else was typed', () => {
  const once = useOnce()
  const make = () => uuid()
  const first = once.of({ part: 3, quantity: '4' }, make)
  expect(once.of({ part: 3, quantity: '4' }, make)).toBe(first)
  const other = once.of({ part: 3, quantity: '5' }, make)
  expect(other).not.toBe(first)
  once.taken()
  expect(once.of({ part: 3, quantity: '5' }, make)).not.toBe(other)
})
