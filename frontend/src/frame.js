// What a page of ours in a frame tells the page around it: how high it is, what happened, and where the whole window is to go.
// It says no more than that, and nothing of the guest.
const to = document.querySelector('meta[name="embed"]');

if (to && window.parent !== window) {
  const tell = (said) => window.parent.postMessage({ gastfreund: 1, ...said }, to.content);
  const height = () => Math.ceil(document.body.getBoundingClientRect().height);

  const begin = () => {
    tell({ ready: height(), wrong: to.dataset.wrong || '' });
    new ResizeObserver(() => tell({ height: height() })).observe(document.body);
    const happened = document.querySelector('[data-happened]');
    if (happened) {
      const { happened: what, number, total, currency } = happened.dataset;
      tell({ happened: what, number, total, currency });
    }
    const onward = document.querySelector('[data-onward]');
    if (onward) tell({ onward: onward.href });
  };
  if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', begin);
  else begin();
}
