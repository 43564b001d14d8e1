<script setup lang="ts">
import FormDialog from '@/components/FormDialog.vue'
import { reactive } from 'vue'
import { api, body } from '@/api/client'
import type { Disc } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { useSend } from '@/composables/useSend'

/** A disc or plate, the seed that it is meant for, and where it is in winter. */
const { disc } = defineProps<{ disc?: Disc }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const { send, refusal, busy } = useSend()
const form = reactive({
  name: disc?.name ?? '',
  cells: disc?.cells ?? null,
  hole: disc?.hole ?? null,
  from_size: disc?.from_size ?? null,
  to_size: disc?.to_size ?? null,
  crop: disc?.crop ?? '',
  size_class: disc?.size_class ?? '',
  kept_in: disc?.kept_in ?? '',
})

async function save(): Promise<void> {
  const sent = {
    ...form,
    cells: form.cells ?? 0,
  }
  const taken = await send(() =>
    disc
      ? body(
          api.PUT('/api/seed/discs/{disc}', {
            params: { path: { disc: disc.id } },
            body: { ...sent, revision: disc.revision },
          }),
        )
      : body(api.POST('/api/seed/discs', { body: sent })),
  )
  if (taken) emit('saved')
}
</script>

<template>
  <form-dialog
    label="Disc or plate"
    width="560"
    :refusal="refusal"
    :busy="busy"
    back="Back"
    @save="save"
    @close="emit('close')"
  >
    <template #title>{{ disc ? disc.name : 'New disc or plate' }}</template>
    <v-text-field v-model="form.name" label="Name" maxlength="80" />
    <div class="pair">
      <number-field v-model="form.cells" label="Cells" required whole :low="1" :high="400" />
      <number-field v-model="form.hole" label="Hole, mm" kind="mm" :low="0.1" :high="40" :places="2" />
      <number-field v-model="form.from_size" label="Seed size from, mm" kind="mm" :low="0.5" :high="40" :places="2" />
      <number-field v-model="form.to_size" label="to, mm" kind="mm" :low="0.5" :high="40" :places="2" />
    </div>
    <div class="pair">
      <v-text-field v-model="form.crop" label="Meant for crop" maxlength="80" />
      <v-text-field
        v-model="form.size_class"
        label="Meant for size on the tag"
        placeholder="medium flat, F14"
        maxlength="40"
      />
    </div>
    <v-text-field v-model="form.kept_in" label="Winter storage" maxlength="80" />
    <template #save>Save</template>
  </form-dialog>
</template>
