<script setup lang="ts">
import { ref, useId, useTemplateRef } from 'vue'

/**
 * A short list under the button that opens it. The list is the browser's own popover: it stands above everything, and
 * closes on Escape, on a tap elsewhere and when something in it is chosen.
 */
const EDGE = 8
const id = useId()
const list = useTemplateRef('list')

const isOpen = ref(false)

/** At the button's nearer edge, on the side of it that has more room. */
function place({ newState }: ToggleEvent): void {
  isOpen.value = newState === 'open'
  const button = document.querySelector(`[popovertarget="${id}"]`)?.getBoundingClientRect()
  if (!isOpen.value || !button || !list.value) return
  const isRight = button.left + button.right > innerWidth
  const isLow = button.top + button.bottom > innerHeight
  Object.assign(list.value.style, {
    left: isRight ? 'auto' : `${Math.max(EDGE, button.left)}px`,
    right: isRight ? `${Math.max(EDGE, innerWidth - button.right)}px` : 'auto',
    top: isLow ? 'auto' : `${button.bottom + 4}px`,
    bottom: isLow ? `${innerHeight - button.top + 4}px` : 'auto',
    maxHeight: `${(isLow ? button.top : innerHeight - button.bottom) - 4 - EDGE}px`,
  })
}
</script>

<template>
  <slot name="button" :popovertarget="id" />
  <div :id="id" ref="list" popover class="drop" @beforetoggle="place" @click="list?.hidePopover()">
    <slot v-if="isOpen" />
  </div>
</template>

<style scoped>
.drop {
  position: fixed;
  inset: auto;
  min-width: 200px;
  max-width: min(420px, calc(100vw - 16px));
  margin: 0;
  padding: 6px;
  overflow-y: auto;
  font-size: 1rem;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  box-shadow: 0 4px 16px rgb(0 0 0 / 25%);
}
</style>
