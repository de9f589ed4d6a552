import { shallowRef } from 'vue'

/** A file dropped anywhere on the page, until the shelf has taken it. */
export const dropped = shallowRef<File>()
