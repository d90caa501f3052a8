<template>
  <h1>Support us</h1>
  <p>
    Members pay for the boardwalk, the ropes round the colony and the winter’s coal. It starts at four shells a month.
  </p>
</template>
