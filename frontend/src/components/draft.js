import { alike } from '../alike.js';
import { grips } from '../grips.js';
import { isLeaving } from '../leaving.js';
import { oneAtATime } from '../turns.js';
import { typedBefore } from '../typed.js';
import { pageFrom } from '../page.js';

const TYPED = 'input:not([type=checkbox], [type=radio], [type=hidden], [type=file]), textarea';

// A page whose form is a draft: it is kept as it is typed, and what it does is asked a moment after the last change. What is
// answered late is dropped; what is being typed in is left alone. The knots of a ladder are moved by the pointer or by arrows.
export const draft = () => ({
  asked: 0,
  timer: null,
  unsaid: false,
  onward: null,

  area: {
    ...grips,
    'data-x-on:input'(event) {
      if (event.target.form?.id === 'one') this.ask();
    },
    'data-x-on:click'(event) {
      const tag = event.target.closest('[data-tag]');
      if (tag) this.putIn(document.getElementById(tag.dataset.tag), tag.value);
      else this.lead(event);
    },
    'data-x-on:pointerdown'(event) {
      this.grab(event);
    },
    'data-x-on:mouseover'(event) {
      this.peek(event.target);
    },
    'data-x-on:focusin'(event) {
      this.peek(event.target);
    },
    'data-x-on:keydown'(event) {
      const knot = event.target.closest?.('[data-knot]');
      const by = { ArrowLeft: 1, ArrowUp: 1, ArrowRight: -1, ArrowDown: -1 }[event.key];
      if (!knot || !by) return;
      event.preventDefault();
      event.stopPropagation();
      this.turn(knot, by);
    },
  },

  init() {
    this.inTurn = oneAtATime(() => this.send());
    if (typedBefore(this.$root.querySelector('#one'))) this.ask();
  },

  // What a link leads to is shown beside it while it is pointed at, or has the focus.
  peeked: null,

  peek(target) {
    const link = target.closest?.('[data-peek]');
    if (!link || link === this.peeked) return;
    this.peeked = link;
    setTimeout(() => {
      if (this.peeked === link) this.show(link);
    }, 120);
  },

  async show(link) {
    const address = new URL(link.href);
    address.searchParams.set('fragment', this.$root.dataset.fragment);
    try {
      const answer = await fetch(address);
      const html = await pageFrom(answer);
      const fresh = html.getElementById(link.dataset.peek);
      const old = document.getElementById(link.dataset.peek);
      if (fresh && old && this.peeked === link) old.replaceWith(document.importNode(fresh, true));
    } catch {
      // The link itself still leads there.
    }
  },

  ask() {
    // What is on its way says nothing of this change, and would take it back.
    this.asked += 1;
    this.unsaid = true;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.inTurn(), 250);
  },

  // Whoever follows a link right after a change takes it along; whoever does not want to wait for that clicks once more.
  async lead(event) {
    const link = event.target.closest('a[href]:not([target], [download], [href^="#"])');
    const plain = event.button === 0 && !(event.ctrlKey || event.metaKey || event.shiftKey || event.altKey);
    if (!link || !plain || event.defaultPrevented || !this.unsaid || this.onward === link.href) return;
    event.preventDefault();
    this.onward = link.href;
    clearTimeout(this.timer);
    await this.inTurn();
    if (!this.unsaid && this.onward === link.href) window.location.assign(link.href);
    this.onward = null;
  },

  async send() {
    const mine = (this.asked += 1);
    const form = this.$root.querySelector('#one');
    const body = new URLSearchParams(new FormData(form));
    const asks = form.method === 'get';
    const said = new URLSearchParams([...body].filter(([, value]) => value));
    body.set('fragment', this.$root.dataset.fragment);
    try {
      const answer = await (asks ? fetch(`${form.action}?${body}`) : fetch(form.action, { method: 'POST', body }));
      const html = await pageFrom(answer);
      if (mine !== this.asked) return;
      this.unsaid = false;
      this.take(html);
      if (asks) history.replaceState(history.state, '', `${form.action}?${said}`);
    } catch {
      if (mine === this.asked && !isLeaving()) form.submit();
    }
  },

  take(html) {
    const focused = document.activeElement;
    const typing = focused?.form?.id === 'one' && focused.matches(TYPED);
    let before = null;
    for (const part of html.querySelectorAll('[data-part], [data-field]')) {
      const old = this.$root.querySelector(`#${CSS.escape(part.id)}`);
      const fresh = old ? null : document.importNode(part, true);
      if (fresh && before?.isConnected) before.after(fresh);
      else if (fresh) this.$root.querySelector('#one').append(fresh);
      else if (typing && old.contains(focused)) this.tell(old, part);
      else this.replace(old, part);
      before = this.$root.querySelector(`#${CSS.escape(part.id)}`);
    }
    for (const old of this.$root.querySelectorAll('[data-field]')) {
      if (!html.querySelector(`#${CSS.escape(old.id)}`)) old.remove();
    }
    if (focused && !focused.isConnected) this.goOn(focused);
  },

  goOn(gone) {
    const now = alike(this.$root, gone);
    now?.focus({ preventScroll: true });
    if (now && gone.selectionStart != null) now.setSelectionRange(gone.selectionStart, gone.selectionEnd);
  },

  // What was unfolded stays so, and so does what is typed or ticked in a form beside that of the draft.
  replace(old, part) {
    const fresh = document.importNode(part, true);
    if (old.isEqualNode(fresh)) return;
    const stays = old.querySelector('[data-stays]');
    if (stays && stays.contains(document.activeElement)) return;
    const open = [...old.querySelectorAll('details')].map((one) => one.open);
    [...fresh.querySelectorAll('details')].forEach((one, i) => {
      one.open = open.length > i ? open[i] : one.open;
    });
    for (const control of old.querySelectorAll(`${TYPED}, input[type=checkbox]`)) {
      const ticked = control.checked !== control.defaultChecked;
      const again = (ticked || control.value !== control.defaultValue) && control.form?.id !== 'one' && alike(fresh, control);
      if (!again) continue;
      again.value = control.value;
      again.checked = control.checked;
    }
    old.replaceWith(fresh);
  },

  // What is wrong is told where somebody types, who goes on undisturbed.
  tell(old, part) {
    const found = part.querySelector('[data-found]');
    if (found) old.querySelector('[data-found]')?.replaceWith(document.importNode(found, true));
    for (const control of old.querySelectorAll('input[id], textarea[id], select[id]')) {
      const id = CSS.escape(`${control.id}-error`);
      old.querySelector(`#${id}`)?.remove();
      const error = part.querySelector(`#${id}`);
      if (error) control.after(document.importNode(error, true));
      const fresh = part.querySelector(`#${CSS.escape(control.id)}`);
      for (const name of ['aria-invalid', 'aria-describedby']) {
        const value = fresh?.getAttribute(name);
        if (value) control.setAttribute(name, value);
        else control.removeAttribute(name);
      }
    }
  },

  // A tag goes to where somebody writes.
  putIn(field, words) {
    field.setRangeText(words, field.selectionStart, field.selectionEnd, 'end');
    field.focus();
    field.dispatchEvent(new Event('input', { bubbles: true }));
  },

  // How long before: each step of a knot goes to the next of these, in hours.
  stops: [0, 1, 2, 3, 6, 12, 24, 36, 48, 72, 96, 120, 168, 240, 336, 504, 720],

  turn(knot, by) {
    const field = document.getElementById(knot.dataset.knot);
    if (!field) return;
    const now = Number(knot.dataset.hours);
    const longer = knot.dataset.way === 'after' ? by < 0 : by > 0;
    const next = longer ? this.stops.find((h) => h > now) : this.stops.findLast((h) => h < now);
    if (next === undefined) return;
    knot.dataset.hours = next;
    field.value = `${next} h`;
    field.dispatchEvent(new Event('input', { bubbles: true }));
  },

  grab(event) {
    const knot = event.target.closest('[data-knot]');
    if (!knot) return;
    event.preventDefault();
    knot.focus();
    let from = event.clientX;
    const move = (to) => {
      const steps = Math.trunc((from - to.clientX) / 24);
      if (steps === 0) return;
      from = to.clientX;
      this.turn(knot, Math.sign(steps));
    };
    const done = () => window.removeEventListener('pointermove', move);
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', done, { once: true });
    window.addEventListener('pointercancel', done, { once: true });
  },
});
