export interface Device {
  readonly id: string
  readonly name: string
  readonly measures: 'weight' | 'volume' | 'distance'
}
