import type { ObjectDirective } from 'vue'

/** A dialog cannot be typed into before it has begun to open, milliseconds. */
const OPENING = 50

/**
 * Puts the cursor into a field as it comes. Never later than a person who has begun to type: a cursor that comes late takes
 * half of a password along.
 */
export const vCursor: ObjectDirective<HTMLElement> = {
  mounted(element) {
    const input = element.querySelector<HTMLElement>('input, textarea')
    input?.focus()
    if (input === null || document.activeElement === input) return
    setTimeout(() => {
      if (!element.closest('form')?.contains(document.activeElement)) input.focus()
    }, OPENING)
  },
}
