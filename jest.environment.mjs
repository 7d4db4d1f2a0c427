/** jsdom with the pieces of the platform that it lacks and the interface needs. Not MessageChannel: React's scheduler would keep it open. */
import { TestEnvironment } from 'jest-environment-jsdom';

const missing = [
  'TextEncoder',
  'TextDecoder',
  'structuredClone',
  'fetch',
  'Request',
  'Response',
  'Headers',
  'Uint8Array',
];

class ObserverStub {
  observe() {}
  unobserve() {}
  disconnect() {}
}

/**
 * Nothing is laid out here, so a style is what the element itself says. jsdom's own goes through every rule of every sheet at each
 * question by role, a tenth of the time of the interface's tests.
 */
function inlineStyle(element) {
  const { style } = element;
  const usual = { display: element.hidden ? 'none' : 'block', visibility: 'visible' };
  return new Proxy(style, {
    get(of, name) {
      if (name === 'getPropertyValue') return (property) => of.getPropertyValue(property) || usual[property] || '';
      return of[name] || usual[name] || of[name];
    },
  });
}

export default class WebEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    for (const name of missing) this.global[name] ??= globalThis[name];
    // jsdom's own lack `any` and `timeout`, and Node's Request takes only Node's signals.
    for (const name of ['AbortController', 'AbortSignal']) this.global[name] = globalThis[name];
    this.global.ResizeObserver ??= ObserverStub;
    // Nothing is painted here; views have to bear a canvas without a context.
    this.global.HTMLCanvasElement.prototype.getContext = () => null;
    // jsdom knows the element and not what it does.
    this.global.HTMLDialogElement.prototype.showModal ??= function () {
      this.open = true;
    };
    this.global.HTMLDialogElement.prototype.close ??= function () {
      this.open = false;
    };
    this.global.IntersectionObserver ??= ObserverStub;
    this.global.matchMedia ??= (query) => ({
      matches: false,
      media: query,
      addEventListener() {},
      removeEventListener() {},
    });
    this.global.getComputedStyle = inlineStyle;
    this.global.Element.prototype.scrollTo ??= () => {};
    this.global.Element.prototype.scrollIntoView ??= () => {};
  }
}
