const ROLES = [
  'paper',
  'sheet',
  'tint',
  'ink',
  'soft',
  'rule',
  'rule-strong',
  'wet',
  'wet-tint',
  'dry',
  'dry-tint',
  'action',
  'action-tint',
  'stop',
  'warn',
  'good',
] as const
export type ThemeColours = Readonly<Record<(typeof ROLES)[number], string>>

/** The theme's roles as plain colours, for canvases and charts that know no variables. */
export function useThemeColours(): ComputedRef<ThemeColours> {
  const theme = useColorMode()
  return computed(() => {
    void theme.value
    const style = getComputedStyle(document.documentElement)
    return Object.fromEntries(
      ROLES.map((role) => [role, style.getPropertyValue(`--${role}`).trim()]),
    ) as ThemeColours
  })
}
