<script setup lang="ts">
import FormDialog from '@/components/FormDialog.vue'
import { reactive } from 'vue'
import { api, body } from '@/api/client'
import type { Meter } from '@/api/types'
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
  <form-dialog
    label="Meter"
    width="480"
    :refusal="refusal"
    :busy="busy"
    back="Back"
    @save="save"
    @close="emit('close')"
  >
    <template #title>{{ meter ? `Meter ${meter.serial}` : 'A meter' }}</template>
    <v-text-field v-model="form.serial" label="Number on it" maxlength="40" autofocus />
    <v-text-field v-model="form.note" label="Note" maxlength="200" />
    <template #save>Save</template>
  </form-dialog>
</template>
