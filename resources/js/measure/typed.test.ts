import { expect, it } from 'vitest'
import { typedNumber } from './typed'

it.each([
  ['38.50', 38.5],
  [' 38,5 ', 38.5],
  ['0', 0],
  ['', null],
  ['  ', null],
  ['38.5 each', '38.5 each'],
  ['1,250.5', '1,250.5'],
  ['0x10', '0x10'],
  ['1e3', '1e3'],
])('takes %j for %j', (typed, expected) => expect(typedNumber(typed)).toEqual(expected))
