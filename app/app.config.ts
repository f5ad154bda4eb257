/**
 * Nuxt UI made ours: square, flat, hairlines instead of rings and shadows, room for a thumb where there is no
 * mouse. Colours are the roles of assets/theme.css.
 */
const field =
  'rounded-[3px] text-[15px] min-h-9 pointer-coarse:min-h-11 pointer-coarse:text-base ' +
  'disabled:opacity-100 disabled:bg-(--paper) disabled:text-(--soft) disabled:ring-(--rule)'
const outline = 'bg-(--sheet) ring-(--field-rule) text-(--ink)'
const floating = 'bg-(--sheet) rounded-[3px] shadow-none ring-1 ring-(--rule-strong)'
const item = 'text-[15px] items-center pointer-coarse:min-h-11'
/** Words that are chosen from a list show in full, however narrow their field. */
const list =
  `${floating} w-auto min-w-(--reka-select-trigger-width) max-w-[92vw] ` + 'max-h-[min(24rem,60dvh)]'

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
        size: {
          md: { base: 'px-3.5 py-2 text-[15px] pointer-coarse:min-h-11', leadingIcon: 'size-[18px]' },
          sm: { base: 'px-2.5 py-1.5 text-[14px] pointer-coarse:min-h-10', leadingIcon: 'size-4' },
        },
      },
      compoundVariants: [
        { square: true, size: 'md', class: 'p-2 justify-center min-w-9 pointer-coarse:min-w-11' },
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
          class:
            'text-(--ink) hover:text-(--action) font-semibold underline underline-offset-[3px] ' +
            'decoration-1 px-0 py-0.5 min-h-6 text-start',
        },
      ],
      defaultVariants: { color: 'neutral', variant: 'outline' },
    },
    calendar: { slots: { heading: 'font-serif' } },
    checkbox: {
      slots: {
        root: 'items-center pointer-coarse:min-h-10',
        base: 'rounded-[2px] ring-(--field-rule) bg-(--sheet)',
        indicator: 'bg-(--ink) text-(--paper)',
        label: 'font-normal text-[15px]',
      },
      defaultVariants: { color: 'neutral' },
    },
    checkboxGroup: {
      slots: { legend: 'font-normal text-[13px] text-(--soft)', fieldset: 'flex-wrap gap-x-4 gap-y-1' },
      defaultVariants: { color: 'neutral' },
    },
    commandPalette: { slots: { input: 'text-base' } },
    dropdownMenu: {
      slots: { content: `${floating} min-w-52`, item, group: 'p-1' },
    },
    formField: {
      slots: {
        label: 'font-normal text-[13px] leading-[1.35] text-(--soft)',
        container: 'mt-0.5',
        help: 'mt-0.5 text-[13px]',
        error: 'mt-0.5 text-[13px] font-semibold text-(--stop)',
      },
    },
    input: { slots: { base: field }, variants: { variant: { outline } } },
    inputMenu: {
      slots: {
        base: field,
        content: `${floating} w-auto min-w-(--reka-combobox-trigger-width) max-w-[92vw]`,
        item,
      },
      variants: { variant: { outline } },
    },
    inputNumber: { slots: { base: field }, variants: { variant: { outline } } },
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
    navigationMenu: {
      slots: {
        link:
          'text-[15px] font-normal gap-3 text-(--ink) rounded-none ' +
          'hover:bg-(--tint) focus-visible:outline-2 focus-visible:-outline-offset-2 ' +
          'focus-visible:outline-(--action) before:hidden data-active:font-semibold',
        linkLeadingIcon: 'size-[18px] text-(--ink)',
      },
      variants: {
        // Where one is: a bar at the side of a list, a line below a row.
        orientation: {
          vertical: {
            link: 'border-l-3 border-transparent data-active:border-(--ink) data-active:bg-(--tint)',
          },
        },
      },
      defaultVariants: { color: 'neutral' },
    },
    popover: { slots: { content: floating } },
    radioGroup: {
      slots: {
        legend: 'mb-0.5 font-normal text-[13px] text-(--soft)',
        fieldset: 'flex-wrap gap-x-4 gap-y-1',
        item: 'items-center pointer-coarse:min-h-10',
        base: 'ring-(--field-rule) bg-(--sheet)',
        label: 'font-normal text-[15px]',
      },
      defaultVariants: { color: 'neutral' },
    },
    select: { slots: { base: field, content: list, item }, variants: { variant: { outline } } },
    selectMenu: { slots: { base: field, content: floating, item }, variants: { variant: { outline } } },
    slideover: {
      slots: {
        content: 'shadow-none ring-0 border-l border-(--rule-strong) bg-(--sheet)',
        overlay: 'bg-(--veil)',
        title: 'font-serif text-xl',
      },
    },
    table: {
      slots: {
        th: 'px-3 py-2 text-[13px] font-normal text-(--soft) first:ps-0 last:pe-0',
        td: 'px-3 py-2 text-[15px] text-(--ink) whitespace-normal first:ps-0 last:pe-0',
        tbody: 'divide-y divide-(--rule)',
        separator: 'bg-(--rule-strong)',
      },
    },
    textarea: { slots: { base: field }, variants: { variant: { outline } } },
  },
})
