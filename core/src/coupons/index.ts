export { couponDrawing } from './drawing.js'
export { type CouponPlan, couponPlan } from './plan.js'
