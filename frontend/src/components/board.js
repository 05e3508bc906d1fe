import { alike } from '../alike.js';
import { isLeaving } from '../leaving.js';
import { moving } from '../moving.js';
import { pageFrom } from '../page.js';

// The board: it follows what happens elsewhere, a lane that is clicked has that minute explained, and blocks are moved by
// the pointer or by keys.
const POLL = 4000;
const GRACE = 20000;

export const board = () => ({
  ...moving,

  events: null,
  poll: null,
  stale: false,

  area: {
    'data-x-on:click'(event) {
      if (this.dragged) {
        event.preventDefault();
        this.dragged = false;
        return;
      }
      const gap = event.target.closest('[data-book]');
      if (gap && event.detail > 0) {
        event.preventDefault();
        this.book(gap, event.clientX);
        return;
      }
      const link = event.target.closest('a[data-why]');
      if (link && event.detail > 0) this.explain(link, event.clientX);
      if (event.target.closest('[data-close]')) this.dialog().close();
    },
    'data-x-on:pointerdown'(event) {
      this.press(event);
    },
    'data-x-on:dragstart'(event) {
      event.preventDefault();
    },
    'data-x-on:keydown.window'(event) {
      this.pressed(event);
    },
    'data-x-on:focusin'(event) {
      const link = event.target.closest?.('a[data-said]');
      if (link && link.matches(':focus-visible') && !this.move) this.tell(link, [link.dataset.said]);
    },
    'data-x-on:focusout'() {
      if (!this.move) this.tip().hidden = true;
    },
    'data-x-on:visibilitychange.document'() {
      if (document.hidden) this.silence();
      else this.listen();
    },
  },

  init() {
    this.forget();
    this.listen();
    this.dialog().addEventListener('close', () => {
      if (this.stale) this.refresh();
    });
    // A finger that moves a block does not scroll, and calls up no menu of its link.
    this.$root.addEventListener('contextmenu', (event) => this.move?.pointer && event.preventDefault());
    this.$root.addEventListener('touchmove', (event) => this.move && event.preventDefault(), { passive: false });
  },

  destroy() {
    this.silence();
  },

  board() {
    return this.$root.querySelector('#board');
  },

  dialog() {
    return this.$root.querySelector('[data-ask]');
  },

  tip() {
    return this.$root.querySelector('[data-tip]');
  },

  // What was done once is not said again when the page is loaded anew.
  forget() {
    const address = new URL(window.location.href);
    for (const name of ['moved', 'gone', 'changed', 'undone', 'booked', 'said']) address.searchParams.delete(name);
    if (address.href !== window.location.href) history.replaceState(history.state, '', address);
    setTimeout(() => {
      document.querySelector('[data-take-back]')?.remove();
    }, GRACE);
  },

  // Follows by events, and by asking every few seconds where they do not come through. A page that nobody sees does neither.
  listen() {
    this.silence();
    if (typeof EventSource === 'undefined') {
      this.ask();
      return;
    }
    this.events = new EventSource(this.$root.dataset.events);
    this.events.addEventListener('version', (event) => this.heard(event.data));
    this.events.addEventListener('error', () => {
      if (this.events?.readyState === EventSource.CLOSED) {
        this.silence();
        this.ask();
      }
    });
  },

  silence() {
    this.events?.close();
    this.events = null;
    clearTimeout(this.poll);
  },

  ask() {
    this.poll = setTimeout(async () => {
      try {
        const answer = await fetch(this.$root.dataset.poll);
        if (answer.ok && !answer.redirected) this.heard(await answer.text());
      } catch {
        // The next try may find it.
      }
      if (!isLeaving()) this.ask();
    }, POLL);
  },

  heard(version) {
    if (version === this.$root.dataset.version) return;
    if (this.move || this.dialog().open) this.stale = true;
    else this.refresh();
  },

  async refresh() {
    this.stale = true;
    try {
      const answer = await fetch(window.location.href);
      const html = await pageFrom(answer);
      const fresh = html.querySelector('#board')?.closest('[data-version]');
      if (!fresh || this.move || this.dialog().open) return;
      this.stale = false;
      const focused = document.activeElement;
      for (const part of html.querySelectorAll('[data-part]')) {
        const old = document.getElementById(part.id);
        // What somebody is filling in stays as it is.
        if (old && !old.querySelector('details[open]')) old.replaceWith(document.importNode(part, true));
      }
      this.$root.dataset.version = fresh.dataset.version;
      if (focused && !focused.isConnected) alike(this.board(), focused)?.focus({ preventScroll: true });
    } catch {
      // It is asked again when something else happens.
    }
  },

  // Each day's first and last minute, and between which hundredths of the width it lies.
  columns() {
    return this.board()
      .dataset.columns.split(';')
      .map((column) => column.split(' ').map(Number));
  },

  // The minute at a place of a lane, in steps of five.
  minute(lane, clientX) {
    const box = lane.getBoundingClientRect();
    const at = (100 * (clientX - box.left)) / box.width;
    const columns = this.columns();
    const [from, to, left, right] = columns.find(([, , , end]) => at <= end) ?? columns[columns.length - 1];
    const part = Math.min(1, Math.max(0, (at - left) / (right - left)));
    return from + Math.round((part * (to - from)) / 5) * 5;
  },

  // The same the other way: in hundredths of the width; null where the minute is not shown.
  across(minute) {
    for (const [from, to, left, right] of this.columns()) {
      if (minute >= from && minute <= to) return left + ((right - left) * (minute - from)) / (to - from);
    }
    return null;
  },

  explain(link, clientX) {
    const address = new URL(link.href.baseVal, window.location.href);
    address.searchParams.set('at', this.minute(link.ownerSVGElement, clientX));
    link.setAttribute('href', address.pathname + address.search);
  },

  // A gap is where a guest is booked by hand.
  book(gap, clientX) {
    const address = new URL(this.$root.dataset.byHand, window.location.href);
    address.searchParams.set('staff', gap.dataset.book);
    address.searchParams.set('at', this.minute(gap.ownerSVGElement, clientX));
    window.location.assign(address);
  },

  // A few lines beside a block, for whoever cannot read it.
  tell(by, lines) {
    const tip = this.tip();
    tip.replaceChildren(
      ...lines.filter(Boolean).map((line, i) => {
        const one = document.createElement(i === 0 ? 'b' : 'span');
        one.textContent = line;
        return one;
      }),
    );
    tip.hidden = false;
    const box = by.getBoundingClientRect();
    const { width, height } = tip.getBoundingClientRect();
    const below = box.bottom + 8 + height < window.innerHeight;
    tip.style.left = `${Math.max(8, Math.min(box.left, window.innerWidth - width - 8))}px`;
    tip.style.top = `${below ? box.bottom + 8 : Math.max(8, box.top - height - 8)}px`;
  },
});
