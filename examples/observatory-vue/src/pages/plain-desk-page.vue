<script setup lang="ts">
import { useCurrentEntry } from 'fair-trail/vue';

/** A page of the desk with nothing to show but its name. */
const current = useCurrentEntry();
</script>

<template>
  <h1>{{ current?.label }}</h1>
  <p class="lead">The sheets of this drawer have not been typed yet.</p>
</template>
