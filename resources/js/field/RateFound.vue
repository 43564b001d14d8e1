<script setup lang="ts">
import type { FirstPass } from '@/api/types'

/** Whether the rate is right, which rows are off, and what to change. */
const { rate } = defineProps<{ rate: NonNullable<FirstPass['passes'][number]['rate']> }>()
</script>

<template>
  <div class="rate" :class="rate.verdict" role="group" aria-label="Rate">
    <strong>{{ rate.said }}</strong>
    <p class="quiet">{{ rate.ratio }}</p>
    <div v-for="of in rate.findings" :key="of.said" class="finding">
      <strong>{{ of.said }}</strong>
      <p v-if="of.to_prove" class="quiet">{{ of.to_prove }}</p>
      <ol>
        <li v-for="cause in of.causes" :key="cause">{{ cause }}</li>
      </ol>
    </div>
  </div>
</template>

<style scoped>
.rate {
  padding: 8px 12px;
  border: 1px solid var(--line);
  border-left: 6px solid var(--line);
  border-radius: 6px;
}
.rate.sound {
  border-left-color: var(--accent);
}
.rate.off {
  border-left-color: var(--ochre);
}
.finding {
  margin-top: 6px;
}
ol {
  margin: 4px 0 0;
  padding-left: 20px;
}
</style>
