// The house's clock decides, not the visitor's: how far they are apart is known since the page came.
const clock = document.querySelector('meta[name="clock"]');
const ahead = clock ? Number(clock.content) * 1000 - Date.now() : 0;

// Time running out: the text is the minutes and seconds left until data-until (seconds since the epoch), in data-words if there are any.
export const countdown = () => ({
  left: '',
  over: false,
  timer: null,

  init() {
    this.left = this.$el.textContent;
    this.tick();
    this.timer = setInterval(() => this.tick(), 1000);
  },

  tick() {
    const seconds = Number(this.$el.dataset.until) - Math.floor((Date.now() + ahead) / 1000);
    if (seconds <= 0) {
      clearInterval(this.timer);
      this.say(0);
      if (!this.over && this.$el.dataset.reload) window.location.reload();
      this.over = true;
      return;
    }
    if (seconds <= 120) this.warn();
    this.say(seconds);
  },

  say(seconds) {
    const left = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
    this.left = (this.$el.dataset.words || '{0}').replace('{0}', left);
  },

  // Said once on a page, however many times run out together.
  warn() {
    const place = document.querySelector('[data-soon]');
    if (place && !place.textContent) place.textContent = place.dataset.words;
  },

  destroy() {
    clearInterval(this.timer);
  },
});
