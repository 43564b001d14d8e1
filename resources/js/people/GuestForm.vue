<script setup lang="ts">
import { ref } from 'vue'
import { api, body } from '@/api/client'
import { useYard } from '@/api/queries'
import type { NewLink } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'

const emit = defineEmits<{ made: [link: NewLink]; close: [] }>()
const yard = useYard()
const planter = ref<number>()
const name = ref('')
const days = ref<number | null>(60)
const { send, refusal, busy } = useSend()

const make = () =>
  send(async () => {
    const sent = { name: name.value, days: days.value ?? 0 }
    const params = { path: { planter: planter.value ?? 0 } }
    emit('made', await body(api.POST('/api/planters/{planter}/guests', { params, body: sent })))
  })
</script>

<template>
  <v-dialog :model-value="true" max-width="520" aria-label="Invite a guest" @update:model-value="emit('close')">
    <form class="sheet asks" novalidate @submit.prevent="make">
      <h2>Invite a guest</h2>
      <p class="quiet">
        Anyone with the link can view one planter: board, rows, life left and walks, without part costs. Guests cannot
        change anything.
      </p>
      <v-select
        v-model="planter"
        label="Planter"
        :items="(yard.data.value ?? []).map(({ id, name: title }) => ({ value: id, title }))"
      />
      <div class="pair">
        <v-text-field
          v-model="name"
          label="Who it is for"
          placeholder="Hollis Pell"
          maxlength="80"
          :error-messages="refusal?.about('name')"
        />
        <number-field
          v-model="days"
          label="Valid for, days"
          kind="days"
          required
          whole
          :low="1"
          :high="400"
          :error-messages="refusal?.about('days')"
        />
      </div>
      <refusal-list v-if="refusal && !Object.keys(refusal.errors).length" :refusal="refusal" />
      <div class="actions">
        <v-btn variant="text" size="large" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" size="large" :loading="busy" :disabled="planter === undefined"
          >Create link</v-btn
        >
      </div>
    </form>
  </v-dialog>
</template>
