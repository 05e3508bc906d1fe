import { pageFrom } from './page.js';

// Moves a block of the board in time and between lanes, or makes it longer and shorter by its edge, by the pointer or by keys: where
// it could go is light, where not is grey with the reason. Where it is let go, it is asked once.
const SVG = 'http://www.w3.org/2000/svg';
const STARTS = 5;
const HELD = 350;
const EDGE = 48;

const drawn = (name, attributes) => {
  const one = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) one.setAttribute(key, value);
  return one;
};

export const moving = {
  move: null,
  dragged: false,

  press(event) {
    const link = event.target.closest('a[data-booking]');
    if (!link || event.button !== 0 || this.move) return;
    const { clientX, clientY, pointerId } = event;
    let timer = null;
    let begun = event.pointerType === 'touch' ? null : false;
    const size = event.target.closest('.edge') !== null;
    const begin = (x) => {
      begun = true;
      if (size) {
        this.begin(link, { size, pointer: true });
        this.at(x, clientY);
        return;
      }
      const grabbed = this.minute(link.ownerSVGElement, clientX) - Number(link.dataset.from);
      this.begin(link, { grabbed, pointer: true });
      this.at(x, clientY);
    };
    const moved = (next) => {
      if (next.pointerId !== pointerId) return;
      const far = Math.hypot(next.clientX - clientX, next.clientY - clientY) > STARTS;
      if (begun === null && far) end();
      else if (begun === false && far) begin(next.clientX);
      if (begun && this.move) {
        next.preventDefault();
        cancelAnimationFrame(this.frame);
        this.frame = requestAnimationFrame(() => this.at(next.clientX, next.clientY));
      }
    };
    const end = () => {
      clearTimeout(timer);
      window.removeEventListener('pointermove', moved);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', cancelled);
    };
    const up = (next) => {
      end();
      if (!begun || !this.move) return;
      this.dragged = true;
      setTimeout(() => {
        this.dragged = false;
      }, 0);
      cancelAnimationFrame(this.frame);
      this.at(next.clientX, next.clientY);
      this.drop(next.shiftKey);
    };
    const cancelled = () => {
      end();
      if (begun) this.leave();
    };
    if (begun === null) timer = setTimeout(() => begin(clientX), HELD);
    window.addEventListener('pointermove', moved, { passive: false });
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', cancelled);
  },

  pressed(event) {
    if (event.target.closest?.('input, textarea, select, dialog') || event.ctrlKey || event.metaKey || event.altKey) return;
    if (!this.move) {
      const key = event.key.toLowerCase();
      if (key === 'm') this.take(false);
      if (key === 'l') this.take(true);
      return;
    }
    const key = event.key;
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[key];
    if (!by && key !== 'Enter' && key !== 'Escape') return;
    event.preventDefault();
    event.stopImmediatePropagation();
    if (by) this.step(...by);
    else if (key === 'Enter') this.drop(event.shiftKey);
    else this.leave();
  },

  // By keys: the block that has the focus, or the one that is chosen.
  async take(size) {
    const focused = document.activeElement?.closest?.('a[data-booking]');
    const link = focused ?? this.board().querySelector('a.selected[data-booking]');
    if (!link) return;
    link.focus({ preventScroll: true });
    this.begin(link, { grabbed: 0, pointer: false, size });
    const mine = this.move;
    await mine.coming;
    if (this.move !== mine || !mine.places) return;
    const own = link.ownerSVGElement.dataset.lane;
    if (size) {
      this.show(own, this.longest(Number(link.dataset.to)));
      return;
    }
    const lane = mine.places.has(own) ? own : [...mine.places.keys()][0];
    if (lane) this.show(lane, this.nearest(lane, Number(link.dataset.from)));
  },

  begin(link, how) {
    const from = Number(link.dataset.from);
    this.move = { link, from, minutes: Number(link.dataset.to) - from, places: null, lane: null, place: null, ...how };
    link.classList.add('taken-up');
    this.board().classList.add('moving');
    this.tip().hidden = true;
    this.move.coming = how.size ? this.measure(this.move) : this.look(this.move);
  },

  // How long it could be, from its start on.
  async measure(mine) {
    const { booking, order } = mine.link.dataset;
    const lane = mine.link.ownerSVGElement.dataset.lane;
    try {
      const answer = await fetch(`${this.$root.dataset.orders}/${order}/bookings/${booking}/move/sizes`);
      if (!answer.ok || answer.redirected) throw new Error(answer.statusText);
      const { words, sizes } = await answer.json();
      const places = sizes
        .map(([end, length, units, free, said]) => ({ start: mine.from, minutes: end - mine.from, length, units, free, said: words[said] }))
        .filter((place) => this.across(mine.from + place.minutes) !== null);
      mine.places = new Map([[lane, places]]);
      if (this.move === mine) this.light(mine);
      if (this.move === mine && mine.last) this.at(...mine.last);
    } catch {
      if (this.move === mine) this.leave();
    }
  },

  // The size that ends the nearest to a minute.
  longest(minute) {
    let best = null;
    for (const place of [...this.move.places.values()][0] ?? []) {
      const off = Math.abs(place.start + place.minutes - minute);
      if (!best || off < Math.abs(best.start + best.minutes - minute)) best = place;
    }
    return best;
  },

  async look(mine) {
    const [from, to] = this.board().dataset.days.split(' ');
    const { booking, order } = mine.link.dataset;
    try {
      const answer = await fetch(`${this.$root.dataset.orders}/${order}/bookings/${booking}/move/places?from=${from}&to=${to}`);
      if (!answer.ok || answer.redirected) throw new Error(answer.statusText);
      const { lanes, words, places } = await answer.json();
      mine.places = new Map(lanes.map((lane) => [lane, []]));
      for (const [start, lane, free, said] of places) {
        const shown = this.across(start) !== null && this.across(start + mine.minutes) !== null;
        if (shown) mine.places.get(lanes[lane]).push({ start, free: free === 1, said: words[said] });
      }
      if (this.move === mine) this.light(mine);
      if (this.move === mine && mine.last) this.at(...mine.last);
    } catch {
      if (this.move === mine) this.leave();
    }
  },

  // Draws where it could be.
  light(mine) {
    for (const lane of this.board().querySelectorAll('[data-lane]')) {
      const places = mine.places.get(lane.dataset.lane) ?? [];
      const layer = drawn('g', { class: 'where' });
      layer.append(drawn('rect', { class: 'nowhere', width: '100%', height: '100%' }));
      let stretch = null;
      for (const { start, free, minutes } of places) {
        if (!free) continue;
        const end = start + (minutes ?? mine.minutes);
        if (stretch && start <= stretch.end && this.column(start) === this.column(stretch.start)) stretch.end = Math.max(stretch.end, end);
        else {
          if (stretch) this.lit(lane, layer, stretch);
          stretch = { start, end };
        }
      }
      if (stretch) this.lit(lane, layer, stretch);
      lane.querySelector('a[data-why]').after(layer);
    }
  },

  column(minute) {
    return this.columns().findIndex(([from, to]) => minute >= from && minute <= to);
  },

  lit(lane, layer, { start, end }) {
    const from = this.across(start);
    layer.append(drawn('rect', { class: 'lit', x: `${from}%`, width: `${this.across(end) - from}%`, y: 6, height: lane.height.baseVal.value - 6, rx: 10 }));
  },

  nearest(lane, minute) {
    let best = null;
    for (const place of this.move.places.get(lane) ?? []) {
      if (!best || Math.abs(place.start - minute) < Math.abs(best.start - minute)) best = place;
    }
    return best;
  },

  // Where the pointer is.
  at(clientX, clientY) {
    const mine = this.move;
    if (!mine) return;
    mine.last = [clientX, clientY];
    this.scroll(clientX, clientY);
    if (!mine.places) return;
    if (mine.size) {
      const own = mine.link.ownerSVGElement;
      this.show(own.dataset.lane, this.longest(this.minute(own, clientX)));
      return;
    }
    const lanes = [...this.board().querySelectorAll('[data-lane]')];
    const under = lanes.find((lane) => {
      const box = lane.getBoundingClientRect();
      return clientY >= box.top && clientY < box.bottom;
    });
    const lane = under && mine.places.has(under.dataset.lane) ? under : null;
    if (!lane) {
      this.show(null, null, under);
      return;
    }
    this.show(lane.dataset.lane, this.nearest(lane.dataset.lane, this.minute(lane, clientX) - mine.grabbed));
  },

  scroll(clientX, clientY) {
    const view = this.board().parentElement;
    const box = view.getBoundingClientRect();
    if (clientX > box.right - EDGE) view.scrollLeft += 12;
    else if (clientX < box.left + EDGE * 3) view.scrollLeft -= 12;
    if (clientY > box.bottom - EDGE) view.scrollTop += 8;
    else if (clientY < box.top + EDGE) view.scrollTop -= 8;
  },

  step(across, down) {
    const mine = this.move;
    if (!mine.places || !mine.lane) return;
    if (across) {
      const places = mine.places.get(mine.lane);
      const next = places[places.indexOf(mine.place) + across];
      if (next) this.show(mine.lane, next);
      return;
    }
    if (mine.size) return;
    const lanes = [...this.board().querySelectorAll('[data-lane]')].map((l) => l.dataset.lane).filter((l) => mine.places.has(l));
    const next = lanes[lanes.indexOf(mine.lane) + down];
    if (next) this.show(next, this.nearest(next, mine.place.start));
  },

  // Draws the block where it would be, and says what stands against it.
  show(lane, place, under) {
    const mine = this.move;
    mine.lane = place ? lane : null;
    mine.place = place;
    this.board().querySelector('.ghost')?.remove();
    const { here, nowhere, spite, letgo, zone, clock } = this.$root.dataset;
    if (!place) {
      this.tell(under ?? mine.link, [nowhere]);
      return;
    }
    const svg = this.board().querySelector(`[data-lane="${CSS.escape(lane)}"]`);
    const from = this.across(place.start);
    const minutes = place.minutes ?? mine.minutes;
    const block = mine.link.querySelector('.block');
    const ghost = drawn('g', { class: `ghost ${place.free ? 'free' : 'against'}` });
    ghost.append(
      drawn('rect', {
        x: `${from}%`,
        width: `${this.across(place.start + minutes) - from}%`,
        y: block.getAttribute('y'),
        height: block.getAttribute('height'),
        rx: 9,
      }),
    );
    svg.append(ghost);
    const time = new Intl.DateTimeFormat(document.documentElement.lang, { timeZone: zone, hour: 'numeric', minute: '2-digit', hourCycle: clock });
    const [start, end] = [place.start, place.start + minutes].map((m) => time.format(new Date(m * 60000)));
    const name = svg.getAttribute('aria-label');
    this.tell(ghost, [`${name}, ${start}–${end}: ${place.free ? here : spite}`, place.said, letgo]);
    if (!mine.pointer) ghost.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  },

  async drop(silent) {
    const mine = this.move;
    await mine.coming;
    if (this.move !== mine) return;
    if (mine.places && !mine.place && mine.last) this.at(...mine.last);
    const { lane, place } = mine;
    const same = place && (place.minutes ?? mine.minutes) === mine.minutes;
    const stays = same && place.start === mine.from && lane === mine.link.ownerSVGElement.dataset.lane;
    this.leave();
    if (place && !stays) this.question(mine.link.dataset, lane, place, silent);
  },

  leave() {
    this.move?.link.classList.remove('taken-up');
    this.move = null;
    const board = this.board();
    board.classList.remove('moving');
    for (const one of board.querySelectorAll('.where, .ghost')) one.remove();
    this.tip().hidden = true;
    if (this.stale) this.refresh();
  },

  // What it does is asked once.
  async question({ booking, order }, lane, place, silent) {
    const { orders, board } = this.$root.dataset;
    const [kind, id] = lane.split(':');
    const said = new URLSearchParams({ start: place.start, board, fragment: 'change' });
    if (kind === 'person') said.set('person', id);
    if (!place.free) said.set('inSpite', 'true');
    if (place.length) {
      said.set('length', place.length);
      said.set('units', place.units);
    }
    try {
      const answer = await fetch(`${orders}/${order}/bookings/${booking}/move/to?${said}`);
      if (answer.redirected) throw new Error(answer.statusText);
      const html = await pageFrom(answer);
      const asked = this.$root.querySelector('[data-asked]');
      asked.replaceChildren(...[...html.body.childNodes].map((node) => document.importNode(node, true)));
      const tell = asked.querySelector('[name="tell"]');
      if (tell && silent) tell.checked = false;
      this.dialog().showModal();
      asked.querySelector('button.main')?.focus();
    } catch {
      this.refresh();
    }
  },
};
