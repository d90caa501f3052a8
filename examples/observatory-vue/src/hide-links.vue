<script setup lang="ts">
import SiteIcon from './site-icon.vue';
import { TabLinks } from 'fair-trail/vue';
</script>

<template>
  <TabLinks menu="hides" label="Hides" class="hide-links">
    <template #icon="{ name }"><SiteIcon :name /></template>
  </TabLinks>
</template>
