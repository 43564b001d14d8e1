<script setup lang="ts">
import { mdiDeleteOutline } from '@mdi/js'
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import { usePacks } from '@/walk/queries'
import type { Check, Pack, WalkKind } from '@/api/types'
import { useSend } from '@/composables/useSend'
import StationChoice from './StationChoice.vue'

/** Which checks are walked: a pack of the shop's, or chosen by hand and kept as one. */
const chosen = defineModel<string[]>({ required: true })
const { checks, kind } = defineProps<{ checks: Check[]; kind: WalkKind }>()
const emit = defineEmits<{ pack: [pack: Pack] }>()
const packs = usePacks()
const byHand = ref(false)
const name = ref('')
const { send, refusal, busy } = useSend('The server does not answer. No signal: choose stations by hand.')

const offered = computed(() =>
  (packs.data.value ?? [])
    .filter(({ needs }) => needs.every((key) => checks.some((check) => check.key === key)))
    .map((pack) => ({ pack, checks: fittedOf(pack) }))
    .filter(({ checks: of }) => of.length > 0),
)
const current = computed(() => offered.value.find(({ checks: of }) => of.join() === chosen.value.join())?.pack)

/** Which packs there are, or that nobody can say. */
const isKnown = computed(() => !packs.isPending.value)
const isOpen = computed(() => isKnown.value && (byHand.value || current.value === undefined))

/** What of a pack this planter has. */
function fittedOf(pack: Pack): string[] {
  const of = pack.checks === null ? null : new Set<string>(pack.checks)
  return checks.filter(({ key }) => of === null || of.has(key)).map(({ key }) => key)
}

function choose(pack: Pack): void {
  chosen.value = fittedOf(pack)
  emit('pack', pack)
}

const keep = () =>
  send(async () => {
    const pack = await body(
      api.POST('/api/packs', { body: { name: name.value, kind, checks: chosen.value as Check['key'][] } }),
    )
    await queries.invalidateQueries({ queryKey: keys.packs })
    name.value = ''
    byHand.value = false
    emit('pack', pack)
  })

const remove = (pack: number) =>
  send(async () => {
    await api.DELETE('/api/packs/{pack}', { params: { path: { pack } } })
    await queries.invalidateQueries({ queryKey: keys.packs })
  })

defineExpose({ offered, choose })
</script>

<template>
  <div class="choice">
    <div class="packs" role="group" aria-label="Pack">
      <!-- All at once: a button must not move away under the finger. -->
      <button
        v-for="{ pack } in offered"
        :key="pack.name"
        type="button"
        :aria-pressed="pack === current"
        @click="choose(pack)"
      >
        {{ pack.name }}
      </button>
      <button v-if="isKnown" type="button" :aria-pressed="isOpen" @click="byHand = !byHand">By hand</button>
    </div>
    <template v-if="isOpen">
      <station-choice v-model="chosen" :checks="checks" />
      <form v-if="current === undefined" class="keep" @submit.prevent="keep">
        <v-text-field
          v-model="name"
          label="Save as a pack, name"
          maxlength="60"
          density="compact"
          :error-messages="refusal?.errors.name"
        />
        <v-btn type="submit" variant="outlined" :loading="busy">Save</v-btn>
      </form>
      <v-btn
        v-else-if="current.id !== null"
        variant="text"
        :prepend-icon="mdiDeleteOutline"
        @click="remove(current.id)"
      >
        Remove the pack “{{ current.name }}”
      </v-btn>
    </template>
    <p v-if="refusal && !refusal.errors.name" class="change" role="alert">{{ refusal.message }}</p>
  </div>
</template>

<style scoped>
.choice {
  display: grid;
  gap: 10px;
}
.packs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  min-height: var(--touch);
}
.packs button {
  min-height: var(--touch);
  padding: 0 16px;
  border: 1px solid var(--line);
  border-radius: 8px;
}
.packs button[aria-pressed='true'] {
  background: var(--accent-weak);
  border-color: var(--accent);
  font-weight: 700;
}
.keep {
  display: flex;
  align-items: flex-start;
  gap: 8px;
  max-width: 460px;
}
</style>
