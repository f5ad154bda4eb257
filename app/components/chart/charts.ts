import { use } from 'echarts/core'
import { BarChart, LineChart } from 'echarts/charts'
import { GridComponent, LegendComponent, MarkLineComponent } from 'echarts/components'
import { SVGRenderer } from 'echarts/renderers'

// What our pictures are made of, and no more of the library.
use([LineChart, BarChart, GridComponent, MarkLineComponent, LegendComponent, SVGRenderer])

export { default } from 'vue-echarts'
