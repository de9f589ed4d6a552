import { derive } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { planPrint } from '../../src/exchange/pdf/pages.js'

const plans = new Map<string, ReturnType<typeof planPrint>>()
/** A design’s pages on A4, planned once for all that looks at them. */
export function planned(design: Design): ReturnType<typeof planPrint> {
  const key = JSON.stringify(design)
  const plan = plans.get(key) ?? planPrint(derive(design), 'a4', 'mm')
  plans.set(key, plan)
  return plan
}
