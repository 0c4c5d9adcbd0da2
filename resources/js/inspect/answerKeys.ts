/** The keys that answer: letters, since figures are the stages. */
export const ANSWER_KEYS = ['a', 'b', 'c', 'd', 'e'] as const;
