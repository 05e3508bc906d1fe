// Finds guests who were here before, as their name, address or number is typed; one of them is taken by a click or by keys.
export const finder = () => ({
  timer: null,
  asked: 0,

  field: {
    'data-x-on:input'(event) {
      if (this.$root.dataset.finds === 'true' && event.target.matches('#name, #email, #phone')) this.look(event.target);
    },
    'data-x-on:keydown'(event) {
      this.key(event);
    },
    'data-x-on:click'(event) {
      const one = event.target.closest('[role=option]');
      if (one) this.take(one);
    },
    'data-x-on:focusout'() {
      setTimeout(() => {
        if (!this.$root.contains(document.activeElement) || !document.activeElement.matches('#name, #email, #phone')) this.list().hidden = true;
      }, 150);
    },
  },

  list() {
    return this.$root.querySelector('#found-guests');
  },

  look(field) {
    const mine = (this.asked += 1);
    clearTimeout(this.timer);
    this.timer = setTimeout(async () => {
      try {
        const answer = await fetch(`${this.$root.dataset.guests}?q=${encodeURIComponent(field.value)}`);
        if (!answer.ok || answer.redirected || mine !== this.asked) return;
        this.show(await answer.json(), field);
      } catch {
        // Whoever is not found is typed.
      }
    }, 200);
  },

  show(guests, field) {
    const list = this.list();
    list.replaceChildren(
      ...guests.map((guest, i) => {
        const one = document.createElement('li');
        one.id = `guest-${i}`;
        one.setAttribute('role', 'option');
        one.setAttribute('aria-selected', 'false');
        Object.assign(one.dataset, guest);
        const name = document.createElement('b');
        name.textContent = guest.name;
        const rest = document.createElement('span');
        rest.textContent = [guest.email, guest.phone].filter(Boolean).join(' · ');
        one.append(name, rest);
        return one;
      }),
    );
    list.hidden = guests.length === 0;
    const box = field.getBoundingClientRect();
    list.style.top = `${box.bottom - this.$root.getBoundingClientRect().top + 4}px`;
  },

  key(event) {
    const list = this.list();
    if (list.hidden || !event.target.matches('#name, #email, #phone')) return;
    const options = [...list.children];
    const now = options.findIndex((one) => one.getAttribute('aria-selected') === 'true');
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (by) {
      event.preventDefault();
      const next = options[Math.max(0, Math.min(options.length - 1, now + by))];
      for (const one of options) one.setAttribute('aria-selected', String(one === next));
      event.target.setAttribute('aria-activedescendant', next.id);
    } else if (event.key === 'Enter' && now >= 0) {
      event.preventDefault();
      this.take(options[now]);
    } else if (event.key === 'Escape') {
      list.hidden = true;
    }
  },

  take(one) {
    for (const name of ['name', 'email', 'phone']) {
      this.$root.querySelector(`#${name}`).value = one.dataset[name];
    }
    this.asked += 1;
    this.list().hidden = true;
    const next = this.$root.querySelector('#guest-notes');
    next.focus();
    // What was asked with less than this is no longer of use.
    next.dispatchEvent(new Event('input', { bubbles: true }));
  },
});
