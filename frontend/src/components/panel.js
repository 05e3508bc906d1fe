import { isLeaving } from '../leaving.js';
import { bringIntoSight } from '../sight.js';
import { pageFrom } from '../page.js';

// The booking panel: whatever is changed in it is fetched alone, and the address follows.
// A click that comes while another is on its way waits for it, and then means the link that stands in its place.
export const panel = () => ({
  busy: false,
  last: Promise.resolve(),

  init() {
    bringIntoSight(this.$root);
  },

  area: {
    'data-x-on:click'(event) {
      this.follow(event);
    },
    'data-x-on:popstate.window'() {
      this.load(window.location.href);
    },
    'data-x-bind:data-busy'() {
      return this.busy;
    },
  },

  follow(event) {
    const link = event.target.closest('a[data-panel]');
    if (!link || event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) return;
    event.preventDefault();
    const name = link.dataset.panel;
    this.last = this.last.then(async () => {
      const current = this.$root.querySelector(`[data-panel="${CSS.escape(name)}"]`);
      // In the ribbon's picture a link's href is no string, so the attribute is read.
      const address = current && new URL(current.getAttribute('href'), window.location.href).href;
      if (address && (await this.load(address, name))) {
        history.pushState({ panel: true }, '', address);
      }
    });
  },

  async load(href, focus) {
    const address = new URL(href);
    address.searchParams.set('fragment', 'panel');
    this.busy = true;
    try {
      const answer = await fetch(address, { headers: { Accept: 'text/html' } });
      const html = await pageFrom(answer);
      // A time that is just being kept is not taken from under the guest's hand.
      if (this.$root.querySelector('form[aria-busy="true"]')) return false;
      this.$root.replaceChildren(...html.body.firstElementChild.childNodes);
      bringIntoSight(this.$root);
      const again = focus && this.$root.querySelector(`[data-panel="${CSS.escape(focus)}"]`);
      if (again) again.focus({ preventScroll: true });
      return true;
    } catch {
      if (!isLeaving()) window.location.assign(href);
      return false;
    } finally {
      this.busy = false;
    }
  },
});
