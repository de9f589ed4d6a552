/** How large a step's picture is made, mm: it is shown in any size. */
export const PICTURE = { width: 80, height: 46 } as const
