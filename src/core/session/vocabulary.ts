/** How far the goal of a session was reached. */
export const REACHED = ['yes', 'partly', 'no'] as const;
