<script setup lang="ts">
import { reactive } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import type { Shop, Slot, SlotRule } from '@/api/types'
import NumberField from '@/components/NumberField.vue'
import { useSend } from '@/composables/useSend'
import { say, wordsOf } from '@/words'

/** The shop's own policy: for each kind of part when it is changed, how much of it together, and with what. */
const { shop, slots } = defineProps<{ shop: Shop; slots: Slot[] }>()
const emit = defineEmits<{ saved: []; close: [] }>()
const seen = shop.versions.own_policy ?? ''
const whens = wordsOf('when') as SlotRule['when'][]
const scopes = wordsOf('scope') as NonNullable<SlotRule['scope']>[]
const { send, refusal, busy } = useSend()

type Typed = {
  slot: Slot
  when: SlotRule['when'] | ''
  share: number | null
  scope: NonNullable<SlotRule['scope']>
  with: Slot[]
  looks: number
}
const rules = reactive(
  slots.map((slot): Typed => {
    const rule = shop.own_policy[slot]
    return {
      slot,
      when: rule?.when ?? '',
      share: rule?.when === 'share_gone' ? (rule.share ?? 1) : null,
      scope: rule?.scope ?? 'row',
      with: rule?.with ?? [],
      looks: rule?.looks ?? 1,
    }
  }),
)

async function save(): Promise<void> {
  const own_policy = Object.fromEntries(
    rules.flatMap(({ slot, when, share, ...rest }) => {
      if (when === '') return []
      return [
        [
          slot,
          {
            when,
            ...rest,
            ...(when === 'share_gone' ? { share: share ?? 0 } : {}),
          },
        ],
      ]
    }),
  )
  const taken = await send(async () => {
    const sent = { own_policy, seen: { own_policy: seen } }
    queries.setQueryData(keys.shop, await body(api.PATCH('/api/workshop', { body: sent })))
  })
  if (taken) emit('saved')
}
</script>

<template>
  <v-dialog :model-value="true" max-width="860" aria-label="Your own policy" @update:model-value="emit('close')">
    <form class="sheet asks" novalidate @submit.prevent="save">
      <h2>Your own policy</h2>
      <p class="quiet">
        Parts without a rule are changed at their limit. Parts past their limit are always changed. A planter keeps the
        rules from the day you chose this policy until you choose it again.
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col">Changed</th>
            <th scope="col">Share gone, %</th>
            <th scope="col">How much</th>
            <th scope="col">Changed together with</th>
            <th scope="col">Checks per season</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="rule in rules" :key="rule.slot">
            <th scope="row">{{ say(`slot.${rule.slot}`) }}</th>
            <td>
              <select v-model="rule.when" :aria-label="`${say(`slot.${rule.slot}`)}, changed`">
                <option value="">at its limit</option>
                <option v-for="when in whens" :key="when" :value="when">{{ say(`when.${when}`) }}</option>
              </select>
            </td>
            <td>
              <number-field
                v-model="rule.share"
                bare
                kind="share"
                :low="0.05"
                :high="1"
                :disabled="rule.when !== 'share_gone'"
                :label="`${say(`slot.${rule.slot}`)}, share gone, %`"
              />
            </td>
            <td>
              <select
                v-model="rule.scope"
                :disabled="rule.when === ''"
                :aria-label="`${say(`slot.${rule.slot}`)}, how much`"
              >
                <option v-for="scope in scopes" :key="scope" :value="scope">{{ say(`scope.${scope}`) }}</option>
              </select>
            </td>
            <td>
              <select
                v-model="rule.with[0]"
                :disabled="rule.when === ''"
                :aria-label="`${say(`slot.${rule.slot}`)}, along with it`"
              >
                <option :value="undefined">nothing else</option>
                <option v-for="slot in slots.filter((of) => of !== rule.slot)" :key="slot" :value="slot">
                  {{ say(`slot.${slot}`) }}
                </option>
              </select>
            </td>
            <td>
              <select
                v-model="rule.looks"
                :disabled="rule.when === ''"
                :aria-label="`${say(`slot.${rule.slot}`)}, looks a season`"
              >
                <option :value="1">1</option>
                <option :value="2">2</option>
              </select>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
      <div class="actions">
        <v-btn variant="text" @click="emit('close')">Back</v-btn>
        <v-btn type="submit" color="primary" :loading="busy">Save policy</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
table {
  border-collapse: collapse;
}
th,
td {
  padding: 4px 8px 4px 0;
  text-align: left;
  border-top: 1px solid var(--line);
}
thead th {
  border-top: 0;
  font-weight: 400;
  color: var(--ink-2);
}
select,
input {
  min-height: 44px;
  max-width: 170px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
}
input {
  width: 72px;
}
:disabled {
  opacity: 0.5;
}
</style>
