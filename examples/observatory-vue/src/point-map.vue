<script setup lang="ts">
import { computed } from 'vue';
import { hides } from '../../observatory/content/hides.ts';

/** A sketch of the island with its hides; the one that the page is about is filled. */
const props = defineProps<{ here?: string }>();

/** Where each hide stands on the drawing, and on which side its name has room. */
const places: Readonly<Record<string, { readonly x: number; readonly y: number; readonly side: 'start' | 'end' }>> = {
  'causeway-hide': { x: 96, y: 196, side: 'start' },
  'saltmarsh-hide': { x: 176, y: 132, side: 'start' },
  'reedbed-hide': { x: 214, y: 216, side: 'start' },
  'lantern-room': { x: 352, y: 92, side: 'end' },
};
const placed = hides.flatMap(({ id, name }) => {
  const place = places[id];
  return place ? [{ id, name, ...place }] : [];
});
const label = computed(() => {
  const name = hides.find(({ id }) => id === props.here)?.name;
  return name ? `Map of the point with the ${name}` : 'Map of the point with its four hides';
});
</script>

<template>
  <svg class="point-map" viewBox="0 0 460 290" role="img" :aria-label="label">
    <path class="contour" d="M8 262c60-30 70-140 150-186S330 6 404 40s26 120-40 168-236 92-356 54z" />
    <path class="contour" d="M30 250c56-30 72-122 142-164s152-62 208-34 22 100-34 138-206 84-316 60z" />
    <path class="land" d="M52 238c44-22 72-104 130-138s128-50 172-28 20 78-26 110-172 72-276 56z" />
    <path class="contour" d="M96 226c36-24 60-74 104-100s92-38 126-22 12 50-26 74-126 52-204 48z" />
    <path class="contour" d="M150 208c22-16 44-46 74-62s58-22 76-12 4 28-20 42-78 32-130 32z" />
    <g v-for="{ id, name, x, y, side } in placed" :key="id">
      <path :class="id === here ? 'hide hide-here' : 'hide'" :d="`M${x - 5} ${y - 10}h10v20h-10z`" />
      <text
        :x="side === 'start' ? x + 14 : x - 14"
        :y="y + 4"
        :text-anchor="side"
        :font-weight="id === here ? 700 : 400"
      >
        {{ name }}
      </text>
    </g>
  </svg>
</template>
