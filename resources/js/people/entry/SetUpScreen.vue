<script setup lang="ts">
import { reactive } from 'vue'
import { useRouter } from 'vue-router'
import { api, body } from '@/api/client'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { useSession } from '@/session'
import EntryPage from './EntryPage.vue'
import { guessFrom } from './guess'
import PersonFields from '@/people/PersonFields.vue'
import { useLink } from './useLink'

/** The first page of an installation of one's own: the workshop, and who owns it. */
const link = useLink()
const router = useRouter()
const session = useSession()
const { send, refusal, busy } = useSend()
const here = new Intl.DateTimeFormat().resolvedOptions().timeZone
const zones = [...new Set([here, ...Intl.supportedValuesOf('timeZone')])].sort()
const names = new Intl.DisplayNames('en', { type: 'currency' })
const currencies = Intl.supportedValuesOf('currency').map((value) => ({
  value,
  title: `${value}, ${names.of(value) ?? value}`,
}))
const shop = reactive({
  workshop: '',
  time_zone: here,
  ...guessFrom(navigator.language),
  number_style: localStyle(),
})
/** As this browser writes numbers. */
function localStyle(): 'point' | 'comma' {
  const decimal = new Intl.NumberFormat().formatToParts(0.5).find(({ type }) => type === 'decimal')?.value
  return decimal === ',' ? 'comma' : 'point'
}
const person = reactive({ name: '', email: '', password: '' })

async function setUp(): Promise<void> {
  const sent = { link, ...shop, ...person }
  if (await send(() => session.enter(() => body(api.POST('/api/set-up', { body: sent }))))) await router.replace('/')
}
</script>

<template>
  <entry-page title="Set up your workshop">
    <form class="fields" novalidate @submit.prevent="setUp">
      <v-text-field
        v-model="shop.workshop"
        label="Workshop"
        placeholder="Ardle Row Works"
        maxlength="80"
        :error-messages="refusal?.about('workshop')"
      />
      <v-autocomplete
        v-model="shop.time_zone"
        label="Time zone"
        :items="zones"
        :error-messages="refusal?.about('time_zone')"
      />
      <v-autocomplete
        v-model="shop.currency"
        label="Currency"
        :items="currencies"
        :error-messages="refusal?.about('currency')"
      />
      <div class="segments" role="group" aria-label="Units">
        <button type="button" :aria-pressed="shop.units === 'in'" @click="shop.units = 'in'">Inches, acres</button>
        <button type="button" :aria-pressed="shop.units === 'mm'" @click="shop.units = 'mm'">
          Millimeters, hectares
        </button>
      </div>
      <div class="segments" role="group" aria-label="Paper">
        <button type="button" :aria-pressed="shop.paper === 'letter'" @click="shop.paper = 'letter'">
          Letter paper
        </button>
        <button type="button" :aria-pressed="shop.paper === 'a4'" @click="shop.paper = 'a4'">A4 paper</button>
      </div>
      <h2>Your account</h2>
      <person-fields v-model="person" :refusal="refusal" />
      <refusal-list
        v-if="refusal && (refusal.about('link') || !Object.keys(refusal.errors).length)"
        :refusal="refusal"
      />
      <v-btn type="submit" color="primary" size="large" block :loading="busy">Create workshop</v-btn>
    </form>
  </entry-page>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 14px;
}
.segments {
  flex-wrap: wrap;
}
.segments button {
  flex: 1;
}
</style>
