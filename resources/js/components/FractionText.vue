<script setup lang="ts">
import { computed } from 'vue'
import { splitFractions } from '@/measure/fraction'

/** Text in which every fraction is set as a small true fraction and spoken as one. The only place that does it. */
const { text } = defineProps<{ text: string }>()
const parts = computed(() => splitFractions(text))
</script>

<template>
  <span class="text"
    ><template v-for="(part, index) in parts" :key="index"
      ><template v-if="'text' in part">{{ part.text }}</template
      ><template v-else
        ><span class="spoken">{{ part.spoken }}</span
        ><span class="figure" aria-hidden="true"
          >{{ part.whole
          }}<span class="fraction" :class="{ after: part.whole !== '' }"
            ><span class="top">{{ part.top }}</span
            ><span class="slash">⁄</span><span class="bottom">{{ part.bottom }}</span></span
          ></span
        ></template
      ></template
    ></span
  >
</template>

<style scoped>
/* What is spoken stays within it; or else it would lengthen the page out of a box that scrolls. */
.text {
  position: relative;
}
.figure {
  white-space: nowrap;
}
.fraction.after {
  margin-left: 0.08em;
}
.top,
.bottom {
  font-size: 0.64em;
  letter-spacing: -0.03em;
  line-height: 0;
  position: relative;
}
.top {
  top: -0.52em;
}
.bottom {
  top: 0.06em;
}
.slash {
  margin: 0 -0.2em;
  font-size: 0.9em;
}
</style>
