<template>
  <h1>Home</h1>
  <p>This is the first page of Marram Point.</p>
</template>
