// What waits for an answer: the arrow keys go from one to the next, Y says yes, N says no. Where an answer asks something first,
// its form opens with the first field ready.
export const waits = () => ({
  area: {
    'data-x-on:keydown'(event) {
      this.key(event);
    },
  },

  key(event) {
    const one = event.target.closest('[data-waiting]');
    if (!one || event.ctrlKey || event.metaKey || event.altKey || event.target.matches('input, textarea, select')) return;
    const all = [...this.$root.querySelectorAll('[data-waiting]')];
    const step = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
    if (step) {
      all[all.indexOf(one) + step]?.focus();
      event.preventDefault();
      return;
    }
    const act = { y: 'accept', j: 'accept', n: 'decline' }[event.key.toLowerCase()];
    if (!act) return;
    const answer = one.querySelector(`[data-act^="${act}"]`);
    if (!answer) return;
    event.preventDefault();
    if (answer.matches('form')) {
      answer.querySelector('button').click();
    } else {
      answer.open = true;
      answer.querySelector('input:not([type=hidden]), textarea, button')?.focus();
    }
  },
});
