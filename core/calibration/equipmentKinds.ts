export const EQUIPMENT_KINDS = ['spreader', 'sprayer', 'tool'] as const
export type EquipmentKind = (typeof EQUIPMENT_KINDS)[number]
export const SPREADER_TYPES = ['broadcast push', 'drop', 'hand-cranked', 'ride-on or tow'] as const
export const SPRAYER_TYPES = ['backpack', 'hand can', 'hose-end', 'boom', 'reel and gun'] as const
export const TOOL_TYPES = [
  'scale',
  'cup or jug',
  'weighing tub',
  'taped stride',
  'measuring wheel',
  'tape',
] as const
