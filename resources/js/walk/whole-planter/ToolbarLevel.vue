<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { useStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import type { Verdict } from '@/api/types'
import FractionText from '@/components/FractionText.vue'
import VerdictGlyph from '@/components/VerdictGlyph.vue'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { useOutbox } from '@/offline/outbox'
import { say } from '@/words'

/** The toolbar's pitch from two heights or an angle, and how far the hitch has to move. */
const { planterId, walk } = defineProps<{ planterId: number; walk?: string }>()
const outbox = useOutbox()
const { length, units } = useUnits()

const by = ref<'heights' | 'angle'>('heights')
const front = ref('')
const rear = ref('')
const pitch = ref('')
// The planter's own, the same every year.
const span = useStorage(`ustrel.span.${planterId}`, '')
const hitch = useStorage(`ustrel.hitch.${planterId}`, '')
const result = ref<{ pitch: number; verdict: Verdict; hitch_move_mm: number | null }>()
const { send, refusal } = useSend('The server does not answer. With an angle gauge, record the pitch on the walk.')
const errors = computed(() => refusal.value?.errors ?? {})
const problem = computed(() => (refusal.value?.status === 0 ? refusal.value.message : ''))
const recorded = ref(false)

async function work(): Promise<void> {
  result.value = undefined
  recorded.value = false
  const query =
    by.value === 'angle'
      ? { pitch: pitch.value, hitch: hitch.value }
      : { front: front.value, rear: rear.value, span: span.value, hitch: hitch.value }
  await send(async () => {
    result.value = await body(
      api.GET('/api/planters/{planter}/toolbar-level', { params: { path: { planter: planterId }, query } }),
    )
  })
}

function record(): void {
  if (!result.value || walk === undefined) return
  const id = uuid()
  void outbox.add({
    what: 'reading',
    id,
    walk,
    planter: planterId,
    body: {
      id,
      row: 0,
      check: 'toolbar_pitch',
      side: 'centre',
      typed: String(result.value.pitch),
      units: 'in',
      confirmed: true,
      taken_at: new Date().toISOString(),
    },
  })
  recorded.value = true
}
</script>

<template>
  <section class="sheet">
    <h2>Toolbar level</h2>
    <p class="quiet">Lower the planter on level ground, as when planting. It should be level or slightly nose-up.</p>
    <form class="form" @submit.prevent="work">
      <div class="segments" role="group" aria-label="Measured by">
        <button type="button" :aria-pressed="by === 'heights'" @click="by = 'heights'">Two heights</button>
        <button type="button" :aria-pressed="by === 'angle'" @click="by = 'angle'">Angle gauge</button>
      </div>
      <template v-if="by === 'heights'">
        <v-text-field v-model="front" :label="`Height at the front, ${units}`" :error-messages="errors.front" />
        <v-text-field v-model="rear" :label="`Height at the rear, ${units}`" :error-messages="errors.rear" />
        <v-text-field v-model="span" :label="`Between the two points, ${units}`" :error-messages="errors.span" />
      </template>
      <v-text-field v-else v-model="pitch" label="Pitch in degrees, nose-up positive" :error-messages="errors.pitch" />
      <v-text-field
        v-model="hitch"
        :label="`From hitch point to carrying wheels, ${units}`"
        :error-messages="errors.hitch"
        hint="Optional: shows how far to move the hitch"
        persistent-hint
      />
      <v-btn type="submit" variant="outlined">Calculate</v-btn>
    </form>
    <p v-if="problem" class="change" role="alert">{{ problem }}</p>
    <div v-if="result" class="result" role="status">
      <p>
        <verdict-glyph :verdict="result.verdict" :size="20" />
        <strong>{{ Math.abs(result.pitch).toFixed(1) }}° {{ result.pitch < 0 ? 'nose-down' : 'nose-up' }}.</strong>
        {{ result.verdict === 'sound' ? 'Leave it.' : say(result.pitch < 0 ? 'level.raise' : 'level.lower') }}
        <fraction-text
          v-if="result.hitch_move_mm !== null"
          :text="`By about ${length(Math.abs(result.hitch_move_mm))}.`"
        />
      </p>
      <v-btn v-if="walk && !recorded" color="primary" @click="record">Save to the walk</v-btn>
      <p v-else-if="recorded" class="quiet">Recorded.</p>
    </div>
  </section>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
  margin-top: 10px;
}
.segments button {
  flex: 1;
}
.result {
  margin-top: 12px;
  display: grid;
  gap: 10px;
  font-size: 1.0625rem;
}
</style>
