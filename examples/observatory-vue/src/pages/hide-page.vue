<script setup lang="ts">
import { computed } from 'vue';
import type { PageProps } from 'fair-trail/vue';
import { hides } from '../../../observatory/content/hides.ts';
import HideLinks from '../hide-links.vue';
import PointMap from '../point-map.vue';
import { navigation } from '../site.ts';

const props = defineProps<Pick<PageProps, 'position'>>();
const { TrailLink } = navigation;
const hide = computed(() => hides.find(({ id }) => id === props.position.entry?.id));
</script>

<template>
  <h1 v-if="!hide">{{ position.entry?.label }}</h1>
  <template v-else>
    <HideLinks />
    <div class="with-map">
      <div>
        <h1>{{ hide.name }}</h1>
        <p class="lead">{{ hide.text }}</p>
        <dl class="facts">
          <dt>Seats</dt>
          <dd>{{ hide.seats }}</dd>
          <dt>Best time</dt>
          <dd>{{ hide.best }}</dd>
          <dt>The way there</dt>
          <dd>{{ hide.path }}</dd>
        </dl>
        <p>Look up the <TrailLink entry="tides">tides</TrailLink> before you choose your hour.</p>
      </div>
      <PointMap :here="hide.id" />
    </div>
  </template>
</template>
