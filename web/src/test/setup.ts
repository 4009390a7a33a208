import { configure } from "@testing-library/react";

configure({ asyncUtilTimeout: 30_000 });

/** Outside a browser an address without a host is no address: give it one. */
const Plain = globalThis.Request;

globalThis.Request = class extends Plain {
  constructor(input: RequestInfo | URL, init?: RequestInit) {
    super(typeof input === "string" ? new URL(input, "http://workshop.test") : input, init);
  }
};

/** Nothing has a size outside a browser. */
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};

/** Outside a browser no screen is wide, high or dark. */
globalThis.matchMedia ??= (media) => Object.assign(new EventTarget(), { media, matches: false }) as MediaQueryList;
