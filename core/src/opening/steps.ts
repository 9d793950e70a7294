/** What is done before the first dial-in shot, in order. */
export const OPENING_STEPS = ['switched-on', 'flushed', 'cups-warm', 'hopper', 'weather', 'check-shot'] as const;
export type OpeningStep = (typeof OPENING_STEPS)[number];
