<script setup lang="ts">
/** A table that scrolls sideways by itself where the screen is narrow, so that the page never does. */
defineProps<{ caption: string; head: readonly string[]; rows?: readonly (readonly (string | number)[])[] }>();
</script>

<template>
  <div class="table-scroller" role="region" :aria-label="caption" tabindex="0">
    <table>
      <caption>
        {{
          caption
        }}
      </caption>
      <thead>
        <tr>
          <th v-for="title in head" :key="title" scope="col">{{ title }}</th>
        </tr>
      </thead>
      <tbody>
        <slot>
          <tr v-for="(row, index) in rows" :key="index">
            <!-- The first cell of each row names it. -->
            <th scope="row">{{ row[0] }}</th>
            <td v-for="(cell, column) in row.slice(1)" :key="column">{{ cell }}</td>
          </tr>
        </slot>
      </tbody>
    </table>
  </div>
</template>
