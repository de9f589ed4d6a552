/** What is told where the program of a thread, or its part, could not be fetched. */
export const NOT_STARTED = 'its program could not be started'
