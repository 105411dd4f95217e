/** What jsdom lacks of a browser, as far as parts of the page ask for it; nothing where tests have no page. */
if (typeof document !== 'undefined') {
  window.matchMedia ??= (query: string) =>
    Object.assign(new EventTarget(), { matches: false, media: query }) as unknown as MediaQueryList;
  globalThis.ResizeObserver ??= class {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  };
  Element.prototype.scrollIntoView ??= () => undefined;
  Element.prototype.setPointerCapture ??= () => undefined;
}
