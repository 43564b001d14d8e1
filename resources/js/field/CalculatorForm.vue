<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, nextTick, reactive, ref } from 'vue'
import { api, body } from '@/api/client'
import type { Calculator, SettingEntry, Worked } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useOnce } from '@/composables/useOnce'
import { useSend } from '@/composables/useSend'
import { type Units } from '@/measure/length'
import { type Fault, readNumber } from '@/measure/number'
import { useOutbox } from '@/offline/outbox'
import { useSession } from '@/session'
import { say, sayFault } from '@/words'
import { readList } from './dig'
import { useGround } from './useGround'

/** One calculator: what it asks for, its formula with the figures in it, and what it comes to. */
const { planterId, calculator, units } = defineProps<{
  planterId: number
  calculator: Calculator
  units: Units
}>()
const { send, refusal, busy } = useSend('The server does not answer. Calculators need a signal; nothing was lost.')
const outbox = useOutbox()
const once = useOnce()
const ground = useGround(planterId)
const session = useSession()
const figures = reactive(
  Object.fromEntries(calculator.inputs.map(({ key, value, list }) => [key, list ? null : (value?.[0] ?? null)])),
)
const lists = reactive(
  Object.fromEntries(calculator.inputs.map(({ key, value, list }) => [key, list ? (value ?? []).join(', ') : ''])),
)
/** 17, 19, 21 and 17 19 21 alike. */
const listed = (key: string) =>
  readList(lists[key] ?? '')
    .flatMap((one) => one.split(/\s+/))
    .map((one) => readNumber(one, { style: session.me?.number_style ?? null }))
const listFault = (key: string) => {
  const wrong = listed(key).find((one) => 'fault' in one)
  return wrong && sayFault(wrong as Fault)
}
const worked = ref<Worked>()
const kept = ref('')
const result = ref<HTMLElement>()
const typed = computed(() =>
  Object.fromEntries(
    calculator.inputs.map(({ key, list }) => {
      const each = listed(key).flatMap((one) => ('value' in one ? [one.value] : []))
      return [key, list ? (each.length === 0 ? null : each) : figures[key]]
    }),
  ),
)
/** Such as are the planter's own, and stand otherwise in its record. */
const news = computed(() =>
  calculator.inputs.filter(({ key, value, setting, list }) => {
    const now = list ? lists[key] : figures[key]
    return setting && now !== null && now !== '' && now !== (list ? (value ?? []).join(', ') : (value?.[0] ?? null))
  }),
)

const labelOf = ({ key, unit, may_lack }: Calculator['inputs'][number]) =>
  `${say(`calc_input.${key}`)}${unit ? `, ${unit}` : ''}${may_lack ? ' (if known)' : ''}`

/** What follows a choice of sprockets is told under it. */
const lines = computed(() => {
  const told: { line: Worked['lines'][number]; told: string }[] = []
  for (const line of worked.value?.lines ?? []) {
    const choice = told.at(-1)
    if (choice?.line.key !== 'sprockets' || line.key === 'sprockets') told.push({ line, told: '' })
    else {
      const which = line.key.startsWith('change') ? ` ${line.number}:` : ''
      choice.told = [choice.told, `${say(`calc_line.${line.key}`)}${which} ${line.said}`].filter(Boolean).join(', ')
    }
  }
  return told
})

async function work(): Promise<void> {
  if (calculator.inputs.some(({ key }) => listFault(key))) return
  kept.value = ''
  worked.value = undefined
  await send(async () => {
    worked.value = await body(
      api.POST('/api/planters/{planter}/calculators/{calculation}', {
        params: { path: { planter: planterId, calculation: calculator.key } },
        body: { units, figures: typed.value as Record<string, never> },
      }),
    )
  })
  await nextTick()
  // On a phone it lies below.
  if ((result.value?.getBoundingClientRect().top ?? 0) > window.innerHeight - 160) result.value?.scrollIntoView()
}
async function keep(said: { key: SettingEntry['key']; value: string; figure: number | null }): Promise<void> {
  const entry = once.of(said, () => ({
    ...said,
    ...ground.value,
    id: uuid(),
    units,
    happened_at: new Date().toISOString(),
  }))
  const body = { settings: [entry] }
  if (!(await send(() => outbox.deliver({ what: 'setting', id: entry.id, planter: planterId, body })))) return
  once.taken()
  kept.value = `Saved: ${say(`setting.${said.key}`)}.`
}
const keepInput = ({ key, setting, list, unit }: Calculator['inputs'][number]) =>
  keep({
    key: setting as SettingEntry['key'],
    value: list ? (lists[key] ?? '') : unit === '' ? String(figures[key] ?? '') : '',
    figure: list ? null : (figures[key] ?? null),
  })
</script>

<template>
  <section class="sheet" :aria-label="say(`calc.${calculator.key}`)">
    <h1>{{ say(`calc.${calculator.key}`) }}</h1>
    <p class="quiet">{{ say(`calc_about.${calculator.key}`) }}</p>
    <div class="halves">
      <form novalidate @submit.prevent="work">
        <template v-for="input in calculator.inputs" :key="input.key">
          <v-text-field
            v-if="input.list"
            v-model="lists[input.key]"
            :label="labelOf(input)"
            placeholder="17, 19, 21"
            :error-messages="listFault(input.key)"
          />
          <number-field
            v-else
            v-model="figures[input.key]"
            :label="labelOf(input)"
            :unit="input.unit"
            :low="-1e6"
            hide-details
          />
        </template>
        <v-btn type="submit" color="primary" size="large" :loading="busy">Calculate</v-btn>
      </form>
      <div ref="result" class="result">
        <refusal-list :refusal="refusal" />
        <template v-if="worked">
          <dl>
            <div v-for="({ line, told }, at) in lines" :key="at">
              <dt>
                {{ say(`calc_line.${line.key}`)
                }}{{ line.number === null || line.key.startsWith('by_') ? '' : ` ${line.number}` }}
              </dt>
              <dd :class="{ due: line.amiss }">
                {{ line.said }}
                <span v-if="line.key.startsWith('by_') && line.number !== null" class="quiet"
                  >{{ line.number > 0 ? '+' : '' }}{{ line.number }}% off the average</span
                >
                <span v-if="told" class="quiet told">{{ told }}</span>
              </dd>
              <v-btn
                v-if="line.keep"
                variant="text"
                :aria-label="`Save ${line.said} as a setting`"
                @click="keep(line.keep)"
                >Save</v-btn
              >
            </div>
          </dl>
          <p class="formula">{{ worked.formula }}</p>
        </template>
        <p v-else-if="!refusal" class="quiet">The result shows here, with the formula and its figures.</p>
        <div v-if="news.length > 0" class="news">
          <v-btn v-for="input in news" :key="input.key" variant="outlined" @click="keepInput(input)"
            >Save for this planter: {{ say(`calc_input.${input.key}`).toLowerCase() }}</v-btn
          >
        </div>
        <p v-if="kept" role="status">{{ kept }}</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: minmax(0, 360px) minmax(0, 1fr);
  gap: 24px;
  margin-top: 10px;
}
form {
  display: grid;
  gap: 12px;
  align-content: start;
}
.result {
  display: grid;
  gap: 12px;
  align-content: start;
}
dl {
  margin: 0;
}
dl > div {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr) 72px;
  align-items: center;
  gap: 10px;
  min-height: 44px;
  border-top: 1px solid var(--line);
}
dd {
  margin: 0;
  font-weight: 700;
}
dd .quiet {
  font-weight: 400;
}
.told {
  display: block;
}
.due {
  color: var(--ochre);
}
.formula {
  padding: 10px 14px;
  overflow-wrap: anywhere;
  font-family: var(--font-figures);
  font-size: 0.9rem;
  background: var(--accent-weak);
  border-radius: 6px;
}
.news {
  display: grid;
  gap: 8px;
  justify-items: start;
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
