/** One calibration as the curve sees it. */
export interface SettingPoint {
  /** Number on the dial. */
  readonly setting: number
  /** Flow through the gate, kg/s. */
  readonly flow: number
  /** Days since it was made; older ones count for less, and those of one day share that day. */
  readonly age: number
  /** Share that its calibration's course may be off, the same for all its runs; absent: nothing said. */
  readonly shared?: number
}
