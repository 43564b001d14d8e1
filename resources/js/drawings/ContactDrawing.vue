<script setup lang="ts">
import FurrowDrawing from './FurrowDrawing.vue'
import TwoCardDrawing from './TwoCardDrawing.vue'
</script>

<template>
  <two-card-drawing />
  <div class="furrows">
    <figure>
      <furrow-drawing shape="short" />
      <figcaption>too short: W</figcaption>
    </figure>
    <figure>
      <furrow-drawing shape="good" />
      <figcaption>right: V</figcaption>
    </figure>
    <figure>
      <furrow-drawing shape="long" />
      <figcaption>too long</figcaption>
    </figure>
  </div>
</template>

<style scoped>
.furrows {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 6px;
}
figure {
  margin: 0;
}
figcaption {
  text-align: center;
  font-size: 0.8125rem;
}
</style>
