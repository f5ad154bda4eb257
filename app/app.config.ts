/**
 * Nuxt UI made ours: square, flat, hairlines instead of rings and shadows. Colours are the roles of
 * assets/theme.css.
 */
export default defineAppConfig({
  ui: {
    colors: {
      primary: 'ember',
      neutral: 'bark',
      error: 'ember',
      success: 'bark',
      warning: 'bark',
      info: 'bark',
      secondary: 'bark',
    },
    // The library's thinned words fall under AA on our tints.
    alert: {
      slots: { root: 'rounded-[3px]', title: 'text-(--ink)', description: 'opacity-100 text-(--ink)' },
    },
    button: {
      slots: {
        base:
          'rounded-[3px] font-medium cursor-pointer disabled:cursor-not-allowed ' +
          'aria-disabled:cursor-not-allowed focus-visible:outline-2',
      },
      variants: {
        size: { md: { base: 'px-3.5 py-2 text-[15px]' }, sm: { base: 'px-2.5 py-1.5 text-[14px]' } },
      },
      compoundVariants: [
        // The library's paler hover falls under AA with white on it.
        {
          color: 'primary',
          variant: 'solid',
          class: 'hover:bg-primary active:bg-primary hover:underline underline-offset-4',
        },
        {
          color: 'neutral',
          variant: 'outline',
          class: 'ring-1 ring-(--rule-strong) bg-(--sheet) text-(--ink) hover:bg-(--tint)',
        },
        { color: 'neutral', variant: 'ghost', class: 'text-(--ink) hover:bg-(--tint)' },
        {
          color: 'neutral',
          variant: 'link',
          class: 'text-(--ink) underline underline-offset-2 decoration-(--rule-strong) px-0',
        },
      ],
      defaultVariants: { color: 'neutral', variant: 'outline' },
    },
    modal: {
      slots: { content: 'bg-(--sheet)', title: 'font-serif text-xl' },
      variants: {
        fullscreen: { false: { content: 'rounded-[3px] shadow-none ring-1 ring-(--rule-strong)' } },
        overlay: { true: { overlay: 'bg-(--veil)' } },
      },
      compoundVariants: [
        { scrollable: false, fullscreen: false, class: { content: 'top-[12vh] translate-y-0' } },
      ],
    },
    slideover: {
      slots: {
        content: 'shadow-none ring-0 border-l border-(--rule-strong) bg-(--sheet)',
        overlay: 'bg-(--veil)',
        title: 'font-serif text-xl',
      },
    },
    formField: {
      slots: { label: 'font-normal text-[13px] text-(--soft)', help: 'text-[13px]', error: 'text-(--stop)' },
    },
    input: {
      slots: { base: 'rounded-[3px] text-[15px]' },
      variants: { variant: { outline: 'bg-(--sheet) ring-(--field-rule) text-(--ink)' } },
    },
    select: {
      slots: { base: 'rounded-[3px] text-[15px]' },
      variants: { variant: { outline: 'bg-(--sheet) ring-(--field-rule) text-(--ink)' } },
    },
    table: { slots: { td: 'text-(--ink)' } },
    commandPalette: { slots: { input: 'text-base' } },
  },
})
