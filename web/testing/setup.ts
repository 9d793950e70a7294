import '@testing-library/jest-dom';
import { configure } from '@testing-library/react';

// Pages load their heavier parts on first use, and the machine may be busy.
// Computing what is hidden for every query takes most of a test's time in jsdom; axe looks at that in a real browser.
configure({ asyncUtilTimeout: 10_000, defaultHidden: true });

// jsdom has neither; Ant Design asks for both.
window.matchMedia ??= (query: string) =>
  ({
    matches: false,
    media: query,
    onchange: null,
    addListener: () => undefined,
    removeListener: () => undefined,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    dispatchEvent: () => false,
  }) as MediaQueryList;
// jsdom would match every rule of Ant Design's sheets against every element a query looks at. Only what an element says
// of itself counts here; how things look is left to the browser tests.
window.getComputedStyle = (element) => (element as HTMLElement).style ?? document.body.style;
Element.prototype.scrollTo ??= () => undefined;
Element.prototype.scrollIntoView ??= () => undefined;

/** Sizes never change in jsdom. */
class StillObserver implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
window.ResizeObserver ??= StillObserver;

/** Node's own would keep the tests from ending. */
class LaterChannel {
  readonly port1: { onmessage: (() => void) | null } = { onmessage: null };
  readonly port2 = { postMessage: () => void setTimeout(() => this.port1.onmessage?.(), 0) };
}
(window as { MessageChannel?: unknown }).MessageChannel ??= LaterChannel;
