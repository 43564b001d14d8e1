<script setup lang="ts">
import { api, body } from '@/api/client'
import type { Supplier } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { age } from '@/dates'
import { useSession } from '@/session'

/** A supplier, and what its parts counter said when it was asked last. */
const { supplier } = defineProps<{ supplier: Supplier }>()
const emit = defineEmits<{ edit: []; asked: [] }>()
const session = useSession()
const { send, refusal, busy } = useSend()

async function ask(): Promise<void> {
  const params = { path: { supplier: supplier.id } }
  if (await send(() => body(api.POST('/api/suppliers/{supplier}/ask', { params })))) emit('asked')
}
const plural = (count: number, what: string) => (count === 1 ? `1 ${what}` : `${count} ${what}s`)
</script>

<template>
  <div class="supplier">
    <div class="about">
      <strong>{{ supplier.name }}</strong>
      <span class="quiet">{{ plural(supplier.prices.length, 'price') }} on file</span>
      <span v-if="supplier.answered_at" class="quiet"
        >counter knows {{ plural(supplier.answered, 'part') }}, asked {{ age(supplier.answered_at) }}</span
      >
      <span v-if="supplier.fault && supplier.failed_at" role="status" class="due"
        >Asked {{ age(supplier.failed_at) }}: {{ supplier.fault }}
        {{ supplier.answered_at ? 'Using its last answer.' : 'Using the prices on file.' }}</span
      >
    </div>
    <v-btn
      v-if="supplier.counter && session.may('record')"
      variant="outlined"
      :loading="busy"
      :aria-label="`Ask the parts counter of ${supplier.name}`"
      @click="ask"
      >Ask for prices</v-btn
    >
    <v-btn variant="text" :aria-label="`Open ${supplier.name}`" @click="emit('edit')">Open</v-btn>
  </div>
  <refusal-list :refusal="refusal" />
</template>

<style scoped>
.supplier {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
.about {
  flex: 1 1 260px;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
.due {
  color: var(--ochre);
}
</style>
