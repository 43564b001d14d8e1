<script setup lang="ts">
defineEmits<{ close: [] }>()
const keys = [
  ['14 3/8 · 14.375 · 365 mm', 'the figure, as you say it'],
  ['Enter', 'store it and go on'],
  ['=', 'same as last time'],
  ['n', 'not fitted on this row'],
  ['[  ]', 'row before, next row'],
  ['{  }', 'station before, next station'],
  ['u', 'undo: what stood there before is recorded again'],
  ['h', 'how to measure'],
  ['Esc', 'clear what is typed'],
  ['?', 'these keys'],
]
</script>

<template>
  <v-dialog model-value aria-label="Keys on a walk" max-width="520" @update:model-value="$emit('close')">
    <div class="sheet pa-6">
      <h2>Keys on a walk</h2>
      <dl>
        <template v-for="[key, meaning] in keys" :key="key">
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
  gap: 8px 20px;
  margin: 14px 0;
}
dt {
  font-family: var(--font-figures);
  font-weight: 700;
}
</style>
