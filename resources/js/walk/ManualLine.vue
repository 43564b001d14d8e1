<script setup lang="ts">
import { ref } from 'vue'
import type { Check, Manual } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { useSend } from '@/composables/useSend'
import { fileOf, notePage, useManuals } from '@/spec/manuals'

/** Where the operator's manual describes a check; whoever finds the page notes it. */
const { planterId, check } = defineProps<{ planterId: number; check: Check }>()
const manuals = useManuals(() => planterId)
const { send, refusal, busy } = useSend()
/** The manual whose page is being typed. */
const noting = ref<number>()
const page = ref<number | null>(null)

function begin(manual: Manual): void {
  noting.value = manual.id
  page.value = manual.pages[check.key] ?? null
}
async function save(manual: Manual): Promise<void> {
  if (await send(() => notePage(manual, check.key, page.value))) noting.value = undefined
}
</script>

<template>
  <section v-if="manuals.data.value && manuals.data.value.length > 0" class="sheet" aria-label="Operator’s manual">
    <h2>Operator’s manual</h2>
    <div v-for="manual in manuals.data.value" :key="manual.id" class="manual">
      <a :href="fileOf(manual.id, manual.pages[check.key])" target="_blank" rel="noopener"
        >{{ manual.name }}{{ manual.pages[check.key] ? `, page ${manual.pages[check.key]}` : '' }}</a
      >
      <form v-if="noting === manual.id" novalidate @submit.prevent="save(manual)">
        <number-field v-model="page" label="PDF page" whole :low="1" :high="5000" hide-details />
        <v-btn type="submit" color="primary" :loading="busy">Save page</v-btn>
      </form>
      <v-btn v-else variant="text" @click="begin(manual)">{{
        manual.pages[check.key] ? 'Change page' : 'Note the page'
      }}</v-btn>
    </div>
    <p v-if="refusal" class="change" role="alert">{{ refusal.about('pages') ?? refusal.message }}</p>
  </section>
</template>

<style scoped>
.sheet {
  padding: 12px 14px;
}
.manual {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 4px 12px;
}
a {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 700;
  color: var(--accent);
}
form {
  display: flex;
  flex: 1 1 100%;
  gap: 8px;
}
</style>
