<template>
  <h1>For ringers</h1>
  <p>The ringing log is open to the observatory’s ringers. Sign in with the button at the top of the page.</p>
</template>
