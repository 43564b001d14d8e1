<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref } from 'vue'
import { api, body } from '@/api/client'
import { queries } from '@/api/queries'
import type { Aim } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { useUnits } from '@/composables/useUnits'
import { useSession } from '@/session'
import { sayAim } from './aims'

/** What counts as good, by crop and size of seed: the first pass, the bench and emergence are judged by it. */
const key = ['aims']
const told = useQuery({ queryKey: key, queryFn: () => body(api.GET('/api/aims')) })
const session = useSession()
const { units } = useUnits()
const { send, refusal, busy } = useSend('The server does not answer. This needs a signal.')
const saved = ref('')
const empty = {
  crop: '',
  size: '',
  singulation: null as number | null,
  rate_low: null as number | null,
  rate_high: null as number | null,
  depth: null as number | null,
  depth_band: null as number | null,
  emergence_hours: null as number | null,
  spacing_cv: null as number | null,
}
const form = reactive({ ...empty })
const changing = ref<Aim>()
const typical = computed(() => told.data.value?.typical)
const inches = (mm: number) => (units.value === 'mm' ? mm : Math.round((mm / 25.4) * 100) / 100)

function change(of?: Aim): void {
  changing.value = of
  saved.value = ''
  Object.assign(form, empty, of ?? {})
}
async function save(): Promise<void> {
  const { crop, size, singulation, rate_low, rate_high, depth, depth_band, emergence_hours, spacing_cv } = form
  const figures = { crop, size, singulation, depth, depth_band, emergence_hours, spacing_cv }
  // How much closer is typed as a share, and kept as one under 0.
  const sent = { ...figures, rate_low: rate_low === null ? null : -Math.abs(rate_low), rate_high }
  const of = changing.value
  const taken = await send(async () => {
    const revised = { ...sent, revision: of?.revision ?? 0 }
    await body(
      of
        ? api.PUT('/api/aims/{aim}', { params: { path: { aim: of.id } }, body: revised })
        : api.POST('/api/aims', { body: sent }),
    )
    await queries.invalidateQueries()
  })
  if (!taken) return
  change()
  saved.value = `Saved for ${crop || 'all crops'}.`
}
</script>

<template>
  <section class="sheet" aria-label="Targets">
    <h2>Targets</h2>
    <p v-if="typical" class="quiet">
      Typical values: singulation {{ Math.round(100 * typical.singulation) }}%, spacing within
      {{ Math.round(100 * typical.rate_high) }}%, depth within {{ inches(typical.depth_band) }}
      {{ units === 'mm' ? 'mm' : 'in' }}, from 10 to 90% up within {{ typical.emergence_hours }} hours, spacing scatter
      (CV) {{ Math.round(100 * typical.spacing_cv) }}% at most. Flat, large or pelleted seed may give only 93 to 97%
      singulation.
    </p>
    <ul v-if="told.data.value?.aims.length">
      <li v-for="of in told.data.value.aims" :key="of.id">
        <strong>{{ [of.crop || 'All crops', of.size].filter(Boolean).join(', ') }}</strong>
        <span>{{ sayAim(of, units) || 'typical values' }}</span>
        <v-btn
          v-if="session.may('set')"
          variant="text"
          :aria-label="`Change ${of.crop || 'all crops'} ${of.size}`.trim()"
          @click="change(of)"
          >Change</v-btn
        >
      </li>
    </ul>
    <form v-if="session.may('set')" novalidate aria-label="Targets for a crop" @submit.prevent="save">
      <v-text-field
        v-model="form.crop"
        label="Crop"
        placeholder="all crops"
        maxlength="80"
        :error-messages="refusal?.about('crop')"
      />
      <v-text-field
        v-model="form.size"
        label="Seed size or shape"
        placeholder="all sizes"
        maxlength="40"
        :error-messages="refusal?.about('size')"
      />
      <number-field
        v-model="form.singulation"
        label="Singulation at least"
        kind="share"
        :low="0.5"
        :high="1"
        :places="3"
      />
      <number-field
        :model-value="form.rate_low === null ? null : Math.abs(form.rate_low)"
        label="Seeds closer than set, at most"
        kind="share"
        :low="0.005"
        :high="0.3"
        :places="3"
        @update:model-value="(of) => (form.rate_low = of)"
      />
      <number-field
        v-model="form.rate_high"
        label="Seeds farther than set, at most"
        kind="share"
        :low="0.005"
        :high="0.3"
        :places="3"
      />
      <number-field
        v-model="form.depth"
        :label="`Depth wanted, ${units}`"
        kind="length"
        :low="3"
        :high="160"
        :places="2"
      />
      <number-field
        v-model="form.depth_band"
        :label="`Depth error at most, ${units}`"
        kind="length"
        :low="0.5"
        :high="50"
        :places="2"
      />
      <number-field
        v-model="form.emergence_hours"
        label="From 10 to 90% up within"
        kind="hours"
        :low="1"
        :high="500"
        whole
      />
      <number-field
        v-model="form.spacing_cv"
        label="Spacing scatter (CV) at most"
        kind="share"
        :low="0.05"
        :high="1"
        :places="3"
      />
      <div class="actions">
        <v-btn v-if="changing" variant="text" @click="change()">Cancel</v-btn>
        <v-btn type="submit" variant="outlined" size="large" :loading="busy">{{ changing ? 'Save' : 'Add' }}</v-btn>
      </div>
      <p v-if="saved" role="status">{{ saved }}</p>
      <refusal-list :refusal="refusal" />
    </form>
  </section>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 12px;
  max-height: none;
}
.actions,
form > p {
  grid-column: 1 / -1;
}
ul {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 180px minmax(0, 1fr) auto;
  align-items: center;
  gap: 10px;
  min-height: var(--touch);
  border-top: 1px solid var(--line);
}
@media (max-width: 700px) {
  form {
    grid-template-columns: minmax(0, 1fr);
  }
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  li > span {
    grid-row: 2;
    grid-column: 1 / -1;
    padding-bottom: 8px;
  }
}
</style>
