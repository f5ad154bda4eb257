<template>
  <main>
    <h1>Bare</h1>
    <UButton label="Press" icon="i-lucide-plus" />
  </main>
</template>
