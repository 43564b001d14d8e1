<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import type { FirstPass } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { dateAndTime } from '@/dates'
import { useSignOff } from './useSignOff'

/** Somebody calls the planter ready: what is still open is asked about first. */
const { planterId, signed, open } = defineProps<{
  planterId: number
  signed: FirstPass['sign_offs']
  open: FirstPass['open']
}>()
const { sign, takeBack, refusal, busy } = useSignOff(planterId)
const answers = reactive<Record<string, string>>({})
const answer = (key: string) => (answers[key] ?? '').trim()
const unanswered = computed(() => open.filter(({ key }) => answer(key) === ''))
const words = ref('')
const last = computed(() => signed.find(({ kind }) => kind === 'ready'))
const ready = () =>
  sign({ kind: 'ready', words: words.value, answers: open.map(({ key }) => ({ key, answer: answer(key) })) })
</script>

<template>
  <section id="sign_off" class="sheet" aria-label="Sign-off">
    <h2>5. Sign off</h2>
    <template v-if="last">
      <p>
        <strong>Signed off.</strong> {{ last.words }}
        <span class="quiet">{{ [last.by, dateAndTime(last.happened_at), last.field].filter(Boolean).join(', ') }}</span>
        <v-btn variant="text" @click="takeBack(last)">Undo</v-btn>
      </p>
      <ul v-if="last.answers.length" class="quiet">
        <li v-for="one in last.answers" :key="one.key">{{ one.said }} {{ one.answer }}</li>
      </ul>
    </template>
    <template v-if="open.length > 0">
      <p class="due">Still open. For each, say why it can wait:</p>
      <v-text-field
        v-for="one in open"
        :key="one.key"
        v-model="answers[one.key]"
        class="answer"
        :label="one.said"
        maxlength="300"
        hide-details
      />
    </template>
    <div class="line">
      <v-text-field v-model="words" label="What to watch" maxlength="300" />
      <v-btn color="primary" size="large" :loading="busy" :disabled="unanswered.length > 0" @click="ready"
        >Ready to plant</v-btn
      >
    </div>
    <refusal-list :refusal="refusal" />
  </section>
</template>

<style scoped>
.answer {
  margin-bottom: 8px;
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: start;
  gap: 8px;
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
