<script setup lang="ts">
import { reactive, ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Joint } from '@/api/types'
import FormDialog from '@/components/FormDialog.vue'
import { useSend } from '@/composables/useSend'
import { readRows, shortRows } from '@/walk/rows'
import { say } from '@/words'

/** What holds what comes off, and with what it is opened: whoever finds it out keeps it for the next time. */
const { planterId, step, rowCount, joint } = defineProps<{
  planterId: number
  step: string
  rowCount: number
  joint?: Joint
}>()
const emit = defineEmits<{ close: [] }>()
const { send, refusal, busy } = useSend()
const blank = () => ({ rows: '', pin: '', tools: '' })
const lines = reactive(
  joint?.variants.map(({ rows, pin, tools }) => ({
    rows: shortRows(rows ?? []),
    pin: pin ?? '',
    tools: tools ?? '',
  })) ?? [],
)
if (lines.length === 0) lines.push(blank())
const unread = ref<number>()

async function save(): Promise<void> {
  const said = lines.filter(({ pin, tools }) => pin.trim() !== '' || tools.trim() !== '')
  const variants = said.map(({ rows, ...words }) => ({
    ...words,
    rows: rows.trim() === '' ? [] : readRows(rows, rowCount),
  }))
  const wrong = variants.findIndex(({ rows }) => !rows)
  unread.value = wrong < 0 ? undefined : lines.indexOf(said[wrong] as (typeof lines)[number])
  if (wrong >= 0) return
  const taken = await send(() =>
    body(
      api.PUT('/api/planters/{planter}/joints/{step}', {
        params: { path: { planter: planterId, step } },
        body: { variants: variants as Joint['variants'], revision: joint?.revision ?? 0 },
      }),
    ),
  )
  if (!taken) return
  await queries.invalidateQueries({ queryKey: keys.joints(planterId) })
  emit('close')
}
</script>

<template>
  <form-dialog label="Pin and tools" width="620" :refusal="refusal" :busy="busy" @save="save" @close="emit('close')">
    <template #title>{{ say(`step.${step}`) }}: pin and tools</template>
    <p class="quiet">Rows may have different pins: one line for each kind. No rows means all others.</p>
    <div v-for="(line, at) in lines" :key="at" class="line">
      <v-text-field v-model="line.pin" label="Pin, bolt or clip" placeholder="1/2 x 2 3/4 clevis pin" maxlength="120" />
      <v-text-field v-model="line.tools" label="Tools" placeholder="9/16 wrench, drift" maxlength="120" />
      <v-text-field
        v-model="line.rows"
        label="Rows"
        placeholder="all"
        :error-messages="unread === at ? `Rows from 1 to ${rowCount}, such as 3, 9-12.` : []"
      />
    </div>
    <v-btn v-if="lines.length < 12" class="add" variant="outlined" @click="lines.push(blank())">Add another pin</v-btn>
    <template #save>Save</template>
  </form-dialog>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1.2fr) minmax(0, 0.6fr);
  gap: 8px;
}
.add {
  justify-self: start;
}
@media (max-width: 600px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
