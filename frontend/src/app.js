// What scripts add to pages that work without them. Components are registered by name, since the policy allows no
// expressions to be evaluated.
document.addEventListener('alpine:init', () => {
  const { Alpine } = window;

  // Its attributes are data of our own, so that a page is plain HTML.
  Alpine.prefix('data-x-');

  // The house's clock decides, not the visitor's: how far they are apart is known since the page came.
  const clock = document.querySelector('meta[name="clock"]');
  const ahead = clock ? Number(clock.content) * 1000 - Date.now() : 0;

  // A number that, hashed with a page's seal, begins with enough zero bits (see Doorkeeper). Where the browser cannot hash,
  // the slower path without a proof is taken.
  async function proofOf(seal, bits) {
    if (!window.crypto.subtle) return '';
    const write = new TextEncoder();
    for (let number = 0; ; number += 256) {
      const hashes = await Promise.all(
        Array.from({ length: 256 }, (_, i) => crypto.subtle.digest('SHA-256', write.encode(`${seal}:${number + i}`))),
      );
      const found = hashes.findIndex((hash) => new DataView(hash).getUint32(0) >>> (32 - bits) === 0);
      if (found >= 0) return String(number + found);
    }
  }

  // The booking panel: whatever is changed in it is fetched alone, and the address follows.
  // A click that comes while another is on its way waits for it, and then means the link that stands in its place.
  Alpine.data('panel', () => ({
    busy: false,
    last: Promise.resolve(),

    init() {
      this.show();
    },

    // On a narrow screen the ribbon is wider than its place: the chosen day is brought into sight.
    show() {
      const place = this.$root.querySelector('.scroll');
      const day = this.$root.querySelector('.day[aria-current]');
      if (!place || !day || place.scrollWidth <= place.clientWidth) return;
      const { left, width } = day.getBoundingClientRect();
      place.scrollLeft += left + width / 2 - place.getBoundingClientRect().left - place.clientWidth / 2;
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
        if (!answer.ok) throw new Error(answer.statusText);
        const html = new DOMParser().parseFromString(await answer.text(), 'text/html');
        this.$root.replaceChildren(...html.body.firstElementChild.childNodes);
        this.show();
        const again = focus && this.$root.querySelector(`[data-panel="${CSS.escape(focus)}"]`);
        if (again) again.focus({ preventScroll: true });
        return true;
      } catch {
        window.location.assign(href);
        return false;
      } finally {
        this.busy = false;
      }
    },
  }));

  // Time running out: the text is the minutes and seconds left until data-until (seconds since the epoch).
  Alpine.data('countdown', () => ({
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
        this.left = '0:00';
        if (!this.over && this.$el.dataset.reload) window.location.reload();
        this.over = true;
        return;
      }
      this.left = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
    },

    destroy() {
      clearInterval(this.timer);
    },
  }));

  // The checkout works a little for its proof while the guest writes.
  Alpine.data('checkout', () => ({
    sent: false,
    proof: null,

    init() {
      this.proof = proofOf(this.$el.dataset.seal, Number(this.$el.dataset.bits));
    },

    form: {
      'data-x-on:submit'(event) {
        this.send(event);
      },
    },

    async send(event) {
      event.preventDefault();
      if (this.sent) return;
      this.sent = true;
      const form = event.target;
      form.elements.namedItem('proof').value = await this.proof;
      form.submit();
    },
  }));

  // A form that is on its way is not sent twice, and says so. One that carries a seal works for its proof first.
  Alpine.data('once', () => ({
    sent: false,

    form: {
      'data-x-on:submit'(event) {
        this.send(event);
      },
    },

    async send(event) {
      if (this.sent) {
        event.preventDefault();
        return;
      }
      this.sent = true;
      const form = event.target;
      const seal = form.elements.namedItem('seal');
      if (!seal || !seal.dataset.bits) return;
      event.preventDefault();
      form.setAttribute('aria-busy', 'true');
      form.elements.namedItem('proof').value = await proofOf(seal.value, Number(seal.dataset.bits));
      form.submit();
    },
  }));

  // The desk by keyboard: the arrows turn the days, T is today.
  Alpine.data('desk', () => ({
    keys: {
      'data-x-on:keydown.window'(event) {
        this.key(event);
      },
    },

    key(event) {
      if (event.target.closest('input, textarea, select') || event.altKey || event.ctrlKey || event.metaKey) return;
      const link = { ArrowLeft: 'earlier', ArrowRight: 'later', t: 'today' }[event.key];
      const target = link && this.$root.querySelector(`[data-day="${link}"]`);
      if (target) target.click();
    },
  }));
});
