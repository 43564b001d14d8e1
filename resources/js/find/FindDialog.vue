<script setup lang="ts">
import { mdiMagnify } from '@mdi/js'
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, ref, useId, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useYard } from '@/api/queries'
import { useSession } from '@/session'
import { everything, find } from './find'
import { findQuery } from './queries'

/** Finds anything by a few letters, and goes there. Arrow keys choose, Enter goes, Escape closes. */
const { planterId } = defineProps<{ planterId?: number }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const router = useRouter()
const listed = useQuery(findQuery)
const yard = useYard()
const id = useId()
const list = useTemplateRef('list')
const input = useTemplateRef('input')
const typed = ref('')
const at = ref(0)

const all = computed(() => everything(listed.data.value ?? [], yard.data.value ?? [], session, planterId))
const found = computed(() => find(all.value, typed.value, planterId))
watch(typed, () => (at.value = 0))

async function step(by: number): Promise<void> {
  if (found.value.length === 0) return
  at.value = (at.value + by + found.value.length) % found.value.length
  await nextTick()
  list.value?.children[at.value]?.scrollIntoView({ block: 'nearest' })
}

async function go(to = found.value[at.value]?.to): Promise<void> {
  if (to === undefined) return
  if (typeof to === 'object' && 'file' in to) window.open(to.file, '_blank', 'noopener')
  else await router.push(to)
  emit('close')
}
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="640"
    class="find"
    aria-label="Find"
    @after-enter="input?.focus()"
    @update:model-value="emit('close')"
  >
    <div class="sheet box">
      <label class="line">
        <v-icon :icon="mdiMagnify" size="22" />
        <input
          ref="input"
          v-model="typed"
          autofocus
          type="text"
          role="combobox"
          aria-label="Find"
          aria-autocomplete="list"
          :aria-expanded="found.length > 0"
          :aria-controls="`${id}-list`"
          :aria-activedescendant="found.length > 0 ? `${id}-${at}` : undefined"
          placeholder="Row, lot, field, part, manual, note, screen …"
          autocomplete="off"
          spellcheck="false"
          enterkeyhint="go"
          @keydown.down.prevent="step(1)"
          @keydown.up.prevent="step(-1)"
          @keydown.enter.prevent="go()"
        />
      </label>
      <ul v-show="found.length > 0" :id="`${id}-list`" ref="list" role="listbox" aria-label="Found">
        <li
          v-for="(one, index) in found"
          :id="`${id}-${index}`"
          :key="index"
          role="option"
          :aria-selected="index === at"
          @click="go(one.to)"
        >
          <span class="kind">{{ one.kind }}</span>
          <span class="said"
            >{{ one.title }} <span class="quiet">{{ one.detail }}</span></span
          >
        </li>
      </ul>
      <p v-if="typed.trim() !== '' && found.length === 0" class="quiet" role="status">
        {{
          listed.isPending.value
            ? 'Loading …'
            : 'Nothing found. Try fewer letters, or a name as it stands on the tag or part.'
        }}
      </p>
      <p v-if="listed.error.value" class="due" role="status">
        Only screens, rows and help can be found now: the list of names did not load.
      </p>
    </div>
  </v-dialog>
</template>

<style scoped>
.find :deep(.v-overlay__content) {
  align-self: flex-start;
  margin-top: 64px;
}
.box {
  display: grid;
  gap: 8px;
  max-height: min(600px, calc(100dvh - 90px));
  overflow: hidden;
}
.line {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 0 12px;
  border: 2px solid var(--accent);
  border-radius: 8px;
}
input {
  flex: 1;
  min-width: 0;
  height: 52px;
  font: inherit;
  font-size: 1.125rem;
  color: inherit;
  background: none;
  border: 0;
  outline: none;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  overflow-y: auto;
}
li {
  display: flex;
  align-items: baseline;
  gap: 12px;
  min-height: var(--touch);
  padding: 12px;
  border-radius: 8px;
  cursor: pointer;
}
li[aria-selected='true'] {
  background: var(--accent-weak);
}
.kind {
  flex: 0 0 76px;
  font-size: 0.875rem;
  color: var(--ink-2);
}
.said {
  min-width: 0;
  overflow-wrap: anywhere;
  display: -webkit-box;
  overflow: hidden;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
}
p {
  margin: 0 12px 8px;
}
@media (max-width: 700px) {
  .find :deep(.v-overlay__content) {
    margin: 8px;
    width: calc(100vw - 16px);
    max-width: none;
  }
}
</style>
