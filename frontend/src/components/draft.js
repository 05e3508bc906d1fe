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
    const typing = focused?.matches('input:not([type=checkbox], [type=radio]), textarea, select');
    for (const part of html.querySelectorAll('[data-part], [data-field]')) {
      const old = this.$root.querySelector(`#${CSS.escape(part.id)}`);
      if (!old) this.$root.querySelector('#one').append(document.importNode(part, true));
      else if (typing && old.contains(focused)) this.tell(old, part);
      else this.replace(old, part);
    }
    for (const old of this.$root.querySelectorAll('[data-field]')) {
      if (!html.querySelector(`#${CSS.escape(old.id)}`)) old.remove();
    }
    if (focused && !focused.isConnected) this.$root.querySelector(`#${CSS.escape(focused.id)}`)?.focus();
  },

  // What was unfolded stays so.
  replace(old, part) {
    const fresh = document.importNode(part, true);
    if (old.querySelector('details[open]')) fresh.querySelector('details')?.setAttribute('open', '');
    old.replaceWith(fresh);
  },

  // What is wrong is told where somebody types, who goes on undisturbed.
  tell(old, part) {
    for (const control of old.querySelectorAll('input, textarea, select')) {
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
});
