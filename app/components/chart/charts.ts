import { use } from 'echarts/core'
import { BarChart, LineChart } from 'echarts/charts'
import { DataZoomComponent, GridComponent, LegendComponent, MarkLineComponent } from 'echarts/components'
import { CanvasRenderer, SVGRenderer } from 'echarts/renderers'

// What our pictures are made of, and no more of the library.
use([
  LineChart,
  BarChart,
  GridComponent,
  MarkLineComponent,
  LegendComponent,
  DataZoomComponent,
  SVGRenderer,
  CanvasRenderer,
])

export { default } from 'vue-echarts'
