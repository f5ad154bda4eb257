<template>
  <LanePage v-slot="{ worked }" title="Lane by lane"><LaneByLane :worked="worked" /></LanePage>
</template>
