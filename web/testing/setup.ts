import '@testing-library/jest-dom';

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
const { getComputedStyle } = window;
window.getComputedStyle = (element) => getComputedStyle(element);
Element.prototype.scrollTo ??= () => undefined;
