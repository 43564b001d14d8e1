import { inject, type InjectionKey, onScopeDispose, provide } from 'vue'

/** A number field of a form: what is wrong with what is typed in it, said where it is. */
export interface NumberFieldState {
  /** Shows the fault from now on; the sentence, or null where the number can be read. */
  complain: () => string | null
}

const FIELDS: InjectionKey<Set<NumberFieldState>> = Symbol('number fields')

/** The number fields of a form: nothing is sent while one of them cannot be read. */
export function useNumbers() {
  const fields = new Set<NumberFieldState>()
  provide(FIELDS, fields)
  return {
    /** Has each field that cannot be read say so; how many there are. */
    complain: () => [...fields].filter((field) => field.complain() !== null).length,
  }
}

/** Joins the form that the field is in. */
export function useNumberField(state: NumberFieldState): void {
  const fields = inject(FIELDS, undefined)
  fields?.add(state)
  onScopeDispose(() => fields?.delete(state))
}
