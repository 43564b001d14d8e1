import { usePreferredDark } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api, body, Refusal, renewToken, speakAs } from './api/client'
import type { Me } from './api/types'
import { writeDatesAs } from './dates'
import { clearDevice, forget, keep, lastKept, owesSignOut, remembered } from './offline/remember'
import { seal, unseal } from './offline/seal'

/** Who is signed in on this device, and how they like it shown. */
export const useSession = defineStore('session', () => {
  const me = ref<Me | null>(null)
  const hasLapsed = ref(false)
  /** Set while a session that was there has ended: the work stays on the screen and sign-in comes over it. */
  const lapsed = computed({
    get: () => hasLapsed.value,
    // An answer that comes after somebody has gone says nothing new.
    set: (has: boolean) => (hasLapsed.value = has && me.value !== null),
  })
  /** Set where the session turns out to have ended before this page was opened: there is only the way to sign in. */
  const ended = ref(false)
  const units = computed(() => me.value?.units ?? 'in')
  /** Where a day begins: the workshop's time zone. */
  const timeZone = computed(() => me.value?.time_zone ?? 'UTC')
  const isDarkDevice = usePreferredDark()
  /** The person's own choice, or else the device's. */
  const theme = computed<'light' | 'dark'>(() => {
    const chosen = me.value?.theme ?? 'device'
    if (chosen !== 'device') return chosen
    return isDarkDevice.value ? 'dark' : 'light'
  })

  function become(person: Me | null): void {
    speakAs(person?.id)
    writeDatesAs(person?.number_style ?? null)
    me.value = person
  }

  /** What somebody has waiting on the device is opened as they come. */
  async function arrive(person: Me): Promise<void> {
    await unseal(person.id, person.seal).catch((error: unknown) => console.warn('Not opened', error))
    become(person)
  }

  /** And sealed as they go. */
  async function leave(person: Me): Promise<void> {
    await seal(person.id, person.seal).catch((error: unknown) => console.warn('Not sealed', error))
  }

  /**
   * Who was here last is here at once, with a signal or without. The server is asked meanwhile whether that still holds;
   * what it says comes as `said`.
   */
  async function load(): Promise<{ said: Promise<void> }> {
    if (await owesSignOut.isOwed()) {
      await tellSignedOut()
      if (await owesSignOut.isOwed()) return { said: Promise.resolve() }
    }
    const last = await lastKept<Me>('me')
    if (last !== undefined) await arrive(last)
    return { said: confirm(last).catch(() => undefined) }
  }

  async function confirm(last?: Me): Promise<void> {
    // Whoever has come or gone meanwhile is not undone by an answer about the one before.
    const isSame = () => me.value?.id === last?.id
    try {
      const person = await remembered('me', (signal) => body(api.GET('/api/me', { signal })))
      if (isSame()) await arrive(person)
    } catch (error) {
      if (!(error instanceof Refusal && error.isSignedOut)) throw error
      if (last === undefined || !isSame()) return
      await leave(last)
      await forget('me')
      become(null)
      lapsed.value = false
      ended.value = true
    }
  }

  /** After something was changed that hangs on the person or the workshop. */
  const refresh = () => confirm(me.value ?? undefined)

  /** Lets somebody in: with a password, or by a link. */
  async function enter(ask: () => Promise<Me>): Promise<void> {
    speakAs(undefined)
    const person = await renewToken()
      .then(ask)
      .catch(async (error: unknown) => {
        // An answer that came late has taken the token along: once more with a fresh one.
        if (!(error instanceof Refusal && error.status === 419)) throw error
        await renewToken()
        return ask()
      })
    await owesSignOut.settle()
    ended.value = false
    if (me.value !== null && me.value.id !== person.id) await leave(me.value)
    await arrive(person)
    void keep('me', person)
  }

  const signIn = (email: string, password: string) =>
    enter(() => body(api.POST('/api/sign-in', { body: { email, password } })))

  /** Without a signal too: the device forgets the person at once, and the server is told when it can be reached. */
  async function signOut(): Promise<void> {
    const person = me.value
    // First: what is sealed in the following is no other tab's doing.
    become(null)
    if (person !== null) {
      await leave(person)
      await clearDevice()
    }
    await owesSignOut.owe()
    await tellSignedOut()
  }

  async function tellSignedOut(): Promise<void> {
    try {
      await api.POST('/api/sign-out')
    } catch (error) {
      if (!(error instanceof Refusal && error.isSignedOut)) return
    }
    await owesSignOut.settle()
  }

  const may = (ability: Me['may'][number]) => me.value?.may.includes(ability) ?? false

  async function change(settings: Partial<Pick<Me, 'units' | 'theme'>>): Promise<void> {
    if (me.value === null) return
    me.value = { ...me.value, ...settings }
    void keep('me', me.value)
    try {
      await api.PATCH('/api/me', { body: settings })
    } catch (error) {
      // Without a signal the setting holds on this device; it is only not remembered elsewhere.
      lapsed.value = error instanceof Refusal && error.isSignedOut
    }
  }

  return { me, lapsed, ended, units, timeZone, theme, may, load, refresh, enter, signIn, signOut, change }
})
