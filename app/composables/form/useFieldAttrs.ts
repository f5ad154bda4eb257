/** Class and style belong to the whole field; everything else to what is typed into. */
export function useFieldAttrs() {
  const attrs = useAttrs()
  const whole = computed(() => ({ class: attrs.class, style: attrs.style }))
  const inner = computed(() =>
    Object.fromEntries(Object.entries(attrs).filter(([name]) => name !== 'class' && name !== 'style')),
  )
  return { whole, inner }
}
