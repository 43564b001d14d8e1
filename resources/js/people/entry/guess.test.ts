import { expect, it } from 'vitest'
import { guessFrom } from './guess'

it.each([
  ['en-US', { currency: 'USD', units: 'in', paper: 'letter' }],
  ['en', { currency: 'USD', units: 'in', paper: 'letter' }],
  ['en-CA', { currency: 'CAD', units: 'in', paper: 'letter' }],
  ['en-AU', { currency: 'AUD', units: 'mm', paper: 'a4' }],
  ['de', { currency: 'EUR', units: 'mm', paper: 'a4' }],
  ['fr-BE', { currency: 'EUR', units: 'mm', paper: 'a4' }],
  ['pt-BR', { currency: 'BRL', units: 'mm', paper: 'a4' }],
  ['es-MX', { currency: 'MXN', units: 'mm', paper: 'letter' }],
])('guesses from %s', (language, guess) => expect(guessFrom(language)).toEqual(guess))
