<script setup lang="ts">
import { computed } from 'vue';
import { usePosition, useTrail } from 'fair-trail/vue';
import SiteIcon from './site-icon.vue';
import { navigation } from './site.ts';

/** The inside of the observatory has a navigation of its own. */
const { Sidebar } = navigation;
const position = usePosition();
const trail = useTrail();
const isInside = computed(
  () => position.value.path.some(({ id }) => id === 'desk') && trail.value.audience.includes('ringer'),
);
</script>

<template>
  <Sidebar v-if="isInside" menu="desk" label="Data desk" search rail :annex="['season-autumn', 'season-spring']">
    <template #icon="{ name }"><SiteIcon :name /></template>
    <template #panel="{ label }">
      <p class="annex-note">Paper sheets of {{ label.toLowerCase() }} lie in the green drawer.</p>
    </template>
  </Sidebar>
</template>
