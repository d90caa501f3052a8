<script setup lang="ts">
import { drawings } from './icons.ts';

defineProps<{ name: string }>();
</script>

<template>
  <!-- One stroke for all, in the size of the text beside them. -->
  <component
    :is="drawings[name]"
    v-if="drawings[name]"
    class="icon"
    aria-hidden="true"
    size="1.25em"
    :stroke-width="1.75"
  />
</template>
