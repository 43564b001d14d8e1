<script setup lang="ts">
import { api, body } from '@/api/client'
import { queries } from '@/api/queries'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { useSession } from '@/session'

/** How a person likes it shown, and where the workshop's day begins. */
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const { send, refusal, busy } = useSend()
const zones = [...new Set([session.timeZone, ...Intl.supportedValuesOf('timeZone')])].sort()
const themes = [
  { theme: 'device', title: 'Same as device' },
  { theme: 'light', title: 'Light' },
  { theme: 'dark', title: 'Dark' },
] as const

const setZone = (time_zone: string) =>
  send(async () => {
    await body(api.PATCH('/api/workshop', { body: { time_zone } }))
    await session.refresh()
    await queries.invalidateQueries()
  })
</script>

<template>
  <v-dialog :model-value="true" max-width="480" aria-label="Settings" @update:model-value="emit('close')">
    <div class="sheet asks">
      <h2>Settings</h2>
      <h3>Display</h3>
      <div class="segments" role="group" aria-label="Theme">
        <button
          v-for="{ theme, title } in themes"
          :key="theme"
          type="button"
          :aria-pressed="session.me?.theme === theme"
          @click="session.change({ theme })"
        >
          {{ title }}
        </button>
      </div>
      <h3>{{ session.me?.workshop }}</h3>
      <label class="zone">
        Time zone
        <select
          :value="session.timeZone"
          :disabled="busy"
          @change="setZone(($event.target as HTMLSelectElement).value)"
        >
          <option v-for="zone in zones" :key="zone">{{ zone }}</option>
        </select>
      </label>
      <p class="quiet">The shop’s day starts at midnight in this time zone, on every device.</p>
      <refusal-list :refusal="refusal" />
      <div class="actions"><v-btn variant="text" @click="emit('close')">Close</v-btn></div>
    </div>
  </v-dialog>
</template>

<style scoped>
.zone {
  display: grid;
  gap: 4px;
}
select {
  min-height: var(--touch);
  padding: 0 10px;
  color: inherit;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: 8px;
}
</style>
