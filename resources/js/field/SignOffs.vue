<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, reactive, ref } from 'vue'
import type { FirstPass, SignOffEntry } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { dateAndTime } from '@/dates'
import { useOutbox } from '@/offline/outbox'
import { sayRows } from '@/plan/findings'
import { readRows } from '@/wear/life'
import { say } from '@/words'
import { useGround } from './useGround'

/** Each row turned by hand before, and the planter called ready after: by whom. */
const { planterId, rowCount, signed, open } = defineProps<{
  planterId: number
  rowCount: number
  signed: FirstPass['sign_offs']
  /** What is asked about before the planter is called ready. */
  open: FirstPass['open']
}>()
const answers = reactive<Record<string, string>>({})
const unanswered = computed(() => open.filter(({ key }) => (answers[key] ?? '').trim() === ''))
const outbox = useOutbox()
const once = useOnce()
const ground = useGround(planterId)
const { send, refusal, busy } = useSend()
const missing = ref('')
const words = ref('')
const rows = computed(() => (missing.value.trim() === '' ? [] : readRows(missing.value, rowCount)))
const last = (kind: SignOffEntry['kind']) => signed.find((one) => one.kind === kind)

async function sign(kind: SignOffEntry['kind']): Promise<void> {
  if (rows.value === null) return
  const typed = {
    kind,
    field: ground.value.field,
    ...(kind === 'hand_turned'
      ? { rows: rows.value }
      : { words: words.value, answers: open.map(({ key }) => ({ key, answer: (answers[key] ?? '').trim() })) }),
  }
  const body = once.of(typed, () => ({ ...typed, id: uuid(), happened_at: new Date().toISOString() }))
  if (await send(() => outbox.deliver({ what: 'signOff', id: body.id, planter: planterId, body }))) once.taken()
}
async function takeBack(of: FirstPass['sign_offs'][number]): Promise<void> {
  const body = {
    id: uuid(),
    kind: of.kind,
    rows: of.rows,
    words: of.words,
    supersedes: of.id,
    withdrawn: true,
    happened_at: new Date().toISOString(),
  }
  await send(() => outbox.deliver({ what: 'signOff', id: body.id, planter: planterId, body }))
}
</script>

<template>
  <section class="sheet" aria-label="Sign-off">
    <h2>Before: turn each row by hand</h2>
    <p class="caution">{{ say('caution.hand_turn') }}</p>
    <p v-if="last('hand_turned')">
      {{
        last('hand_turned')?.rows.length
          ? `${sayRows(last('hand_turned')?.rows ?? [])}: no seed.`
          : 'Every row dropped seed.'
      }}
      <span class="quiet"
        >{{ last('hand_turned')?.by }}, {{ dateAndTime(last('hand_turned')?.happened_at ?? '') }}</span
      >
    </p>
    <div class="line">
      <v-text-field
        v-model="missing"
        label="Rows that did not drop"
        placeholder="none"
        :error-messages="rows === null ? `Rows from 1 to ${rowCount}, such as 3, 9-12.` : []"
      />
      <v-btn variant="outlined" size="large" :loading="busy" :disabled="rows === null" @click="sign('hand_turned')">{{
        missing.trim() === '' ? 'Every row dropped' : 'Keep it'
      }}</v-btn>
    </div>
    <h2>After: ready to plant</h2>
    <p v-if="last('ready')">
      <strong>Signed off.</strong> {{ last('ready')?.words }}
      <span class="quiet"
        >{{ last('ready')?.by }}, {{ dateAndTime(last('ready')?.happened_at ?? '')
        }}{{ last('ready')?.field ? `, ${last('ready')?.field}` : '' }}</span
      >
      <v-btn variant="text" @click="takeBack(last('ready') as FirstPass['sign_offs'][number])">Take it back</v-btn>
    </p>
    <ul v-if="last('ready')?.answers.length" class="quiet">
      <li v-for="one in last('ready')?.answers" :key="one.key">{{ one.said }} {{ one.answer }}</li>
    </ul>
    <template v-if="open.length > 0">
      <p class="due">Still open. Say for each why the planter can go:</p>
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
      <v-text-field v-model="words" label="What is left to watch" maxlength="300" />
      <v-btn color="primary" size="large" :loading="busy" :disabled="unanswered.length > 0" @click="sign('ready')"
        >Ready to plant</v-btn
      >
    </div>
    <refusal-list :refusal="refusal" />
  </section>
</template>

<style scoped>
h2 {
  margin: 6px 0;
}
.answer {
  margin-bottom: 8px;
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: start;
  gap: 8px;
}
</style>
