<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, useYard } from '@/api/queries'
import type { SettingEntry, SettingMade } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { useOutbox } from '@/offline/outbox'

import { valueOf } from './settingEntry'

/** What is set here goes to another planter of the shop, but for what that one cannot take. */
const { planterId } = defineProps<{ planterId: number }>()
const yard = useYard()
const outbox = useOutbox()
const once = useOnce()
const { send, refusal, busy } = useSend()
const other = ref<number | null>(null)
const done = ref('')
const others = computed(() =>
  (yard.data.value ?? [])
    .filter(({ id }) => id !== planterId)
    .map(({ id, farm, name }) => ({ value: id, title: `${farm}, ${name}` })),
)
const nameOf = computed(() => others.value.find(({ value }) => value === other.value)?.title ?? '')
const told = useQuery({
  queryKey: computed(() => [...keys.settings(planterId), 'for', other.value]),
  enabled: () => other.value !== null,
  queryFn: () =>
    body(
      api.GET('/api/planters/{planter}/settings/for/{other}', {
        params: { path: { planter: planterId, other: other.value as number } },
      }),
    ),
})
function asEntry(of: SettingMade): Omit<SettingEntry, 'id' | 'happened_at'> {
  const { field, crop, soil, residue } = of
  return { ...valueOf(of), field, crop, soil, residue }
}
async function go(): Promise<void> {
  const [to, takes] = [other.value, told.data.value?.takes ?? []]
  if (to === null || takes.length === 0) return
  done.value = ''
  const typed = { to, settings: takes.map(asEntry) }
  const settings = once.of(typed, () => {
    const happened_at = new Date().toISOString()
    return typed.settings.map((of): SettingEntry => ({ ...of, id: uuid(), happened_at }))
  })
  const id = settings[0]?.id as string
  if (!(await send(() => outbox.deliver({ what: 'setting', id, planter: to, body: { settings } })))) return
  once.taken()
  done.value = `Sent to ${nameOf.value}.`
}
</script>

<template>
  <div v-if="others.length > 0" class="send" role="group" aria-label="Send to another planter">
    <v-autocomplete
      v-model="other"
      label="Send to another planter"
      :items="others"
      hide-details
      @update:model-value="done = ''"
    />
    <template v-if="told.data.value && other !== null">
      <p v-if="told.data.value.leaves.length > 0">
        Not sent:
        <span v-for="(of, at) in told.data.value.leaves" :key="of.said"
          >{{ at ? '; ' : '' }}{{ of.said }} ({{ of.why }})</span
        >.
      </p>
      <v-btn variant="outlined" size="large" :loading="busy" :disabled="told.data.value.takes.length === 0" @click="go"
        >Send {{ told.data.value.takes.length }}
        {{ told.data.value.takes.length === 1 ? 'setting' : 'settings' }}</v-btn
      >
    </template>
    <p v-if="done" role="status">{{ done }}</p>
    <refusal-list :refusal="refusal" />
  </div>
</template>

<style scoped>
.send {
  display: grid;
  gap: 10px;
  margin-top: 12px;
}
</style>
