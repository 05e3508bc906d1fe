// The desk by keyboard: the arrows turn the days, T is today; links can have keys of their own.
export const desk = () => ({
  keys: {
    'data-x-on:click'(event) {
      if (event.target.closest('[data-print]')) window.print();
    },
    'data-x-on:keydown.window'(event) {
      this.key(event);
    },
  },

  key(event) {
    if (event.target.closest('input, textarea, select, dialog') || event.altKey || event.ctrlKey || event.metaKey) return;
    // While a block is moved, the arrows move it.
    if (event.defaultPrevented || this.$root.querySelector('.board.moving')) return;
    const link = { ArrowLeft: 'earlier', ArrowRight: 'later', t: 'today' }[event.key];
    const target = this.$root.querySelector(link ? `[data-day="${link}"]` : `[data-key="${CSS.escape(event.key.toLowerCase())}"]`);
    if (target) target.click();
  },
});
