<template>
  <LanePage v-slot="{ worked }" title="Stripes seen afterwards"><StripesSeen :worked="worked" /></LanePage>
</template>
