import { isLeaving } from '../leaving.js';
import { proofOf } from '../proof.js';
import { bringIntoSight } from '../sight.js';
import { anewWhenPutBack, sendWith } from './forms.js';
import { pageFrom } from '../page.js';

// The agenda: what is looked for is asked again as it is changed, an opening shows what it is before it is kept, and
// arrows go from one to the next.
export const agenda = () => ({
  busy: false,
  sent: false,
  asked: 0,
  chosen: null,

  init() {
    this.$root.dataset.scripts = 'true';
    this.show();
    if (new URLSearchParams(window.location.search).has('print')) window.print();
  },

  area: {
    'data-x-on:click'(event) {
      this.click(event);
    },
    'data-x-on:change'(event) {
      if (event.target.closest('.agenda-ask')) this.ask(event.target);
    },
    'data-x-on:keydown'(event) {
      this.key(event);
    },
    'data-x-on:submit'(event) {
      if (!event.target.matches('.agenda-ask')) return;
      event.preventDefault();
      this.ask(event.target.querySelector('select'));
    },
    'data-x-on:toggle.capture'(event) {
      if (event.target.id === 'opening' && event.newState === 'closed') this.leave();
    },
    'data-x-on:popstate.window'() {
      this.load(window.location.href);
    },
    'data-x-bind:data-busy'() {
      return this.busy;
    },
  },

  // One stop for the tabulator among all openings; the chosen date of the ribbon is brought into sight.
  show() {
    this.openings().forEach((opening, i) => {
      opening.tabIndex = i ? -1 : 0;
      opening.setAttribute('aria-expanded', 'false');
    });
    bringIntoSight(this.$root);
  },

  openings() {
    return [...this.$root.querySelectorAll('button.opening')];
  },

  click(event) {
    const link = event.target.closest('a[data-agenda]');
    if (link) {
      if (event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) return;
      event.preventDefault();
      this.go(new URL(link.getAttribute('href'), window.location.href), `[data-agenda="${CSS.escape(link.dataset.agenda)}"]`);
      return;
    }
    const opening = event.target.closest('button.opening');
    if (opening) {
      event.preventDefault();
      this.choose(opening);
    } else if (event.target.closest('[data-keeps]')) {
      this.keep();
    }
  },

  ask(field) {
    const form = field.form;
    const address = new URL(form.action);
    for (const [name, value] of new FormData(form)) if (value) address.searchParams.set(name, value);
    this.go(address, `#${CSS.escape(field.id)}`);
  },

  async go(address, focus) {
    if (await this.load(address.href, focus)) history.pushState({ agenda: true }, '', address.href);
  },

  async load(href, focus) {
    const mine = (this.asked += 1);
    this.busy = true;
    try {
      const answer = await fetch(href, { headers: { Accept: 'text/html' } });
      const html = await pageFrom(answer);
      if (mine !== this.asked || this.sent) return false;
      const fresh = html.querySelector('#agenda [data-body]');
      this.$root.querySelector('[data-body]').replaceChildren(...fresh.childNodes);
      this.chosen = null;
      this.show();
      const body = this.$root.querySelector('[data-body]');
      this.$root.querySelector('[data-said]').textContent = `${body.querySelector('#shown').textContent}. ${body.querySelector('.total').textContent}`;
      if (focus) body.querySelector(focus)?.focus({ preventScroll: true });
      return true;
    } catch {
      if (!isLeaving()) window.location.assign(href);
      return false;
    } finally {
      if (mine === this.asked) this.busy = false;
    }
  },

  choose(opening) {
    const card = this.$root.querySelector('#opening');
    this.chosen = opening;
    this.openings().forEach((one) => {
      one.tabIndex = one === opening ? 0 : -1;
      one.setAttribute('aria-expanded', String(one === opening));
    });
    card.querySelector('.what').textContent = opening.getAttribute('aria-label');
    card.querySelector('.who').textContent = opening.form.dataset.party;
    if (!card.matches(':popover-open')) card.showPopover();
    if (window.matchMedia('(width >= 40rem)').matches) {
      const at = opening.getBoundingClientRect();
      const { width, height } = card.getBoundingClientRect();
      const below = at.bottom + 8 + height < window.innerHeight;
      card.style.left = `${Math.max(8, Math.min(at.left, window.innerWidth - width - 8))}px`;
      card.style.top = `${below ? at.bottom + 8 : Math.max(8, at.top - height - 8)}px`;
    } else {
      card.style.left = '';
      card.style.top = '';
    }
    card.querySelector('[data-keeps]').focus({ preventScroll: true });
  },

  // The card was closed: whoever had it open is where they were.
  leave() {
    const from = this.chosen;
    this.chosen = null;
    if (!from || this.sent) return;
    from.setAttribute('aria-expanded', 'false');
    if (document.activeElement === document.body || document.activeElement?.closest('#opening')) from.focus({ preventScroll: true });
  },

  keep() {
    const form = this.$root.querySelector('[data-taken]');
    if (this.sent || !this.chosen) return;
    this.sent = true;
    const take = document.createElement('input');
    take.type = 'hidden';
    take.name = 'take';
    take.value = this.chosen.value;
    form.append(take);
    form.setAttribute('aria-busy', 'true');
    this.$root.querySelector('[data-keeps]').setAttribute('aria-disabled', 'true');
    anewWhenPutBack();
    const seal = form.elements.namedItem('seal');
    if (seal && seal.dataset.bits) sendWith(proofOf(seal.value, Number(seal.dataset.bits)), form);
    else form.submit();
  },

  // To the right and the left along a lane, up and down to the nearest in the next one; in a list simply on and back.
  key(event) {
    const opening = event.target.closest('button.opening');
    if (!opening || event.altKey || event.ctrlKey || event.metaKey) return;
    const all = this.openings();
    const wide = window.matchMedia('(width >= 64rem)').matches && this.$root.querySelector('.lanes');
    const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    let next = null;
    if (event.key === 'Home') [next] = all;
    else if (event.key === 'End') next = all.at(-1);
    else if (!step) return;
    else if (!wide) next = all[all.indexOf(opening) + step];
    else if (event.key === 'ArrowRight' || event.key === 'ArrowLeft') {
      const lane = all.filter((one) => one.dataset.row === opening.dataset.row);
      next = lane[lane.indexOf(opening) + step];
    } else next = this.nearest(all, opening, step);
    event.preventDefault();
    if (!next) return;
    opening.tabIndex = -1;
    next.tabIndex = 0;
    next.focus();
  },

  nearest(all, opening, step) {
    const rows = all.map((one) => Number(one.dataset.row)).filter((row) => (row - Number(opening.dataset.row)) * step > 0);
    if (!rows.length) return null;
    const row = String(step > 0 ? Math.min(...rows) : Math.max(...rows));
    const { left } = opening.getBoundingClientRect();
    const far = (one) => Math.abs(one.getBoundingClientRect().left - left);
    return all.filter((one) => one.dataset.row === row).reduce((best, one) => (far(one) < far(best) ? one : best));
  },
});
