<script setup lang="ts">
import { computed } from 'vue'
import type { Check, Planter } from '@/api/types'
import { drawingOf } from '@/drawings'
import { say } from '@/words'
import { howTo } from './howTo'
import ManualLine from './ManualLine.vue'

/** What to mind while making this check, and how it is made. */
const { check, sheet } = defineProps<{ planterId: number; check: Check; sheet: Planter['spec_sheet'] }>()
/** How the blades are bolted on, where they come off. */
const threads = computed(() => {
  if (check.station !== 'opener_blades' && check.station !== 'blade_contact') return ''
  const torque = sheet.torque === '' ? say('threads.torque_in_manual') : say('threads.torque', { torque: sheet.torque })
  return `${say(`threads.${sheet.left_hand_thread ?? 'unknown'}`)} ${torque}`
})
const drawing = computed(() => drawingOf(check))
</script>

<template>
  <aside class="side">
    <section class="sheet caution">
      <h2>Mind your hands</h2>
      <p>{{ say(`caution.${check.station}`) }}</p>
      <p :class="{ quiet: !check.running }">{{ say(check.running ? 'caution.running' : 'caution.still') }}</p>
    </section>
    <p v-if="threads" class="sheet">{{ threads }}</p>
    <section class="sheet">
      <h2>How to {{ check.kind === 'measure' ? 'measure' : 'check' }}</h2>
      <component :is="drawing" v-if="drawing" />
      <ol>
        <li v-for="line in howTo(check.key)" :key="line">{{ line }}</li>
      </ol>
    </section>
    <manual-line :planter-id="planterId" :check="check" />
  </aside>
</template>

<style scoped>
.side {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  font-size: 0.9375rem;
}
.sheet {
  padding: 12px 14px;
}
ol {
  padding-left: 20px;
  margin-top: 6px;
  display: grid;
  gap: 4px;
}
.caution h2 {
  color: var(--ochre);
}
</style>
