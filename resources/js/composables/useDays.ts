import { computed } from 'vue'
import { useSession } from '@/session'

/** Calendar days as the workshop counts them, wherever the device is. */
export function useDays() {
  const session = useSession()
  // As en-CA writes it, a day is YYYY-MM-DD.
  const calendar = computed(() => new Intl.DateTimeFormat('en-CA', { timeZone: session.timeZone }))
  const dayOf = (moment: string | Date) => calendar.value.format(new Date(moment))
  const today = () => dayOf(new Date())

  /** The moment that a day means: now where it is today, the workshop's noon where it is past. */
  function momentOf(day: string): string {
    const now = new Date()
    if (day === dayOf(now)) return now.toISOString()
    const noon = new Date(`${day}T12:00:00.000Z`)
    // How far the workshop's clock is ahead of that, to the minute.
    const there = new Date(`${noon.toLocaleString('sv', { timeZone: session.timeZone }).replace(' ', 'T')}.000Z`)
    return new Date(2 * noon.getTime() - there.getTime()).toISOString()
  }

  return { today, dayOf, momentOf }
}
