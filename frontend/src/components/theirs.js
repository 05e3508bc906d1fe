// Times where the guest is, for what they can do from anywhere: said where they differ from the house's, with the date where
// that differs too, and always with the house's beside.
const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
const SWITCHED = 'theirs-switched';
let shown = 'theirs';

const words = (at, zone, cycle, what) =>
  new Intl.DateTimeFormat(document.documentElement.lang, { timeZone: zone, hourCycle: cycle, ...what }).format(new Date(at * 60000));
const time = (at, zone, cycle) => words(at, zone, cycle, clock).replace(/^0(?=\d:)/, '');
const clock = { hour: 'numeric', minute: '2-digit' };
const day = { weekday: 'short', day: 'numeric', month: 'short' };
const date = (at, zone) => words(at, zone, 'h23', { year: 'numeric', month: '2-digit', day: '2-digit' });

// Whether the clocks on both walls say something else then.
const differs = (at, zone) => words(at, zone, 'h23', { ...clock, ...day }) !== words(at, here, 'h23', { ...clock, ...day });

export const theirs = () => ({
  house: '',
  again: null,

  init() {
    this.house = this.$el.textContent;
    this.again = () => this.say();
    window.addEventListener(SWITCHED, this.again);
    this.say();
  },

  destroy() {
    window.removeEventListener(SWITCHED, this.again);
  },

  say() {
    const place = this.$root;
    const { zone, whole } = place.dataset;
    const [start, end] = [Number(place.dataset.start), Number(place.dataset.end)];
    if (!differs(start, zone)) return;
    if (whole) {
      place.textContent = place.dataset.words.replace('%t', this.times(start, end, true)).replace('%z', here);
      return;
    }
    if (shown === 'house') {
      place.textContent = this.house;
      return;
    }
    const beside = document.createElement('small');
    beside.textContent = this.house;
    place.replaceChildren(this.times(start, end, date(start, zone) !== date(start, here)), beside);
  },

  // From – to where the guest is; with the date where it has to be said, and with another one where it ends on it.
  times(start, end, dated) {
    const cycle = this.$root.dataset.clock;
    const ends = date(start, here) === date(end, here) ? '' : `${words(end, here, cycle, day)} `;
    return `${dated ? `${words(start, here, cycle, day)} ` : ''}${time(start, here, cycle)} – ${ends}${time(end, here, cycle)}`;
  },
});

export const theirsSwitch = () => ({
  area: {
    'data-x-on:click'(event) {
      if (!event.target.closest('button')) return;
      shown = shown === 'theirs' ? 'house' : 'theirs';
      window.dispatchEvent(new Event(SWITCHED));
      this.say();
    },
  },

  init() {
    const times = [...document.querySelectorAll('[data-x-data=theirs]')];
    this.$el.hidden = !times.some((one) => differs(Number(one.dataset.start), one.dataset.zone));
    this.say();
  },

  say() {
    const { zone, theirs: yours, house, toHouse, toTheirs } = this.$root.dataset;
    const own = shown === 'theirs';
    this.$root.querySelector('[data-said]').textContent = own ? yours.replace('%z', here) : house.replace('%z', zone);
    this.$root.querySelector('button').textContent = own ? toHouse : toTheirs;
  },
});
