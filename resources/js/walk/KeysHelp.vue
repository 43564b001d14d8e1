<script setup lang="ts">
import type { WalkView } from './view'

const { view } = defineProps<{ view: WalkView }>()
defineEmits<{ close: [] }>()
const single = [
  ['14 3/8 · 14.375 · 365 mm', 'the figure'],
  ['s  w  c  f', 'sound, watch, change, failed'],
  ['1 … 9', 'tick a reason'],
  ['g  l  t', 'gap, light touch, tight'],
  ['y  n', 'yes, no; n is "not fitted" elsewhere'],
  ['Enter', 'save and go on'],
  ['=', 'same as last time'],
  ['R', 'rest of this row sound'],
  ['S', 'this station sound on all remaining rows'],
  ['[  ]', 'row before, next row'],
  ['{  }', 'station before, next station'],
  ['u', 'undo: the earlier reading is recorded again'],
  ['m', 'note, photo, hard to open'],
  ['h', 'how to measure'],
  ['Esc', 'clear what is typed'],
  ['?', 'these keys'],
]
const station = [
  ['14 3/8 · 14.375 · 365 mm', 'the figure'],
  ['Enter', 'next figure; after the last: rest is sound, go on'],
  ['s  d  g …', 'the key beside a line: something is wrong'],
  ['1 … 9', 'then the reason'],
  ['w  c  f', 'or watch, change, failed'],
  ['=', 'same as last time'],
  ['[  ]', 'row before, next row'],
  ['{  }', 'station before, next station'],
  ['u', 'undo everything at this station'],
  ['h', 'how to measure'],
  ['Esc', 'clear what is typed, close the line'],
  ['?', 'these keys'],
]
</script>

<template>
  <v-dialog model-value aria-label="Keys on a walk" max-width="520" @update:model-value="$emit('close')">
    <div class="sheet asks">
      <h2>Keys on a walk</h2>
      <dl>
        <template v-for="[key, meaning] in view === 'station' ? station : single" :key="key">
          <dt>{{ key }}</dt>
          <dd>{{ meaning }}</dd>
        </template>
      </dl>
      <v-btn block variant="outlined" @click="$emit('close')">Back to the walk</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 5px 20px;
  margin: 0;
}
dt {
  font-family: var(--font-figures);
  font-weight: 700;
}
</style>
