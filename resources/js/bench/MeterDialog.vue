<script setup lang="ts">
import { reactive } from 'vue'
import { api, body } from '@/api/client'
import type { Meter } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'

/** A meter, by the number that the shop wrote on it. */
const { meter } = defineProps<{ meter?: Meter }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const { send, refusal, busy } = useSend()
const form = reactive({ serial: meter?.serial ?? '', note: meter?.note ?? '' })

async function save(): Promise<void> {
  const taken = await send(() =>
    meter
      ? body(
          api.PUT('/api/meters/{meter}', {
            params: { path: { meter: meter.id } },
            body: { ...form, revision: meter.revision },
          }),
        )
      : body(api.POST('/api/meters', { body: form })),
  )
  if (taken) emit('saved')
}
</script>

<template>
  <v-dialog :model-value="true" max-width="480" aria-label="Meter" @update:model-value="emit('close')">
    <form class="sheet asks" novalidate @submit.prevent="save">
      <h2>{{ meter ? `Meter ${meter.serial}` : 'A meter' }}</h2>
      <v-text-field v-model="form.serial" label="Number on it" maxlength="40" autofocus />
      <v-text-field v-model="form.note" label="Note" maxlength="200" />
      <refusal-list :refusal="refusal" />
      <div class="actions">
        <v-btn variant="text" @click="emit('close')">Back</v-btn>
        <v-btn type="submit" color="primary" :loading="busy">Keep it</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
