import { isLeaving } from '../leaving.js';
import { pageFrom } from '../page.js';

// The day explainer: the moment under the pointer, or the next one by the arrows, is looked at without a new page.
export const explainer = () => ({
  timer: null,
  asked: 0,
  x: -1,
  y: -1,

  area: {
    'data-x-on:pointermove'(event) {
      // What moves under a pointer that rests does not ask for anything.
      const rests = event.clientX === this.x && event.clientY === this.y;
      this.x = event.clientX;
      this.y = event.clientY;
      const link = event.target.closest('[data-at]');
      if (link && !rests && event.pointerType === 'mouse') this.look(link, 120);
    },
    'data-x-on:click'(event) {
      const link = event.target.closest('[data-at]');
      if (!link || event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) return;
      event.preventDefault();
      this.look(link, 0);
    },
    'data-x-on:keydown'(event) {
      this.key(event);
    },
  },

  init() {
    const form = document.querySelector('#explain-form');
    form.addEventListener('change', () => form.submit());
  },

  links() {
    return [...this.$root.querySelectorAll('[data-at]')];
  },

  key(event) {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (!by || event.ctrlKey || event.metaKey || event.altKey) return;
    const links = this.links();
    const now = links.findIndex((link) => link.getAttribute('aria-current'));
    const next = links[now + by];
    event.preventDefault();
    event.stopPropagation();
    if (next) this.look(next, 0, true);
  },

  look(link, pause, focus) {
    clearTimeout(this.timer);
    const address = link.getAttribute('href');
    if (link.getAttribute('aria-current')) return;
    if (focus) {
      for (const one of this.links()) one.removeAttribute('aria-current');
      link.setAttribute('aria-current', 'true');
    }
    this.timer = setTimeout(() => this.load(address, focus), pause);
  },

  async load(address, focus) {
    const mine = (this.asked += 1);
    const part = new URL(address, window.location.href);
    part.searchParams.set('fragment', 'explained');
    try {
      const answer = await fetch(part);
      const html = await pageFrom(answer);
      if (mine !== this.asked) return;
      // What has the focus is replaced: it gets it back, whoever asked.
      const held = this.$root.contains(document.activeElement?.closest?.('[data-at]') ?? null);
      for (const fresh of html.querySelectorAll('[data-part]')) {
        const old = this.$root.querySelector(`#${CSS.escape(fresh.id)}`);
        if (old) old.replaceWith(document.importNode(fresh, true));
      }
      history.replaceState(null, '', address);
      const again = this.$root.querySelector('[data-at][aria-current]');
      if ((focus || held) && again) again.focus({ preventScroll: true });
    } catch {
      if (!isLeaving()) window.location.assign(address);
    }
  },
});
