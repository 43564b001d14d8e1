import type { Check, Doubt, State, WalkStep } from '@/api/types'
import { doubtsAbout } from '@/measure/bands'
import type { Units } from '@/measure/length'
import { readFigure } from '@/measure/quantity'
import type { Content } from '@/walk/useWalk'
import { say, sayFault } from '@/words'

/** What a cell of the sheet says: a reading, a fault to be put right, or nothing yet. */
export type SheetCell = { content: Content; doubts: Doubt[] } | { fault: string } | null

const LETTERS: Record<string, State> = {
  s: 'sound',
  w: 'watch',
  c: 'change',
  f: 'failed',
  g: 'gap',
  l: 'light',
  t: 'tight',
  y: 'yes',
  n: 'no',
}

/** Reads what is written in one cell, by the check's kind: a figure, a letter or a word. */
export function readCell(text: string, check: Check, step: WalkStep, rows: Doubt | undefined, units: Units): SheetCell {
  const written = text.trim()
  if (written === '') return null
  const states = check.states.map(({ state }) => state)
  const isNo = states.includes('no')
  if (/^(n|none|not fitted)$/i.test(written) && !isNo) return { content: { result: 'not_fitted' }, doubts: [] }
  if (check.unit === null) {
    const word = written.toLowerCase()
    const state = states.find(
      (candidate) => candidate === word || say(`state.${candidate}`) === word || candidate === LETTERS[word],
    )
    if (state === undefined)
      return { fault: `"${written}" is not one of ${states.map((one) => say(`state.${one}`)).join(', ')}.` }
    return { content: { state, chips: [] }, doubts: [] }
  }
  const read = readFigure(written, check, units)
  if ('fault' in read) return { fault: sayFault(read) }
  const doubts = [...(step.doubts ?? check.doubts), ...(rows ? [rows] : [])]
  return { content: { typed: written, units }, doubts: doubtsAbout(doubts, read.value) }
}

/** What was copied from a spreadsheet, line by line and cell by cell. A last line break ends the last cell. */
export function splitPaste(text: string): string[][] {
  return text
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((line) => line.split('\t'))
}

/** Lines for columns and columns for lines. */
export function turned(block: string[][]): string[][] {
  const width = Math.max(...block.map((line) => line.length))
  return Array.from({ length: width }, (_, column) => block.map((line) => line[column] ?? ''))
}
