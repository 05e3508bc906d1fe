// A page whose form is a draft: it is kept as it is typed, and what it does is asked a moment after the last change. What is
// answered late is dropped; what is being typed in is left alone.
export const draft = () => ({
  asked: 0,
  timer: null,

  area: {
    'data-x-on:input'(event) {
      if (event.target.form?.id === 'one') this.ask();
    },
  },

  ask() {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.send(), 250);
  },

  async send() {
    const mine = (this.asked += 1);
    const form = this.$root.querySelector('#one');
    const body = new URLSearchParams(new FormData(form));
    body.set('fragment', 'household');
    try {
      const answer = await fetch(form.action, { method: 'POST', body });
      if (!answer.ok) throw new Error(answer.statusText);
      const html = new DOMParser().parseFromString(await answer.text(), 'text/html');
      if (mine === this.asked) this.take(html);
    } catch {
      if (mine === this.asked) form.submit();
    }
  },

  take(html) {
    const focused = document.activeElement;
    for (const part of html.querySelectorAll('[data-part], [data-field]')) {
      const old = this.$root.querySelector(`#${CSS.escape(part.id)}`);
      if (!old) this.$root.querySelector('#one').insertBefore(document.importNode(part, true), null);
      else if (!old.contains(focused) || part.matches('[data-part]')) old.replaceWith(document.importNode(part, true));
    }
    for (const old of this.$root.querySelectorAll('[data-field]')) {
      if (!html.querySelector(`#${CSS.escape(old.id)}`)) old.remove();
    }
  },
});
