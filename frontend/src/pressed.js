// What is pressed is not put aside before it is let go of: the click would go to nobody.
const AT_MOST = 5000;
const CLICKED = 50;
let pressed = null;

window.addEventListener(
  'pointerdown',
  (event) => {
    if (event.button !== 0 || !event.target.closest?.('a, button, summary, label') || event.target.closest('[data-knot]')) return;
    pressed = new Promise((done) => {
      setTimeout(done, AT_MOST);
      for (const end of ['pointerup', 'pointercancel']) {
        window.addEventListener(end, () => setTimeout(done, CLICKED), { once: true, capture: true });
      }
    });
  },
  true,
);

export const released = () => pressed;
