import type { Edit } from './edit.js'
import type { Design } from './schema.js'

/** Steps in the maker's order, and the reasons the maker knows better than, each as “first > then”. */
export const orderSteps = (
  { work }: Design,
  name: string,
  order: readonly string[],
  overruled: readonly string[] = [],
): Edit => ({
  name,
  changes: [
    { path: ['work', 'order'], value: [...order] },
    ...(overruled.length > 0
      ? [{ path: ['work', 'overruled'], value: [...new Set([...work.overruled, ...overruled])] }]
      : []),
  ],
})

/** Steps back in their usual order, and every reason given back. */
export const usualOrder = (): Edit => ({
  name: 'the usual order',
  changes: [
    { path: ['work', 'order'], value: [] },
    { path: ['work', 'overruled'], value: [] },
  ],
})
