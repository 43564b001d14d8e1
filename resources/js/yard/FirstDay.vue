<script setup lang="ts">
import { mdiCheckCircle, mdiCircleOutline, mdiDebugStepOver } from '@mdi/js'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { RouteLocationRaw } from 'vue-router'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { FirstDay } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'

/** What a new shop does first: a step at a time, each done once the record shows it; any can be skipped and taken up again. */
const { send, refusal, busy } = useSend()
const firstDay = useQuery({ queryKey: keys.firstDay, queryFn: () => body(api.GET('/api/first-day')) })

type Step = FirstDay['steps'][number]['step']
interface Shown {
  title: string
  text: string
  button: string
  to?: RouteLocationRaw
  href?: string
}

const told = computed(() => firstDay.data.value)
const planter = computed(() => told.value?.planter_id ?? undefined)
const toPlanter = (name: string) =>
  planter.value === undefined ? undefined : { name, params: { planter: planter.value } }
const shown = computed<Record<Step, Shown>>(() => ({
  planter: {
    title: 'Add your planter',
    text: 'Rows, spacing and what it has. Parts you do not have are never asked for.',
    button: 'Add planter',
    to: { name: 'new-planter' },
  },
  walk: {
    title: 'Walk two rows',
    text: 'Type figures as the tape shows them. Conditions are sound unless you mark them.',
    button: 'Start the walk',
    to: toPlanter('walk'),
  },
  board: {
    title: 'See the verdicts',
    text: 'The board shows every row and station. Tap a cell for its reason.',
    button: 'Open the board',
    to: toPlanter('board'),
  },
  decide: {
    title: 'Decide one finding',
    text: 'Accept what Ustrel proposes, or override it and say why.',
    button: 'Go to Decide',
    to: toPlanter('decide'),
  },
  print: {
    title: 'Print the findings',
    text: 'A list for the shop wall or the owner.',
    button: 'Print',
    href: told.value?.walk_id ? `/api/walks/${told.value.walk_id}/sheet.pdf` : undefined,
  },
  invite: {
    title: 'Invite someone',
    text: 'A technician or a helper. Each person has their own list under Today.',
    button: 'Go to People',
    to: { name: 'people' },
  },
}))
const steps = computed(() => told.value?.steps.map((of) => ({ ...of, ...shown.value[of.step] })) ?? [])
const next = computed(() => steps.value.find(({ state }) => state === 'open'))
const icons = { open: mdiCircleOutline, done: mdiCheckCircle, skipped: mdiDebugStepOver }

async function mark(step: Step, state: 'open' | 'done' | 'skipped'): Promise<void> {
  await send(async () =>
    queries.setQueryData(keys.firstDay, await body(api.PUT('/api/first-day', { body: { step, state } }))),
  )
}
/** What no record shows is done by going there. */
const went = (step: Step) => (step === 'board' || step === 'print' ? void mark(step, 'done') : undefined)

async function hide(): Promise<void> {
  for (const { step, state } of steps.value) if (state === 'open') await mark(step, 'skipped')
}
async function sample(): Promise<void> {
  await send(async () => {
    queries.setQueryData(keys.firstDay, await body(api.POST('/api/sample-planter')))
    await queries.invalidateQueries({ queryKey: keys.yard })
  })
}
</script>

<template>
  <section v-if="next" class="sheet" aria-label="First day">
    <header>
      <h2>First day</h2>
      <v-btn variant="text" :loading="busy" @click="hide">Skip all</v-btn>
    </header>
    <ol>
      <li v-for="of in steps" :key="of.step" :class="[of.state, { next: of.step === next.step }]">
        <v-icon :icon="icons[of.state]" size="22" :aria-label="of.state" />
        <div>
          <strong>{{ of.title }}</strong>
          <span v-if="of.step === next.step" class="quiet">{{ of.text }}</span>
        </div>
        <template v-if="of.step === next.step">
          <v-btn
            color="primary"
            :to="of.to"
            :href="of.href"
            :target="of.href && '_blank'"
            :disabled="!of.to && !of.href"
            @click="went(of.step)"
            >{{ of.button }}</v-btn
          >
          <v-btn variant="text" :aria-label="`Skip: ${of.title}`" @click="mark(of.step, 'skipped')">Skip</v-btn>
        </template>
        <v-btn
          v-else-if="of.state === 'skipped'"
          variant="text"
          :aria-label="`Do it after all: ${of.title}`"
          @click="mark(of.step, 'open')"
          >Do it after all</v-btn
        >
      </li>
    </ol>
    <p v-if="told?.sample_id === null" class="try">
      <span class="quiet"
        >Want to look around first? A sample planter has made-up readings and counts nowhere else.</span
      >
      <v-btn variant="outlined" :loading="busy" @click="sample">Add sample planter</v-btn>
    </p>
    <refusal-list :refusal="refusal" />
  </section>
</template>

<style scoped>
header {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  min-height: 44px;
  border-top: 1px solid var(--line);
}
li.next {
  padding: 10px 0;
}
li > div {
  display: grid;
  flex: 1;
  min-width: 180px;
}
li:not(.next) strong {
  font-weight: 400;
}
.done .v-icon {
  color: var(--sound);
}
.skipped {
  color: var(--ink-2);
}
.try {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 16px;
  margin: 0;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
</style>
