import { isLeaving } from '../leaving.js';
import { oneAtATime } from '../turns.js';
import { typedBefore } from '../typed.js';
import { pageFrom } from '../page.js';

// The week of somebody's hours. What counts are the figures at the right of each day: whatever is drawn is written there,
// and the page is asked what it does. Windows are [from, to, whom] in minutes; whom is empty where it is for everything.
const STEP = 15;
const FINE = 5;
const DAY = 1440;

const number = (minute) => {
  const hour = Math.floor(minute / 60);
  return minute % 60 === 0 ? `${hour}` : `${hour}:${String(minute % 60).padStart(2, '0')}`;
};

// Without what lies between two moments.
export const closed = (windows, from, to) =>
  windows.flatMap(([a, b, whom]) =>
    b <= from || a >= to
      ? [[a, b, whom]]
      : [
          [a, from, whom],
          [to, b, whom],
        ].filter(([c, d]) => c < d),
  );

// With what lies between two moments, for somebody; windows that touch and are for the same become one.
export const opened = (windows, from, to, whom = '') => {
  const sorted = [...closed(windows, from, to), [from, to, whom]].sort((a, b) => a[0] - b[0]);
  return sorted.reduce((all, next) => {
    const last = all[all.length - 1];
    if (last && last[2] === next[2] && last[1] >= next[0]) last[1] = Math.max(last[1], next[1]);
    else all.push([...next]);
    return all;
  }, []);
};

// As somebody would write it.
export const written = (windows, words) => {
  if (!windows.length) return words.closed;
  if (windows.length === 1 && windows[0][0] === 0 && windows[0][1] === DAY && !windows[0][2]) return words.day;
  return windows
    .map(([a, b, whom]) => `${number(a)}–${number(b > DAY ? b - DAY : b)}${whom ? ` (${whom})` : ''}`)
    .join(', ');
};

export const hours = () => ({
  asked: 0,
  timer: null,
  drag: null,
  cursor: null,
  sheet: null,

  area: {
    'data-x-on:pointerdown'(event) {
      this.press(event);
    },
    'data-x-on:pointermove.window'(event) {
      this.move(event);
    },
    'data-x-on:pointerup.window'(event) {
      this.release(event);
    },
    'data-x-on:pointercancel.window'() {
      this.stop();
    },
    'data-x-on:keydown'(event) {
      this.key(event);
    },
    'data-x-on:focusout'(event) {
      if (event.target.matches('.lane')) this.ghost(null);
    },
    'data-x-on:input'(event) {
      if (event.target.closest('#week')) this.ask(250);
    },
  },

  init() {
    this.inTurn = oneAtATime(() => this.send());
    if (typedBefore(this.$root.querySelector('#week'))) this.ask(0);
    this.$root.querySelector('#whom').addEventListener('close', () => this.chosen());
    this.$root.querySelector('#whom').addEventListener('change', () => this.choose());
  },

  // Where a pointer is, in minutes.
  minute(lane, event) {
    const { left, width } = lane.getBoundingClientRect();
    const [from, to] = this.range();
    const raw = from + ((event.clientX - left) / width) * (to - from);
    const step = event.altKey ? FINE : STEP;
    return Math.min(to, Math.max(from, Math.round(raw / step) * step));
  },

  range() {
    const marks = [...this.$root.querySelectorAll('.lane .grid')].length / 7 - 1;
    const first = Number(this.$root.querySelector('.axis text').textContent);
    return [first * 60, (first + marks) * 60];
  },

  windows(lane) {
    return JSON.parse(lane.dataset.windows);
  },

  press(event) {
    const date = event.target.closest('.date');
    if (date && event.button === 0) {
      event.preventDefault();
      this.drag = { date: date.dataset.date, last: date.dataset.date };
      this.mark();
      return;
    }
    const lane = event.target.closest('.lane');
    if (!lane || event.button !== 0) return;
    const start = this.minute(lane, event);
    const { width } = lane.getBoundingClientRect();
    const [from, to] = this.range();
    const reach = (9 / width) * (to - from);
    const raw = from + ((event.clientX - lane.getBoundingClientRect().left) / width) * (to - from);
    const edge = this.windows(lane).find(([a, b]) => Math.abs(a - raw) < reach || Math.abs(b - raw) < reach);
    const inside = this.windows(lane).find(([a, b]) => a <= raw && raw < b);
    this.drag = { lane, start, now: start, edge, inside, pulled: edge && Math.abs(edge[0] - raw) < reach ? 0 : 1 };
    if (event.pointerType !== 'touch') event.preventDefault();
  },

  move(event) {
    if (!this.drag) return;
    if (this.drag.date) {
      const under = document.elementFromPoint(event.clientX, event.clientY);
      const date = under && under.closest('.date');
      if (date) this.drag.last = date.dataset.date;
      this.mark();
      return;
    }
    this.drag.now = this.minute(this.drag.lane, event);
    if (this.drag.now !== this.drag.start) this.drag.moved = true;
    const [from, to] = this.between();
    this.ghost(this.drag.lane, from, to, this.drag.inside && !this.drag.edge ? 'gone' : 'new');
  },

  // What a drag is about; of an edge, from where it was to where it is.
  between() {
    const { edge, pulled, start, now } = this.drag;
    const anchor = edge ? edge[pulled] : start;
    return [Math.min(anchor, now), Math.max(anchor, now)];
  },

  release(event) {
    const { drag } = this;
    this.drag = null;
    if (!drag) return;
    if (drag.date) {
      this.days(...[drag.date, drag.last].sort());
      return;
    }
    this.ghost(null);
    const windows = this.windows(drag.lane);
    if (!drag.moved) {
      if (drag.inside) this.open(drag.lane, drag.inside);
      return;
    }
    this.drag = drag;
    const [from, to] = this.between();
    this.drag = null;
    if (drag.edge) {
      const wider = drag.pulled === 0 ? drag.now < drag.edge[0] : drag.now > drag.edge[1];
      this.write(drag.lane, wider ? opened(windows, from, to, drag.edge[2]) : closed(windows, from, to));
    } else if (drag.inside) {
      this.write(drag.lane, closed(windows, from, to));
    } else {
      this.write(drag.lane, opened(windows, from, to));
      if (event.pointerType !== 'touch') this.open(drag.lane, [from, to, '']);
    }
  },

  stop() {
    this.drag = null;
    this.ghost(null);
  },

  // What is being drawn.
  ghost(lane, from, to, look) {
    for (const old of this.$root.querySelectorAll('.ghost')) old.remove();
    if (!lane) {
      this.cursor = null;
      return;
    }
    const [first, last] = this.range();
    const rect = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
    const percent = (m) => `${(m / (last - first)) * 100}%`;
    rect.setAttribute('class', `ghost ${look}`);
    rect.setAttribute('x', percent(from - first));
    rect.setAttribute('width', percent(to - from));
    rect.setAttribute('y', 5);
    rect.setAttribute('height', 34);
    rect.setAttribute('rx', 9);
    lane.querySelector('svg').append(rect);
  },

  key(event) {
    const lane = event.target.closest('.lane');
    if (!lane || event.ctrlKey || event.metaKey) return;
    const step = event.altKey ? FINE : STEP;
    const [first, last] = this.range();
    let [from, to] = this.cursor ?? [this.windows(lane)[0]?.[0] ?? 540, (this.windows(lane)[0]?.[0] ?? 540) + 60];
    const lanes = [...this.$root.querySelectorAll('.lane')];
    const next = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    const by = { ArrowLeft: -step, ArrowRight: step }[event.key];
    if (next) {
      const other = lanes[lanes.indexOf(lane) + next];
      if (other) {
        other.focus();
        this.show(other, from, to);
      }
    } else if (by && event.shiftKey) {
      to = Math.min(last, Math.max(from + step, to + by));
      this.show(lane, from, to);
    } else if (by) {
      const moved = this.cursor ? Math.min(last - to, Math.max(first - from, by)) : 0;
      this.show(lane, from + moved, to + moved);
    } else if (event.key === 'Enter') {
      if (!this.cursor) this.show(lane, from, to);
      else this.turn(lane, from, to);
    } else if (event.key === 'Escape') {
      if (this.before && this.before.day === lane.dataset.day) this.write(lane, this.before.windows);
      this.before = null;
      this.ghost(null);
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  },

  // Chooses a stretch by keyboard, and says it.
  show(lane, from, to) {
    const open = this.isOpen(lane, from, to);
    this.ghost(lane, from, to, open ? 'gone' : 'new');
    this.cursor = [from, to];
    this.tell(`${number(from)}–${number(to > DAY ? to - DAY : to)}`);
  },

  isOpen(lane, from, to) {
    return !this.left(lane, from, to).length;
  },

  // What is not open between two moments.
  left(lane, from, to) {
    return this.windows(lane).reduce((left, [a, b]) => closed(left, a, b), [[from, to, '']]);
  },

  turn(lane, from, to) {
    const windows = this.windows(lane);
    this.before = { day: lane.dataset.day, windows };
    this.write(lane, this.isOpen(lane, from, to) ? closed(windows, from, to) : opened(windows, from, to));
    this.cursor = [from, to];
  },

  tell(words) {
    this.$root.querySelector('#hours-told').textContent = words;
  },

  // Writes a day's windows into its figures.
  write(lane, windows) {
    const words = this.$root.querySelector('#lanes').dataset;
    const field = this.$root.querySelector(`#${lane.dataset.day}`);
    field.value = written(windows, words);
    lane.dataset.windows = JSON.stringify(windows);
    this.tell(`${field.labels[0].textContent}: ${field.value}`);
    this.ask(0);
  },

  // The sheet that asks for whom a stretch is open.
  open(lane, [from, to, whom]) {
    const dialog = this.$root.querySelector('#whom');
    this.sheet = { day: lane.dataset.day, from, to };
    const names = whom ? whom.split(', ') : [];
    const desk = this.$root.querySelector('#lanes').dataset.desk;
    const offers = names.filter((n) => n !== desk);
    dialog.querySelector('#whom-title').textContent = `${lane.getAttribute('aria-label').split(':')[0]}, ${number(from)}–${number(to > DAY ? to - DAY : to)}`;
    dialog.querySelector(offers.length ? '#whom-some' : names.length ? '#whom-desk' : '#whom-all').checked = true;
    for (const box of dialog.querySelectorAll('[name=offer]')) box.checked = offers.includes(box.value);
    dialog.returnValue = '';
    dialog.show();
    const place = lane.getBoundingClientRect();
    const main = dialog.offsetParent.getBoundingClientRect();
    const [first, last] = this.range();
    const x = place.left - main.left + ((from - first) / (last - first)) * place.width;
    dialog.style.left = `${Math.max(0, Math.min(x, main.width - dialog.offsetWidth))}px`;
    dialog.style.top = `${place.bottom - main.top + 4}px`;
  },

  // What is chosen in the sheet counts at once.
  choose() {
    if (!this.sheet) return;
    const dialog = this.$root.querySelector('#whom');
    const kind = dialog.querySelector('[name=whom]:checked').value;
    const offers = [...dialog.querySelectorAll('[name=offer]:checked')].map((box) => box.value);
    const lane = this.$root.querySelector(`#lane-${this.sheet.day}`);
    const desk = this.$root.querySelector('#lanes').dataset.desk;
    const whom = { all: '', desk, some: offers.join(', ') }[kind];
    if (kind === 'some' && !offers.length) return;
    const { from, to } = this.sheet;
    this.write(lane, opened(this.windows(lane), from, to, whom));
  },

  chosen() {
    const dialog = this.$root.querySelector('#whom');
    if (this.sheet && dialog.returnValue === 'close') {
      const lane = this.$root.querySelector(`#lane-${this.sheet.day}`);
      this.write(lane, closed(this.windows(lane), this.sheet.from, this.sheet.to));
    }
    this.sheet = null;
  },

  // The days over which one drags.
  mark() {
    const [from, to] = [this.drag.date, this.drag.last].sort();
    for (const cell of this.$root.querySelectorAll('.date')) {
      cell.classList.toggle('chosen', cell.dataset.date >= from && cell.dataset.date <= to);
    }
  },

  days(from, to) {
    const form = this.$root.querySelector('#differ');
    form.elements.namedItem('from').value = from;
    form.elements.namedItem('to').value = to;
    form.elements.namedItem('figures').focus();
  },

  // Keeps what is typed, and asks what it does; an answer that is no longer asked for is dropped.
  ask(pause) {
    // What is on its way says nothing of this change, and would take it back.
    this.asked += 1;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.inTurn(), pause);
  },

  async send() {
    const mine = (this.asked += 1);
    const form = this.$root.querySelector('#week');
    const body = new URLSearchParams(new FormData(form));
    body.set('fragment', 'hours');
    try {
      const answer = await fetch(form.action, { method: 'POST', body });
      const html = await pageFrom(answer);
      if (mine !== this.asked || this.drag) return;
      this.take(html);
    } catch {
      if (mine === this.asked && !isLeaving()) form.submit();
    }
  },

  take(html) {
    const focused = document.activeElement?.id;
    const cursor = this.cursor;
    for (const part of html.querySelectorAll('[data-part]')) {
      const old = this.$root.querySelector(`#${CSS.escape(part.id)}`);
      if (old && old.outerHTML !== part.outerHTML) old.replaceWith(document.importNode(part, true));
    }
    for (const field of html.querySelectorAll('.figures input')) {
      const old = this.$root.querySelector(`#${field.id}`);
      if (old.id !== focused) old.value = field.value;
      if (field.getAttribute('aria-invalid')) {
        old.setAttribute('aria-invalid', 'true');
        old.setAttribute('aria-describedby', field.getAttribute('aria-describedby'));
      } else {
        old.removeAttribute('aria-invalid');
      }
    }
    if (focused && focused.startsWith('lane-')) {
      const lane = this.$root.querySelector(`#${focused}`);
      lane.focus({ preventScroll: true });
      if (cursor) this.show(lane, ...cursor);
    }
  },
});
