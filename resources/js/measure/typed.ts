/**
 * A number as people type it, with a decimal comma too; null for nothing. What is no number goes up as it was typed, so
 * that the answer can name it.
 */
export function typedNumber(typed: string): number | null {
  const text = typed.trim()
  if (text === '') return null
  return /^-?\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : (text as unknown as number)
}
