import { computed } from 'vue'
import { useSession } from '@/session'

/** Money in the workshop's currency. */
export function useMoney() {
  const session = useSession()
  const currency = computed(() => session.me?.currency ?? 'USD')
  const exact = computed(
    () => new Intl.NumberFormat('en', { style: 'currency', currency: currency.value, currencyDisplay: 'narrowSymbol' }),
  )
  const whole = computed(
    () =>
      new Intl.NumberFormat('en', {
        style: 'currency',
        currency: currency.value,
        currencyDisplay: 'narrowSymbol',
        maximumFractionDigits: 0,
      }),
  )
  const money = (value: number) => exact.value.format(value)

  return {
    currency,
    money,
    wholeMoney: (value: number) => whole.value.format(value),
    /** A sum of which some prices may not be known: those are never nothing. */
    atLeast({ cost, unpriced }: { cost: number; unpriced: number }): string {
      if (unpriced === 0) return money(cost)
      const unknown = unpriced === 1 ? 'one price unknown' : `${unpriced} prices unknown`
      return cost === 0 ? unknown : `at least ${money(cost)}, ${unknown}`
    },
  }
}
