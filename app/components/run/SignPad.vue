<script setup lang="ts">
import type SignaturePad from 'signature_pad'

/** A mark drawn with a finger or a mouse; kept as the path of a picture. */
const emit = defineEmits<{ change: [path: string] }>()
const canvas = useTemplateRef('canvas')
let pad: SignaturePad | undefined

/** Points of each stroke, joined: a picture that any browser draws again. */
function pathOf(): string {
  return (pad?.toData() ?? [])
    .map(({ points }) =>
      points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join(''),
    )
    .join('')
}
function clear() {
  pad?.clear()
  emit('change', '')
}

onMounted(async () => {
  const { default: Pad } = await import('signature_pad')
  const { value: element } = canvas
  if (!element) return
  const { width, height } = element.getBoundingClientRect()
  const density = Math.max(1, devicePixelRatio)
  element.width = width * density
  element.height = height * density
  element.getContext('2d')?.scale(density, density)
  pad = new Pad(element, { penColor: getComputedStyle(element).color })
  pad.addEventListener('endStroke', () => emit('change', pathOf()))
})
onBeforeUnmount(() => pad?.off())
</script>

<template>
  <div>
    <p class="small soft">Your mark; the typed name stands without it</p>
    <canvas ref="canvas" class="pad" role="img" aria-label="Field for a mark drawn by hand" />
    <UButton variant="link" size="sm" label="Clear the mark" @click="clear" />
  </div>
</template>

<style scoped>
.pad {
  width: 100%;
  height: 120px;
  border: 1px solid var(--field-rule);
  background: var(--sheet);
  color: var(--ink);
  touch-action: none;
}
</style>
