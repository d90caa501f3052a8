<script setup lang="ts">
import type { FailedPageProps } from 'fair-trail/vue';

defineProps<Pick<FailedPageProps, 'offline' | 'retry'>>();
</script>

<template>
  <h1>{{ offline ? 'No line to the mainland' : 'No answer from this page' }}</h1>
  <p>
    {{
      offline
        ? 'You are offline, and this page was not loaded before. It comes by itself once the line is back.'
        : 'It could not be loaded just now. The rest of the site is still here.'
    }}
  </p>
  <button type="button" data-ft-button="plain" @click="retry">Try again</button>
</template>
