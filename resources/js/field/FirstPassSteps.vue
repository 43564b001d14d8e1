<script setup lang="ts">
import { computed } from 'vue'
import type { FirstPass } from '@/api/types'
import { say } from '@/words'

/** The first pass in the order of work: what is done, and what is next. */
const { steps } = defineProps<{ steps: FirstPass['steps'] }>()
const next = computed(() => steps.find(({ done }) => !done)?.key)
const places: Record<string, string> = { dig_again: 'dig' }
const go = (key: string) => document.getElementById(places[key] ?? key)?.scrollIntoView({ behavior: 'smooth' })
</script>

<template>
  <nav aria-label="Steps of the first pass">
    <ol>
      <li v-for="(of, at) in steps" :key="of.key">
        <button
          type="button"
          :class="{ done: of.done }"
          :aria-current="of.key === next ? 'step' : undefined"
          @click="go(of.key)"
        >
          <span aria-hidden="true">{{ of.done ? '✓' : at + 1 }}</span>
          {{ say(`first_pass_step.${of.key}`) }}
          <span v-if="of.done" class="spoken">, done</span>
        </button>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
ol {
  display: flex;
  gap: 6px;
  margin: 0;
  padding: 0;
  overflow-x: auto;
  list-style: none;
}
li {
  flex: 1 0 auto;
}
button {
  width: 100%;
  min-height: var(--touch);
  padding: 2px 12px;
  font: inherit;
  white-space: nowrap;
  color: inherit;
  background: none;
  border: 1px solid var(--line);
  border-radius: 6px;
  cursor: pointer;
}
button.done {
  color: var(--accent);
}
button[aria-current] {
  font-weight: 700;
  background: var(--accent-weak);
  border-color: var(--accent);
}
</style>
