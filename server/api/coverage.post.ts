import { computedOnThread } from '../http/computedOnThread'

export default computedOnThread('coverage')
