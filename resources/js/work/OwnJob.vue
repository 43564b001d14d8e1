<script setup lang="ts">
import FormDialog from '@/components/FormDialog.vue'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import NumberField from '@/components/NumberField.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'

/** Work of the shop's own: planned with the rest, ticked and finished from its card. */
const { planterId, rowCount } = defineProps<{ planterId: number; rowCount: number }>()
const emit = defineEmits<{ close: [] }>()
const { send, refusal, busy } = useSend()
const once = useOnce()
const title = ref('')
const row = ref(0)
const minutes = ref<number | null>(null)
const blocks = ref(false)
const rows = Array.from({ length: rowCount + 1 }, (_, value) => ({
  value,
  title: value === 0 ? 'Whole planter' : `Row ${value}`,
}))

async function add(): Promise<void> {
  const typed = { title: title.value, row: row.value, minutes: minutes.value ?? 0, blocks: blocks.value }
  const own = once.of(typed, () => ({ ...typed, id: uuid(), happened_at: new Date().toISOString() }))
  const params = { path: { planter: planterId } }
  if (!(await send(() => body(api.POST('/api/planters/{planter}/work/own', { params, body: own }))))) return
  await queries.invalidateQueries({ queryKey: keys.work(planterId) })
  emit('close')
}
</script>

<template>
  <form-dialog label="Add a job" width="480" :refusal="refusal" :busy="busy" @save="add" @close="emit('close')">
    <template #title>Add a job</template>
    <v-text-field v-model="title" label="What to do" maxlength="120" />
    <div class="pair">
      <v-select v-model="row" label="Where" :items="rows" />
      <number-field v-model="minutes" label="Minutes" kind="minutes" required whole :low="1" :high="6000" />
    </div>
    <v-checkbox v-model="blocks" label="Must be done before planting" hide-details />
    <template #save>Add</template>
  </form-dialog>
</template>
