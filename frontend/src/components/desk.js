// The desk by keyboard: the arrows turn the days, T is today. Where a lane is clicked, that minute is explained.
export const desk = () => ({
  keys: {
    'data-x-on:keydown.window'(event) {
      this.key(event);
    },
    'data-x-on:click'(event) {
      const link = event.target.closest('a[data-why]');
      if (link && event.detail > 0) this.explain(link, event.clientX);
    },
  },

  explain(link, clientX) {
    const board = link.ownerSVGElement;
    const { from, to, left, right } = board.dataset;
    const at = new DOMPoint(clientX, 0).matrixTransform(board.getScreenCTM().inverse()).x;
    const part = Math.min(1, Math.max(0, (at - left) / (right - left)));
    const minute = Number(from) + Math.round((part * (to - from)) / 5) * 5;
    const address = new URL(link.href.baseVal, window.location.href);
    address.searchParams.set('at', minute);
    link.setAttribute('href', address.pathname + address.search);
  },

  key(event) {
    if (event.target.closest('input, textarea, select') || event.altKey || event.ctrlKey || event.metaKey) return;
    const link = { ArrowLeft: 'earlier', ArrowRight: 'later', t: 'today' }[event.key];
    const target = link && this.$root.querySelector(`[data-day="${link}"]`);
    if (target) target.click();
  },
});
